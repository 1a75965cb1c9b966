<?php

declare(strict_types=1);

namespace Apron\Cure;

use Apron\Assembly\Assembly;
use Apron\Assembly\AssemblyFormat;
use Apron\Assembly\Layer;
use Apron\Assembly\MetalFraming;
use Apron\Brief\Brief;
use Apron\Judgement\AssemblyAssessment;
use Apron\Material\Families;
use Apron\Material\Material;
use Apron\Material\Materials;
use Apron\Material\Role;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Rules\Words;

/**
 * What would make it pass: for one finding on an assembly, the smallest change of one thing that clears it and brings
 * no new fail or caution with it. Nothing is solved for: every candidate is assessed by the same functions as the
 * assembly itself.
 */
final class CureSearch
{
    /** Points of a curve; between two of them the root is halved. */
    private const POINTS = 25;

    private const FARTHEST_MM = 400.0;

    /** What another insulation must at least keep of the resistance. */
    private const AS_WARM = 0.9;

    /** Materials shown for one layer at most. */
    private const MOST_MATERIALS = 3;

    private readonly AssemblyAssessment $now;

    private readonly ?Measure $measure;

    /** @var array<string, true> codes of fails and cautions that it has already, by subject without the plane */
    private array $had = [];

    public function __construct(
        private readonly Brief $brief,
        private readonly Assembly $assembly,
        private readonly Finding $finding,
        private readonly Materials $materials,
    ) {
        $this->now = new AssemblyAssessment($brief, $assembly);
        $this->measure = Measure::behind($finding->code, $finding->discriminator, $this->now);
        foreach ($this->now->findings() as $had) {
            if ($had->severity->rank() <= Severity::Caution->rank()) {
                $this->had[self::family($had->code)] = true;
            }
        }
    }

    /** @return list<Cure> those that clear it first, each kind in the order of the smallest change */
    public function all(): array
    {
        $cures = [...$this->methods(), ...$this->thicknesses(), ...$this->permeances(), ...$this->materials()];
        usort($cures, fn (Cure $a, Cure $b): int => ($a->assembly === null) <=> ($b->assembly === null));

        return $cures;
    }

    /** @return array<string, mixed> the cures in their words, and the one figure they are drawn by */
    public function toArray(Words $words): array
    {
        $measure = $this->measure;

        return [
            'title' => $words->of($this->finding)['title'],
            'measure' => $measure === null
                    ? null
                    : [
                        'figure' => $measure->figure,
                        'title' => $words->text('figure.'.$measure->figure, 'title'),
                        'limit' => $measure->limit,
                        'limit_shown' => $words->figure($measure->figure, $measure->limit),
                        'above' => $measure->above,
                    ],
            'cures' => array_map(
                fn (Cure $cure): array => [
                    'kind' => $cure->kind->value,
                    'layer' => $cure->layer,
                    'title' => $words->text($cure->code(), 'title', $cure->figures),
                    'from' => $cure->from,
                    'to' => $cure->to,
                    'curve' => $cure->curve,
                    'content' => $cure->assembly === null ? null : AssemblyFormat::write($cure->assembly),
                ],
                $this->all(),
            ),
        ];
    }

    public function measure(): ?Measure
    {
        return $this->measure;
    }

    /** @return list<Cure> */
    private function methods(): array
    {
        $cures = [];
        foreach (
            in_array($this->finding->code, ['heat.method-out-of-range'], true) ? MetalFraming::cases() : [] as $method
        ) {
            foreach ($this->assembly->layers as $i => $layer) {
                if ($layer->framing === null || ! $layer->framing->material->isMetal()) {
                    continue;
                }
                $changed = $this->assembly->withLayer($i, $layer->framedWith($layer->framing->by($method)));
                $assessed = new AssemblyAssessment($this->brief, $changed);
                if ($assessed->heat->method === $method->value) {
                    $cures[] = new Cure(
                        CureKind::Method,
                        $layer->id,
                        [
                            'layer' => $layer->material->name,
                            'method' => $method->value,
                            'r_m2k_w' => (float) $assessed->heat->total(),
                        ],
                        null,
                        null,
                        [],
                        $changed,
                    );
                }
            }
        }

        return $cures;
    }

    /** @return list<Cure> */
    private function thicknesses(): array
    {
        $cures = [];
        // Outermost first: insulation outside of the structure is what usually cures, and costs no room.
        foreach (array_reverse(array_keys($this->assembly->reckonedLayers())) as $i) {
            $layer = $this->assembly->layers[$i];
            if ($layer->insulates() && count($cures) < 3) {
                $cures[] = $this->thickness($i, $layer);
            }
        }

        return $cures;
    }

