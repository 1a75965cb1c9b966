<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Drafting\Choices;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Trace\Outcome;

/**
 * A unit with a nailing flange in a self-adhered membrane. Shingled at the head: the membrane below and beside the
 * opening first, the course above only after the head strip, so that it laps over it and over what lies beside. Or,
 * another school, the membrane all at once and the head strip lapped over it the wrong way, its top edge under tape and
 * mastic.
 */
class FlangedUnitInSelfAdhered extends DressedOpening
{
    use Flanged, InSelfAdhered;

    public const NAME = 'flanged-unit-in-self-adhered';

    protected const GROUPS = ['flanged'];

    protected const MATERIALS =
        [
            'membrane_material' => 'membrane-permeable',
            'pan_material' => 'flashing-formable',
            'strip_material' => 'flashing-strip',
            'unit_material' => 'window-unit',
        ] + self::TRIM_MATERIALS;

    protected const CHOICES = ['head' => ['shingle', 'reverse-lap']] + self::TRIM;

    /**
     * Shingled, every lap sheds and what leaks at the unit comes out under the open bottom flange; else the head relies
     * on its seal.
     */
    public function worst(array $parameters = []): Outcome
    {
        return ($parameters['head'] ?? 'shingle') === 'shingle' ? Outcome::Recovered : Outcome::ReliesOnSeal;
    }

    protected function order(Choices $chosen, Sizes $s): array
    {
        $all = [
            'membrane-below-and-beside',
            'sill-pan',
            'jamb-liners',
            'head-liner',
            'unit-in-sealant',
            'jamb-strips',
            'head-strip',
            'course-above',
            'inner-air-seal',
        ];
        if ($chosen->is('head', 'reverse-lap')) {
            $all = [
                'membrane-all-over',
                'sill-pan',
                'jamb-liners',
                'head-liner',
                'unit-in-sealant',
                'jamb-strips',
                'head-strip-taped',
                'inner-air-seal',
            ];
        }

        return $this->aroundTheUnit($all, $s, $chosen);
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        $shingled = $at->has('course-above');
        $first = $at->firstOf('membrane-below-and-beside', 'membrane-all-over');
        $cut = $this->cutAbove($s);

        return [
            ...$first === null
                ? []
                : [$this->field($s, $used->of('membrane'), $first, $shingled ? $cut : $s->mm('margin'))],
            $this->pan($s, $used->of('pan'), $at->of('sill-pan')),
            ...$this->jambLiners($s, $used->of('strip'), $at->of('jamb-liners')),
            $this->headLiner($s, $used->of('pan'), $at->of('head-liner')),
            ...$this->units($s, $used, $at),
            ...$this->jambStrips($s, $used->of('strip'), $at->of('jamb-strips')),
            $this->headStrip(
                $s,
                $used->of('strip'),
                (int) $at->firstOf('head-strip', 'head-strip-taped'),
                $shingled ? null : new Edges(['top' => Edge::Sealed]),
            ),
            ...$shingled
                ? [
                    $this->courseAbove(
                        $s,
                        $used->of('membrane'),
                        $at->of('course-above'),
                        $cut - $s->mm('membrane_lap'),
                    ),
                ]
                : [],
        ];
    }
}
