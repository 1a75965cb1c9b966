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

    private function __construct(private readonly Node $rules)
    {
    }

    public static function of(string $set): self
    {
        return self::$read[$set] ??= new self(CoreData::read("figures/$set"));
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