    private function thickness(int $at, Layer $layer): Cure
    {
        $with = fn (float $mm): Assembly => $this->assembly->withLayer($at, $layer->changed(thicknessMm: $mm));
        $from = $layer->thicknessMm;
        $curve = [];
        for ($k = 0; $k < self::POINTS; $k++) {
            $mm =
                max(5.0, $from * 0.2) +
                ($k * ($from + self::FARTHEST_MM - max(5.0, $from * 0.2))) / (self::POINTS - 1);
            $curve[] = $this->point($mm, $with($mm));
        }
        // Thicker first; thinner only where no thicker one does, as with insulation inside of a cold wall.
        $to =
            $this->first(
                $from,
                array_values(array_filter($curve, fn (array $p): bool => $p['x'] > $from)),
                $with,
                0.5,
            ) ??
            $this->first(
                $from,
                array_reverse(array_values(array_filter($curve, fn (array $p): bool => $p['x'] < $from))),
                $with,
                0.5,
            );
        $whole = $to === null ? null : ($to > $from ? ceil($to) : floor($to));

        return new Cure(
            CureKind::Thickness,
            $layer->id,
            ['layer' => $layer->material->name, 'from_mm' => $from] + ($whole === null ? [] : ['to_mm' => $whole]),
            $from,
            $whole,
            $curve,
            $whole === null ? null : $with($whole),
        );
    }

    /** @return list<Cure> the permeance inside of the insulation, by a layer that is there or a retarder put in */
    private function permeances(): array
    {
        $inside = array_slice($this->assembly->layers, 0, $this->now->heat->insulationAt, true);
        $at = null;
        foreach ($inside as $i => $layer) {
            $sheet = $layer->material->vapourResistanceFactor === null && $layer->airLayer() === null;
            $at = $sheet && ($at === null || $layer->sd() > $this->assembly->layers[$at]->sd()) ? $i : $at;
        }
        $place = $at ?? ($inside === [] ? 0 : 1);
        $now = $at === null ? 50000.0 : $this->assembly->layers[$at]->permeance();
        $with = fn (float $permeance): Assembly => $this->withSheet($at, $place, self::sheet($permeance));
        $curve = [];
        for ($k = 0; $k < self::POINTS; $k++) {
            $permeance = 0.5 * 10 ** (($k * 4.3) / (self::POINTS - 1));
            $curve[] = $this->point($permeance, $with($permeance));
        }
        $tighter = array_reverse(array_values(array_filter($curve, fn (array $p): bool => $p['x'] < $now)));
        $to = $this->first(min($now, 1e4), $tighter, $with, 0.01, true);
        $open =
            $to === null && $at !== null
                ? $this->first(
                    $now,
                    array_values(array_filter($curve, fn (array $p): bool => $p['x'] > $now)),
                    $with,
                    0.01,
                    true,
                )
                : null;
        $limit = $to ?? $open;
        $retarder = $limit === null ? null : $this->retarder($limit, $to !== null, $at, $place);
        $figures = ['layer' => $at === null ? '' : $this->assembly->layers[$at]->material->name];
        if ($limit !== null) {
            $figures +=
                ['to_ng_pa_s_m2' => $limit] + ($retarder === null ? [] : ['material' => $retarder->material->name]);
        }

        return [
            new Cure(
                CureKind::Permeance,
                $at === null ? '' : $this->assembly->layers[$at]->id,
                $figures,
                $at === null ? null : $now,
                $limit,
                $curve,
                $retarder === null ? null : $this->withSheet($at, $place, $retarder->material),
            ),
        ];
    }

    /** @return list<Cure> other materials of the same role */
    private function materials(): array
    {
        $cures = [];
        foreach ($this->assembly->reckonedLayers() as $i => $layer) {
            $role = $layer->material->role();
            $passing = [];
            foreach ($role === null ? [] : $this->candidates() as $other) {
                if (
                    $other->id === $layer->material->id ||
                    $other->role() !== $role ||
                    $other->id === $layer->framing?->material->id
                ) {
                    continue;
                }
                $thickness =
                    $role === Role::Sheet ? $other->usualThicknessMm ?? $layer->thicknessMm : $layer->thicknessMm;
                $changed = $this->assembly->withLayer($i, $layer->changed($other, $thickness));
                $insulates = in_array($role, [Role::Board, Role::Cavity], true);
                if (
                    $insulates &&
                    $other->resistanceOf($thickness) <
                        self::AS_WARM * $layer->material->resistanceOf($layer->thicknessMm)
                ) {
                    continue;
                }
                if ($this->clears($changed)) {
                    $passing[] = [
                        'material' => $other,
                        'assembly' => $changed,
                        'far' => abs(
                            log(
                                $other->resistanceOf($thickness) /
                                    $layer->material->resistanceOf($layer->thicknessMm),
                            ),
                        ) +
                            abs(log($other->sdOf($thickness) / $layer->sd())) / 4,
                    ];
                }
            }
            usort($passing, fn (array $a, array $b): int => $a['far'] <=> $b['far']);
            foreach (array_slice($passing, 0, self::MOST_MATERIALS) as $row) {
                $cures[] = new Cure(
                    CureKind::Material,
                    $layer->id,
                    ['layer' => $layer->material->name, 'material' => $row['material']->name],
                    null,
                    null,
                    [],
                    $row['assembly'],
                );
            }
        }

        return $cures;
    }

