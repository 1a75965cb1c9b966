<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Drafting\Choices;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Trace\Outcome;

/**
 * A unit without flange in a fluid-applied membrane: the coats go into the opening, the unit is held by straps or clips
 * and sealed to them.
 */
final class StrappedUnitInFluid extends DressedOpening
{
    use InFluid, OnStraps;

    public const NAME = 'strapped-unit-in-fluid';

    protected const GROUPS = ['straps'];

    protected const MATERIALS = ['fluid_material' => 'fluid-permeable', 'flashing_material' => 'fluid-flashing'];

    protected const CHOICES = ['held_by' => ['straps', 'clips'], 'air_seal' => ['sealant', 'tape', 'outer-tape']];

    /** Below the sill the field coat laps onto the detail coat and holds by its seal. */
    public function worst(array $parameters = []): Outcome
    {
        return Outcome::ReliesOnSeal;
    }

    protected function order(Choices $chosen, Sizes $s): array
    {
        return $this->coupled(['detail-coat', 'field-coat', ...$this->setAndSealed($chosen)], $s);
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        return [
            $this->detailCoat($s, $used->of('flashing'), $at->of('detail-coat')),
            $this->fieldCoat($s, $used->of('fluid'), $at->of('field-coat')),
        ];
    }
}
