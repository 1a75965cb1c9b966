<?php

declare(strict_types=1);

namespace Apron\FieldTest;

use Apron\Json\Node;
use Apron\Json\Written;
use Apron\Rules\Assessed;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Source;
use Apron\Rules\SourceKind;
use Apron\Rules\Words;
use Apron\Trace\Outcome;

/**
 * Water on a window or a joint before its trim: by a calibrated spray over an area, with or without a pressure, or by a
 * hose with a calibrated nozzle along joints that never open. Water inside is a fail, however little was spent; a dry
 * inside proves something only where as much was spent as is asked.
 *
 * @phpstan-type Seen array{after: float, words: string, facet: string|null}
 * @phpstan-type WetRun array{where: string, minutes: float, length: float|null, up: float|null, masked: bool,
 *   seen: Seen|null}
 */
final readonly class WaterTest extends TestSheet implements Assessed
{
    private const MOST_RUNS = 200;

    /**
     * @param  bool  $byNozzle  else by a spray grid
     * @param  list<WetRun>  $runs  in the order they were made; length in m, up in mm over the sill
     */
    public function __construct(
        TestHead $head,
        private bool $byNozzle,
        private array $runs,
        /** m² under the spray */
        private ?float $area = null,
        /** L/min over all of it */
        private ?float $flow = null,
        /** Pa, outside more than inside */
        private ?float $pressure = null,
        /** mm from the grid to the wall */
        private ?float $grid = null,
        private ?float $nozzleKpa = null,
        private ?float $distance = null,
        private bool $opens = false,
        /** @var array<string, string>|null what the rain trace says of each facet of its place, where there is one */
        private ?array $expected = null,
    ) {
        parent::__construct($head);
    }

    /**
     * The same beside what the rain trace says of its place.
     *
     * @param  array<string, string>  $expected  the worst that is expected, by facet
     */
    public function beside(array $expected): self
    {
        return new self(
            $this->head,
            $this->byNozzle,
            $this->runs,
            $this->area,
            $this->flow,
            $this->pressure,
            $this->grid,
            $this->nozzleKpa,
            $this->distance,
            $this->opens,
            $expected,
        );
    }

    public static function read(Node $node, TestHead $head): self
    {
        $node->object([
            ...TestHead::KEYS, 'by', 'runs', 'area_m2', 'flow_l_min', 'pressure_pa', 'grid_mm', 'nozzle_kpa',
            'distance_mm', 'opens',
        ], ['id', 'kind', 'by', 'runs']);

        return new self(
            $head,
            $node->get('by')->word(['spray', 'nozzle']) === 'nozzle',
            array_map(self::run(...), $node->get('runs')->listOf(self::MOST_RUNS)->items()),
            $node->optional('area_m2')?->positive(1e4, 'm²', 0.01),
            $node->optional('flow_l_min')?->positive(1e4, 'L/min', 0.01),
            $node->optional('pressure_pa')?->between(0.0, 5000.0, 'Pa'),
            $node->optional('grid_mm')?->between(50.0, 3000.0, 'mm'),
            $node->optional('nozzle_kpa')?->between(1.0, 2000.0, 'kPa'),
            $node->optional('distance_mm')?->between(10.0, 5000.0, 'mm'),
            $node->optional('opens')?->boolean() ?? false,
        );
    }

    /** @return WetRun */
    private static function run(Node $row): array
    {
        $row->object(['where', 'minutes', 'length_m', 'up_mm', 'masked', 'seen'], ['where', 'minutes']);
        $seen = $row->optional('seen')?->object(['after_min', 'words', 'facet'], ['after_min', 'words']);

        return [
            'where' => $row->get('where')->text(),
            'minutes' => $row->get('minutes')->positive(1440.0, 'min', 0.1),
            'length' => $row->optional('length_m')?->positive(1000.0, 'm', 0.01),
            'up' => $row->optional('up_mm')?->between(-100000.0, 100000.0, 'mm'),
            'masked' => $row->optional('masked')?->boolean() ?? false,
            'seen' => $seen === null ? null : [
                'after' => $seen->get('after_min')->between(0.0, 1440.0, 'min'),
                'words' => $seen->get('words')->text(500),
                'facet' => $seen->optional('facet')?->text(40),
            ],
        ];
    }

    public function write(): array
    {
        return ['by' => $this->byNozzle ? 'nozzle' : 'spray', 'runs' => array_map(
            fn (array $run): array => ['where' => $run['where'], 'minutes' => $run['minutes']] + Written::without([
                'length_m' => $run['length'],
                'up_mm' => $run['up'],
                'masked' => $run['masked'] ? true : null,
                'seen' => $run['seen'] === null ? null : [
                    'after_min' => $run['seen']['after'],
                    'words' => $run['seen']['words'],
                ] + Written::without(['facet' => $run['seen']['facet']]),
            ]),
            $this->runs,
        )] + Written::without([
            'area_m2' => $this->area,
            'flow_l_min' => $this->flow,
            'pressure_pa' => $this->pressure,
            'grid_mm' => $this->grid,
            'nozzle_kpa' => $this->nozzleKpa,
            'distance_mm' => $this->distance,
            'opens' => $this->opens ? true : null,
        ]);
    }

    public function verdict(): TestVerdict
    {
        return match (true) {
            $this->first() !== null => TestVerdict::Fail,
            $this->wrong() !== [] => TestVerdict::NotValid,
            default => TestVerdict::Pass,
        };
    }

    /** L/(min·m²) */
    private function rate(): ?float
    {
        return $this->area === null || $this->flow === null ? null : $this->flow / $this->area;
    }

    private function minutes(): float
    {
        return array_sum(array_column($this->runs, 'minutes'));
    }

    /** @return WetRun|null the run in which water was first seen inside */
    private function first(): ?array
    {
        foreach ($this->runs as $run) {
            if ($run['seen'] !== null) {
                return $run;
            }
        }

        return null;
    }

    /** @return list<string> why it proves nothing, by code */
    public function wrong(): array
    {
        $figures = RuleFigures::of('tests');
        $wrong = ['runs' => $this->runs === []];
        if ($this->byNozzle) {
            [$least, $most] = $figures->numbers('nozzle_kpa');
            [$near, $far] = $figures->numbers('nozzle_mm');
            $wrong += [
                'nozzle' => $this->nozzleKpa === null || $this->nozzleKpa < $least || $this->nozzleKpa > $most,
                'distance' => $this->distance === null || $this->distance < $near || $this->distance > $far,
                'opens' => $this->opens,
                'order' => $this->goesDown(),
                'time' => $this->runs !== [] && $this->isHurried($figures->figure('nozzle_mm_min')),
            ];
        } else {
            $wrong += [
                'rate' => ($this->rate() ?? 0.0) < $figures->figure('rate_l_min_m2') - 0.005,
                'time' => $this->minutes() < $figures->figure('spray_min'),
            ];
        }

        return $wrong['runs'] ? ['runs'] : array_keys(array_filter($wrong));
    }

    /** Whether a run was made below one before it: what comes in then may be of any of them. */
    private function goesDown(): bool
    {
        $ups = array_values(array_filter(array_column($this->runs, 'up'), fn (?float $up): bool => $up !== null));
        $rising = $ups;
        sort($rising);

        return $ups !== $rising;
    }

    private function isHurried(float $mmPerMinute): bool
    {
        foreach ($this->runs as $run) {
            if ($run['length'] === null || $run['minutes'] < (1000 * $run['length']) / $mmPerMinute - 1e-9) {
                return true;
            }
        }

        return false;
    }

    public function findings(): array
    {
        $first = $this->first();
        $said = new TestSaid($this->head, Source::of(
            SourceKind::FromMemory,
            $this->byNozzle ? 'AAMA 501.2' : 'ASTM E1105',
        ));
        $figures = [
            'rate' => round($this->rate() ?? 0.0, 2),
            'minutes' => round($this->minutes(), 1),
            'kpa' => $this->nozzleKpa ?? 0.0,
            'distance_mm' => $this->distance ?? 0.0,
        ];

        return $first === null
            ? $said->notValid($this->wrong(), $figures)
            : [
                $said->failed([
                    'where' => $first['where'],
                    'seen' => $first['seen']['words'] ?? '',
                    'after' => $first['seen']['after'] ?? 0.0,
                ]),
                ...$this->traced($said, $first['seen']['facet'] ?? null),
            ];
    }

    /** @return list<Finding> whether it came in where the drawing lets it */
    private function traced(TestSaid $said, ?string $facet): array
    {
        if ($facet === null || ! isset($this->expected[$facet]) || $this->head->isSimulated) {
            return [];
        }
        $outcome = $this->expected[$facet];
        $isDry = in_array($outcome, [Outcome::Shed->value, Outcome::Recovered->value], true);

        return [$said->note($isDry ? 'water-elsewhere' : 'water-as-expected', compact('facet', 'outcome'))];
    }

    public function toArray(Words $words): array
    {
        $first = $this->first();

        return [
            'id' => $this->head->id,
            'kind' => $this->head->kind->value,
            'verdict' => $this->verdict()->value,
            'why' => $first === null ? $this->wrong() : [],
            'simulated' => $this->head->isSimulated,
            'rate_l_min_m2' => $this->rate(),
            'minutes' => $this->minutes(),
            'litres' => $this->flow === null ? null : $this->flow * $this->minutes(),
            'first_min' => $first['seen']['after'] ?? null,
            'expected' => $this->expected === null ? null : (object) $this->expected,
        ];
    }
}
