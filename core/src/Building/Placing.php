<?php

declare(strict_types=1);

namespace Apron\Building;

/** Openings, penetrations and movement joints put into the parts that they stand in. */
final class Placing
{
    /** @var list<Hole> openings in their places */
    public array $holes = [];

    /** @var list<CannotPlace> */
    public array $misplaced = [];

    /** @var array<string, true> of joints, taken */
    private array $ids;

    /** @var list<Placed> openings that the project does not have */
    public array $waiting = [];

    /** @var array<string, Part> */
    public array $parts;

    /** @var list<Joint> */
    public array $joints;

    /**
     * @param  array<string, Part>  $parts  by id
     * @param  list<Joint>  $joints
     * @param  array<string, array{float, float}>  $sizes  width and height of openings by id of their detail, mm
     */
    public function __construct(
        private readonly Surfaces $surfaces,
        array $parts,
        array $joints,
        private readonly array $sizes,
    ) {
        [$this->parts, $this->joints] = [$parts, $joints];
        $this->ids = array_fill_keys(array_column($joints, 'id'), true);
        foreach ($surfaces->building->placed as $i => $placed) {
            $this->trying(fn () => $this->place($placed, $i));
        }
        foreach ($surfaces->building->movement as $i => $movement) {
            $this->trying(fn () => $this->move($movement, $i));
        }
    }

    /** What cannot stand in its place is left out, and said: a building is no less one for it. */
    private function trying(\Closure $put): void
    {
        try {
            $put();
        } catch (CannotPlace $wrong) {
            $this->misplaced[] = $wrong;
        }
    }

    private function place(Placed $placed, int $i): void
    {
        $block = $this->surfaces->building->block($placed->block);
        if ($block === null || ! $block->isConditioned()) {
            throw new CannotPlace('placed', $i, 'a conditioned block of the building', $placed->block);
        }
        $size = $this->sizes[$placed->detail] ?? null;
        if ($placed->isOpening && $size === null) {
            // It was taken out of the project since, or is not drawn yet: its place waits.
            $this->waiting[] = $placed;

            return;
        }
        if ($size === null || ! $placed->isOpening) {
            $part = $this->partAt($placed, $block, $i, $placed->x, $placed->z);
            [$u, $v] = $placed->at ?? [$placed->x, $placed->z];
            $at = self::space($block, $placed, $u, $v);
            for ($n = 0; $n < $placed->count; $n++) {
                $this->join(
                    JointKind::Penetration,
                    $part->id,
                    $placed->detail,
                    0.0,
                    $placed->detail,
                    new Met(JointKind::Penetration, $part, $part, $at, $at),
                );
            }

            return;
        }
        $this->open($placed, $block, $i, $size);
    }

    /** @param  array{float, float}  $size */
    private function open(Placed $placed, Block $block, int $i, array $size): void
    {
        [$width, $height] = $size;
        [$x, $z] = $placed->at ?? [$placed->x, $placed->z];
        $hair = 2 * Surfaces::HAIR;
        $part = $this->partAt($placed, $block, $i, $x + $width / 2, $z + $height / 2);
        foreach ([$hair, $width - $hair] as $u) {
            foreach ([$hair, $height - $hair] as $v) {
                if ($this->partAt($placed, $block, $i, $x + $u, $z + $v)->id !== $part->id) {
                    throw new CannotPlace('placed', $i, "a place within one part, as $part->id", $placed->detail);
                }
            }
        }
        foreach ($this->holes as $other) {
            if (
                $other->within === $part->id &&
                $x < $other->right &&
                $other->left < $x + $width &&
                $z < $other->head &&
                $other->sill < $z + $height
            ) {
                throw new CannotPlace('placed', $i, 'a place that no other opening lies over', $placed->detail);
            }
        }
        $id = "$block->id.opening.$placed->detail";
        for ($n = 2; isset($this->parts[$id]); $n++) {
            $id = "$block->id.opening.$placed->detail#$n";
        }
        $area = ($width * $height) / 1e6;
        $this->parts[$id] = new Part(
            $id,
            PartKind::Opening,
            $part->faces,
            null,
            $block->id,
            $area,
            $area,
            $part->edge,
            $placed->detail,
            $placed->u,
        );
        $this->holes[] = new Hole(
            $id,
            $part->id,
            $block,
            $placed->on === null ? $placed->edge : null,
            $placed->on !== null && $part->kind !== PartKind::Roof,
            $x,
            $z,
            $x + $width,
            $z + $height,
        );
        $this->parts[$part->id] = $this->parts[$part->id]->less($area);
        if ($placed->at === null && abs($z - $block->base) < Surfaces::HAIR) {
            $this->takeFoot($part->id, $width / 1000);
        }
        [$right, $head] = [$x + $width, $z + $height];
        foreach (
            [
                [JointKind::Sill, $x, $z, $right, $z],
                [JointKind::Head, $x, $head, $right, $head],
                [JointKind::Jamb, $x, $z, $x, $head],
                [JointKind::Jamb, $right, $z, $right, $head],
            ] as [$kind, $u0, $v0, $u1, $v1]
        ) {
            $ends = [self::space($block, $placed, $u0, $v0), self::space($block, $placed, $u1, $v1)];
            $met = new Met($kind, $part, $this->parts[$id], ...$ends);
            $length = $kind === JointKind::Jamb ? $height : $width;
            $this->join($kind, $part->id, $id, $length / 1000, $placed->detail, $met);
        }
    }

