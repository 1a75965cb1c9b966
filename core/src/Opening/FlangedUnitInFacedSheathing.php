<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\Gap;
use Apron\Detail\Mouth;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\Rect;
use Apron\Drafting\CannotGenerate;
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

    protected function order(array $chosen, array $s): array
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

    protected function pieces(array $s, array $used, array $at, array $chosen): array
    {
        return [
            ...$this->boards($s, $used['board_material'], $at['boards']),
            ...$this->spots($s, $used, $at, $chosen),
            ...$this->uprightTapes($s, $used['tape_material'], $at['upright-seams']),
            ...$this->levelTapes($s, $used['tape_material'], $at['level-seams']),
            ...$this->gapBeads($s, $used['sealant_material'], $at['sheathing-gap']),
            $this->pan($s, $used['pan_material'], $at['sill-tape']),
            ...$this->dressing($s, $used, $at),
        ];
    }

    /**
     * @param  array<string, float>  $s
     * @param  array<string, Material>  $used
     * @param  array<string, int>  $at
     * @return list<Piece>
     */
    protected function dressing(array $s, array $used, array $at, ?float $foot = null): array
    {
        return [
            ...$this->jambLiners($s, $used['strip_material'], $at['jamb-liners'], $foot),
            $this->headLiner($s, $used['pan_material'], $at['head-liner']),
            ...$this->units($s, $used, $at),
            ...$this->jambStrips($s, $used['strip_material'], $at['jamb-strips']),
            $this->headStrip($s, $used['strip_material'], $at['head-strip-taped']),
        ];
    }

    /**
     * A bead along the line where the sheathing ends and the framing begins, on all four returns: panels hide a network
     * of gaps there, which tape on the face does not reach.
     *
     * @param  array<string, float>  $s
     * @return list<Piece>
     */
    private function gapBeads(array $s, Material $material, int $step): array
    {
        [$w, $h, $z] = [$s['width_mm'], $s['height_mm'], $s['sheathing_mm']];
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
    protected function gaps(array $s): array
    {
        if (! isset($s['sheathing_mm'])) {
            return [];
        }
        [$w, $h, $z0, $z1] = [$s['width_mm'], $s['height_mm'], $s['sheathing_mm'] - 1, $s['sheathing_mm'] + 1];
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

    protected function demandRoom(array $s): void
    {
        $this->demandFlange($s);
        $this->demandBoards($s);
        if (isset($s['sheathing_mm']) && ($s['sheathing_mm'] <= 5 || $s['depth_mm'] <= $s['sheathing_mm'] + 5)) {
            throw new CannotGenerate(
                'sheathing_mm',
                $s['sheathing_mm'],
                'more than 5 mm and less than the return of the opening',
            );
        }
    }

    /**
     * @param  array<string, float>  $s
     * @return array<string, float>
     */
    protected function figuresOf(string $does, array $s): array
    {
        return match ($does) {
            'boards', 'insulation-boards', 'flapped-panels' => [],
            'heads-all', 'heads-outside-joints' => [
                'spot_mm' => $s['spot_mm'],
                'apart_mm' => $s['fastener_spacing_mm'],
            ],
            'upright-seams', 'level-seams' => ['tape_mm' => $s['seam_tape_mm']],
            default => $this->flangedFigures($does, $s),
        };
    }
}
