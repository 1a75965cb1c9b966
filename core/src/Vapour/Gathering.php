<?php

declare(strict_types=1);

namespace Apron\Vapour;

use Apron\Assembly\Ply;
use Apron\Assembly\Run;
use Apron\Rules\RuleFigures;

/**
 * A zone that water gathers in over the year: all planes at the faces of and inside of the same layers, taken
 * together, so that nothing hangs on how finely a layer was sliced or drawn. What it may hold is what the most tender
 * thing in it bears (DIN 4108-3, from memory).
 */
final readonly class Gathering
{
    /** @var list<int> its nodes, inside to outside */
    public array $nodes;

    /** kg/m² at its wettest month's end, all planes together */
    public float $peak;

    /** kg/m² left when the year is round */
    public float $residue;

    /** the node that holds most */
    public int $wettest;

    /** kg/m² that it may hold for a while */
    public float $bears;

    /** kg/m² of what lies at the faces of and in what bears least; the peak where nothing in it is tender */
    public float $borne;

    /** in whose nodes it is said */
    public Path $path;

    /** what bears least; null where only the common limit holds */
    public ?Run $tender;

    /** @var list<int> months in which it grows, 0 for January, in the order of its year */
    public array $wets;

    /**
     * @param  non-empty-list<int>  $nodes
     * @param  list<array{Run, float}>  $tenders
     */
    private function __construct(MoistureYear $year, array $nodes, array $tenders)
    {
        $this->path = $year->path;
        $this->nodes = $nodes;
        $series = self::sum($year, $nodes);
        $this->peak = max($series);
        $this->residue = end($series);
        $wettest = $nodes[0];
        foreach ($nodes as $node) {
            $wettest = $year->peak($node) > $year->peak($wettest) ? $node : $wettest;
        }
        $this->wettest = $wettest;
        $wets = [];
        foreach ($series as $k => $held) {
            if ($held > ($series[$k - 1] ?? 0.0) + 1e-6) {
                $wets[] = ((int) $year->startingMonth + $k) % 12;
            }
        }
        $this->wets = $wets;
        [$this->bears, $this->borne, $this->tender] = $this->limit($year, $wettest, $tenders);
    }

    /** @return list<self> inside to outside */
    public static function all(MoistureYear $year): array
    {
        $zones = $zone = [];
        $nodes = array_keys($year->accumulated);
        $tenders = $nodes === [] ? [] : self::tenders($year->path);
        foreach ($nodes as $node) {
            if ($zone !== [] && ! self::joined($year->path, $zone[count($zone) - 1], $node)) {
                $zones[] = new self($year, $zone, $tenders);
                $zone = [];
            }
            $zone[] = $node;
        }
        if ($zone !== []) {
            $zones[] = new self($year, $zone, $tenders);
        }

        return $zones;
    }

    /** @return list<array{Run, float}> what water harms, and kg/m² that it bears */
    private static function tenders(Path $path): array
    {
        $tenders = [];
        foreach ($path->assembly->runs() as $run) {
            $bears = $run->bears();
            if ($bears !== null) {
                $tenders[] = [$run, $bears];
            }
        }

        return $tenders;
    }

    public function tooMuch(): bool
    {
        return $this->borne > $this->bears;
    }

    /** What is left grows every year, and comes to what it may hold within the life of the wall. */
    public function accumulates(): bool
    {
        $physics = RuleFigures::of('physics');
        $may = $this->tender === null ? $physics->figure('gathers_most_g_m2') / 1000 : $this->bears;

        return $this->residue * $physics->figure('life_years') > $may;
    }

    /** Anything that anybody would ever see. */
    public function worthAWord(): bool
    {
        return $this->peak * 1000 >= RuleFigures::of('physics')->figure('worth_a_word_g_m2');
    }

    /** The middle of the months in which it grows is in the half of the year with the warmer air outside. */
    public function inSummer(): bool
    {
        $warm = array_filter($this->wets, fn (int $month): bool => $month >= 4 && $month <= 9);

        return count($warm) * 2 > count($this->wets);
    }

    /**
     * Whether two planes belong together: they are neighbours, or the same layers' faces.
     */
    private static function joined(Path $path, int $inner, int $outer): bool
    {
        for ($node = $inner + 1; $node < $outer; $node++) {
            [$inside, $outside] = [$path->inside($node), $path->outside($node)];
            if ($inside?->layer->material->id !== $outside?->layer->material->id) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  list<int>  $nodes
     * @return non-empty-array<int, float> kg/m² at the end of each month from the starting one
     */
    private static function sum(MoistureYear $year, array $nodes): array
    {
        $series = array_fill(0, 12, 0.0);
        foreach ($nodes as $node) {
            foreach ($year->accumulated[$node] as $k => $held) {
                $series[$k] += $held;
            }
        }

        return $series;
    }

    /**
     * The common limit, lower where a face at the wettest plane takes up no water; and for each layer of wood, board
     * or gypsum that it touches what that layer bears, against the water at its faces and in it.
     *
     * @param  list<array{Run, float}>  $tenders
     * @return array{float, float, Run|null}
     */
    private function limit(MoistureYear $year, int $wettest, array $tenders): array
    {
        $physics = RuleFigures::of('physics');
        $path = $year->path;
        $takesUp = fn (?Ply $ply): bool => $ply === null || $ply->family() === null || $ply->family()->holdsWater;
        $soaked = $takesUp($path->inside($wettest)) && $takesUp($path->outside($wettest));
        $bears = $physics->figure($soaked ? 'gathers_most_g_m2' : 'gathers_most_on_tight_g_m2') / 1000;
        [$borne, $tender] = [$this->peak, null];
        foreach ($tenders as [$run, $most]) {
            $at = array_values(array_filter($this->nodes, fn (int $node): bool => self::touches($path, $node, $run)));
            $held = $at === [] ? 0.0 : max(self::sum($year, $at));
            if ($held / $most > $borne / $bears) {
                [$bears, $borne, $tender] = [$most, $held, $run];
            }
        }

        return [$bears, $borne, $tender];
    }

    /** Whether a plane is in a material or at a face of it that no facer covers. */
    private static function touches(Path $path, int $node, Run $run): bool
    {
        foreach ([$path->inside($node), $path->outside($node)] as $ply) {
            if ($ply !== null && $ply->facer === null && $run->has($ply->at)) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, mixed> as `apron-assessment/1` has it */
    public function toArray(): array
    {
        return [
            'peak_g_m2' => 1000 * $this->peak,
            'residue_g_m2' => 1000 * $this->residue,
            'bears_g_m2' => 1000 * $this->bears,
            'borne_g_m2' => 1000 * $this->borne,
            'tender' => $this->tender?->layer->id,
            'months' => array_map(fn (int $month): int => $month + 1, $this->wets),
        ];
    }
}
