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
use Apron\Drafting\WallPlane;
use Apron\Trace\Outcome;

/**
 * A duct or box through the wall: strips folded along it, sill, jambs, head, their corners filled with sealant, the
 * course above over the head strip.
 */
final class RectangularPenetration extends FacetDetail
{
    public const NAME = 'rectangular-penetration';

    protected const PLANES = WallPlane::MEMBRANE_FIRST;

    protected const EXTENTS = ['width_mm' => [60.0, 3000.0], 'height_mm' => [60.0, 3000.0]];

    protected const MATERIALS = [
        'strip_material' => 'flashing-formable',
    ];

    /** Round the duct the water is held off by the strips' seal to it. */
    public function worst(array $parameters = []): Outcome
    {
        return self::plane($parameters)?->standsFirst() ? Outcome::ReliesOnBond : Outcome::ReliesOnSeal;
    }

    protected function facets(Sizes $s, Choices $chosen): array
    {
        $m = $s->mm('margin');

        return ['face' => [-$m, -$m, $s->mm('width') + $m, $s->mm('height') + $m]];
    }

    protected function penetrations(Sizes $s, Choices $chosen): array
    {
        $sealed = RoundThrough::sealedTo($chosen, ['strip-sill', 'strip-left', 'strip-right', 'strip-head']);

        return [new Penetration('pipe', 'face', new Rect(0.0, 0.0, $s->mm('width'), $s->mm('height')), $sealed)];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        [$before, $after] = RoundThrough::steps($s, $chosen);
        $figures = ['past_mm' => $s->mm('collar'), 'along_mm' => $s->mm('along_pipe')];

        return [
            ...$before,
            ['duct-strip-sill', $figures],
            ['duct-strips-jamb', $figures],
            ['duct-strip-head', $figures],
            ...$after,
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $h] = [$s->mm('width'), $s->mm('height')];
        [$c, $strip, $along, $over] = [$s->mm('collar'), $used->of('strip'), $s->mm('along_pipe'), $s->mm('lap')];
        $kind = PieceKind::Formable;

        return [
            ...RoundThrough::plane($w, $h, $s, $used, $chosen, $at),
            // What is sealed to the duct is drawn straight over it, once.
            Lay::onFace(
                'strip-sill',
                $strip,
                $kind,
                $at->of('duct-strip-sill'),
                [-$c, -$c, $w + $c, $h],
                null,
                new CutSize($w + 2 * $c, $c + $along),
            ),
            Lay::onFace(
                'strip-left',
                $strip,
                $kind,
                $at->of('duct-strips-jamb'),
                [-$c, -$over, 0, $h + $over],
                null,
                new CutSize($h + 2 * $over, $c + $along),
            ),
            Lay::onFace(
                'strip-right',
                $strip,
                $kind,
                $at->of('duct-strips-jamb'),
                [$w, -$over, $w + $c, $h + $over],
                null,
                new CutSize($h + 2 * $over, $c + $along),
            ),
            Lay::onFace(
                'strip-head',
                $strip,
                $kind,
                $at->of('duct-strip-head'),
                [-$c, $h - $along, $w + $c, $h + $c],
                PieceRole::HeadFlashing,
                new CutSize($w + 2 * $c, $c + $along),
            ),
        ];
    }

    protected function demandRoom(Sizes $s): void
    {
        RoundThrough::demandRoom($s);
        $s->demandBelow(
            'along_pipe_mm',
            $s->mm('height'),
            'the height of the duct that the head strip is folded onto',
        );
    }
}
