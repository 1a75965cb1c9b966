<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\Choices;
use Apron\Drafting\FacetDetail;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Drafting\WallPlane;
use Apron\Trace\Outcome;

/**
 * A level joint that moves: backer rod and sealant behind bent metal that slides and sheds, its lips lined with bent
 * metal and a bead between them, or a silicone strip bonded to both sides. Over boards the upper leg is taped.
 */
final class MovementJoint extends FacetDetail
{
    public const NAME = 'movement-joint';

    protected const PLANES = WallPlane::MEMBRANE_FIRST;

    protected const MATERIALS = [
        'metal_material' => 'steel-galvanised',
        'rod_material' => 'backer-rod',
        'sealant_material' => 'sealant-silicone',
        'strip_material' => 'epdm-flashing',
    ];

    protected const CHOICES = ['closed_by' => ['bent-metal', 'lined-lips', 'silicone-strip']];

    /** A cover sheds; a strip, and the bead between two lips, rely on their seal; a tape over a leg on its bond. */
    public function worst(array $parameters = []): Outcome
    {
        $closed = $parameters['closed_by'] ?? self::CHOICES['closed_by'][0];
        $taped = self::plane($parameters)?->standsFirst() && $closed !== 'silicone-strip';

        return $taped ? Outcome::ReliesOnBond : ($closed === 'bent-metal' ? Outcome::Shed : Outcome::ReliesOnSeal);
    }

    protected function materialsIn(?WallPlane $plane): array
    {
        return parent::materialsIn($plane) + ($plane?->standsFirst() ? ['tape_material' => 'seam-tape'] : []);
    }

    /** An inch of contact on each side is what a silicone strip is made for. */
    protected function ownLaps(Choices $chosen): array
    {
        if (! $chosen->is('closed_by', 'silicone-strip')) {
            return [];
        }

        return ['silicone-strip' => array_fill_keys(['plane-below', 'plane-above'], 'silicone_contact_mm')];
    }

    protected function facets(Sizes $s, Choices $chosen): array
    {
        return ['face' => [0.0, 0.0, $s->mm('length'), 2 * $s->mm('side') + $s->mm('gap')]];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        $gap = ['gap_mm' => $s->mm('gap')];
        if ($chosen->is('closed_by', 'silicone-strip')) {
            return [
                ['plane-below-joint', []],
                ['plane-above-joint', $gap],
                ['silicone-strip', ['contact_mm' => $s->mm('contact')]],
            ];
        }
        $leg = ['leg_mm' => $s->mm('leg')];
        $over = $chosen->stands()
            ? ['metal-leg-taped', ['tape_mm' => $s->mm('tape')]]
            : ['plane-over-metal', ['lap_mm' => $s->mm('lap')]];
        $closed = $chosen->is('closed_by', 'lined-lips')
            ? [['lips-lined', $leg], $over, ['joint-rod', $gap], ['lips-sealed', $gap]]
            : [['joint-rod', $gap], ['joint-sealant', $gap], ['bent-metal', $leg], $over];

        return [
            ['plane-below-joint', []],
            ...$chosen->stands() ? [['plane-above-joint', $gap]] : [],
            ...$closed,
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $side, $gap, $leg] = [$s->mm('length'), $s->mm('side'), $s->mm('gap'), $s->mm('leg')];
        $top = 2 * $side + $gap;
        // A strip, and boards, leave the plane above at the lip; else it comes down over the upper leg.
        $above = (int) $at->firstOf('plane-above-joint', 'plane-over-metal');
        $from = $side + $gap + ($at->has('plane-above-joint') ? 0.0 : $leg - $s->mm('lap'));

        return [
            Lay::plane('plane-below', $used, $chosen, $at->of('plane-below-joint'), 'face', [0, 0, $w, $side]),
            Lay::plane('plane-above', $used, $chosen, $above, 'face', [0, $from, $w, $top]),
            ...match ($chosen->of('closed_by')) {
                'silicone-strip' => [self::strip($s, $used, $at)],
                'lined-lips' => self::lips($s, $used, $at),
                default => self::cover($s, $used, $at),
            },
            ...$at->has('metal-leg-taped') ? [self::tape($s, $used, $at)] : [],
        ];
    }

