<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\Fold;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\FacetDetail;
use Apron\Trace\Outcome;

/**
 * A wall above a roof: the roof's underlay turned up the wall, a metal apron over the roof covering, the wall's sheet
 * over its upstand.
 */
final class ApronFlashing extends FacetDetail
{
    public const NAME = 'apron-flashing';

    protected const RELEASE = 'wall';

    protected const MATERIALS = [
        'underlay_material' => 'membrane-sbs',
        'covering_material' => 'asphalt-shingle',
        'apron_material' => 'aluminium',
        'sheet_material' => 'polyolefin-wrap',
    ];

    public function worst(array $parameters = []): Outcome
    {
        return Outcome::Shed;
    }

    protected function facets(array $s, array $chosen): array
    {
        return [
            'wall' => [0.0, 0.0, $s['length_mm'], $s['side_mm']],
            'roof' => [0.0, 0.0, $s['length_mm'], $s['side_mm']],
        ];
    }

    protected function folds(array $s, array $chosen): array
    {
        return [new Fold('wall', 'roof', $s['side_mm'])];
    }

    protected function does(array $s, array $chosen): array
    {
        return [
            ['underlay-upturn', ['upturn_mm' => $s['underlay_up_mm']]],
            ['roof-covering', []],
            ['apron', ['upstand_mm' => $s['upstand_mm'], 'apron_mm' => $s['apron_mm']]],
            ['sheet-over-upstand', ['lap_mm' => $s['lap_mm'], 'clear_mm' => $s['upstand_mm'] - $s['lap_mm']]],
        ];
    }

    protected function pieces(array $s, array $used, array $chosen): array
    {
        [$w, $side] = [$s['length_mm'], $s['side_mm']];

        return [
            $this->laid('underlay', $used['underlay_material'], PieceKind::Membrane, 1, [
                $this->patch('underlay.roof', 'roof', [0, 0, $w, $side], ['u'], 1),
                $this->patch('underlay.wall', 'wall', [0, 0, $w, $s['underlay_up_mm']], ['u'], 1),
            ]),
            $this->laid(
                'roof-covering',
                $used['covering_material'],
                PieceKind::Board,
                2,
                [$this->patch('roof-covering.roof', 'roof', [0, 0, $w, $side], [], 2)],
                null,
                null,
                null,
                false,
            ),
            $this->laid(
                'apron',
                $used['apron_material'],
                PieceKind::Metal,
                3,
                [
                    $this->patch('apron.wall', 'wall', [0, 0, $w, $s['upstand_mm']], ['a'], 3),
                    $this->patch('apron.roof', 'roof', [0, $side - $s['apron_mm'], $w, $side], ['a'], 3, null, true),
                ],
                PieceRole::HeadFlashing,
                new CutSize($w, $s['upstand_mm'] + $s['apron_mm']),
                null,
                false,
            ),
            $this->laid(
                'sheet',
                $used['sheet_material'],
                PieceKind::Sheet,
                4,
                [$this->patch('sheet.wall', 'wall', [0, $s['upstand_mm'] - $s['lap_mm'], $w, $side], [], 4)],
                PieceRole::Plane,
            ),
        ];
    }

    protected function demandRoom(array $s): void
    {
        $this->demandBelow($s, 'lap_mm', $s['upstand_mm'], 'the upstand, so that the sheet ends clear of the roof');
        $this->demandBelow($s, 'upstand_mm', $s['side_mm'], 'the wall that is drawn');
        $this->demandBelow($s, 'underlay_up_mm', $s['side_mm'], 'the wall that is drawn');
        $this->demandBelow($s, 'apron_mm', $s['side_mm'], 'the roof that is drawn');
    }
}
