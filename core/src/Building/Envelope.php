<?php

declare(strict_types=1);

namespace Apron\Building;

/** The parts that bound the conditioned space of a building, and every joint between them. */
final readonly class Envelope
{
    /** @var array<string, Part> by id */
    public array $parts;

    /** @var list<Joint> */
    public array $joints;

    public Surfaces $surfaces;

    /** m³ of conditioned space, with what is under pitched roofs */
    public float $volume;

    /** @var list<Placed> openings in a place, that the project does not have */
    public array $waiting;

    /** @var list<Hole> openings in their places */
    public array $holes;

    /** @var list<CannotPlace> */
    public array $misplaced;

    /** @var list<array{float, float, float}> places where two blocks touch along a line only, mm */
    public array $hairs;

    /**
     * @param  array<string, array{float, float}>  $sizes  width and height of openings by id of their detail, mm
     */
    public function __construct(public Building $building, array $sizes = [])
    {
        $surfaces = $this->surfaces = new Surfaces($building);
        $parts = Areas::of($surfaces);
        $segments = Segment::of($building);
        $level = new LevelJoints($surfaces);
        $joints = Runs::joints([
            ...$level->of($segments),
            ...(new UprightJoints($surfaces))->of($segments),
            ...(new RoofJoints($surfaces))->of($segments),
        ]);
        $placing = new Placing($surfaces, $parts, $joints, $sizes);
        [$this->parts, $this->joints] = [$placing->parts, $placing->joints];
        [$this->waiting, $this->misplaced, $this->holes] = [$placing->waiting, $placing->misplaced, $placing->holes];
        $this->hairs = $level->hairs();
        $mm3 = 0.0;
        foreach ($building->blocks as $block) {
            if ($block->isConditioned()) {
                $mm3 +=
                    $block->outline->area() * ($block->top - $block->base) + $block->roofForm->volume($block->outline);
            }
        }
        $this->volume = $mm3 / 1e9;
    }

    /** m², gross, without openings */
    public function area(): float
    {
        return array_sum(
            array_map(
                fn (Part $p): float => $p->kind === PartKind::Opening ? 0.0 : $p->gross,
                array_values($this->parts),
            ),
        );
    }
}