    /** @return list<Material> the project's own first, then the catalogue */
    private function candidates(): array
    {
        $own = $this->materials->own;

        return [
            ...array_values($own),
            ...array_values(
                array_filter($this->materials->catalogue->all(), fn (Material $m): bool => ! isset($own[$m->id])),
            ),
        ];
    }

    /**
     * Where along a curve it first clears, to the given fineness: the point before it and the point itself, halved.
     *
     * @param  list<array{x: float, y: float, clears: bool}>  $points  in the order of growing change
     * @param  \Closure(float): Assembly  $with
     */
    private function first(float $from, array $points, \Closure $with, float $fine, bool $byRatio = false): ?float
    {
        $before = $from;
        foreach ($points as $point) {
            if (! $point['clears']) {
                $before = $point['x'];

                continue;
            }
            $clears = $point['x'];
            while ($byRatio ? abs(log($clears / $before)) > $fine : abs($clears - $before) > $fine) {
                $middle = $byRatio ? sqrt($clears * $before) : ($clears + $before) / 2;
                if ($this->clears($with($middle))) {
                    $clears = $middle;
                } else {
                    $before = $middle;
                }
            }

            return $clears;
        }

        return null;
    }

    /** @return array{x: float, y: float, clears: bool} */
    private function point(float $x, Assembly $assembly): array
    {
        $assessed = new AssemblyAssessment($this->brief, $assembly);

        return ['x' => $x, 'y' => $this->measure?->of($assessed) ?? 0.0, 'clears' => $this->clearsIn($assessed)];
    }

    private function clears(Assembly $assembly): bool
    {
        return $this->clearsIn(new AssemblyAssessment($this->brief, $assembly));
    }

    private function clearsIn(AssemblyAssessment $assessed): bool
    {
        $cured = self::family($this->finding->code);
        foreach ($assessed->findings() as $finding) {
            $family = self::family($finding->code);
            $matters =
                $finding->severity->rank() <= max(Severity::Caution->rank(), $this->finding->severity->rank());
            $same =
                $family === $cured &&
                $finding->severity->rank() <= $this->finding->severity->rank() &&
                ($finding->discriminator === '' || $finding->discriminator === $this->finding->discriminator);
            if (
                $same ||
                ($matters && $finding->severity->rank() <= Severity::Caution->rank() && ! isset($this->had[$family]))
            ) {
                return false;
            }
        }

        return true;
    }

    /** Where the water gathers may move with the change: the code without its place. */
    private static function family(string $code): string
    {
        return (string) preg_replace('/\.(interface|within)$/', '', $code);
    }

    private function withSheet(?int $at, int $place, Material $sheet): Assembly
    {
        if ($at !== null) {
            return $this->assembly->withLayer(
                $at,
                $this->assembly->layers[$at]->changed($sheet, $sheet->usualThicknessMm ?? 0.2),
            );
        }
        $layers = $this->assembly->layers;
        $taken = array_map(fn (Layer $layer): string => $layer->id, $layers);
        for ($id = 'retarder', $n = 2; in_array($id, $taken, true); $n++) {
            $id = "retarder.$n";
        }
        array_splice($layers, $place, 0, [
            new Layer($id, $sheet, $sheet->usualThicknessMm ?? 0.2, null, [], null, null, null),
        ]);

        return $this->assembly->withLayers($layers);
    }

    /** The catalogue's retarder nearest to the limit that clears when it is really built in. */
    private function retarder(float $limit, bool $tighter, ?int $at, int $place): ?Layer
    {
        $found = null;
        foreach ($this->materials->catalogue->all() as $material) {
            if ($material->role() !== Role::Retarder) {
                continue;
            }
            $permeance = Material::permeanceOfSd($material->sdOf($material->usualThicknessMm ?? 0.2));
            $fits = $tighter ? $permeance <= $limit * 1.0001 : $permeance >= $limit * 0.9999;
            $nearer = $found === null || abs(log($permeance / $limit)) < abs(log($found->permeance() / $limit));
            if ($fits && $nearer && $this->clears($this->withSheet($at, $place, $material))) {
                $found = new Layer(
                    'retarder',
                    $material,
                    $material->usualThicknessMm ?? 0.2,
                    null,
                    [],
                    null,
                    null,
                    null,
                );
            }
        }

        return $found;
    }

    private static function sheet(float $permeance): Material
    {
        return new Material(
            id: 'retarder',
            name: 'retarder',
            family: Families::all()['smart-film'],
            conductivity: null,
            resistance: 0.0005,
            vapourResistanceFactor: null,
            sd: null,
            permeance: $permeance,
            wetCup: null,
            permeanceCurve: null,
            conductivityCurve: null,
            density: null,
            specificHeat: null,
            sorptionCurve: null,
            freeSaturation: null,
            waterAbsorption: null,
            safeStore: null,
            airPermeance: null,
            shedsWater: null,
            backFamily: null,
            adhesive: null,
            usualThicknessMm: 0.2,
            source: Source::computed('a permeance tried'),
        );
    }
}
