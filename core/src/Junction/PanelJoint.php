<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\Gap;
use Apron\Detail\Mouth;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\Rect;
use Apron\Drafting\Choices;
use Apron\Drafting\FacetDetail;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Trace\Outcome;

/**
 * Two panels of framing, foam and facer side by side. They hide a network of gaps: behind each facer, and in the joint,
 * which runs into the room. Tape over the joint keeps the rain out; air still comes in at the foot, behind the facer
 * and behind the tape, until the edge of each cavity is sealed as well. `foot` is the underside of the panels, v from
 * the facer inward.
 */
final class PanelJoint extends FacetDetail
{
    public const NAME = 'panel-joint';

    protected const MATERIALS = [
        'panel_material' => 'polyiso-foil',
        'tape_material' => 'seam-tape',
        'bead_material' => 'sealant-silyl',
    ];

    protected const CHOICES = ['cavities' => ['sealed', 'tape-only']];

    /** The tape runs from top to foot: nothing meets its edge. Air is another matter. */
    public function worst(array $parameters = []): Outcome
    {
        return Outcome::Shed;
    }

    protected function facets(Sizes $s, Choices $chosen): array
    {
        return [
            'face' => [-$s->mm('length'), 0.0, $s->mm('length'), $s->mm('side')],
            'foot' => [-$s->mm('length'), 0.0, $s->mm('length'), $s->mm('panel')],
        ];
    }

    protected function gaps(Sizes $s, Choices $chosen): array
    {
        [$w, $half, $z, $wide] = [$s->mm('length'), $s->mm('gap') / 2, $s->mm('facer'), $s->mm('cavity_gap')];
        // With its whole edge sealed a cavity is shut off from the joint too.
        $joins = $chosen->is('cavities', 'sealed') ? [] : ['joint'];

        return [
            new Gap(
                'joint',
                [new Mouth('face', new Rect(-$half, 0.0, $half, $s->mm('side')), null)],
                [Gap::INDOORS],
            ),
            new Gap('behind-left', [new Mouth('foot', new Rect(-$w, $z, -$half, $z + $wide), null)], $joins),
            new Gap('behind-right', [new Mouth('foot', new Rect($half, $z, $w, $z + $wide), null)], $joins),
        ];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        return [
            ...$chosen->is('cavities', 'sealed') ? [['cavities-sealed', []]] : [],
            ['panels-set', ['gap_mm' => $s->mm('gap')]],
            ['panel-joint-taped', ['tape_mm' => $s->mm('tape')]],
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $h, $half, $t] = [$s->mm('length'), $s->mm('side'), $s->mm('gap') / 2, $s->mm('tape') / 2];
        [$z0, $z1] = [
            $s->mm('facer') - $s->mm('bead') / 2,
            $s->mm('facer') + $s->mm('cavity_gap') + $s->mm('bead') / 2,
        ];
        $sealed = $chosen->is('cavities', 'sealed');
        $set = $at->of('panels-set');

        return [
            ...$sealed
                ? [
                    Lay::piece(
                        'cavity-bead-left',
                        $used->of('bead'),
                        PieceKind::Sealant,
                        $at->of('cavities-sealed'),
                        [
                            Lay::patch(
                                'cavity-bead-left.foot',
                                'foot',
                                [-$w, $z0, -$half, $z1],
                                [],
                                $at->of('cavities-sealed'),
                            ),
                        ],
                    ),
                    Lay::piece(
                        'cavity-bead-right',
                        $used->of('bead'),
                        PieceKind::Sealant,
                        $at->of('cavities-sealed'),
                        [
                            Lay::patch(
                                'cavity-bead-right.foot',
                                'foot',
                                [$half, $z0, $w, $z1],
                                [],
                                $at->of('cavities-sealed'),
                            ),
                        ],
                    ),
                ]
                : [],
            Lay::onFace(
                'panel-left',
                $used->of('panel'),
                PieceKind::Board,
                $set,
                [-$w, 0, -$half, $h],
                PieceRole::Plane,
            ),
            Lay::onFace(
                'panel-right',
                $used->of('panel'),
                PieceKind::Board,
                $set,
                [$half, 0, $w, $h],
                PieceRole::Plane,
            ),
            Lay::onFace(
                'panel-tape',
                $used->of('tape'),
                PieceKind::Tape,
                $at->of('panel-joint-taped'),
                [-$t, 0, $t, $h],
                null,
                new CutSize($h, 2 * $t),
            ),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow('tape_mm', 2 * $s->mm('length'), 'the panels on both sides of the joint');
        $s->demandBelow(
            'gap_mm',
            $s->mm('tape') - 50,
            'so that the tape lies on both panels by 25 mm or more',
        );
        $s->demandBelow('bead_mm', 2 * $s->mm('facer'), 'so that the bead stays on the edge of the panel');
        $s->demandBelow(
            'facer_mm',
            $s->mm('panel') - $s->mm('cavity_gap') - $s->mm('bead'),
            'so that the gap and its bead lie within the panel',
        );
    }
}
