<?php

declare(strict_types=1);

namespace Apron\Cure;

use Apron\Assembly\AirLayer;
use Apron\Assembly\Assembly;
use Apron\Assembly\Control;
use Apron\Assembly\Layer;
use Apron\Brief\Brief;
use Apron\Judgement\AssemblyAssessment;
use Apron\Material\Material;
use Apron\Material\Materials;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;

/**
 * What changes are tried on: an assembly, one finding on it, and whether it is cleared. Every candidate is assessed
 * whole, by the same rules as the assembly itself.
 */
final class Trial
{
    private const INCH = 25.4;

    public readonly AssemblyAssessment $now;

    public readonly ?Measure $measure;

    /** @var array<string, int> how bad what it has already is, fails and cautions, by code without its place */
    private array $had = [];

    public function __construct(
        private readonly Brief $brief,
        public readonly Assembly $assembly,
        public readonly Finding $finding,
        private readonly Materials $materials,
    ) {
        $this->now = new AssemblyAssessment($brief, $assembly);
        $this->measure = Measure::behind($finding, $this->now);
        foreach ($this->now->findings() as $had) {
            if (self::tells($had)) {
                $family = self::family($had);
                $this->had[$family] = min($this->had[$family] ?? PHP_INT_MAX, $had->severity->rank());
            }
        }
    }

    public function assessed(Assembly $assembly): AssemblyAssessment
    {
        return new AssemblyAssessment($this->brief, $assembly);
    }

    /** Whether the finding is gone, nothing worse has come, and no insulation has been taken away. */
    public function clears(AssemblyAssessment $assessed): bool
    {
        $keeps = RuleFigures::of('cures')->figure('keeps_r');
        if ($assessed->heat->mainPath < $keeps * $this->now->heat->mainPath) {
            return false;
        }
        foreach ($assessed->findings() as $finding) {
            if (! self::tells($finding)) {
                continue;
            }
            $family = self::family($finding);
            $same =
                $family === self::family($this->finding) &&
                ($finding->discriminator === '' || $finding->discriminator === $this->finding->discriminator);
            if ($same || $finding->severity->rank() < ($this->had[$family] ?? PHP_INT_MAX)) {
                return false;
            }
        }

        return true;
    }

    /** Vapour comes from outdoors over the year: a cooled room, a cold store, a freezer. */
    public function fromOutdoors(): bool
    {
        return $this->now->year?->fromOutdoors() === true;
    }

    /** @return list<Material> those of a list of the trade that there are, the project's own before the catalogue's */
    public function materials(string $list): array
    {
        return $this->named(RuleFigures::of('cures')->list($list));
    }

    /**
     * @param  list<string>  $ids
     * @return list<Material>
     */
    public function named(array $ids): array
    {
        return array_values(array_filter(array_map($this->materials->find(...), $ids)));
    }

    /** @return list<float> mm that boards are sold in, in the project's units */
    public function sold(): array
    {
        $figures = RuleFigures::of('cures');

        return $this->brief->units === UnitSystem::SI
            ? $figures->numbers('sold_mm')
            : array_map(fn (float $inch): float => $inch * self::INCH, $figures->numbers('sold_in'));
    }

    /**
     * The assembly with a layer put in before another; at the end, after the last.
     *
     * @param  list<Control>  $controls
     */
    public static function with(
        Assembly $assembly,
        int $at,
        Material $material,
        ?float $thicknessMm = null,
        ?AirLayer $air = null,
        array $controls = [],
    ): Assembly {
        $layers = $assembly->layers;
        $taken = array_map(fn (Layer $layer): string => $layer->id, $layers);
        for ($n = count($layers) + 1; in_array("l$n", $taken, true); $n++) {
        }
        $mm = $thicknessMm ?? $material->usualThicknessMm ?? 1.0;
        array_splice($layers, $at, 0, [new Layer("l$n", $material, $mm, null, $controls, null, $air, null)]);

        return $assembly->withLayers($layers);
    }

    private static function tells(Finding $finding): bool
    {
        return $finding->severity->rank() <= Severity::Caution->rank();
    }

    /** Where the water gathers may move with the change, and one word for too much be another: the code up to that. */
    private static function family(Finding $finding): string
    {
        return (string) preg_replace(
            ['/\.(interface|within)(\.inward)?$/', '/^year\..*$/', '/^humid\..*$/'],
            ['', 'year', 'humid'],
            $finding->code,
        );
    }
}
