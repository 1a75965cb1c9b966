<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\Gap;
use Apron\Detail\Mouth;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\Rect;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Choices;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Material\Material;
use Apron\Trace\Outcome;

/**
 * A flanged unit in sheathing whose factory facer is the water plane: panel joints taped, the gap between sheathing and
 * framing sealed in the opening, a formable sill tape, tapes at jambs and head. A facer has no flap: the head tape
 * relies on its bond.
 */
class FlangedUnitInFacedSheathing extends DressedOpening
{
    use Flanged, InTapedBoards {
        Flanged::figuresOf as flangedFigures;
        Flanged::demandRoom as demandFlange;
        InTapedBoards::leastLaps insteadof Flanged;
    }

    public const NAME = 'flanged-unit-in-faced-sheathing';

    protected const GROUPS = ['flanged', 'framed'];

    protected const MATERIALS =
        [
            'board_material' => 'osb-film-faced',
            'tape_material' => 'seam-tape',
            'pan_material' => 'flashing-formable',
            'strip_material' => 'flashing-strip',
            'sealant_material' => 'sealant-silyl',
            'unit_material' => 'window-unit',
        ] +
        self::SPOT_MATERIALS +
        self::TRIM_MATERIALS;

    protected const CHOICES = self::HEADS + self::TRIM;

    /** Every tape over a joint of the boards, and the head tape, relies on its bond. */
    public function worst(array $parameters = []): Outcome
    {
        return Outcome::ReliesOnBond;
    }

    protected function order(Choices $chosen, Sizes $s): array
    {
        return $this->aroundTheUnit(
            $this->spotted(
                ['boards', 'upright-seams', 'level-seams', 'sheathing-gap', ...$this->dressed()],
                'boards',
                $chosen,
            ),
            $s,
            $chosen,
        );
    }

    /** @return list<string> */
    protected function dressed(): array
    {
        return [
            'sill-tape',
            'jamb-liners',
            'head-liner',
            'unit-in-sealant',
            'jamb-strips',
            'head-strip-taped',
            'inner-air-seal',
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        return [
            ...$this->boards($s, $used->of('board'), $at->of('boards')),
            ...$this->spots($s, $used, $at, $chosen),
            ...$this->uprightTapes($s, $used->of('tape'), $at->of('upright-seams')),
            ...$this->levelTapes($s, $used->of('tape'), $at->of('level-seams')),
            ...$this->gapBeads($s, $used->of('sealant'), $at->of('sheathing-gap')),
            $this->pan($s, $used->of('pan'), $at->of('sill-tape')),
            ...$this->dressing($s, $used, $at),
        ];
    }

    /**
     * @return list<Piece>
     */
    protected function dressing(Sizes $s, Used $used, StepNumbers $at, ?float $foot = null): array
    {
        return [
            ...$this->jambLiners($s, $used->of('strip'), $at->of('jamb-liners'), $foot),
            $this->headLiner($s, $used->of('pan'), $at->of('head-liner')),
            ...$this->units($s, $used, $at),
            ...$this->jambStrips($s, $used->of('strip'), $at->of('jamb-strips')),
            $this->headStrip($s, $used->of('strip'), $at->of('head-strip-taped')),
        ];
    }

    /**
     * A bead along the line where the sheathing ends and the framing begins, on all four returns: panels hide a network
     * of gaps there, which tape on the face does not reach.
     *
     * @return list<Piece>
     */
    private function gapBeads(Sizes $s, Material $material, int $step): array
    {
        [$w, $h, $z] = [$s->mm('width'), $s->mm('height'), $s->mm('sheathing')];
        $beads = [];
        foreach (
            [
                'sill' => [0, $z - 5, $w, $z + 5],
                'jamb-left' => [$z - 5, 0, $z + 5, $h],
                'jamb-right' => [$z - 5, 0, $z + 5, $h],
                'head' => [0, $z - 5, $w, $z + 5],
            ] as $facet => $rect
        ) {
            $beads[] = $this->laid("gap-bead-$facet", $material, PieceKind::Sealant, $step, [
                $this->patch("gap-bead-$facet.in", $facet, $rect, [], $step),
            ]);
        }

        return $beads;
    }

    /** Between sheathing and framing, out on all four returns, and into the room by the cavities of the frame. */
    protected function gaps(Sizes $s): array
    {
        if (! $s->has('sheathing')) {
            return [];
        }
        [$w, $h, $z0, $z1] = [$s->mm('width'), $s->mm('height'), $s->mm('sheathing') - 1, $s->mm('sheathing') + 1];
        $mouths = [];
        foreach (
            [
                'sill' => [0.0, $z0, $w, $z1],
                'jamb-left' => [$z0, 0.0, $z1, $h],
                'jamb-right' => [$z0, 0.0, $z1, $h],
                'head' => [0.0, $z0, $w, $z1],
            ] as $facet => $rect
        ) {
            $mouths[] = new Mouth($facet, new Rect(...$rect), null);
        }

        return [new Gap('behind-sheathing', $mouths, [Gap::INDOORS])];
    }

    protected function demandRoom(Sizes $s): void
    {
        $this->demandFlange($s);
        $this->demandBoards($s);
        if ($s->has('sheathing') && ($s->mm('sheathing') <= 5 || $s->mm('depth') <= $s->mm('sheathing') + 5)) {
            throw new CannotGenerate(
                'sheathing_mm',
                $s->mm('sheathing'),
                'more than 5 mm and less than the return of the opening',
            );
        }
    }

    /**
     * @return array<string, float>
     */
    protected function figuresOf(string $does, Sizes $s): array
    {
        return match ($does) {
            'boards', 'insulation-boards', 'flapped-panels' => [],
            'heads-all', 'heads-outside-joints' => [
                'spot_mm' => $s->mm('spot'),
                'apart_mm' => $s->mm('fastener_spacing'),
            ],
            'upright-seams', 'level-seams' => ['tape_mm' => $s->mm('seam_tape')],
            default => $this->flangedFigures($does, $s),
        };
    }
}
