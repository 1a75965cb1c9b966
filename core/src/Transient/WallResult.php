<?php

declare(strict_types=1);

namespace Apron\Transient;

use Apron\Budget\TakesTooLong;
use Apron\Climate\Climate;
use Apron\Climate\IndoorAir;
use Apron\Rules\RuleFigures;

/** What an assembly comes to after years of hours: figures that can be kept, sent and drawn, without the machine. */
final class WallResult
{
    /**
     * @param  list<array{layer: string, water_kg_m2: list<float>, moisture_pct_max: float|null,
     *   moisture_pct_last_year: float|null, frost_cycles: int}>  $layers
     * @param  list<array{interface: int, position_mm: float, mould_index_max: float, mould_class: string,
     *   hours_over_80: int, hours_rusting: int, mould_index: list<float>}>  $interfaces
     * @param  list<float>  $water  kg/m² of all of it, at the beginning and at the end of each year
     * @param  array{depths_mm: list<float>, hours: int, frames: list<list<array{float, float}>>}  $picture
     */
    private function __construct(
        public readonly array $layers,
        public readonly array $interfaces,
        public readonly array $water,
        public readonly ?int $steadyAfter,
        public readonly float $error,
        public readonly float $heatError,
        public readonly ?float $facing,
        public readonly float $rain,
        public readonly int $years,
        public readonly ?string $cut,
        public readonly array $picture,
        public readonly ?string $hoursOf,
    ) {
    }

    /**
     * @param  (callable(int, Memory): void)|null  $told  after each year: how many are done, and what it takes to go on
     *   from there
     */
    public static function of(
        WallRun $run,
        Climate $climate,
        IndoorAir $indoors,
        ?callable $told = null,
        ?Memory $from = null,
    ): self {
        $weather = new Weather($run->assembly, $climate, $indoors, $run->facing);
        $march = new WallMarch($run, $weather);
        $water = [$march->water()];
        [$cut, $steady] = [null, null];
        if ($from !== null) {
            $march->remember($from);
            [$water, $steady] = [$from->water, $from->steady];
        }
        $same = RuleFigures::of('transient')->figure('same_pct') / 100;
        for ($year = count($water); $year <= $run->years; $year++) {
            try {
                $march->year();
            } catch (TakesTooLong $long) {
                $cut = $long->more;

                break;
            }
            $water[] = $march->water();
            [$before, $now] = array_slice($water, -2);
            $steady ??= abs($now - $before) <= $same * max($now, 0.01) ? $year : null;
            if ($told !== null) {
                $told($year, $march->memory($water, $steady));
            }
        }

        return new self(
            self::layersOf($run, $march),
            self::interfacesOf($march),
            $water,
            $steady,
            $march->error(),
            $march->heatError(),
            $weather->facing,
            array_sum($weather->rain),
            count($water) - 1,
            $cut,
            [
                'depths_mm' => array_map(fn (float $m): float => round(1000 * $m, 2), $march->slab->depth),
                'hours' => WallMarch::PICTURE_HOURS,
                'frames' => $march->picture,
            ],
            $weather->of,
        );
    }

    /**
     * @return list<array{layer: string, water_kg_m2: list<float>, moisture_pct_max: float|null,
     *   moisture_pct_last_year: float|null, frost_cycles: int}>
     */
    private static function layersOf(WallRun $run, WallMarch $march): array
    {
        $rows = [];
        foreach ($run->assembly->layers as $n => $layer) {
            $density = $layer->airLayer() === null && $march->slab->nodesOf[$n] !== null
                ? $layer->material->density
                : null;
            $rows[] = [
                'layer' => $layer->id,
                'water_kg_m2' => $march->months[$n],
                'moisture_pct_max' => $density === null ? null : (100 * $march->wettest[$n]) / $density,
                'moisture_pct_last_year' => $density === null ? null : (100 * $march->wettestLately[$n]) / $density,
                'frost_cycles' => $march->frosts[$n],
            ];
        }

        return $rows;
    }

    /**
     * @return list<array{interface: int, position_mm: float, mould_index_max: float, mould_class: string,
     *   hours_over_80: int, hours_rusting: int, mould_index: list<float>}>
     */
    private static function interfacesOf(WallMarch $march): array
    {
        $rows = [];
        foreach ($march->mould as $j => $mould) {
            $rows[] = [
                'interface' => $j,
                'position_mm' => 1000 * $march->slab->boundaries[$j],
                'mould_index_max' => $mould->most,
                'mould_class' => $mould->class->value,
                'hours_over_80' => $march->damp[$j],
                'hours_rusting' => $march->rusting[$j],
                'mould_index' => array_map(fn (array $all): float => round($all[$j], 4), $march->grown),
            ];
        }

        return $rows;
    }
}
