<?php

declare(strict_types=1);

namespace Apron\Judgement;

use Apron\Assembly\Assembly;
use Apron\Assembly\AssemblyKind;
use Apron\Assembly\DrainPath;
use Apron\Assembly\Exposure;
use Apron\Assembly\Layer;
use Apron\Assembly\Ply;
use Apron\Assembly\ThermalResistance;
use Apron\Brief\Brief;
use Apron\Budget\Deadline;
use Apron\Climate\Climate;
use Apron\Climate\Condition;
use Apron\Climate\HumidityClass;
use Apron\Climate\IndoorAir;
use Apron\Rules\Assessed;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Words;
use Apron\Vapour\AirPath;
use Apron\Vapour\Drying;
use Apron\Vapour\Gathering;
use Apron\Vapour\MoistureYear;
use Apron\Vapour\Path;
use Apron\Vapour\Profile;
use Apron\Vapour\SurfaceFactor;

/** One assembly under the brief of its project: figures and findings. What the brief does not say is left out. */
final class AssemblyAssessment implements Assessed
{
    public readonly ThermalResistance $heat;

    /** @var list<Profile> the coldest month, then each condition */
    public readonly array $profiles;

    public readonly ?MoistureYear $year;

    public readonly ?SurfaceFactor $surface;

    public readonly Path $path;

    public readonly AirPath $airPath;

    /** the air outside of it, or the ground; null where the project has none */
    public readonly ?Climate $climate;

    public readonly ?IndoorAir $indoors;

    /** @var list<Drying> of each thing that can hold water, where the airs are known */
    public readonly array $drying;

    /** @var list<Ply> what vapour meets, inside to outside, each facer for itself */
    public readonly array $plies;

    /** what the rain meets; null where it is no wall in the weather */
    public readonly ?Cladding $cladding;

    /** @var array<string, string> of the project: question => choice */
    public readonly array $schools;

    /** @var list<Finding>|null */
    private ?array $findings = null;

    /** @var list<Gathering>|null */
    private ?array $gatherings = null;

    public function __construct(Brief $brief, public readonly Assembly $assembly)
    {
        Deadline::check();
        $this->schools = $brief->schools;
        $this->heat = new ThermalResistance($assembly);
        $this->path = new Path($this->heat);
        $this->airPath = new AirPath($assembly, $this->heat);
        $this->climate = self::around($assembly, $brief->climate);
        $this->indoors = $assembly->indoors ?? $brief->indoors;
        $this->profiles = $this->profiles($assembly->soil === null ? $brief->conditions : []);
        [$climate, $indoors] = [$this->climate, $this->indoors];
        $known = $climate !== null && $indoors !== null;
        $this->year = $known ? new MoistureYear($this->path, $climate, $indoors) : null;
        $this->plies = $this->path->plies;
        $this->cladding = Cladding::of($assembly);
        $this->surface = $known ? new SurfaceFactor($this->heat, $climate, $indoors) : null;
        $this->drying = $known ? $this->drying($climate, $indoors) : [];
    }

    /** @return list<Finding> what every rule says of it */
    public function findings(): array
    {
        return $this->findings ??= Consequences::under(
            array_merge(...array_map(fn (Rule $rule): array => $rule->findings($this), Rules::all())),
        );
    }

    /** The months that its outer face meets: of the air, of the ground, or of the air under sun and sky. */
    private static function around(Assembly $assembly, ?Climate $climate): ?Climate
    {
        return $climate === null
            ? null
            : $assembly->soil?->months($climate) ??
                ($assembly->roofFace?->over($climate, $assembly->rse()) ?? $climate);
    }

    /** @return list<Gathering> zones that water gathers in over the year, inside to outside */
    public function gatherings(): array
    {
        return $this->gatherings ??=
            $this->climate === null || $this->indoors === null
                ? []
                : Gathering::all($this->finely($this->climate, $this->indoors));
    }

    /** The path of the assembly, or of one of its layers, in the project. */
    public function subject(?Layer $layer = null): string
    {
        return "assemblies/{$this->assembly->id}".($layer === null ? '' : "/layers/$layer->id");
    }

    /** How a layer dries; null where it holds no water, or the airs are not known. */
    public function dryingOf(int $layer): ?Drying
    {
        foreach ($this->drying as $drying) {
            if ($drying->run->has($layer)) {
                return $drying;
            }
        }

        return null;
    }

    /** The first month, 0 for January, in which the room’s humidity class had to be capped; null where none was. */
    public function cappedMonth(): ?int
    {
        $class = $this->indoors instanceof HumidityClass ? $this->indoors : null;
        foreach ($this->climate->months ?? [] as $m => $outdoors) {
            if ($class?->caps($outdoors) === true) {
                return $m;
            }
        }

        return null;
    }

    /**
     * @return array<string, mixed>|null the way of the water outside of the plane; layers by id
     */
    private function drain(): ?array
    {
        $path = DrainPath::of($this->assembly);

        return $path === null
            ? null
            : [
                'plane' => $this->assembly->layers[$path->plane]->id,
                'ways' => array_map(
                    fn (array $way): array => [
                        'layer' => $this->assembly->layers[$way['at']]->id,
                        'by' => $way['gap'] ? 'gap' : 'mat',
                        'blocked' => $way['blocked'],
                    ],
                    $path->ways,
                ),
                'planes' => $this->cladding->planes ?? 0,
                'out' => $path->out(),
            ];
    }

