<?php

declare(strict_types=1);

namespace Apron\Crew;

use Apron\Detail\Detail;
use Apron\Json\CoreData;
use Apron\Json\Node;
use Apron\Rules\Words;

/**
 * What somebody else must frame before the wall is closed: openings by their size, backing that laps, corners,
 * brackets and straps need, studs that are shifted to a joint. Each follows from a step of a detail;
 * `core/data/framer.json` says which.
 *
 * @phpstan-type Framed array{what: string, figures: array<string, float|int|string>}
 */
final class FramersList
{
    /** @var array<string, list<string>>|null what each step needs */
    private static ?array $needs = null;

    /** @return list<Framed> by the codes of the text catalogue, `framer.<what>` */
    public static function of(Detail $detail): array
    {
        $framed = [];
        if ($detail->opening !== null) {
            $framed['opening'] = [
                'what' => 'opening',
                'figures' => [
                    'width_mm' => $detail->opening->width,
                    'height_mm' => $detail->opening->height,
                    'depth_mm' => $detail->opening->depth,
                ],
            ];
        }
        foreach ($detail->steps as $step) {
            foreach (self::needs()[$step->does] ?? [] as $what) {
                $framed[$what] ??= ['what' => $what, 'figures' => $step->figures];
            }
        }

        return array_values($framed);
    }

    /**
     * Of several details together: what reads the same is told once, with all that it is for.
     *
     * @param  list<Detail>  $details
     * @return list<array{what: string, title: string, reason: string, for: list<string>}> details by title
     */
    public static function gathered(array $details, Words $words): array
    {
        $rows = [];
        foreach ($details as $detail) {
            foreach (self::told($detail, $words) as $told) {
                $key = "{$told['title']}|{$told['reason']}";
                $rows[$key] ??= $told + ['for' => []];
                $rows[$key]['for'][] = $detail->title;
            }
        }
        $order = array_flip(['opening', ...array_unique(array_merge(...array_values(self::needs())))]);
        usort($rows, fn (array $a, array $b): int => $order[$a['what']] <=> $order[$b['what']]);

        return $rows;
    }

    /** @return list<array{what: string, title: string, reason: string}> of one detail, in words */
    public static function told(Detail $detail, Words $words): array
    {
        return array_map(
            fn (array $framed): array => [
                'what' => $framed['what'],
                'title' => $words->text("framer.{$framed['what']}", 'title', $framed['figures']),
                'reason' => $words->text("framer.{$framed['what']}", 'reason', $framed['figures']),
            ],
            self::of($detail),
        );
    }

    /** @return array<string, list<string>> */
    private static function needs(): array
    {
        return self::$needs ??= array_map(
            fn (Node $list): array => array_map(fn (Node $what): string => $what->id(), $list->items(1)),
            CoreData::read('framer')->get('steps')->entries(),
        );
    }
}
