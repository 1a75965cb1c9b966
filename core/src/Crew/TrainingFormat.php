<?php

declare(strict_types=1);

namespace Apron\Crew;

use Apron\Inspection\SiteFormat;
use Apron\Json\FileRefused;
use Apron\Json\Node;

/** The training record: orders of steps that were tried, oldest first. */
final class TrainingFormat
{
    private const KEYS = ['detail', 'title', 'by', 'at', 'order', 'tries', 'broken', 'worst'];

    /** @throws FileRefused */
    public static function read(Node $node): Training
    {
        $node->object(self::KEYS, self::KEYS);
        $at = SiteFormat::instant($node->get('at'));
        if (str_contains($at, '.')) {
            $node->get('at')->refuse('a time in UTC to the second, such as 2026-03-04T09:30:00Z');
        }
        $order = [];
        foreach ($node->get('order')->items(1, 999) as $step) {
            if (in_array($number = $step->integer(1, 999), $order, true)) {
                $step->refuse('each step once');
            }
            $order[] = $number;
        }

        return new Training(
            detail: $node->get('detail')->id(),
            title: $node->get('title')->text(),
            by: $node->get('by')->text(),
            at: $at,
            order: $order,
            tries: $node->get('tries')->integer(1, 999),
            broken: $node->get('broken')->integer(0, 100000),
            worst: $node->get('worst')->text(40),
        );
    }

    /** @return array<string, mixed> */
    public static function write(Training $run): array
    {
        return [
            'detail' => $run->detail,
            'title' => $run->title,
            'by' => $run->by,
            'at' => $run->at,
            'order' => $run->order,
            'tries' => $run->tries,
            'broken' => $run->broken,
            'worst' => $run->worst,
        ];
    }
}
