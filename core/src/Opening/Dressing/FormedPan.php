<?php

declare(strict_types=1);

namespace Apron\Opening\Dressing;

use Apron\Detail\PieceKind;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;

/**
 * One pan of a membrane that can be formed, with no cut at the corners; strips of membrane line the jambs over it, a
 * formed piece the head.
 */
final class FormedPan extends Part
{
    public function materials(Composition $of): array
    {
        return ['pan_material' => 'flashing-formable', 'strip_material' => 'flashing-strip'];
    }

    public function steps(Scheme $in): array
    {
        return [self::panStep($in), 'jamb-liners', 'head-liner'];
    }

    /** At a facer the pan is its first tape; a flush threshold has a recess of its own. */
    private static function panStep(Scheme $in): string
    {
        return match (true) {
            $in->of->has('held_by', 'blocks') => 'threshold-pan',
            $in->of->has('plane', 'faced-sheathing', 'taped-insulation', 'flapped-panels') => 'sill-tape',
            default => 'sill-pan',
        };
    }

    public function pieces(Scheme $in): array
    {
        $step = $in->at(self::panStep($in));

        return [
            Liners::pan(
                $in,
                $in->material('pan'),
                PieceKind::Formable,
                $step,
                $in->sillLeg(),
                $in->sillLegDown($step),
            ),
            ...Liners::jambs($in, $in->material('strip'), $in->at('jamb-liners')),
            Liners::head($in, $in->material('pan'), $in->at('head-liner')),
        ];
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return match ($does) {
            'sill-pan', 'sill-tape', 'threshold-pan' => [
                'upturn_mm' => $in->mm('pan_upturn'),
                'face_mm' => $in->sillLeg(),
                'dam_mm' => $in->mm($does === 'threshold-pan' ? 'recess' : 'back_dam'),
            ],
            'jamb-liners', 'head-liner' => [
                'lap_mm' => $in->mm('membrane_lap'),
                'face_mm' => $in->mm('face_return'),
            ],
            default => null,
        };
    }
}
