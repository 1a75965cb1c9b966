<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\FacetDetail;
use Apron\Trace\Outcome;

/**
 * A level joint that moves: backer rod and sealant behind bent metal that sheds, or a silicone strip bonded to both
 * sides.
 */
final class MovementJoint extends FacetDetail
{
    public const NAME = 'movement-joint';

    protected const MATERIALS = [
        'membrane_material' => 'membrane-permeable',
        'metal_material' => 'steel-galvanised',
        'rod_material' => 'backer-rod',
        'sealant_material' => 'sealant-silicone',
        'strip_material' => 'epdm-flashing',
    ];

    protected const CHOICES = ['closed_by' => ['bent-metal', 'silicone-strip']];

    /** Bent metal sheds; a strip relies on the seal of its upper edge. */
    public function worst(array $parameters = []): Outcome
    {
        return ($parameters['closed_by'] ?? 'bent-metal') === 'bent-metal' ? Outcome::Shed : Outcome::ReliesOnSeal;
    }

    protected function facets(array $s, array $chosen): array
    {
        return ['face' => [0.0, 0.0, $s['length_mm'], 2 * $s['side_mm'] + $s['gap_mm']]];
    }

    protected function does(array $s, array $chosen): array
    {
        if ($chosen['closed_by'] === 'silicone-strip') {
            return [
                ['plane-below-joint', []],
                ['plane-above-joint', ['gap_mm' => $s['gap_mm']]],
                ['silicone-strip', ['contact_mm' => $s['contact_mm']]],
            ];
        }

        return [
            ['plane-below-joint', []],
            ['joint-rod', ['gap_mm' => $s['gap_mm']]],
            ['joint-sealant', ['gap_mm' => $s['gap_mm']]],
            ['bent-metal', ['leg_mm' => $s['leg_mm']]],
            ['plane-over-metal', ['lap_mm' => $s['lap_mm']]],
        ];
    }

    protected function pieces(array $s, array $used, array $chosen): array
    {
        [$w, $side, $gap, $leg] = [$s['length_mm'], $s['side_mm'], $s['gap_mm'], $s['leg_mm']];
        $top = 2 * $side + $gap;
        $plane = fn (string $id, float $v0, float $v1, int $step) => $this->laid(
            $id,
            $used['membrane_material'],
            PieceKind::Membrane,
            $step,
            [$this->patch("$id.face", 'face', [0, $v0, $w, $v1], [], $step)],
            PieceRole::Plane,
        );
        if ($chosen['closed_by'] === 'silicone-strip') {
            $sealed = Edges::all(Edge::Sealed);
            $contact = $s['contact_mm'];

            return [
                $plane('plane-below', 0, $side, 1),
                $plane('plane-above', $side + $gap, $top, 2),
                $this->laid(
                    'silicone-strip',
                    $used['strip_material'],
                    PieceKind::Membrane,
                    3,
                    [
                        $this->patch(
                            'silicone-strip.face',
                            'face',
                            [0, $side - $contact, $w, $side + $gap + $contact],
                            [],
                            3,
                        ),
                    ],
                    null,
                    new CutSize($w, $gap + 2 * $contact),
                    $sealed,
                ),
            ];
        }

        return [
            $plane('plane-below', 0, $side, 1),
            $this->laid(
                'joint-rod',
                $used['rod_material'],
                PieceKind::Board,
                2,
                [$this->patch('joint-rod.face', 'face', [0, $side, $w, $side + $gap], [], 2)],
                null,
                null,
                null,
                false,
            ),
            $this->laid('joint-sealant', $used['sealant_material'], PieceKind::Sealant, 3, [
                $this->patch('joint-sealant.face', 'face', [0, $side, $w, $side + $gap], [], 3),
            ]),
            $this->laid(
                'bent-metal',
                $used['metal_material'],
                PieceKind::Metal,
                4,
                [$this->patch('bent-metal.face', 'face', [0, $side - $leg, $w, $side + $gap + $leg], [], 4)],
                PieceRole::HeadFlashing,
                new CutSize($w, $gap + 2 * $leg),
                null,
                false,
            ),
            $plane('plane-above', $side + $gap + $leg - $s['lap_mm'], $top, 5),
        ];
    }

    protected function demandRoom(array $s): void
    {
        $this->demandBelow(
            $s,
            'lap_mm',
            $s['leg_mm'],
            'the upper leg of the metal, so that the plane stops above the joint that moves',
        );
        $this->demandBelow($s, 'leg_mm', $s['side_mm'], 'the wall below the joint');
        $this->demandBelow($s, 'contact_mm', $s['side_mm'], 'the wall below the joint');
    }
}
