<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\Choices;
use Apron\Drafting\FacetDetail;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
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

    protected function facets(Sizes $s, Choices $chosen): array
    {
        return ['face' => [0.0, 0.0, $s->mm('length'), 2 * $s->mm('side') + $s->mm('gap')]];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        if ($chosen->is('closed_by', 'silicone-strip')) {
            return [
                ['plane-below-joint', []],
                ['plane-above-joint', ['gap_mm' => $s->mm('gap')]],
                ['silicone-strip', ['contact_mm' => $s->mm('contact')]],
            ];
        }

        return [
            ['plane-below-joint', []],
            ['joint-rod', ['gap_mm' => $s->mm('gap')]],
            ['joint-sealant', ['gap_mm' => $s->mm('gap')]],
            ['bent-metal', ['leg_mm' => $s->mm('leg')]],
            ['plane-over-metal', ['lap_mm' => $s->mm('lap')]],
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $side, $gap, $leg] = [$s->mm('length'), $s->mm('side'), $s->mm('gap'), $s->mm('leg')];
        $top = 2 * $side + $gap;
        $plane = fn (string $id, float $v0, float $v1, string $does) => Lay::piece(
            $id,
            $used->of('membrane'),
            PieceKind::Membrane,
            $at->of($does),
            [Lay::patch("$id.face", 'face', [0, $v0, $w, $v1], [], $at->of($does))],
            PieceRole::Plane,
        );
        if ($chosen->is('closed_by', 'silicone-strip')) {
            $sealed = Edges::all(Edge::Sealed);
            $contact = $s->mm('contact');

            return [
                $plane('plane-below', 0, $side, 'plane-below-joint'),
                $plane('plane-above', $side + $gap, $top, 'plane-above-joint'),
                Lay::piece(
                    'silicone-strip',
                    $used->of('strip'),
                    PieceKind::Membrane,
                    $at->of('silicone-strip'),
                    [
                        Lay::patch(
                            'silicone-strip.face',
                            'face',
                            [0, $side - $contact, $w, $side + $gap + $contact],
                            [],
                            $at->of('silicone-strip'),
                        ),
                    ],
                    null,
                    new CutSize($w, $gap + 2 * $contact),
                    $sealed,
                ),
            ];
        }

        return [
            $plane('plane-below', 0, $side, 'plane-below-joint'),
            Lay::piece(
                'joint-rod',
                $used->of('rod'),
                PieceKind::Board,
                $at->of('joint-rod'),
                [Lay::patch('joint-rod.face', 'face', [0, $side, $w, $side + $gap], [], $at->of('joint-rod'))],
                null,
                null,
                null,
                false,
            ),
            Lay::piece('joint-sealant', $used->of('sealant'), PieceKind::Sealant, $at->of('joint-sealant'), [
                Lay::patch(
                    'joint-sealant.face',
                    'face',
                    [0, $side, $w, $side + $gap],
                    [],
                    $at->of('joint-sealant'),
                ),
            ]),
            Lay::piece(
                'bent-metal',
                $used->of('metal'),
                PieceKind::Metal,
                $at->of('bent-metal'),
                [
                    Lay::patch(
                        'bent-metal.face',
                        'face',
                        [0, $side - $leg, $w, $side + $gap + $leg],
                        [],
                        $at->of('bent-metal'),
                    ),
                ],
                PieceRole::HeadFlashing,
                new CutSize($w, $gap + 2 * $leg),
                null,
                false,
            ),
            $plane('plane-above', $side + $gap + $leg - $s->mm('lap'), $top, 'plane-over-metal'),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow(
            'lap_mm',
            $s->mm('leg'),
            'the upper leg of the metal, so that the plane stops above the joint that moves',
        );
        $s->demandBelow('leg_mm', $s->mm('side'), 'the wall below the joint');
        $s->demandBelow('contact_mm', $s->mm('side'), 'the wall below the joint');
    }
}
