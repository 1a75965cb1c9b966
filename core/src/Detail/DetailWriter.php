<?php

declare(strict_types=1);

namespace Apron\Detail;

use Apron\Assembly\Control;
use Apron\Json\Written;

/** Writes a detail as DetailFormat reads it. */
final class DetailWriter
{
    /** @return array<string, mixed> */
    public static function write(Detail $detail): array
    {
        return Written::without([
            'id' => $detail->id,
            'title' => $detail->title,
            'opening' => self::opening($detail->opening),
            'facets' => $detail->opening !== null ? null : array_map(self::facet(...), $detail->facets),
            'folds' => array_map(
                fn (Fold $fold): array => ['from' => $fold->from, 'to' => $fold->to, 'at_v' => $fold->atV],
                $detail->folds,
            ),
            'release' => $detail->release,
            'tolerant' => $detail->tolerant,
            'unit' => self::unit($detail->unit),
            'pieces' => array_map(self::piece(...), $detail->pieces),
            'penetrations' => array_map(
                fn (Penetration $p): array => Written::without([
                    'id' => $p->id,
                    'facet' => $p->facet,
                    'rect' => $p->rect->toArray(),
                    'sealed_to' => $p->sealedTo,
                ]),
                $detail->penetrations,
            ),
            'fasteners' => array_map(
                fn (PlacedFastener $f): array => Written::without([
                    'id' => $f->id,
                    'facet' => $f->facet,
                    'at' => [$f->u, $f->v],
                    'through' => $f->through,
                    'made_for' => $f->madeFor,
                    'material' => $f->material?->id,
                ]),
                $detail->fasteners,
            ),
            'framing' => array_map(
                fn (FramingMember $m): array => ['facet' => $m->facet, 'rect' => $m->rect->toArray()],
                $detail->framing,
            ),
            'gaps' => array_map(
                fn (Gap $g): array => Written::without([
                    'id' => $g->id,
                    'mouths' => array_map(
                        fn (Mouth $m): array => Written::without([
                            'facet' => $m->facet,
                            'rect' => $m->rect->toArray(),
                            'to' => $m->to,
                        ]),
                        $g->mouths,
                    ),
                    'joins' => $g->joins,
                ]),
                $detail->gaps,
            ),
            'between' => $detail->between,
            'least_laps' => array_map(
                fn (LeastLap $lap): array => Written::without([
                    'outer' => $lap->outer,
                    'inner' => $lap->inner,
                    'horizontal_mm' => $lap->horizontal,
                    'end_mm' => $lap->end,
                ]),
                $detail->leastLaps,
            ),
            'pan_upturn_mm' => $detail->panUpturn,
            'steps' => array_map(
                fn (Step $step): array => Written::without([
                    'number' => $step->number,
                    'does' => $step->does,
                    'figures' => $step->figures === [] ? null : (object) $step->figures,
                ]),
                $detail->steps,
            ),
            'generated' => $detail->generated === null
                    ? null
                    : [
                        'generator' => $detail->generated->generator,
                        'parameters' => (object) $detail->generated->parameters,
                    ],
        ]);
    }

    /** @return array<string, mixed>|null */
    private static function opening(?OpeningGeometry $opening): ?array
    {
        return $opening === null
            ? null
            : [
                'width_mm' => $opening->width,
                'height_mm' => $opening->height,
                'depth_mm' => $opening->depth,
                'margin_mm' => $opening->margin,
                'sill_pitch' => $opening->sillPitch->value,
                'sill_fall_mm' => $opening->sillFall,
                'back_dam_mm' => $opening->backDam,
                'head_of_water_mm' => $opening->headOfWater,
            ] + ($opening->outerBoard > 0 ? ['outer_board_mm' => $opening->outerBoard] : []);
    }

    /** @return array<string, mixed> */
    private static function facet(Facet $facet): array
    {
        $e = $facet->extent;

        return ['u' => [$e->u0, $e->u1], 'v' => [$e->v0, $e->v1]];
    }

    /** @return array<string, mixed>|null */
    private static function unit(?Unit $unit): ?array
    {
        if ($unit === null) {
            return null;
        }
        $joints = [];
        foreach ($unit->joints as $side => $joint) {
            $joints[$side] = [
                'outer' => $joint->outer->value,
                'insulation' => $joint->insulation,
                'inner' => $joint->inner,
            ];
        }

        return Written::without([
            'z' => [$unit->outerZ, $unit->innerZ],
            'flange' => $unit->flange,
            'joints' => $joints,
        ]);
    }

    /** @return array<string, mixed> */
    private static function piece(Piece $piece): array
    {
        return Written::without([
            'id' => $piece->id,
            'material' => $piece->material->id,
            'kind' => $piece->kind->value,
            'role' => $piece->role?->value,
            'air' => $piece->air ?: null,
            'air_layer' => $piece->airLayer ?: null,
            'step' => $piece->step,
            'under' => $piece->under,
            'edges' => self::edges($piece->edges),
            'patches' => array_map(fn (Patch $patch): array => self::patch($patch, $piece), $piece->patches),
            'cut' => $piece->cut?->toArray(),
            'controls' => array_map(fn (Control $c): string => $c->value, $piece->states),
        ]);
    }

    /** @return array<string, mixed> */
    private static function patch(Patch $patch, Piece $piece): array
    {
        return Written::without([
            'id' => $patch->id,
            'facet' => $patch->facet,
            'rect' => $patch->rect->toArray(),
            'joined' => $patch->joined,
            'step' => $patch->step === $piece->step ? null : $patch->step,
            'under' => $patch->under,
            'edges' => self::edges($patch->edges),
            'drain' => $patch->drain ?: null,
        ]);
    }

    /** @return array<string, mixed> */
    private static function edges(Edges $edges): array
    {
        return array_map(
            fn (Edge|array $stated): string|array => $stated instanceof Edge
                ? $stated->value
                : array_map(
                    fn (EdgeRun $run): array => ['from' => $run->from, 'to' => $run->to, 'edge' => $run->edge->value],
                    $stated,
                ),
            $edges->stated,
        );
    }
}
