<?php

declare(strict_types=1);

namespace Apron\Trace\Check;

use Apron\Detail\Detail;
use Apron\Detail\Gap;
use Apron\Detail\Laid;
use Apron\Detail\Layout;
use Apron\Detail\Mouth;
use Apron\Detail\PieceKind;
use Apron\Detail\Rect;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Trace\DetailCheck;
use Apron\Trace\Rain;

/**
 * Gaps between layers are volumes of air, joined wherever nothing seals between them: which of their mouths let outdoor
 * air through to the room. A mouth is closed where pieces for air, or sealant, lie over all of it and hold by a bond or
 * a seal.
 */
final readonly class GapVolumes implements DetailCheck
{
    /** @param  list<array{gap: string, facet: string|null, rect: Rect|null, through: list<string>}>  $leaks  */
    private function __construct(private Rain $rain, public array $leaks)
    {
    }

    public static function of(Rain $rain): self
    {
        return new self($rain, self::found($rain->layout));
    }

    public function findings(): array
    {
        // An id of several words is read as words.
        $named = fn (string $gap): string => strtr($gap, '-', ' ');
        $source = Source::commonPractice(
            'common practice: gaps between layers are one volume wherever nothing seals between them',
        );

        return array_map(
            fn (array $leak): Finding => new Finding(
                'air.gap',
                Severity::Caution,
                $this->rain->subject(),
                [
                    'gap' => $named($leak['gap']),
                    'facet' => $leak['facet'] ?? Gap::OUTDOORS,
                    'through' => implode(' → ', array_map($named, $leak['through'])),
                    'count' => count($leak['through']),
                ],
                $source,
                $leak['gap'].'.'.($leak['facet'] ?? Gap::OUTDOORS),
            ),
            $this->leaks,
        );
    }

    public function told(): array
    {
        return $this->rain->layout->detail->gaps === []
            ? []
            : [
                'leaks' => array_map(
                    fn (array $l): array => [
                        'gap' => $l['gap'],
                        'facet' => $l['facet'],
                        'rect' => $l['rect']?->toArray(),
                        'through' => $l['through'],
                    ],
                    $this->leaks,
                ),
            ];
    }

    /**
     * @return list<array{gap: string, facet: string|null, rect: Rect|null, through: list<string>}> each way in, with
     *   the gaps from there to the room; no facet where a gap is stated to lie open to the outdoors
     */
    private static function found(Layout $layout): array
    {
        $gaps = array_column(
            array_map(fn (Gap $g): array => ['id' => $g->id, 'gap' => $g], $layout->detail->gaps),
            'gap',
            'id',
        );
        $onward = self::toTheRoom($layout, $gaps);
        $leaks = [];
        foreach ($gaps as $id => $gap) {
            if (! isset($onward[$id])) {
                continue;
            }
            $through = [];
            for ($at = $id; $at !== Gap::INDOORS; $at = $onward[$at]) {
                $through[] = $at;
            }
            foreach (self::open($layout, $gap, Gap::OUTDOORS) as $mouth) {
                $leaks[] = ['gap' => $gap->id, 'facet' => $mouth->facet, 'rect' => $mouth->rect, 'through' => $through];
            }
            if (in_array(Gap::OUTDOORS, $gap->joins, true)) {
                $leaks[] = ['gap' => $gap->id, 'facet' => null, 'rect' => null, 'through' => $through];
            }
        }

        return $leaks;
    }

    /**
     * From the room outward, by the shortest way.
     *
     * @param  array<string, Gap>  $gaps
     * @return array<string, string> for each gap from which air gets to the room, what it passes next
     */
    private static function toTheRoom(Layout $layout, array $gaps): array
    {
        $joined = [];
        foreach ($gaps as $id => $gap) {
            foreach ($gap->joins as $other) {
                $joined[$other][] = $id;
                $joined[$id][] = $other;
            }
            if (self::open($layout, $gap, Gap::INDOORS) !== []) {
                $joined[Gap::INDOORS][] = $id;
            }
        }
        $onward = [];
        $next = [Gap::INDOORS];
        while ($next !== []) {
            $at = array_shift($next);
            foreach ($joined[$at] ?? [] as $id) {
                if (isset($gaps[$id]) && ! isset($onward[$id])) {
                    $onward[$id] = $at;
                    $next[] = $id;
                }
            }
        }

        return $onward;
    }

    /** @return list<Mouth> those of a gap that are open to one side */
    private static function open(Layout $layout, Gap $gap, string $side): array
    {
        $open = [];
        foreach ($gap->mouths as $mouth) {
            $rect =
                $mouth->to === null
                    ? self::part($layout->detail, $mouth, $side)
                    : ($mouth->to === $side
                        ? $mouth->rect
                        : null);
            if ($rect !== null && ! $rect->coveredBy(self::closing($layout, $mouth->facet))) {
                $open[] = new Mouth($mouth->facet, $rect, $mouth->to);
            }
        }

        return $open;
    }

    /** What of a mouth lies on one side: on a return of the opening the unit's inner face parts outdoors from room. */
    private static function part(Detail $detail, Mouth $mouth, string $side): ?Rect
    {
        $in = $detail->unit->innerZ ?? null;
        $returns =
            $detail->opening !== null && in_array($mouth->facet, ['sill', 'head', 'jamb-left', 'jamb-right'], true);
        if ($in === null || ! $returns) {
            return $side === Gap::OUTDOORS ? $mouth->rect : null;
        }
        $all = $detail->facets[$mouth->facet]->extent;
        [$from, $to] = $side === Gap::OUTDOORS ? [-INF, $in] : [$in, INF];

        return $mouth->rect->overlap(
            str_starts_with($mouth->facet, 'jamb')
                ? new Rect($from, $all->v0, $to, $all->v1)
                : new Rect($all->u0, $from, $all->u1, $to),
        );
    }

    /** @return list<Rect> what closes a mouth on a facet */
    private static function closing(Layout $layout, string $facet): array
    {
        $closing = array_filter(
            $layout->facet($facet),
            fn (Laid $l): bool => ($l->piece->air || $l->piece->kind === PieceKind::Sealant) && AirLine::holds($l),
        );

        return array_values(array_map(fn (Laid $l): Rect => $l->rect(), $closing));
    }
}
