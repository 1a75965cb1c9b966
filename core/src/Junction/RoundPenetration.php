<?php

declare(strict_types=1);

namespace Apron\Junction;

use Apron\Detail\CutSize;
use Apron\Detail\Penetration;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\Rect;
use Apron\Drafting\Choices;
use Apron\Drafting\FacetDetail;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Trace\Outcome;

/**
 * A pipe through the wall: membrane below it, a formable collar sealed to the pipe, the course above over the collar's
 * top.
 */
final class RoundPenetration extends FacetDetail
{
    public const NAME = 'round-penetration';

    protected const EXTENTS = ['diameter_mm' => [10.0, 600.0]];

    protected const MATERIALS = [
        'membrane_material' => 'membrane-permeable',
        'collar_material' => 'flashing-formable',
    ];

    /** Round the pipe the water is held off by the collar's seal to it. */
    public function worst(array $parameters = []): Outcome
    {
        return Outcome::ReliesOnSeal;
    }

    protected function facets(Sizes $s, Choices $chosen): array
    {
        [$w, $h] = [$s->mm('diameter'), $s->mm('diameter')];
        $m = $s->mm('margin');

        return ['face' => [-$m, -$m, $w + $m, $h + $m]];
    }

    protected function penetrations(Sizes $s, Choices $chosen): array
    {
        [$w, $h] = [$s->mm('diameter'), $s->mm('diameter')];

        return [new Penetration('pipe', 'face', new Rect(0.0, 0.0, $w, $h), ['collar'])];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        return [
            ['plane-to-pipe', ['hole_mm' => $s->mm('hole_past')]],
            ['pipe-collar', ['past_mm' => $s->mm('collar'), 'along_mm' => $s->mm('along_pipe')]],
            ['plane-over-collar', ['lap_mm' => $s->mm('lap')]],
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $h] = [$s->mm('diameter'), $s->mm('diameter')];
        [$c, $along] = [$s->mm('collar'), $s->mm('along_pipe')];

        return [
            RoundThrough::below($w, $h, $s, $used->of('membrane'), $at),
            Lay::piece(
                'collar',
                $used->of('collar'),
                PieceKind::Formable,
                $at->of('pipe-collar'),
                [Lay::patch('collar.face', 'face', [-$c, -$c, $w + $c, $h + $c], [], $at->of('pipe-collar'))],
                PieceRole::HeadFlashing,
                new CutSize($w + 2 * ($c + $along), $h + 2 * ($c + $along)),
            ),
            RoundThrough::above($w, $h, $s, $used->of('membrane'), $at->of('plane-over-collar')),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        RoundThrough::demandRoom($s);
    }
}
