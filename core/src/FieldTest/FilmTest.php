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
 * A dry film read in spots: the mean of the spots at least as asked, no spot under four fifths of it, as many spots as
 * the area wants. What was used over the area must agree with what was read.
 */
final readonly class FilmTest extends TestSheet implements Assessed
{
    private const MOST_SPOTS = 1000;

    /**
     * @param  float  $asked  µm, dry
     * @param  list<list<float>>  $spots  µm
     */
    public function __construct(
        TestHead $head,
        private float $asked,
        private float $area,
        private array $spots,
        private ?float $used = null,
        private ?float $solidsPct = null,
    ) {
        parent::__construct($head);
    }

    public static function read(Node $node, TestHead $head): self
    {
        $node->object(
            [...TestHead::KEYS, 'least_um', 'area_m2', 'spots', 'used_l', 'solids_pct'],
            ['id', 'kind', 'least_um', 'area_m2', 'spots'],
        );

        return new self(
            $head,
            $node->get('least_um')->positive(1e5, 'µm', 1.0),
            $node->get('area_m2')->positive(1e6, 'm²', 0.01),
            array_map(
                fn (Node $spot): array => array_map(
                    fn (Node $um): float => $um->between(0.0, 1e5, 'µm'),
                    $spot->listOf(50)->items(1),
                ),
                $node->get('spots')->listOf(self::MOST_SPOTS)->items(),
            ),
            $node->optional('used_l')?->positive(1e6, 'L', 0.01),
            $node->optional('solids_pct')?->between(1.0, 100.0, '%'),
        );
    }

    public function write(): array
    {
        return ['least_um' => $this->asked, 'area_m2' => $this->area, 'spots' => $this->spots] + Written::without([
            'used_l' => $this->used,
            'solids_pct' => $this->solidsPct,
        ]);
    }

    /** @return list<float> the mean of each spot, µm */
    private function means(): array
    {
        return array_map(fn (array $spot): float => array_sum($spot) / max(1, count($spot)), $this->spots);
    }

    private function mean(): float
    {
        $means = $this->means();

        return $means === [] ? 0.0 : array_sum($means) / count($means);
    }

    private function isThin(): bool
    {
        $means = $this->means();
        $share = RuleFigures::of('tests')->figure('spot_share');

        return $means !== [] && ($this->mean() < $this->asked - 1e-9 || min($means) < $share * $this->asked - 1e-9);
    }

    /** µm of dry film that what was used leaves: a litre is a millimetre on a square metre */
    private function byUse(): ?float
    {
        $solids = $this->solidsPct ?? 100 * RuleFigures::of('coats')->figure('solids_share');

        return $this->used === null ? null : (1000 * $this->used * $solids) / 100 / $this->area;
    }

    public function verdict(): TestVerdict
    {
        return match (true) {
            $this->isThin() => TestVerdict::Fail,
            $this->wrong() !== [] => TestVerdict::NotValid,
            default => TestVerdict::Pass,
        };
    }

    /** @return list<string> */
    public function wrong(): array
    {
        $figures = RuleFigures::of('tests');
        $areas = max(1, (int) ceil($this->area / $figures->figure('spot_m2') - 1e-9));
        $read = array_filter($this->spots, fn (array $s): bool => count($s) >= $figures->figure('spot_readings'));
        $byUse = $this->byUse();
        $off = $byUse === null || $this->spots === [] ? 0.0 : abs($this->mean() - $byUse) / $byUse;

        return array_keys(array_filter([
            'count' => count($read) < $areas * $figures->figure('spots'),
            'used' => $off > $figures->figure('use_share'),
        ]));
    }

    public function findings(): array
    {
        $said = new TestSaid($this->head, Source::of(SourceKind::FromMemory, 'SSPC-PA 2'));
        $means = $this->means();
        $figures = [
            'count' => count($means),
            'mean_um' => round($this->mean()),
            'least_um' => $means === [] ? 0.0 : round(min($means)),
            'asked_um' => $this->asked,
            'use_um' => round($this->byUse() ?? 0.0),
        ];

        return $this->isThin() ? [$said->failed($figures)] : $said->notValid($this->wrong(), $figures);
    }

    public function toArray(Words $words): array
    {
        $means = $this->means();

        return [
            'id' => $this->head->id,
            'kind' => $this->head->kind->value,
            'verdict' => $this->verdict()->value,
            'why' => $this->isThin() ? [] : $this->wrong(),
            'simulated' => $this->head->isSimulated,
            'values' => $means,
            'spots' => count($means),
            'least' => $means === [] ? null : min($means),
            'mean' => $means === [] ? null : $this->mean(),
            'by_use_um' => $this->byUse(),
        ];
    }
}
