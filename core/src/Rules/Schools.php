<?php

declare(strict_types=1);

namespace Apron\Rules;

use Apron\Json\CoreData;
use Apron\Json\Node;

/**
 * Where practitioners disagree: the questions a project may answer, with the answers built so far, from
 * `core/data/figures/schools.json`.
 */
final class Schools
{
    /**
     * @return list<array{question: string, title: string, of: list<array{value: string, title: string}>, why: string}>
     *   the usual answer first
     */
    public static function all(): array
    {
        /**
         * @var list<array{question: string, title: string, of: list<array{value: string, title: string}>,
         *   why: string}>|null  $all
         */
        static $all = null;

        return $all ??= array_map(
            fn (Node $row): array => [
                'question' => $row->get('question')->text(),
                'title' => $row->get('title')->text(),
                'of' => array_map(
                    fn (Node $of): array => [
                        'value' => $of->get('value')->text(),
                        'title' => $of->get('title')->text(),
                    ],
                    $row->get('of')->items(2),
                ),
                'why' => $row->get('why')->text(400),
            ],
            CoreData::read('figures/schools')->get('schools')->items(1),
        );
    }

    /**
     * What an answer puts in place of the materials a method starts from.
     *
     * @return array<string, string> parameter of a generator => id of the catalogue
     */
    public static function materials(string $question, string $answer): array
    {
        /** @var array<string, array<string, array<string, string>>>|null $all */
        static $all = null;
        if ($all === null) {
            $data = CoreData::read('figures/schools');
            $all = array_map(
                fn (Node $of): array => array_map(
                    fn (Node $set): array => array_map(fn (Node $id): string => $id->id(), $set->entries()),
                    $of->entries(),
                ),
                $data->get('materials')->entries(),
            );
        }

        return $all[$question][$answer] ?? [];
    }

    /** @return array<string, list<string>> question => its answers */
    public static function answers(): array
    {
        return array_map(
            fn (array $of): array => array_column($of, 'value'),
            array_column(self::all(), 'of', 'question'),
        );
    }
}
