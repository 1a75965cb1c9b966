<?php

declare(strict_types=1);

namespace Apron\Crew;

use Apron\Detail\CannotLay;
use Apron\Detail\Detail;
use Apron\Detail\Layout;
use Apron\Detail\Patch;
use Apron\Detail\Piece;
use Apron\Detail\Reasons;
use Apron\Detail\Step;

/** Practice on a detail: its steps put in another order, built as they would be, and rained on. */
final readonly class Drill
{
    /**
     * @param  list<array{before: int, after: int, why: string, inner: string, outer: string}>  $broken  reasons that
     *   the order goes against
     * @param  string|null  $refused  why it could not be built in this order at all
     * @param  Detail|null  $built  the detail as this order makes it; null where it could not be built
     */
    private function __construct(public array $broken, public ?string $refused, public ?Detail $built)
    {
    }

    /**
     * @param  list<int>  $order  the numbers of all steps of the detail, in the order they are to be done
     *
     * @throws \InvalidArgumentException where a step is missing, strange or named twice
     */
    public static function run(Detail $detail, array $order): self
    {
        $numbers = array_map(fn (Step $step): int => $step->number, $detail->steps);
        $sorted = $order;
        sort($sorted);
        if ($sorted !== $numbers) {
            throw new \InvalidArgumentException('an order of all steps, each once: '.implode(', ', $numbers));
        }
        $at = array_combine($order, $numbers);
        $broken = array_values(
            array_filter(
                Reasons::of($detail),
                fn (array $r): bool => ($at[$r['before']] ?? 0) > ($at[$r['after']] ?? 0),
            ),
        );
        try {
            $built = self::reordered($detail, $at);
            new Layout($built);

            return new self($broken, null, $built);
        } catch (CannotLay $cannot) {
            return new self($broken, $cannot->getMessage(), null);
        }
    }

    /**
     * The steps in an order that is not the right one: the same for the same seed, so that a crew can be given one
     * drill.
     *
     * @return list<int>
     */
    public static function shuffled(Detail $detail, int $seed): array
    {
        $numbers = array_map(fn (Step $step): int => $step->number, $detail->steps);
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        do {
            $shuffled = $random->shuffleArray($numbers);
        } while ($shuffled === $numbers && count($numbers) > 1);

        return $shuffled;
    }

    /**
     * @param  array<int, int>  $at  the new number of each step
     */
    private static function reordered(Detail $detail, array $at): Detail
    {
        $pieces = array_map(
            fn (Piece $p): Piece => $p->withPatches(
                array_map(fn (Patch $q): Patch => $q->atStep($at[$q->step] ?? $q->step), $p->patches),
                $at[$p->step] ?? $p->step,
            ),
            $detail->pieces,
        );
        $steps = array_map(fn (Step $s): Step => new Step($at[$s->number], $s->does, $s->figures), $detail->steps);
        usort($steps, fn (Step $a, Step $b): int => $a->number <=> $b->number);

        return $detail->withPieces($pieces, $steps);
    }
}
