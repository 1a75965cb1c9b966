<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\Patch;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Choices;
use Apron\Drafting\FacetDetail;
use Apron\Drafting\Lay;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Trace\Outcome;

/**
 * A flanged unit whose outline is not a rectangle, dressed on the face alone: flashing under its foot before it,
 * flashing over its flange after it, the course above over the crown. Its outline is drawn in level steps. The reveal
 * has no flat facets: no pan is modelled there and what leaks at the unit is not followed; only a rectangular opening
 * framed behind it, dressed as such, has one.
 */
final class ShapedUnit extends FacetDetail
{
    protected const MATERIALS = [
        'membrane_material' => 'membrane-permeable',
        'ring_material' => 'flashing-formable',
        'unit_material' => 'window-unit',
    ];

    public function __construct(private readonly Outline $outline)
    {
        parent::__construct($outline->name(), $outline->extents());
    }

    /** On the shoulders, which no course can lap over, the flashing relies on its bond. */
    public function worst(array $parameters = []): Outcome
    {
        return Outcome::ReliesOnBond;
    }

    protected function facets(Sizes $s, Choices $chosen): array
    {
        [$w, $h] = $this->outline->size($s);
        $m = $s->mm('margin');

        return ['face' => [-$m, -$m, $w + $m, $h + $m]];
    }

    protected function does(Sizes $s, Choices $chosen): array
    {
        return [
            ['plane-round-outline', []],
            ['ring-below', ['ring_mm' => $s->mm('ring')]],
            ['unit-in-sealant', ['clearance_mm' => $s->mm('clearance')]],
            ['ring-above', ['ring_mm' => $s->mm('ring')]],
            ['course-over-crown', ['lap_mm' => $s->mm('lap')]],
            ['inner-air-seal', []],
        ];
    }

    protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array
    {
        [$w, $h, $widest] = $this->outline->size($s);
        [$m, $ring, $flange, $lap] = [
            $s->mm('margin'),
            $s->mm('ring'),
            $s->mm('flange') - $s->mm('clearance'),
            $s->mm('lap'),
        ];
        $beside = [
            Lay::patch('plane-below.below', 'face', [-$m, -$m, $w + $m, 0], ['f'], $at->of('plane-round-outline')),
        ];
        foreach ($this->courses($s, 0, $h) as $i => [$v0, $v1]) {
            $in = max($this->outline->half($s, $v0, 0), $this->outline->half($s, $v1, 0));
            $beside[] = Lay::patch(
                "plane-below.left-$i",
                'face',
                [-$m, $v0, $w / 2 - $in, $v1],
                ['f'],
                $at->of('plane-round-outline'),
            );
            $beside[] = Lay::patch(
                "plane-below.right-$i",
                'face',
                [$w / 2 + $in, $v0, $w + $m, $v1],
                ['f'],
                $at->of('plane-round-outline'),
            );
        }
        $top = $h + $ring;
        $beside[] = Lay::patch(
            'plane-below.above',
            'face',
            [-$m, $h, $w + $m, $top],
            ['f'],
            $at->of('plane-round-outline'),
        );
        $held = new Edges([
            'left' => Edge::Sealed,
            'right' => Edge::Sealed,
            'top' => Edge::Sealed,
            'bottom' => Edge::Open,
        ]);
        $unit = [];
        foreach ($this->courses($s, -$flange, $h + $flange) as $i => [$v0, $v1]) {
            $out = max($this->outline->half($s, $v0, $flange), $this->outline->half($s, $v1, $flange));
            if ($out > 0) {
                $unit[] = Lay::patch(
                    "unit.$i",
                    'face',
                    [$w / 2 - $out, $v0, $w / 2 + $out, $v1],
                    ['u'],
                    $at->of('unit-in-sealant'),
                );
            }
        }

        return [
            Lay::piece(
                'plane-below',
                $used->of('membrane'),
                PieceKind::Membrane,
                $at->of('plane-round-outline'),
                $beside,
                PieceRole::Plane,
            ),
            Lay::piece(
                'ring-below',
                $used->of('ring'),
                PieceKind::Formable,
                $at->of('ring-below'),
                $this->ring($s, 'ring-below', -$ring, max($widest, 0.0), 0.0, 2),
            ),
            Lay::piece(
                'unit',
                $used->of('unit'),
                PieceKind::Unit,
                $at->of('unit-in-sealant'),
                $unit,
                null,
                null,
                $held,
            ),
            Lay::piece(
                'ring-above',
                $used->of('ring'),
                PieceKind::Formable,
                $at->of('ring-above'),
                $this->ring($s, 'ring-above', max(0.0, $widest - $lap), $top, $s->mm('clearance'), 4),
                PieceRole::HeadFlashing,
            ),
            Lay::piece(
                'course-above',
                $used->of('membrane'),
                PieceKind::Membrane,
                $at->of('course-over-crown'),
                [
                    Lay::patch(
                        'course-above.face',
                        'face',
                        [-$m, $top - $lap, $w + $m, $h + $m],
                        [],
                        $at->of('course-over-crown'),
                    ),
                ],
                PieceRole::Plane,
            ),
        ];
    }

