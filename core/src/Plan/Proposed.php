<?php

declare(strict_types=1);

namespace Apron\Plan;

use Apron\Assembly\Assembly;
use Apron\Assembly\AssemblyKind;
use Apron\Assembly\Control;
use Apron\Assembly\Layer;
use Apron\Building\Envelope;
use Apron\Building\PartKind;
use Apron\Detail\Detail;
use Apron\Detail\PieceKind;
use Apron\Drafting\Uses;
use Apron\Material\Material;
use Apron\Rules\RuleFigures;

/**
 * A first plan of a building: of each block, layer after layer from what the water plane lies on outward, walls, then
 * what is below ground, then roofs. Faces are looked at before the plane goes on them; openings are dressed on the
 * plane, seen, and set before what lies outside of it; below ground the membrane is seen before it is buried. What
 * cures is waited for. Days are areas by rates, of a crew of so many hands.
 */
final class Proposed
{
    /** The crew that the rates are of. */
    private const HANDS = 3;

    /** @var list<Task> */
    private array $tasks = [];

    /** @param  array<string, Detail>  $details  by id */
    private function __construct(
        private readonly Envelope $envelope,
        private readonly array $details,
        private readonly int $hands,
    ) {
    }

    /**
     * @param  array<string, Assembly>  $assemblies  by id
     * @param  array<string, Detail>  $details  by id, for the steps of openings
     */
    public static function of(
        Envelope $envelope,
        array $assemblies,
        int $start,
        array $details = [],
        int $hands = self::HANDS,
    ): Plan {
        $proposed = new self($envelope, $details, max(1, $hands));
        foreach ([AssemblyKind::Wall, AssemblyKind::Foundation, AssemblyKind::Roof] as $kind) {
            foreach ($envelope->building->blocks as $block) {
                $areas = [];
                foreach ($envelope->parts as $part) {
                    $assembly = $assemblies[$part->assembly ?? ''] ?? null;
                    if ($part->block === $block->id && $assembly?->kind === $kind && self::isOf($part->kind, $kind)) {
                        $areas[$assembly->id] = ($areas[$assembly->id] ?? 0.0) + $part->net;
                    }
                }
                foreach ($areas as $id => $area) {
                    $proposed->face($block->id, $assemblies[$id], $area);
                }
            }
        }

        return new Plan($start, [1, 2, 3, 4, 5], [], $proposed->tasks);
    }

    private static function isOf(PartKind $part, AssemblyKind $kind): bool
    {
        return match ($kind) {
            AssemblyKind::Wall => $part === PartKind::Wall,
            AssemblyKind::Foundation => $part === PartKind::FoundationWall,
            AssemblyKind::Roof => $part === PartKind::Roof,
            default => false,
        };
    }

    private function face(string $block, Assembly $assembly, float $area): void
    {
        $plane = null;
        foreach ($assembly->layers as $i => $layer) {
            $plane = in_array(Control::Water, $layer->controls, true) ? $i : $plane;
        }
        $isWall = $assembly->kind === AssemblyKind::Wall;
        // What the plane of a wall lies on is put up with it; a deck and a foundation wall are there already.
        $first = $isWall ? max(0, ($plane ?? 0) - 1) : 1;
        $name = "$block $assembly->id";
        $before = $under = null;
        foreach (array_slice($assembly->layers, $first, null, true) as $i => $layer) {
            if ($i === $plane) {
                $before = $this->hold('ready', 'Faces flush, fastened, clean and dry', $block, $assembly, $before);
            }
            $isAir = $layer->material->isAir();
            $task = new Task(
                "$block.$assembly->id.$i",
                ($isAir ? 'Strapping' : $layer->material->name).", $block",
                $this->days($area / $this->rate($layer, $i <=> ($plane ?? -1))),
                $before === null ? [] : [$before],
                $name,
                $isAir ? null : $layer->material->id,
                $under === null ? [] : [$under],
                needsDry: $layer->material->adhesive !== null,
            );
            $this->tasks[] = $task;
            $under = $task->id;
            $before = CureTime::isLaidWet($layer->material)
                ? new Wait($task->id, until: Cures::Cure)
                : new Wait($task->id);
            if ($i === $plane && $isWall) {
                $before = $this->openings($block, $assembly, $name, $before) ?? $before;
            } elseif ($i === $plane && $assembly->kind === AssemblyKind::Foundation) {
                $before = $this->hold('seen', 'Membrane seen before it is buried', $block, $assembly, $before);
            }
        }
        if ($assembly->kind === AssemblyKind::Foundation && $before !== null) {
            $this->tasks[] = new Task(
                "$block.$assembly->id.filled",
                "Backfilled by others, $block",
                $this->days($area / $this->rateOf('fill')),
                [$before],
                $name,
                covers: [$under],
            );
        }
    }

