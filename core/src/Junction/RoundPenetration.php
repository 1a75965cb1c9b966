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
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Trace\Outcome;

/**
 * A pipe through the wall: membrane below it, a formable collar sealed to the pipe, the course above over the collar's
 * top.
 */
class RoundPenetration extends FacetDetail
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

    /**
     * @return array{float, float} width and height of what passes through
     */
    protected function through(Sizes $s): array
    {
        return [$s->mm('diameter'), $s->mm('diameter')];
    }

    protected function facets(Sizes $s, Choices $chosen): array
    {
        [$w, $h] = $this->through($s);
        $m = $s->mm('margin');

        return ['face' => [-$m, -$m, $w + $m, $h + $m]];
    }

    protected function penetrations(Sizes $s, Choices $chosen): array
    {
        [$w, $h] = $this->through($s);

        return [new Penetration('pipe', 'face', new Rect(0.0, 0.0, $w, $h), $this->sealedToIt())];
    }

    /** @return list<string> */
    protected function sealedToIt(): array
    {
        return ['collar'];
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
        [$w, $h] = $this->through($s);
        [$c, $along] = [$s->mm('collar'), $s->mm('along_pipe')];

        return [
            $this->below($s, $used->of('membrane'), $at),
            $this->laid(
                'collar',
                $used->of('collar'),
                PieceKind::Formable,
                $at->of('pipe-collar'),
                [$this->patch('collar.face', 'face', [-$c, -$c, $w + $c, $h + $c], [], $at->of('pipe-collar'))],
                PieceRole::HeadFlashing,
                new CutSize($w + 2 * ($c + $along), $h + 2 * ($c + $along)),
            ),
            $this->above($s, $used->of('membrane'), 3, $h + $c),
        ];
    }

    /** The plane up to past the top of what passes through, cut round it. */
    protected function below(Sizes $s, \Apron\Material\Material $material, StepNumbers $at): \Apron\Detail\Piece
    {
        [$w, $h] = $this->through($s);
        [$m, $p, $top] = [$s->mm('margin'), $s->mm('hole_past'), $h + $s->mm('collar')];

        return $this->laid(
            'plane-below',
            $material,
            PieceKind::Membrane,
            $at->of('plane-to-pipe'),
            [
                $this->patch('plane-below.below', 'face', [-$m, -$m, $w + $m, -$p], ['f'], $at->of('plane-to-pipe')),
                $this->patch('plane-below.left', 'face', [-$m, -$p, -$p, $h + $p], ['f'], $at->of('plane-to-pipe')),
                $this->patch(
                    'plane-below.right',
                    'face',
                    [$w + $p, -$p, $w + $m, $h + $p],
                    ['f'],
                    $at->of('plane-to-pipe'),
                ),
                $this->patch(
                    'plane-below.above',
                    'face',
                    [-$m, $h + $p, $w + $m, $top],
                    ['f'],
                    $at->of('plane-to-pipe'),
                ),
            ],
            PieceRole::Plane,
        );
    }

    protected function above(
        Sizes $s,
        \Apron\Material\Material $material,
        int $step,
        float $top,
    ): \Apron\Detail\Piece {
        [$w, $h] = $this->through($s);
        $m = $s->mm('margin');

        return $this->laid(
            'plane-above',
            $material,
            PieceKind::Membrane,
            $step,
            [$this->patch('plane-above.face', 'face', [-$m, $top - $s->mm('lap'), $w + $m, $h + $m], [], $step)],
            PieceRole::Plane,
        );
    }

    protected function demandRoom(Sizes $s): void
    {
        $this->demandBelow($s, 'collar_mm', $s->mm('margin'), 'the wall round the pipe that is drawn');
        $this->demandBelow($s, 'lap_mm', $s->mm('collar'), 'so that the course above stops over the pipe');
        $this->demandBelow(
            $s,
            'hole_past_mm',
            $s->mm('collar') - $s->mm('lap'),
            'so that the collar laps the membrane all round',
        );
    }
}
