<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\FramingMember;
use Apron\Detail\PieceKind;
use Apron\Detail\PlacedFastener;
use Apron\Detail\Rect;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Choices;
use Apron\Drafting\FacetDetail;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Drafting\WallPlane;
use Apron\Trace\Outcome;

/**
 * A screw through the plane that missed the framing. While the plane can be reached it is pulled and its hole patched;
 * once the wall is covered it stays where it is, for the membrane grips its shank, and is written down. A pulled screw
 * leaves a hole that leaks until the patch is on. Either may be asked for whatever can be reached.
 */
final class MissedScrew extends FacetDetail
{
    public const NAME = 'missed-screw';

    protected const PLANES = WallPlane::MEMBRANE_FIRST;

    protected const EXTENTS = ['shank_mm' => [2.0, 15.0]];

    protected const MATERIALS = ['patch_material' => 'flashing-strip'];

    protected const CHOICES = [
        'missed_screw' => ['by-reach', 'pull', 'leave'],
        'reach' => ['before-cover', 'covered'],
    ];

    /** The patch holds by its bond; a screw left in leaks nothing while the membrane grips it. */
    public function worst(array $parameters = []): Outcome
    {
        return self::pulled(
            new Choices([
                'missed_screw' => (string) ($parameters['missed_screw'] ?? 'by-reach'),
                'reach' => (string) ($parameters['reach'] ?? 'before-cover'),
            ]),
        )
            ? Outcome::ReliesOnBond
            : Outcome::Shed;
    }

    private static function pulled(Choices $chosen): bool
    {
        return match ($chosen->of('missed_screw')) {
            'pull' => true,
            'leave' => false,
            default => $chosen->is('reach', 'before-cover'),
        };
    }

    protected function facets(Sizes $s, Choices $chosen): array
    {
        return ['face' => [-$s->mm('margin'), -$s->mm('margin'), $s->mm('margin'), $s->mm('margin')]];
    }

    /** Through the membrane at the middle; made for it only while the shank fills the hole. */
    protected function fasteners(Sizes $s, Choices $chosen): array
    {
        return [new PlacedFastener('screw', 'face', 0.0, 0.0, ['plane'], self::pulled($chosen) ? [] : ['plane'])];
    }

    protected function framing(Sizes $s): array
    {
        return [
            new FramingMember(
                'face',
                new Rect(
                    $s->mm('missed_by'),
                    -$s->mm('margin'),
                    $s->mm('missed_by') + $s->mm('stud'),
                    $s->mm('margin'),
                ),
            ),
        ];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        $opened = $chosen->is('reach', 'covered') ? [['cover-opened', ['past_mm' => $s->mm('patch')]]] : [];

        return self::pulled($chosen)
            ? [
                ['plane-over-wall', []],
                ...$opened,
                ['screw-pulled', ['missed_mm' => $s->mm('missed_by')]],
                ['hole-patched', ['past_mm' => $s->mm('patch')]],
            ]
            : [['plane-over-wall', []], ['screw-left', ['missed_mm' => $s->mm('missed_by')]]];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$m, $p] = [$s->mm('margin'), $s->mm('patch')];
        $plane = Lay::plane('plane', $used, $chosen, $at->of('plane-over-wall'), 'face', [-$m, -$m, $m, $m]);

        return self::pulled($chosen)
            ? [
                $plane,
                Lay::onFace(
                    'hole-patch',
                    $used->of('patch'),
                    PieceKind::Membrane,
                    $at->of('hole-patched'),
                    [-$p, -$p, $p, $p],
                    null,
                    new CutSize(2 * $p, 2 * $p),
                ),
            ]
            : [$plane];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow('patch_mm', $s->mm('margin'), 'the wall round the screw that is drawn');
        $s->demandBelow('shank_mm', $s->mm('patch'), 'the patch over its hole');
        $s->demandBelow(
            'missed_by_mm',
            $s->mm('margin') - $s->mm('stud'),
            'so that the stud it missed is on the wall that is drawn',
        );
        if ($s->mm('missed_by') <= $s->mm('shank') / 2) {
            throw new CannotGenerate(
                'missed_by_mm',
                $s->mm('missed_by'),
                sprintf('more than half the shank, %g mm: nearer, it is in the stud', $s->mm('shank') / 2),
            );
        }
    }
}