    private function days(float $days): int
    {
        return max(1, (int) ceil(($days * self::HANDS) / $this->hands - 1e-9));
    }

    private function hold(string $what, string $title, string $block, Assembly $assembly, ?Wait $before): Wait
    {
        $id = "$block.$assembly->id.$what";
        $after = $before === null ? [] : [$before];
        $this->tasks[] = new Task($id, "$title, $block", 1, $after, "$block $assembly->id", isHold: true);

        return new Wait($id);
    }

    /** What waits for the openings of a wall to be set on its plane; null where it has none. */
    private function openings(string $block, Assembly $assembly, string $area, Wait $plane): ?Wait
    {
        // Openings that are made alike, as far as the step that sets the unit, are one task.
        $groups = [];
        foreach ($this->envelope->holes as $hole) {
            if ($hole->block->id === $block && $this->envelope->parts[$hole->within]->assembly === $assembly->id) {
                $id = $this->envelope->parts[$hole->part]->detail ?? '';
                $groups[$this->setAt($id)][] = $id;
            }
        }
        if ($groups === []) {
            return null;
        }
        $seen = "$block.$assembly->id.seen";
        $dressed = $set = [];
        foreach (array_values($groups) as $n => $ids) {
            $step = array_keys($groups)[$n];
            $mark = $n === 0 ? '' : ".$n";
            $details = array_values(array_unique(array_filter($ids)));
            $dress = "$block.$assembly->id.dressed$mark";
            $dressed[] = new Task(
                $dress,
                "Openings dressed, $block",
                $this->days(count($ids) / $this->rateOf('dressed')),
                [$n === 0 ? $plane : new Wait($dressed[$n - 1]->id)],
                $area,
                details: $details,
                steps: $step > 1 ? [1, $step - 1] : null,
            );
            $set[] = new Task(
                "$block.$assembly->id.set$mark",
                "Units set, $block",
                $this->days(count($ids) / $this->rateOf('set')),
                [$n === 0 ? new Wait($seen) : new Wait($set[$n - 1]->id)],
                $area,
                details: $details,
                steps: $step > 1 ? [$step, $this->lastStep($details[0] ?? '')] : null,
            );
        }
        $last = new Wait($dressed[count($dressed) - 1]->id);
        array_push($this->tasks, ...$dressed);
        $this->tasks[] = new Task($seen, "Pans seen, $block", 1, [$last], $area, isHold: true);
        array_push($this->tasks, ...$set);

        return new Wait($set[count($set) - 1]->id);
    }

    /** The step that sets the unit of an opening; 0 where nothing says so. */
    private function setAt(string $detail): int
    {
        foreach ($this->details[$detail]->steps ?? [] as $step) {
            if (in_array($step->does, RuleFigures::of('order')->list('sets_unit'), true)) {
                return $step->number;
            }
        }
        foreach ($this->details[$detail]->pieces ?? [] as $piece) {
            if ($piece->kind === PieceKind::Unit) {
                return $piece->step;
            }
        }

        return 0;
    }

    private function lastStep(string $detail): int
    {
        return max([1, ...array_column($this->details[$detail]->steps ?? [], 'number')]);
    }

    /** m², or openings, that a crew does in a day */
    private function rateOf(string $what): float
    {
        $figures = RuleFigures::of('plan');

        return $figures->cell('rates_m2_day', $what, 'rate') ?? $figures->cell('openings_day', $what, 'rate') ?? 1.0;
    }

    /** @param  int  $side  −1 inside of the water plane, 0 the plane, 1 outside of it */
    private function rate(Layer $layer, int $side): float
    {
        $material = $layer->material;

        return $this->rateOf(match (true) {
            $material->isAir() => 'space',
            $material->family !== null && in_array($material->family->id, Uses::familiesOf('foam'), true) => 'board',
            $side < 0 => 'sheathing',
            $side === 0 => self::plane($material),
            default => $material->drains() ? 'sheet' : 'cladding',
        });
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
