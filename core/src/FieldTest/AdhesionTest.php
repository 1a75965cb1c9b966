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
 * Pulls: a dolly off a coat or a membrane in MPa, a tape or a strip peeled by hand in N/mm, the tail of a sealant in
 * per cent of its length. Each tells at what, and where it let go. A glue that lets go below what is asked tells
 * nothing, and above it tells that the bond holds as much; a sealant that comes off its side clean fails at any length.
 *
 * @phpstan-type Pull array{force: float|null, pulled: float|null, mode: FailureMode}
 */
final readonly class AdhesionTest extends TestSheet implements Assessed
{
    private const MOST_PULLS = 500;

    /** What each way of pulling asks for: the size that it is reckoned with, and what is asked. */
    private const WAYS = [
        'pull-off' => ['dolly_mm', 'least_mpa'],
        'peel' => ['width_mm', 'least_n_mm'],
        'tail' => ['gauge_mm', 'least_pct'],
    ];

    /**
     * @param  float  $size  mm: across the dolly, of the strip, of the tail before it is pulled
     * @param  float  $asked  MPa, N/mm, %
     * @param  list<Pull>  $pulls
     */
    public function __construct(
        TestHead $head,
        private string $by,
        private float $size,
        private float $asked,
        private array $pulls,
    ) {
        parent::__construct($head);
    }

    public static function read(Node $node, TestHead $head): self
    {
        $by = $node->get('by')->word(array_keys(self::WAYS));
        [$size, $asked] = self::WAYS[$by];
        $node->object([...TestHead::KEYS, 'by', $size, $asked, 'readings'], ['id', 'kind', $size, $asked, 'readings']);

        return new self(
            $head,
            $by,
            $node->get($size)->positive(1000.0, 'mm', 1.0),
            $node->get($asked)->positive(1e4, 'as asked', 0.001),
            array_map(
                fn (Node $row): array => self::pull($row, $by),
                $node->get('readings')->listOf(self::MOST_PULLS)->items(),
            ),
        );
    }

    /** @return Pull */
    private static function pull(Node $row, string $by): array
    {
        $key = $by === 'tail' ? 'pulled_mm' : 'force_n';
        $row->object([$key, 'mode'], [$key, 'mode']);
        $read = $row->get($key)->between(0.0, 1e6, $by === 'tail' ? 'mm' : 'N');

        return [
            'force' => $by === 'tail' ? null : $read,
            'pulled' => $by === 'tail' ? $read : null,
            'mode' => FailureMode::from($row->get('mode')->word(array_column(FailureMode::cases(), 'value'))),
        ];
    }

    public function write(): array
    {
        [$size, $asked] = self::WAYS[$this->by];

        return [
            'by' => $this->by,
            $size => $this->size,
            $asked => $this->asked,
            'readings' => array_map(
                fn (array $pull): array => Written::without([
                    'force_n' => $pull['force'],
                    'pulled_mm' => $pull['pulled'],
                    'mode' => $pull['mode']->value,
                ]),
                $this->pulls,
            ),
        ];
    }

    /**
     * MPa of a dolly, N/mm of a strip, % of a tail.
     *
     * @param  Pull  $pull
     */
    private function value(array $pull): float
    {
        return match ($this->by) {
            'pull-off' => ($pull['force'] ?? 0.0) / (M_PI * ($this->size / 2) ** 2),
            'peel' => ($pull['force'] ?? 0.0) / $this->size,
            default => 100 * (($pull['pulled'] ?? 0.0) / $this->size - 1),
        };
    }

    /** @return list<float> values of the pulls that tell something of the bond */
    private function told(): array
    {
        $told = [];
        foreach ($this->pulls as $pull) {
            $value = $this->value($pull);
            if ($pull['mode'] !== FailureMode::Glue || $value >= $this->asked) {
                $told[] = $value;
            }
        }

        return $told;
    }

    /** @return list<float> values of the pulls that failed */
    private function failed(): array
    {
        $failed = [];
        foreach ($this->pulls as $pull) {
            $value = $this->value($pull);
            $isClean = $this->by === 'tail' && $pull['mode'] === FailureMode::Adhesive;
            if ($isClean || ($pull['mode'] !== FailureMode::Glue && $value < $this->asked)) {
                $failed[] = $value;
            }
        }

        return $failed;
    }

    public function verdict(): TestVerdict
    {
        return match (true) {
            $this->failed() !== [] => TestVerdict::Fail,
            $this->wrong() !== [] => TestVerdict::NotValid,
            default => TestVerdict::Pass,
        };
    }

    /** @return list<string> */
    public function wrong(): array
    {
        return count($this->told()) < RuleFigures::of('tests')->figure('pulls') ? ['count'] : [];
    }

    public function findings(): array
    {
        $said = new TestSaid($this->head, Source::of(SourceKind::FromMemory, match ($this->by) {
            'pull-off' => 'ASTM D4541',
            'tail' => 'ASTM C1521',
            default => 'peel by hand',
        }));
        $failed = $this->failed();

        return $failed === []
            ? $said->notValid($this->wrong(), ['count' => count($this->told())])
            : [$said->failed([
                'count' => count($failed),
                'of' => count($this->pulls),
                'least' => round(min($failed), 3),
                'asked' => $this->asked,
                'by' => $this->by,
            ])];
    }

    public function toArray(Words $words): array
    {
        $told = $this->told();

        return [
            'id' => $this->head->id,
            'kind' => $this->head->kind->value,
            'verdict' => $this->verdict()->value,
            'why' => $this->failed() === [] ? $this->wrong() : [],
            'simulated' => $this->head->isSimulated,
            'values' => array_map($this->value(...), $this->pulls),
            'count' => count($told),
            'least' => $told === [] ? null : min($told),
            'mean' => $told === [] ? null : array_sum($told) / count($told),
            'out' => $this->pulls === [] ? null : count($this->failed()) / count($this->pulls),
        ];
    }
}
