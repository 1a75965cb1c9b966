<?php

declare(strict_types=1);

namespace Apron\Opening\Around;

use Apron\Detail\CutSize;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Drafting\Lay;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;
use Apron\Trace\Outcome;

/**
 * Insect screen in the drained space behind the cladding where the opening interrupts it: at the head, where what comes
 * down the space is let out, and at the sill, where air gets into the space below. It stands on the outermost plane
 * that water runs down, outside of the trim where there is trim, and water passes through it.
 */
final class Screens extends Part
{
    public function groups(Composition $of): array
    {
        return ['screens'];
    }

    public function materials(Composition $of): array
    {
        return ['screen_material' => 'entangled-mesh'];
    }

    /** What runs into the mesh from above comes out at its foot. */
    public function worst(Composition $of): Outcome
    {
        return Outcome::Recovered;
    }

    public function steps(Scheme $in): array
    {
        return ['head-sill-screens'];
    }

    /** From the opening out to where the cladding, and so its drained space, ends. */
    private static function beside(Scheme $in): float
    {
        return $in->of->has('trim', 'drained', 'caulked')
            ? Trim::outerEdge($in)
            : $in->mm('screen_clear');
    }

    public function pieces(Scheme $in): array
    {
        [$w, $h, $beside, $tall] = [$in->mm('width'), $in->mm('height'), self::beside($in), $in->mm('screen')];

        return [
            self::piece('head-screen', $in, [-$beside, $h + $beside, $w + $beside, $h + $beside + $tall]),
            self::piece('sill-screen', $in, [-$beside, -$beside - $tall, $w + $beside, -$beside]),
        ];
    }

    /** @param  array{float, float, float, float}  $rect */
    private static function piece(string $id, Scheme $in, array $rect): Piece
    {
        $facet = $in->of->has('outboard', 'board') ? 'outer-face' : 'face';
        $step = $in->at('head-sill-screens');

        return Lay::piece(
            $id,
            $in->material('screen'),
            PieceKind::Board,
            $step,
            [Lay::patch("$id.$facet", $facet, $rect, [], $step)],
            null,
            // Folded in two round the foot of the space, so that both of its cut edges are held.
            new CutSize($rect[2] - $rect[0], 2 * $in->mm('screen')),
            null,
            false,
        );
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return $does === 'head-sill-screens' ? ['screen_mm' => $in->mm('screen')] : null;
    }

    public function demandRoom(Scheme $in): void
    {
        $in->demandBelow(
            'screen_mm',
            $in->mm('margin') - self::beside($in),
            'so that the screens stay on the wall that is drawn',
        );
    }
}
