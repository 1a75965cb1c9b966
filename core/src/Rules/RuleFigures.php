<?php

declare(strict_types=1);

namespace Apron\Rules;

use Apron\Json\CoreData;
use Apron\Json\Node;
use Apron\Quantity\Dimension;
use Apron\Quantity\QuantityReader;
use Apron\Quantity\UnitSystem;

/** The figures of one set of rules, from `core/data/figures`, each with its source. Read once for each run. */
final class RuleFigures
{
    /** @var array<string, self> */
    private static array $read = [];

    /** @var array<string, float> */
    private array $figures = [];

    /** @var array<string, list<string>> */
    private array $lists = [];

    /** @var array<string, list<float>> */
    private array $numbers = [];

    /** @var array<string, array<string, array<string, float>>> */
    private array $tables = [];

    private function __construct(private readonly Node $rules)
    {
    }

    /** @param  string  $set  a file of figures, or a group within one: `openings.figures` */
    public static function of(string $set): self
    {
        if (! isset(self::$read[$set])) {
            [$file, $group] = [...explode('.', $set, 2), null];
            $rules = CoreData::read("figures/$file");
            self::$read[$set] = new self($group === null ? $rules : $rules->get($group));
        }

        return self::$read[$set];
    }

    public function figure(string $name): float
    {
        return $this->figures[$name] ??= $this->rules->get($name)->get('value')->number();
    }

    /** A permeance stated in the unit of its rule, ng/(Pa·s·m²): one perm is one perm, and not 57.2 of something. */
    public function permeance(string $name): float
    {
        return $this->figures[$name] ??= (new QuantityReader(UnitSystem::US))->read(
            $this->rules->get($name)->get('value')->text(),
            Dimension::Permeance,
        )->value;
    }

    /** @return list<string> */
    public function list(string $name): array
    {
        return $this->lists[$name] ??= array_map(
            fn (Node $item): string => $item->text(),
            $this->rules->get($name)->get('value')->items(),
        );
    }

    public function lists(string $name, ?string $word): bool
    {
        return $word !== null && in_array($word, $this->list($name), true);
    }

    /** @return array<string, array<string, float>> a whole table, row by row */
    public function table(string $name): array
    {
        return $this->tables[$name] ??= array_map(
            fn (Node $row): array => array_map(fn (Node $cell): float => $cell->number(), $row->entries()),
            $this->rules->get($name)->get('value')->entries(),
        );
    }

    /** @return list<float> */
    public function numbers(string $name): array
    {
        return $this->numbers[$name] ??= array_map(
            fn (Node $item): float => $item->number(),
            $this->rules->get($name)->get('value')->items(1),
        );
    }

    /** @return list<array{float, float}> */
    public function pairs(string $name): array
    {
        return array_map(function (Node $row): array {
            [$least, $most] = $row->numbers(2);

            return [$least, $most];
        }, $this->rules->get($name)->get('value')->items(1));
    }

    /** One cell of a table, by row and column; null where the table has none. */
    public function cell(string $name, string $row, string $column): ?float
    {
        return $this->rules->get($name)->get('value')->optional($row)?->optional($column)?->number();
    }

    public function source(string $name): Source
    {
        $source = $this->rules->get($name)->get('source');

        return Source::of($source->get('kind')->oneOf(SourceKind::class), $source->get('name')->text(400));
    }
}
