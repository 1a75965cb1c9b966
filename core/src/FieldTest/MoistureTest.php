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

/**
 * Moisture of wood by pins before it is covered. A pin meter is set for one wood at about 21 °C: cold wood reads dry,
 * warm wood wet, and other woods otherwise; the book of the meter says by how much.
 */
final readonly class MoistureTest extends TestSheet implements Assessed
{
    private const MOST_READINGS = 2000;

    /** @param  list<float>  $readings  %, as the meter shows them */
    public function __construct(
        TestHead $head,
        private string $of,
        private float $celsius,
        private float $most,
        private array $readings,
        private ?string $species = null,
        private float $speciesAdd = 0.0,
    ) {
        parent::__construct($head);
    }

    public static function read(Node $node, TestHead $head): self
    {
        $node->object(
            [...TestHead::KEYS, 'of', 'wood_c', 'most_pct', 'readings', 'species', 'species_add_pct'],
            ['id', 'kind', 'of', 'wood_c', 'readings'],
        );

        return new self(
            $head,
            $node->get('of')->word(['lumber', 'sheathing', 'timber', 'gypsum', 'masonry', 'concrete']),
            $node->get('wood_c')->between(-40.0, 80.0, '°C'),
            $node->optional('most_pct')?->between(1.0, 100.0, '%') ?? RuleFigures::of('tests')->figure('pin_most_pct'),
            array_map(
                fn (Node $pct): float => $pct->between(0.0, 200.0, '%'),
                $node->get('readings')->listOf(self::MOST_READINGS)->items(),
            ),
            $node->optional('species')?->text(),
            $node->optional('species_add_pct')?->between(-20.0, 20.0, '%') ?? 0.0,
        );
    }

    public function write(): array
    {
        return ['of' => $this->of, 'wood_c' => $this->celsius, 'readings' => $this->readings] + Written::without([
            'most_pct' => $this->most === RuleFigures::of('tests')->figure('pin_most_pct') ? null : $this->most,
            'species' => $this->species,
            'species_add_pct' => $this->speciesAdd === 0.0 ? null : $this->speciesAdd,
        ]);
    }

    /**
     * What a reading stands for at the temperature of the wood (Pfaff and Garrahan, Forest Products Journal 36 (3),
     * 1986, from memory): below 0 °C the pins read ice.
     *
     * @param  float  $read  %
     * @param  float  $celsius  of the wood
     */
    public static function atTemperature(float $read, float $celsius): float
    {
        return ($read + 0.567 - 0.026 * $celsius + 0.000051 * $celsius ** 2) / (0.881 * 1.0056 ** $celsius);
    }

    /** @return list<float> % */
    private function corrected(): array
    {
        return array_map(
            fn (float $read): float => self::atTemperature($read, $this->celsius) + $this->speciesAdd,
            $this->readings,
        );
    }

    private function isWet(): bool
    {
        return $this->isWood() && $this->celsius > 0 && max(0.0, ...$this->corrected()) > $this->most;
    }

    private function isWood(): bool
    {
        return RuleFigures::of('tests')->lists('woods', $this->of);
    }

    public function verdict(): TestVerdict
    {
        return match (true) {
            $this->isWet() => TestVerdict::Fail,
            $this->wrong() !== [] => TestVerdict::NotValid,
            default => TestVerdict::Pass,
        };
    }

    /** @return list<string> */
    public function wrong(): array
    {
        return array_keys(array_filter([
            'material' => ! $this->isWood(),
            'frozen' => $this->celsius <= 0,
            'count' => count($this->readings) < RuleFigures::of('tests')->figure('pins'),
        ]));
    }

    public function findings(): array
    {
        $said = new TestSaid($this->head, Source::of(SourceKind::FromMemory, 'ASTM D4444; Pfaff and Garrahan 1986'));
        $corrected = $this->corrected();
        $figures = [
            'count' => count($corrected),
            'found' => $corrected === [] ? 0.0 : round(max($corrected), 1),
            'most' => $this->most,
            'wood_c' => $this->celsius,
        ];

        return $this->isWet() ? [$said->failed($figures)] : $said->notValid($this->wrong(), $figures);
    }

    public function toArray(Words $words): array
    {
        $corrected = $this->corrected();
        [$dry, $wet] = RuleFigures::of('tests')->numbers('pin_range_pct');
        $sure = array_filter($this->readings, fn (float $pct): bool => $pct >= $dry && $pct <= $wet);

        return [
            'id' => $this->head->id,
            'kind' => $this->head->kind->value,
            'verdict' => $this->verdict()->value,
            'why' => $this->isWet() ? [] : $this->wrong(),
            'simulated' => $this->head->isSimulated,
            'values' => $corrected,
            'count' => count($corrected),
            'least' => $corrected === [] ? null : min($corrected),
            'mean' => $corrected === [] ? null : array_sum($corrected) / count($corrected),
            'most' => $corrected === [] ? null : max($corrected),
            'unsure' => count($corrected) - count($sure),
        ];
    }
}
