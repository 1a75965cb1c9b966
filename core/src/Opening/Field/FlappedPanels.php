<?php

declare(strict_types=1);

namespace Apron\Opening\Field;

use Apron\Detail\CutSize;
use Apron\Detail\Edges;
use Apron\Detail\PieceKind;
use Apron\Drafting\Lay;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;
use Apron\Trace\Outcome;

/**
 * Panels with factory flaps: upright seams before level ones, the flap of the upper panel over the lower, the spare
 * flap at the head of the wall cut off, the foot in a drained starter strip.
 */
final class FlappedPanels extends Part implements OnFraming, WaterPlane
{
    /** The leg of the starter strip behind the panel's foot, mm. */
    private const STARTER_LEG_MM = 50.0;

    public function groups(Composition $of): array
    {
        return ['framed', 'boards', 'flapped'];
    }

    public function materials(Composition $of): array
    {
        return [
            'panel_material' => 'eps-film-faced',
            'tape_material' => 'seam-tape',
            'starter_material' => 'steel-galvanised',
            'spot_material' => 'sealant-silyl',
        ];
    }

    public function headEdges(Composition $of): ?Edges
    {
        return null;
    }

    public function comesDownOverHead(Composition $of): bool
    {
        return false;
    }

    /** Its flaps shed; what is dressed over its facer at the head relies on its bond, or on the seal of a coat. */
    public function worst(Composition $of): Outcome
    {
        $coated =
            $of->has('over_flange', 'fluid') ||
            (! $of->has('held_by', 'flange') && $of->has('dressing', 'fluid-coat'));

        return $coated ? Outcome::ReliesOnSeal : Outcome::ReliesOnBond;
    }

    public function steps(Scheme $in): array
    {
        return ['starter-strip', 'flapped-panels', ...BoardRows::headSteps($in), 'upright-seams', 'panel-flaps'];
    }

    public function pieces(Scheme $in): array
    {
        [$w, $m, $step] = [$in->mm('width'), $in->mm('margin'), $in->at('starter-strip')];
        $starter = Lay::piece(
            'starter-strip',
            $in->material('starter'),
            PieceKind::Metal,
            $step,
            [
                Lay::patch(
                    'starter-strip.face',
                    'face',
                    [-$m, -$m, $w + $m, -$m + self::STARTER_LEG_MM],
                    [],
                    $step,
                    null,
                    true,
                ),
            ],
            null,
            new CutSize($w + 2 * $m, 2 * self::STARTER_LEG_MM),
            null,
            false,
        );

        return [
            $starter,
            ...BoardRows::boards(
                $in,
                $in->material('panel'),
                $in->at('flapped-panels'),
                $in->mm('panel_flap'),
                $in->at('panel-flaps'),
            ),
            ...BoardRows::spots($in),
            ...BoardRows::uprightTapes($in, $in->material('tape'), $in->at('upright-seams')),
        ];
    }

    public function framing(Scheme $in): array
    {
        return BoardRows::framing($in);
    }

    public function fasteners(Scheme $in, array $pieces): array
    {
        return BoardRows::fasteners($in, $pieces);
    }

    public function gaps(Scheme $in): array
    {
        return [];
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return match ($does) {
            'starter-strip' => [],
            'panel-flaps' => ['flap_mm' => $in->mm('panel_flap')],
            default => BoardRows::figures($does, $in),
        };
    }

    public function leastLaps(Scheme $in): array
    {
        return BoardRows::leastLaps($in);
    }

    public function demandRoom(Scheme $in): void
    {
        BoardRows::demandRoom($in);
    }
}