    /**
     * The band along the outline from one level to another, out to the ring's width and `in` mm inside of the outline.
     *
     * @return list<Patch>
     */
    private function ring(Sizes $s, string $id, float $from, float $to, float $in, int $step): array
    {
        [$w] = $this->outline->size($s);
        $patches = [];
        foreach ($this->courses($s, $from, $to) as $i => [$v0, $v1]) {
            $out = max($this->outline->half($s, $v0, $s->mm('ring')), $this->outline->half($s, $v1, $s->mm('ring')));
            // Inward to where the step is narrowest, so that no step of the ring only meets one of the unit.
            $inner = min($this->outline->half($s, $v0, -$in), $this->outline->half($s, $v1, -$in));
            if ($out <= 0) {
                continue;
            }
            if ($inner <= 0) {
                $patches[] = Lay::patch("$id.$i", 'face', [$w / 2 - $out, $v0, $w / 2 + $out, $v1], ['r'], $step);
            } else {
                $patches[] = Lay::patch(
                    "$id.left-$i",
                    'face',
                    [$w / 2 - $out, $v0, $w / 2 - $inner, $v1],
                    ['r'],
                    $step,
                );
                $patches[] = Lay::patch(
                    "$id.right-$i",
                    'face',
                    [$w / 2 + $inner, $v0, $w / 2 + $out, $v1],
                    ['r'],
                    $step,
                );
            }
        }

        return $patches;
    }

    /**
     * The level steps between two heights; all pieces step at the same levels.
     *
     * @return list<array{float, float}>
     */
    private function courses(Sizes $s, float $from, float $to): array
    {
        [, $h, $widest] = $this->outline->size($s);
        $flange = $s->mm('flange') - $s->mm('clearance');
        $levels = [
            -$s->mm('ring'),
            -$flange,
            0.0,
            max(0.0, $widest - $s->mm('lap')),
            $widest,
            $h,
            $h + $flange,
            $h + $s->mm('ring'),
        ];
        for ($i = 1; $i < $s->figure('courses'); $i++) {
            $levels[] = round(($widest * $i) / $s->figure('courses'), 1);
            $levels[] = round($widest + (($h - $widest) * $i) / $s->figure('courses'), 1);
            // Below the outline the band is curved as well; over its crown it is one straight piece, for the course
            // above laps it level.
            $levels[] = round((-$s->mm('ring') * $i) / $s->figure('courses'), 1);
        }
        $levels = array_values(array_unique(array_filter($levels, fn (float $v): bool => $v >= $from && $v <= $to)));
        sort($levels);
        $courses = [];
        for ($i = 1; $i < count($levels); $i++) {
            $courses[] = [$levels[$i - 1], $levels[$i]];
        }

        return $courses;
    }

    protected function demandRoom(Sizes $s): void
    {
        $s->demandBelow('ring_mm', $s->mm('margin'), 'the wall round the unit that is drawn');
        $s->demandBelow('clearance_mm', $s->mm('flange'), 'the flange, which must lie on the face');
        $s->demandBelow('flange_mm', $s->mm('ring'), 'so that the ring reaches the wall past it');
        $s->demandBelow(
            'lap_mm',
            $s->mm('ring') - $s->mm('flange') + $s->mm('clearance'),
            'so that the course above stops over the flange',
        );
        if ($s->figure('courses') !== floor($s->figure('courses'))) {
            throw new CannotGenerate('courses', $s->figure('courses'), 'a whole number');
        }
    }
}
