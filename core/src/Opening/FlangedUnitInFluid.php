<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Drafting\Choices;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Material\Material;
use Apron\Trace\Outcome;

/**
 * A unit with a nailing flange in a fluid-applied membrane: fillets and a detail coat into the opening and onto the
 * face, the field coat over it, the unit in sealant, fluid flashing over the flange at jambs and head, the bottom left
 * open.
 */
final class FlangedUnitInFluid extends DressedOpening
{
    use Flanged, InFluid;

    public const NAME = 'flanged-unit-in-fluid';

    protected const GROUPS = ['flanged'];

    protected const MATERIALS =
        [
            'fluid_material' => 'fluid-permeable',
            'flashing_material' => 'fluid-flashing',
            'unit_material' => 'window-unit',
        ] + self::TRIM_MATERIALS;

    protected const CHOICES = self::TRIM;

    /**
     * Coats hold by their seal to each other: over the flange, and where the field coat laps onto the detail coat below
     * the sill.
     */
    public function worst(array $parameters = []): Outcome
    {
        return Outcome::ReliesOnSeal;
    }

    protected function order(Choices $chosen, Sizes $s): array
    {
        return $this->aroundTheUnit(
            ['detail-coat', 'field-coat', 'unit-in-sealant', 'flange-flashing', 'inner-air-seal'],
            $s,
            $chosen,
        );
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        return [
            $this->detailCoat($s, $used->of('flashing'), $at->of('detail-coat')),
            $this->fieldCoat($s, $used->of('fluid'), $at->of('field-coat')),
            ...$this->units($s, $used, $at),
            $this->flashing($s, $used->of('flashing'), $at->of('flange-flashing')),
        ];
    }

    /** Over the flange at both jambs and the head, joined wet; nothing over the bottom flange. */
    private function flashing(Sizes $s, Material $material, int $step): Piece
    {
        [$w, $h, $inner, $out] = [
            $s->mm('width'),
            $s->mm('height'),
            $this->stripInner($s),
            $this->flangeOnFace($s) + $s->mm('face_return'),
        ];

        return $this->laid('flange-flashing', $material, PieceKind::Fluid, $step, [
            $this->patch('flange-flashing.left', 'face', [-$out, 0, $inner, $h - $inner], ['g'], $step),
            $this->patch('flange-flashing.right', 'face', [$w - $inner, 0, $w + $out, $h - $inner], ['g'], $step),
            $this->patch('flange-flashing.head', 'face', [-$out, $h - $inner, $w + $out, $h + $out], ['g'], $step),
        ]);
    }
}
