<?php

declare(strict_types=1);

namespace Apron\Sealant;

use Apron\Rules\Severity;

/** A fluid coat: what to lay wet for what must be there dry, and how readings of it are judged. */
final readonly class WetFilm
{
    /** @param  float  $solids  share of the volume that stays, 0 to 1 */
    public function __construct(public float $dryMm, public float $solids)
    {
        if ($dryMm <= 0 || $solids <= 0 || $solids > 1) {
            throw new \InvalidArgumentException(
                "a film above 0 mm and solids above 0 and up to 1, not $dryMm mm and $solids",
            );
        }
    }

    /** Wet film in mm: dry film over volume solids. */
    public function wetMm(): float
    {
        return $this->dryMm / $this->solids;
    }

    /** m² a litre covers: a litre is 1 m² a millimetre thick (1 US gal covers 1604 ft² at 1 mil). */
    public function coverage(): float
    {
        return 1 / $this->wetMm();
    }

    /** Litres for an area in m², with a share lost. */
    public function litres(float $area, float $loss = 0.0): float
    {
        return $area / $this->coverage() / (1 - $loss);
    }

    /**
     * Readings of the wet film against the target: fails below four fifths anywhere or a mean short of it; a caution
     * where more than one in five falls short (common practice; the maker's own rule wins).
     *
     * @param  non-empty-list<float>  $readings  mm
     * @return array{least_mm: float, mean_mm: float, short_share: float, severity: Severity}
     */
    public function judge(array $readings): array
    {
        $target = $this->wetMm();
        $mean = array_sum($readings) / count($readings);
        $short = count(array_filter($readings, fn (float $mm): bool => $mm < $target)) / count($readings);
        $severity = match (true) {
            min($readings) < 0.8 * $target, $mean < $target => Severity::Fail,
            $short > 0.2 => Severity::Caution,
            default => Severity::Pass,
        };

        return ['least_mm' => min($readings), 'mean_mm' => $mean, 'short_share' => $short, 'severity' => $severity];
    }
}
