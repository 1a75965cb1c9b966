<?php

declare(strict_types=1);

namespace Apron\Plan;

use Apron\Assembly\Assembly;
use Apron\Assembly\AssemblyKind;
use Apron\Assembly\Control;
use Apron\Assembly\Layer;
use Apron\Building\Envelope;
use Apron\Building\Hole;
use Apron\Building\PartKind;
use Apron\Drafting\Uses;
use Apron\Material\Material;
use Apron\Rules\RuleFigures;

/**
 * A first plan of the walls of a building: of each block, layer after layer from what the water plane lies on outward;
 * openings are dressed on the plane, seen, and set before what lies outside of it. Days are areas by rates.
 */
final class Proposed
{
    /** @var list<Task> */
    private array $tasks = [];

    private function __construct(private readonly Envelope $envelope)
    {
    }

    /** @param  array<string, Assembly>  $assemblies  by id */
    public static function of(Envelope $envelope, array $assemblies, int $start): Plan
    {
        $proposed = new self($envelope);
        foreach ($envelope->building->blocks as $block) {
            $areas = [];
            foreach ($envelope->parts as $part) {
                $assembly = $assemblies[$part->assembly ?? ''] ?? null;
                if (
                    $part->block === $block->id &&
                    $part->kind === PartKind::Wall &&
                    $assembly?->kind === AssemblyKind::Wall
                ) {
                    $areas[$assembly->id] = ($areas[$assembly->id] ?? 0.0) + $part->net;
                }
            }
            foreach ($areas as $id => $area) {
                $proposed->wall($block->id, $assemblies[$id], $area);
            }
        }

        return new Plan($start, [1, 2, 3, 4, 5], [], $proposed->tasks);
    }

    private function wall(string $block, Assembly $assembly, float $area): void
    {
        $plane = null;
        foreach ($assembly->layers as $i => $layer) {
            $plane = in_array(Control::Water, $layer->controls, true) ? $i : $plane;
        }
        $name = "$block $assembly->id";
        $before = $under = null;
        // What the plane lies on is put up with it; framing and what is inside of it are others'.
        foreach (array_slice($assembly->layers, max(0, ($plane ?? 0) - 1), null, true) as $i => $layer) {
            $isAir = $layer->material->isAir();
            $task = new Task(
                "$block.$assembly->id.$i",
                ($isAir ? 'Strapping' : $layer->material->name).", $block",
                max(1, (int) ceil($area / $this->rate($layer, $i <=> ($plane ?? -1)))),
                $before === null ? [] : [new Wait($before)],
                $name,
                $isAir ? null : $layer->material->id,
                $under === null ? [] : [$under],
                needsDry: $layer->material->adhesive !== null,
            );
            $this->tasks[] = $task;
            $before = $under = $task->id;
            if ($i === $plane) {
                $before = $this->openings($block, $assembly, $name, $task->id) ?? $before;
            }
        }
    }

    /** The last task at the openings of a wall, on its plane; null where it has none. */
    private function openings(string $block, Assembly $assembly, string $area, string $plane): ?string
    {
        $count = count(
            array_filter(
                $this->envelope->holes,
                fn (Hole $hole): bool => $hole->block->id === $block &&
                    $this->envelope->parts[$hole->within]->assembly === $assembly->id,
            ),
        );
        if ($count === 0) {
            return null;
        }
        $days = fn (string $what): int => max(
            1,
            (int) ceil($count / (RuleFigures::of('plan')->cell('openings_day', $what, 'rate') ?? 1.0)),
        );
        $id = fn (string $what): string => "$block.$assembly->id.$what";
        $this->tasks[] = new Task(
            $id('dressed'),
            "Openings dressed, $block",
            $days('dressed'),
            [new Wait($plane)],
            $area,
        );
        $this->tasks[] = new Task(
            $id('seen'),
            "Pans seen, $block",
            1,
            [new Wait($id('dressed'))],
            $area,
            isHold: true,
        );
        $this->tasks[] = new Task($id('set'), "Units set, $block", $days('set'), [new Wait($id('seen'))], $area);

        return $id('set');
    }

    /** @param  int  $side  −1 inside of the water plane, 0 the plane, 1 outside of it */
    private function rate(Layer $layer, int $side): float
    {
        $material = $layer->material;
        $kind = match (true) {
            $material->isAir() => 'space',
            $material->family !== null && in_array($material->family->id, Uses::familiesOf('foam'), true) => 'board',
            $side < 0 => 'sheathing',
            $side === 0 => self::plane($material),
            default => $material->drains() ? 'sheet' : 'cladding',
        };

        return RuleFigures::of('plan')->cell('rates_m2_day', $kind, 'rate') ?? 1.0;
    }

    private static function plane(Material $material): string
    {
        return match (true) {
            $material->adhesive !== null => 'membrane',
            Uses::takes('fluid_material', $material) => 'fluid',
            Uses::takes('sheet_material', $material) => 'sheet',
            default => 'other',
        };
    }
}
