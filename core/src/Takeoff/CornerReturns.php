<?php

declare(strict_types=1);

namespace Apron\Takeoff;

use Apron\Assembly\Assembly;
use Apron\Assembly\Control;
use Apron\Building\Envelope;
use Apron\Building\JointKind;
use Apron\Building\Met;
use Apron\Building\Part;

/**
 * How far boards run past the ends of a side. An outline is the plane of the air control layer: what lies outside of it
 * is longer at an outside corner than the side. One of the two walls runs over, the other butts against it; the next
 * layer the other way, so that no joint goes through both. At an inside corner nothing is taken off.
 */
final class CornerReturns
{
    /** @var array<string, list<string>> assemblies round the corner, by part and end */
    private array $beyond = [];

    /** @param  array<string, Assembly>  $assemblies  by id */
    public function __construct(private readonly Envelope $envelope, private readonly array $assemblies)
    {
        foreach ($envelope->joints as $joint) {
            foreach ($joint->kind === JointKind::OutsideCorner ? $joint->met : [] as $met) {
                $this->note($met->a, $met->b, $met);
                $this->note($met->b, $met->a, $met);
            }
        }
    }

    private function note(Part $part, Part $other, Met $met): void
    {
        $edge = $this->envelope->building->block($part->block)?->outline->edge($part->edge ?? -1);
        if ($edge !== null && $other->assembly !== null) {
            $isLeft = $edge->u($met->from[0], $met->from[1]) < $edge->length / 2;
            $this->beyond[self::key($part->id, $isLeft)][] = $other->assembly;
        }
    }

    private static function key(string $part, bool $isLeft): string
    {
        return $part.($isLeft ? ' left' : ' right');
    }

    /** @return array{float, float} mm past its left end and past its right, of a layer by its number */
    public function of(Part $part, Assembly $assembly, int $at): array
    {
        $offsets = self::offsets($assembly, $at);
        if ($offsets === null) {
            return [0.0, 0.0];
        }
        [$inner, $outer] = $offsets;
        $runsOverAtRight = self::boardsWithin($assembly, $at) % 2 === 0;
        $past = fn (bool $isLeft): float => $this->meets($part, $isLeft, $assembly->layers[$at]->thicknessMm)
            ? ($isLeft !== $runsOverAtRight ? $outer : $inner)
            : 0.0;

        return [$past(true), $past(false)];
    }

    /** Whether boards as thick come round the corner. */
    private function meets(Part $part, bool $isLeft, float $thickness): bool
    {
        foreach ($this->beyond[self::key($part->id, $isLeft)] ?? [] as $id) {
            $other = $this->assemblies[$id] ?? null;
            foreach ($other->layers ?? [] as $at => $layer) {
                $isBoard = $other !== null && LaidAs::of($other, $at)?->isBoard() === true;
                if ($isBoard && $layer->thicknessMm === $thickness && self::offsets($other, $at) !== null) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return array{float, float}|null mm from the air control layer to its inner and outer face; null inside of it */
    private static function offsets(Assembly $assembly, int $at): ?array
    {
        $air = null;
        foreach ($assembly->layers as $i => $layer) {
            $air = in_array(Control::Air, $layer->controls, true) ? $i : $air;
        }
        if ($air === null || $at <= $air) {
            return null;
        }
        $inner = 0.0;
        for ($i = $air + 1; $i < $at; $i++) {
            $inner += $assembly->layers[$i]->thicknessMm;
        }

        return [$inner, $inner + $assembly->layers[$at]->thicknessMm];
    }

    /** How many layers of boards lie between the air control layer and it. */
    private static function boardsWithin(Assembly $assembly, int $at): int
    {
        $count = 0;
        for ($i = $at - 1; $i >= 0; $i--) {
            $isBoard = LaidAs::of($assembly, $i)?->isBoard() === true;
            $count += $isBoard && self::offsets($assembly, $i) !== null ? 1 : 0;
        }

        return $count;
    }
}