    /** @return array<string, mixed> as `apron-assessment/1` has it */
    public function toArray(?Words $words = null): array
    {
        $figures = [
            'id' => $this->assembly->id,
            'r_total_m2k_w' => $this->heat->total(),
            'u_w_m2k' => $this->heat->u(),
            'r_main_path_m2k_w' => $this->heat->mainPath,
            'r_upper_m2k_w' => $this->heat->upperLimit,
            'r_lower_m2k_w' => $this->heat->lowerLimit,
            'method' => $this->heat->method,
            'fasteners_add_u_w_m2k' => $this->heat->fastenersAddU,
            'gaps_add_u_w_m2k' => $this->heat->gapsAddU,
            'r_label_m2k_w' => $this->airPath->labelTotal + $this->assembly->rsi() + $this->assembly->rse(),
            'rain_adds_u_w_m2k' => $this->heat->rainAddsU,
            'bridges_add_u_w_m2k' => $this->heat->bridgesAddU,
            'u_overall_w_m2k' => $this->heat->overallU(),
            'r_effective_m2k_w' => $this->heat->overallU() === null ? null : 1 / $this->heat->overallU(),
            'lost_pct' => $this->heat->overallU() === null
                    ? null
                    : 100 * (1 - 1 / ($this->heat->overallU() * $this->heat->mainPath)),
            'bridges' => $this->heat->costs(),
            'films' => $this->assembly->films->value,
            'condensing_plane' => $this->airPath->interface,
            'exterior_share_pct' => $this->airPath->interface === null ? null : 100 * $this->airPath->share(),
            'rsi_m2k_w' => $this->assembly->rsi(),
            'rse_m2k_w' => $this->assembly->rse(),
            'thickness_mm' => $this->assembly->thicknessMm(),
            'drain' => $this->drain(),
            'layers' => array_map($this->layer(...), array_keys($this->assembly->layers)),
            'profiles' => array_map(fn (Profile $profile): array => $profile->toArray(), $this->profiles),
        ];
        if ($this->year !== null) {
            $figures['year'] = $this->year->toArray();
            $figures['gatherings'] = array_map(fn (Gathering $zone): array => $zone->toArray(), $this->gatherings());
            $figures['drying'] = array_map(fn (Drying $drying): array => $drying->toArray(), $this->drying);
        }
        if ($this->surface !== null) {
            $figures['surface'] = $this->surface->toArray();
        }

        return $figures;
    }

    /**
     * @param  list<Condition>  $conditions
     * @return list<Profile> the coldest month, then each condition
     */
    private function profiles(array $conditions): array
    {
        $profiles = [];
        if ($this->climate !== null && $this->indoors !== null) {
            $outdoors = $this->climate->months[$this->climate->coldest()];
            $air = $this->indoors->during($this->climate->coldest(), $outdoors);
            $profiles[] = new Profile(
                $this->path,
                'coldest month',
                $air['celsius'],
                $air['pressure'],
                $outdoors->celsius,
                $outdoors->vapourPressure(),
            );
        }
        foreach ($conditions as $condition) {
            $profiles[] = new Profile(
                $this->path,
                $condition->name,
                $condition->indoors->celsius,
                $condition->indoors->vapourPressure(),
                $condition->outdoors->celsius,
                $condition->outdoors->vapourPressure(),
            );
        }

        return $profiles;
    }

    /**
     * The same year in finer slices where water gathers inside of a layer and not only at its faces: there its amount
     * hangs on where the slices lie and on one conductivity for all of it, by some per cent.
     */
    private function finely(Climate $climate, IndoorAir $indoors): MoistureYear
    {
        $year = $this->year ?? throw new \LogicException('there is no year');
        $worth = RuleFigures::of('physics')->figure('worth_a_word_g_m2') / 1000;
        foreach (array_keys($year->accumulated) as $node) {
            if ($this->path->inside($node) === $this->path->outside($node) && $year->most() >= $worth) {
                return new MoistureYear(Path::fine($this->heat), $climate, $indoors);
            }
        }

        return $year;
    }

    /** @return list<Drying> */
    private function drying(Climate $climate, IndoorAir $indoors): array
    {
        $runs = $this->assembly->runs();
        $solid = RuleFigures::of('physics')->figure('solid_masonry_mm');
        // Rain that gets past the cladding runs down the water-resistive barrier, and behind it a window leaks into
        // the outermost thing that water harms.
        $wetted = null;
        foreach ($runs as $r => $run) {
            // Behind solid masonry there is no cladding for it to get past: the masonry soaks it up.
            $wetted = $run->thicknessMm > $solid && $run->material()->isReservoir() ? null : $wetted;
            $wetted = $this->assembly->kind === AssemblyKind::Wall && $run->material()->harmedByWater() ? $r : $wetted;
        }
        $soaked = $this->cladding?->soaks() === true;
        $drying = [];
        foreach ($runs as $r => $run) {
            if ($run->material()->holdsWater()) {
                $drying[] = new Drying(
                    $this->path,
                    $run,
                    $climate,
                    $indoors,
                    $r === $wetted && $this->assembly->soil === null
                        ? $this->assembly->exposure ?? new Exposure
                        : null,
                    $soaked,
                    $this->cladding?->drained === true && $this->cladding->planes > 0
                        ? RuleFigures::of('practice')->figure('leak_drained_share')
                        : 1.0,
                );
            }
        }

        return $drying;
    }

    /** @return array<string, mixed> */
    private function layer(int $index): array
    {
        $layer = $this->assembly->layers[$index];

        return [
            'id' => $layer->id,
            'r_m2k_w' => $this->heat->layers[$index] ?? null,
            'sd_m' => $layer->sd(),
            'permeance_ng_pa_s_m2' => $layer->permeance(),
            'vapour_class' => $layer->vapourClass()->value,
            'reckoned' => isset($this->heat->layers[$index]),
        ];
    }
}