    /** Bonded to both sides, with slack. */
    private static function strip(Sizes $s, Used $used, StepNumbers $at): Piece
    {
        [$w, $side, $contact, $to] = [
            $s->mm('length'),
            $s->mm('side'),
            $s->mm('contact'),
            $s->mm('side') + $s->mm('gap') + $s->mm('contact'),
        ];

        return Lay::piece(
            'silicone-strip',
            $used->of('strip'),
            PieceKind::Membrane,
            $at->of('silicone-strip'),
            [
                Lay::patch(
                    'silicone-strip.face',
                    'face',
                    [0, $side - $contact, $w, $to],
                    [],
                    $at->of('silicone-strip'),
                ),
            ],
            null,
            new CutSize($w, $to - $side + $contact),
            Edges::all(Edge::Sealed),
        );
    }

    /**
     * Rod and sealant in the joint, one metal over it.
     *
     * @return list<Piece>
     */
    private static function cover(Sizes $s, Used $used, StepNumbers $at): array
    {
        [$side, $gap, $leg] = [$s->mm('side'), $s->mm('gap'), $s->mm('leg')];

        return [
            ...self::rodAndBead($s, $used, $at, 'joint-sealant'),
            self::metal('bent-metal', $side - $leg, $side + $gap + $leg, $s, $used, $at->of('bent-metal')),
        ];
    }

    /**
     * A metal angle on each lip, the bead between their returns: it can be cut out and made again.
     *
     * @return list<Piece>
     */
    private static function lips(Sizes $s, Used $used, StepNumbers $at): array
    {
        [$side, $gap, $leg, $lined] = [$s->mm('side'), $s->mm('gap'), $s->mm('leg'), $at->of('lips-lined')];

        return [
            self::metal('lip-below', $side - $leg, $side, $s, $used, $lined),
            self::metal('lip-above', $side + $gap, $side + $gap + $leg, $s, $used, $lined),
            ...self::rodAndBead($s, $used, $at, 'lips-sealed'),
        ];
    }

    /** @return list<Piece> */
    private static function rodAndBead(Sizes $s, Used $used, StepNumbers $at, string $sealed): array
    {
        $joint = [0, $s->mm('side'), $s->mm('length'), $s->mm('side') + $s->mm('gap')];

        return [
            Lay::piece(
                'joint-rod',
                $used->of('rod'),
                PieceKind::Board,
                $at->of('joint-rod'),
                [Lay::patch('joint-rod.face', 'face', $joint, [], $at->of('joint-rod'))],
                null,
                null,
                null,
                false,
            ),
            Lay::piece('joint-sealant', $used->of('sealant'), PieceKind::Sealant, $at->of($sealed), [
                Lay::patch('joint-sealant.face', 'face', $joint, [], $at->of($sealed)),
            ]),
        ];
    }

    private static function metal(string $id, float $from, float $to, Sizes $s, Used $used, int $step): Piece
    {
        return Lay::piece(
            $id,
            $used->of('metal'),
            PieceKind::Metal,
            $step,
            [Lay::patch("$id.face", 'face', [0, $from, $s->mm('length'), $to], [], $step)],
            // What ends at the joint has no top edge on the wall: the bead is its top.
            $id === 'lip-below' ? null : PieceRole::HeadFlashing,
            new CutSize($s->mm('length'), $to - $from),
            null,
            false,
        );
    }

    /** Over the upper edge of the leg, onto the board above. */
    private static function tape(Sizes $s, Used $used, StepNumbers $at): Piece
    {
        [$edge, $half] = [$s->mm('side') + $s->mm('gap') + $s->mm('leg'), $s->mm('tape') / 2];

        return Lay::onFace(
            'leg-tape',
            $used->of('tape'),
            PieceKind::Tape,
            $at->of('metal-leg-taped'),
            [0, $edge - $half, $s->mm('length'), $edge + $half],
            PieceRole::Plane,
            new CutSize($s->mm('length'), 2 * $half),
        );
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
