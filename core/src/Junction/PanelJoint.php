<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\Gap;
use Apron\Detail\Mouth;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\Rect;
use Apron\Drafting\FacetDetail;
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

    protected function facets(array $s, array $chosen): array
    {
        return [
            'face' => [-$s['length_mm'], 0.0, $s['length_mm'], $s['side_mm']],
            'foot' => [-$s['length_mm'], 0.0, $s['length_mm'], $s['panel_mm']],
        ];
    }

    protected function gaps(array $s, array $chosen): array
    {
        [$w, $half, $z, $wide] = [$s['length_mm'], $s['gap_mm'] / 2, $s['facer_mm'], $s['cavity_gap_mm']];
        // With its whole edge sealed a cavity is shut off from the joint too.
        $joins = $chosen['cavities'] === 'sealed' ? [] : ['joint'];

        return [
            new Gap('joint', [new Mouth('face', new Rect(-$half, 0.0, $half, $s['side_mm']), null)], [Gap::INDOORS]),
            new Gap('behind-left', [new Mouth('foot', new Rect(-$w, $z, -$half, $z + $wide), null)], $joins),
            new Gap('behind-right', [new Mouth('foot', new Rect($half, $z, $w, $z + $wide), null)], $joins),
        ];
    }

    protected function does(array $s, array $chosen): array
    {
        return [
            ...$chosen['cavities'] === 'sealed' ? [['cavities-sealed', []]] : [],
            ['panels-set', ['gap_mm' => $s['gap_mm']]],
            ['panel-joint-taped', ['tape_mm' => $s['tape_mm']]],
        ];
    }

    protected function pieces(array $s, array $used, array $chosen): array
    {
        [$w, $h, $half, $t] = [$s['length_mm'], $s['side_mm'], $s['gap_mm'] / 2, $s['tape_mm'] / 2];
        [$z0, $z1] = [$s['facer_mm'] - $s['bead_mm'] / 2, $s['facer_mm'] + $s['cavity_gap_mm'] + $s['bead_mm'] / 2];
        $sealed = $chosen['cavities'] === 'sealed';
        $set = $sealed ? 2 : 1;

        return [
            ...$sealed
                ? [
                    $this->laid('cavity-bead-left', $used['bead_material'], PieceKind::Sealant, 1, [
                        $this->patch('cavity-bead-left.foot', 'foot', [-$w, $z0, -$half, $z1], [], 1),
                    ]),
                    $this->laid('cavity-bead-right', $used['bead_material'], PieceKind::Sealant, 1, [
                        $this->patch('cavity-bead-right.foot', 'foot', [$half, $z0, $w, $z1], [], 1),
                    ]),
                ]
                : [],
            $this->onFace(
                'panel-left',
                $used['panel_material'],
                PieceKind::Board,
                $set,
                [-$w, 0, -$half, $h],
                PieceRole::Plane,
            ),
            $this->onFace(
                'panel-right',
                $used['panel_material'],
                PieceKind::Board,
                $set,
                [$half, 0, $w, $h],
                PieceRole::Plane,
            ),
            $this->onFace(
                'panel-tape',
                $used['tape_material'],
                PieceKind::Tape,
                $set + 1,
                [-$t, 0, $t, $h],
                null,
                new CutSize($h, 2 * $t),
            ),
        ];
    }

    protected function demandRoom(array $s): void
    {
        $this->demandBelow($s, 'tape_mm', 2 * $s['length_mm'], 'the panels on both sides of the joint');
        $this->demandBelow($s, 'gap_mm', $s['tape_mm'] - 50, 'so that the tape lies on both panels by 25 mm or more');
        $this->demandBelow($s, 'bead_mm', 2 * $s['facer_mm'], 'so that the bead stays on the edge of the panel');
        $this->demandBelow(
            $s,
            'facer_mm',
            $s['panel_mm'] - $s['cavity_gap_mm'] - $s['bead_mm'],
            'so that the gap and its bead lie within the panel',
        );
    }
}
