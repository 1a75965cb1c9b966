<?php

declare(strict_types=1);

namespace Apron\Method;

/**
 * The opening schedule as one is printed: openings of one kind are drawn once, for they differ in their sizes alone.
 */
final class OpeningSchedule
{
    /** So many sequences are each printed whole; of more, one of each kind. */
    public const MOST_DRAWN = 24;

    /**
     * Openings of one method with the same figures, materials and choices, whatever their sizes.
     *
     * @param  list<ScheduledOpening>  $openings
     * @return list<non-empty-list<ScheduledOpening>> in the order of the first of each kind
     */
    public static function kinds(array $openings): array
    {
        $kinds = [];
        foreach ($openings as $opening) {
            $stated = array_diff_key(self::made($opening), self::sizes($opening));
            ksort($stated);
            $kinds[$opening->generator.json_encode($stated, JSON_THROW_ON_ERROR)][] = $opening;
        }

        return array_values($kinds);
    }

    /** @return array<string, float> by name, mm: what its method must be told, in the method's order */
    public static function sizes(ScheduledOpening $opening): array
    {
        $names = array_column(
            array_filter(
                Methods::named($opening->generator)?->parameters() ?? [],
                fn (array $p): bool => $p['kind'] === 'size',
            ),
            'name',
        );

        return array_map(
            floatval(...),
            array_intersect_key(array_merge(array_flip($names), self::made($opening)), array_flip($names)),
        );
    }

    /** @return array<string, float|string> with what its wall and the project gave it: two walls make two kinds */
    private static function made(ScheduledOpening $opening): array
    {
        return $opening->detail->generated->parameters ?? $opening->parameters;
    }
}
