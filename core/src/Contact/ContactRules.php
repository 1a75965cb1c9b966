<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Json\CoreData;
use Apron\Json\Node;
use Apron\Material\Family;
use Apron\Material\Sticks;
use Apron\Rules\Source;
use Apron\Rules\SourceKind;

/** What families do to each other where they touch, from `core/data/contacts.json`, found by pair. */
final class ContactRules
{
    private static ?self $standing = null;

    /** @var array<string, array<string, array<mixed>|ContactRule>> by sticker and face, raw until asked for */
    private array $bonding = [];

    /** @var array<string, list<ContactRule>> by the two families, `a|b` */
    private array $touching = [];

    /** @var array<string, true> families that a row of those speaks of */
    private array $spokenOf = [];

    /** @var array<string, float> V by family of metal */
    public readonly array $series;

    /** @var array<string, float> V by place, that two metals may stand apart */
    public readonly array $apart;

    /** @var array<string, float> V by place, from which on no care keeps them */
    public readonly array $far;

    /** from this ratio of areas on, the one gives the other its whole current */
    public readonly float $largeArea;

    public readonly Source $seriesSource;

    /** @var array<string, string|null> the family whose rules hold where a family has none */
    private array $kin = [];

    private function __construct(Node $data)
    {
        // Of so many rows one job asks for a few: each is looked at when it is asked for.
        foreach ((array) $data->get('bonding')->raw() as $row) {
            $row = (array) $row;
            if (is_string($row['stick']) && is_string($row['on'])) {
                $this->bonding[$row['stick']][$row['on']] = $row;
            }
        }
        foreach ($data->get('touching')->items(1) as $row) {
            $how = array_map(fn (Node $way): How => How::from($way->id()), $row->get('how')->items(1));
            $rule = self::rule($row, 'a', 'b', $how);
            $this->touching["$rule->a|$rule->b"][] = $rule;
            $this->spokenOf += [$rule->a => true, $rule->b => true];
        }
        $volts = fn (Node $list): array => array_map(fn (Node $volt): float => $volt->number(), $list->entries());
        $series = $data->get('series');
        [$this->series, $this->apart] = [$volts($series->get('index_v')), $volts($series->get('apart_v'))];
        $this->far = $volts($series->get('far_v'));
        $this->largeArea = $series->get('large_area')->number();
        $source = $series->get('source');
        $this->seriesSource = Source::of(
            $source->get('kind')->oneOf(SourceKind::class),
            $source->get('name')->text(400),
        );
        foreach (CoreData::read('families')->get('families')->items(1) as $row) {
            $this->kin[$row->get('id')->id()] = $row->optional('kin')?->id();
        }
    }

    public static function standing(): self
    {
        return self::$standing ??= new self(CoreData::read('contacts'));
    }

    /** @param  list<How>  $how */
    private static function rule(Node $row, string $a, string $b, array $how): ContactRule
    {
        return new ContactRule(
            $row->get('id')->id(),
            $row->get($a)->id(),
            $row->get($b)->id(),
            $how,
            ContactVerdict::from($row->get('verdict')->text()),
            $row->get('why')->text(400),
            $row->optional('do')?->text(400) ?? '',
            array_map(fn (Node $said): string => $said->id(), $row->optional('when')?->entries() ?? []),
        );
    }

    /** Whether anything is said of what a family does to another that only lies against it. */
    public function speaksOf(?Family $family): bool
    {
        return isset($this->spokenOf[$family->id ?? '']);
    }

    /** What a sticker does on a face; null where nobody has said. */
    public function bonding(Sticks $sticks, Family $face): ?ContactRule
    {
        foreach ($this->names($face->id) as $name) {
            if (isset($this->bonding[$sticks->value][$name])) {
                return $this->row($sticks->value, $name);
            }
        }

        return null;
    }

    private function row(string $sticks, string $face): ContactRule
    {
        $row = $this->bonding[$sticks][$face];

        return $this->bonding[$sticks][$face] =
            is_array($row)
                ? self::rule(Node::kept($row), 'stick', 'on', [How::Bonded, How::Lapped])
                : $row;
    }

    /**
     * What two families do however they meet: the nearest kin first, and of those the row that says most of when.
     *
     * @param  list<string>  $a  names of the first: its face, what it sticks with
     * @param  list<string>  $b
     * @param  array<string, string>  $said  `cure` and `coating` as the data sheets say them
     */
    public function touching(array $a, array $b, How $how, array $said): ?ContactRule
    {
        [$best, $most] = [null, -1];
        foreach ($how->isOrdered() ? [[$a, $b]] : [[$a, $b], [$b, $a]] as [$first, $second]) {
            foreach ($this->pairs($first, $second) as $key) {
                foreach ($this->touching[$key] ?? [] as $rule) {
                    $fits =
                        in_array($how, $rule->how, true) && array_intersect_assoc($rule->when, $said) === $rule->when;
                    if ($fits && count($rule->when) > $most) {
                        [$best, $most] = [$rule, count($rule->when)];
                    }
                }
            }
        }

        return $best;
    }

    /**
     * @param  list<string>  $a
     * @param  list<string>  $b
     * @return list<string>
     */
    private function pairs(array $a, array $b): array
    {
        $pairs = [];
        foreach ($a as $one) {
            foreach ($b as $other) {
                foreach ($this->names($one) as $first) {
                    foreach ($this->names($other) as $second) {
                        $pairs[] = "$first|$second";
                    }
                }
            }
        }

        return $pairs;
    }

    /** @return list<string> a family, and the one whose rules hold where it has none */
    private function names(string $family): array
    {
        $kin = $this->kin[$family] ?? null;

        return $kin === null ? [$family] : [$family, $kin];
    }

    /** @return list<ContactRule> every one of them */
    public function all(): array
    {
        $all = [];
        foreach ($this->bonding as $sticks => $faces) {
            foreach (array_keys($faces) as $face) {
                $all[] = $this->row($sticks, (string) $face);
            }
        }

        return [...$all, ...array_merge(...array_values($this->touching))];
    }
}
