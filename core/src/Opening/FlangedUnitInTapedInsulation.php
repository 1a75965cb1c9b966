<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\CutSize;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Choices;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Material\Material;

/**
 * A flanged unit in insulation boards that are the water plane, their joints taped: at the opening sill, jambs, head,
 * and corner patches, for slit tape alone leaves pinholes; the cut foam is covered on all four sides.
 */
final class FlangedUnitInTapedInsulation extends FlangedUnitInFacedSheathing
{
    public const NAME = 'flanged-unit-in-taped-insulation';

    protected const MATERIALS =
        [
            'board_material' => 'polyiso-foil',
            'tape_material' => 'seam-tape',
            'pan_material' => 'flashing-strip',
            'corner_material' => 'flashing-formable',
            'strip_material' => 'flashing-strip',
            'unit_material' => 'window-unit',
        ] +
        self::SPOT_MATERIALS +
        self::TRIM_MATERIALS;

    protected function order(Choices $chosen, Sizes $s): array
    {
        return $this->aroundTheUnit(
            $this->spotted(
                [
                    'insulation-boards',
                    'upright-seams',
                    'level-seams',
                    'sill-tape-slit',
                    'corner-patches-sill',
                    'jamb-liners',
                    'head-tape-slit',
                    'corner-patches-head',
                    'unit-in-sealant',
                    'jamb-strips',
                    'head-strip-taped',
                    'inner-air-seal',
                ],
                'insulation-boards',
                $chosen,
            ),
            $s,
            $chosen,
        );
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        $leg = $s->mm('corner_patch') / 2;

        return [
            ...$this->boards($s, $used->of('board'), $at->of('insulation-boards')),
            ...$this->spots($s, $used, $at, $chosen),
            ...$this->uprightTapes($s, $used->of('tape'), $at->of('upright-seams')),
            ...$this->levelTapes($s, $used->of('tape'), $at->of('level-seams')),
            $this->slitTape('pan', $s, $used->of('pan'), $at->of('sill-tape-slit')),
            ...$this->cornerPatches('sill', $s, $used->of('corner'), $at->of('corner-patches-sill')),
            ...$this->jambLiners(
                $s,
                $used->of('strip'),
                $at->of('jamb-liners'),
                $leg - $this->least['membrane_lap_mm'],
            ),
            $this->slitTape('head-liner', $s, $used->of('pan'), $at->of('head-tape-slit')),
            ...$this->cornerPatches('head', $s, $used->of('corner'), $at->of('corner-patches-head')),
            ...$this->units($s, $used, $at),
            ...$this->jambStrips($s, $used->of('strip'), $at->of('jamb-strips')),
            $this->headStrip($s, $used->of('strip'), $at->of('head-strip-taped')),
        ];
    }

    /**
     * A flat tape folded from the sill up the jambs, or from the head down them, and onto the face: slit at the
     * corners, where it has not the material to go round.
     */
    private function slitTape(string $id, Sizes $s, Material $material, int $step): Piece
    {
        [$w, $h, $d, $face] = [$s->mm('width'), $s->mm('height'), $s->mm('depth'), $s->mm('face_return')];
        [$facet, $up] = $id === 'pan' ? ['sill', $s->mm('pan_upturn')] : ['head', $s->mm('membrane_lap')];
        [$foot, $top, $v0, $v1] = $id === 'pan' ? [0.0, $up, -$face, 0.0] : [$h - $up, $h, $h, $h + $face];

        return $this->laid(
            $id,
            $material,
            PieceKind::Membrane,
            $step,
            [
                $this->patch("$id.$facet", $facet, [0, 0, $w, $d], ['p'], $step),
                $this->patch("$id.jamb-left", 'jamb-left', [0, $foot, $d, $top], ['p'], $step),
                $this->patch("$id.jamb-right", 'jamb-right', [0, $foot, $d, $top], ['p'], $step),
                $this->patch("$id.face", 'face', [0, $v0, $w, $v1], ['p'], $step),
            ],
            $id === 'pan' ? \Apron\Detail\PieceRole::Pan : null,
            new CutSize($w + 2 * $up, $d + $face),
        );
    }

    /**
     * @return list<Piece>
     */
    private function cornerPatches(string $facet, Sizes $s, Material $material, int $step): array
    {
        [$w, $h, $leg] = [$s->mm('width'), $s->mm('height'), $s->mm('corner_patch') / 2];
        [$y, $jamb] = $facet === 'sill' ? [0.0, [0.0, $leg]] : [$h, [$h - $leg, $h]];
        // Past the arris it covers the slit on both faces of the corner.
        [$past0, $past1] = $facet === 'sill' ? [-$leg, 0.0] : [$h, $h + $leg];
        $patches = [];
        foreach (
            [
                'left' => [0.0, -$leg, 0.0, 0.0, $leg],
                'right' => [$w, $w, $w + $leg, $w - $leg, $w],
            ] as $hand => [$x, $out0, $out1, $in0, $in1]
        ) {
            $id = "corner-$facet-$hand";
            $patches[] = $this->laid(
                $id,
                $material,
                PieceKind::Corner,
                $step,
                [
                    $this->patch("$id.$facet", $facet, [$in0, 0, $in1, $leg], ['c'], $step),
                    $this->patch("$id.jamb", "jamb-$hand", [0, $jamb[0], $leg, $jamb[1]], ['c'], $step),
                    $this->patch(
                        "$id.across",
                        'face',
                        [min($out0, $in0), $past0, max($out1, $in1), $past1],
                        ['c'],
                        $step,
                    ),
                    $this->patch("$id.beside", 'face', [$out0, $jamb[0], $out1, $jamb[1]], ['c'], $step),
                ],
                null,
                new CutSize(2 * $leg, 2 * $leg),
            );
        }

        return $patches;
    }

    protected function demandRoom(Sizes $s): void
    {
        parent::demandRoom($s);
        $leg = $s->mm('corner_patch') / 2;
        if (
            $leg < $this->least['membrane_lap_mm'] ||
            $leg > min($s->mm('depth'), $s->mm('face_return'), $s->mm('pan_upturn') / 2)
        ) {
            throw new CannotGenerate(
                'corner_patch_mm',
                $s->mm('corner_patch'),
                sprintf(
                    '%g to %g mm, within the tapes it patches',
                    2 * $this->least['membrane_lap_mm'],
                    2 * min($s->mm('depth'), $s->mm('face_return'), $s->mm('pan_upturn') / 2),
                ),
            );
        }
    }

    protected function figuresOf(string $does, Sizes $s): array
    {
        return match ($does) {
            'sill-tape-slit' => ['upturn_mm' => $s->mm('pan_upturn'), 'face_mm' => $s->mm('face_return')],
            'head-tape-slit' => ['lap_mm' => $s->mm('membrane_lap'), 'face_mm' => $s->mm('face_return')],
            'corner-patches-sill', 'corner-patches-head' => ['patch_mm' => $s->mm('corner_patch')],
            default => parent::figuresOf($does, $s),
        };
    }
}
