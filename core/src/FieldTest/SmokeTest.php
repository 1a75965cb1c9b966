<?php

declare(strict_types=1);

namespace Apron\FieldTest;

use Apron\Json\Node;
use Apron\Json\Written;
use Apron\Rules\Assessed;
use Apron\Rules\RuleFigures;
use Apron\Rules\Source;
use Apron\Rules\SourceKind;
use Apron\Rules\Words;

/** Leaks looked for with smoke or by infrared while a fan holds a pressure, each at its joint. */
final readonly class SmokeTest extends TestSheet implements Assessed
{
    private const MOST_PLACES = 2000;

    /**
     * @param  float  $pressure  Pa, inside less outside
     * @param  list<string>  $lookedAt  joints and parts
     * @param  list<Leak>  $leaks
     */
    public function __construct(
        TestHead $head,
        private bool $byInfrared,
        private float $pressure,
        private array $lookedAt,
        private array $leaks,
        private ?float $indoors = null,
        private ?float $outdoors = null,
    ) {
        parent::__construct($head);
    }

    public static function read(Node $node, TestHead $head): self
    {
        $node->object([
            ...TestHead::KEYS, 'by', 'pressure_pa', 'looked_at', 'leaks', 'indoor_c', 'outdoor_c',
        ], ['id', 'kind', 'by', 'pressure_pa']);

        return new self(
            $head,
            $node->get('by')->word(['smoke', 'infrared']) === 'infrared',
            $node->get('pressure_pa')->between(-500.0, 500.0, 'Pa'),
            array_map(
                fn (Node $place): string => $place->text(400),
                $node->optional('looked_at')?->listOf(self::MOST_PLACES)->items() ?? [],
            ),
            array_map(Leak::read(...), $node->optional('leaks')?->listOf(self::MOST_PLACES)->items() ?? []),
            $node->optional('indoor_c')?->between(-60.0, 60.0, '°C'),
            $node->optional('outdoor_c')?->between(-60.0, 60.0, '°C'),
        );
    }

    public function write(): array
    {
        return ['by' => $this->byInfrared ? 'infrared' : 'smoke', 'pressure_pa' => $this->pressure] +
            Written::without([
                'looked_at' => $this->lookedAt,
                'leaks' => array_map(fn (Leak $leak): array => $leak->write(), $this->leaks),
                'indoor_c' => $this->indoors,
                'outdoor_c' => $this->outdoors,
            ]);
    }

    public function verdict(): TestVerdict
    {
        return match (true) {
            $this->leaks !== [] => TestVerdict::Fail,
            $this->wrong() !== [] => TestVerdict::NotValid,
            default => TestVerdict::Pass,
        };
    }

    /** @return list<string> why seeing nothing proves nothing, by code */
    public function wrong(): array
    {
        $figures = RuleFigures::of('tests');
        $difference = $this->indoors === null || $this->outdoors === null ? 0.0 : abs($this->indoors - $this->outdoors);

        return array_keys(array_filter([
            'pressure' => abs($this->pressure) < $figures->figure('smoke_pa'),
            'difference' => $this->byInfrared && $difference < $figures->figure('infrared_k'),
            'places' => $this->lookedAt === [],
        ]));
    }

    public function findings(): array
    {
        $said = new TestSaid($this->head, Source::of(SourceKind::FromMemory, 'ASTM E1186'));
        $places = array_unique(array_map(fn (Leak $leak): string => $leak->joint ?? $leak->words, $this->leaks));

        return $this->leaks === []
            ? $said->notValid($this->wrong(), ['pa' => abs($this->pressure)])
            : [$said->failed(['count' => count($this->leaks), 'places' => implode(', ', array_slice($places, 0, 5))])];
    }

    public function toArray(Words $words): array
    {
        return [
            'id' => $this->head->id,
            'kind' => $this->head->kind->value,
            'verdict' => $this->verdict()->value,
            'why' => $this->leaks === [] ? $this->wrong() : [],
            'simulated' => $this->head->isSimulated,
            'leaks' => count($this->leaks),
            'looked_at' => count($this->lookedAt),
        ];
    }
}