    /** @return array{float, float, float} where a place on a part is, mm */
    private static function space(Block $block, Placed $placed, float $u, float $v): array
    {
        if ($placed->on !== null) {
            return [$u, $v, $placed->on === 'roof' ? $block->topAt($u, $v) : $block->base];
        }
        $edge = $block->outline->edge($placed->edge ?? -1);

        return $edge === null ? [$u, $v, 0.0] : [...$edge->at($u), $v];
    }

    /** A door stands on the foot of its wall: its sill takes so much of that. */
    private function takeFoot(string $part, float $metres): void
    {
        $feet = [JointKind::WallToSlab, JointKind::FoundationToSlab, JointKind::WallToSoffit, JointKind::Unconditioned];
        foreach ($this->joints as $n => $joint) {
            if (in_array($joint->kind, $feet, true) && in_array($part, $joint->parts, true)) {
                $this->joints[$n] = $joint->shorter($metres);

                return;
            }
        }
    }

    private function join(JointKind $kind, string $a, string $b, float $length, ?string $detail, Met $met): void
    {
        $pair = strcmp($a, $b) < 0 ? [$a, $b] : [$b, $a];
        $id = $first = "$kind->value:$pair[0]|$pair[1]";
        for ($n = 2; isset($this->ids[$id]); $n++) {
            $id = "$first#$n";
        }
        $this->ids[$id] = true;
        $this->joints[] = new Joint($id, $kind, $pair, $length, [$met], $detail);
    }

    private function move(Movement $movement, int $i): void
    {
        $block = $this->surfaces->building->block($movement->block);
        $edge = $block?->outline->edge($movement->edge);
        if ($block === null || $edge === null || $movement->x <= 0 || $movement->x >= $edge->length) {
            throw new CannotPlace('movement', $i, 'a place along an edge of a block', $movement->id);
        }
        [$length, $part, $foot] = [0.0, null, $block->base];
        $top = $block->topAt(...$edge->at($movement->x));
        $levels = [$block->base, $block->top, $this->surfaces->building->groundAt($block, $edge->index)];
        foreach ($this->surfaces->building->blocks as $other) {
            array_push($levels, $other->base, $other->top);
        }
        $levels = Areas::sorted($levels, $block->base, $block->top);
        for ($n = 1; $n < count($levels); $n++) {
            $z = ($levels[$n - 1] + $levels[$n]) / 2;
            $at = $this->surfaces->upright($block, $edge, $movement->x, $z);
            if ($at !== null && $at->kind === PartKind::Wall) {
                $foot = $part === null ? $levels[$n - 1] : $foot;
                $part ??= $at;
                $length += $levels[$n] - $levels[$n - 1];
            }
        }
        if ($part === null) {
            throw new CannotPlace('movement', $i, 'a place in a wall of the envelope', $movement->id);
        }
        [$x, $y] = $edge->at($movement->x);
        $met = new Met(JointKind::Movement, $part, $part, [$x, $y, $foot], [$x, $y, $top]);
        $this->join(JointKind::Movement, $part->id, $part->id, ($length + $top - $block->top) / 1000, null, $met);
    }

    /**
     * @param  float  $u  mm from the left end of the edge, or x on plan
     * @param  float  $v  a level, or y on plan
     */
    private function partAt(Placed $placed, Block $block, int $i, float $u, float $v): Part
    {
        if ($placed->on !== null) {
            [$x, $y] = $placed->isOpening ? [$u, $v] : $placed->at ?? [$u, $v];
            $part = $block->outline->contains($x, $y)
                ? $this->surfaces->level($block, $placed->on === 'roof', $x, $y)
                : null;
            $fits = $part !== null && ($part->kind->value === $placed->on || $part->kind === PartKind::Floor);
        } else {
            $edge = $block->outline->edge($placed->edge ?? -1);
            $within =
                $edge !== null &&
                $u > 0 &&
                $u < $edge->length &&
                $v > $block->base - Surfaces::HAIR &&
                $v < $block->topAt(...$edge->at($u));
            $level = max($block->base + Surfaces::HAIR, min($v, $block->top - Surfaces::HAIR));
            $part = $within ? $this->surfaces->upright($block, $edge, $u, $level) : null;
            $fits = $part !== null;
        }
        if ($part === null || ! $fits) {
            throw new CannotPlace('placed', $i, 'a place in a part of the envelope', $placed->detail);
        }

        return $part;
    }
}
