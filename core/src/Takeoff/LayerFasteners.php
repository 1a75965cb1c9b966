<?php

declare(strict_types=1);

namespace Apron\Takeoff;

use Apron\Assembly\Assembly;
use Apron\Building\Envelope;
use Apron\Rules\RuleFigures;

/** The fasteners of layers: by their pattern where they are laid out, by so many a square metre where they state it. */
final class LayerFasteners
{
    /** @param  array<string, Assembly>  $assemblies  by id */
    public function __construct(
        private readonly Laying $laying,
        private readonly Takeoff $takeoff,
        private readonly array $assemblies,
        private readonly Envelope $envelope,
    ) {
    }

    /** @return list<FastenerRow> told to the amounts where they are of a material that somebody has named */
    public function rows(Amounts $amounts): array
    {
        $rows = [];
        foreach ($this->laying->layouts as $layout) {
            $at = $this->numberOf($layout->assembly, $layout->layer->id);
            $rows[] = $this->ofLayout($layout, $at);
        }
        foreach ($this->laying->faces as $part => $face) {
            $assembly = $this->assemblies[$this->envelope->parts[$part]->assembly ?? ''] ?? null;
            foreach ($assembly->layers ?? [] as $at => $layer) {
                if ($assembly !== null && LaidAs::of($assembly, $at) === LaidAs::Strapping) {
                    $rows[] = $this->ofStrapping($assembly, $at, (string) $part, $face);
                }
            }
        }
        $rows = array_values(array_filter($rows));
        foreach ($rows as $row) {
            if ($row->material !== null) {
                $why = ['rule' => $row->edge === null ? 'stated' : 'pattern'];
                $count = (float) $row->count;
                $by = [$row->part => 1.0];
                $amounts->add(
                    new Bought($row->material, Counted::Count, $count, $count, 'piece', 1.0, $row->part, $why, $by),
                );
            }
        }

        return $rows;
    }

    private function numberOf(string $assembly, string $layer): int
    {
        return (int) array_search($layer, array_column($this->assemblies[$assembly]->layers, 'id'), true);
    }

    private function ofLayout(Layout $layout, int $at): ?FastenerRow
    {
        $stated = $layout->layer->fasteners;
        if ($stated !== null) {
            return $this->row(
                $layout->face->part,
                $layout->assembly,
                $at,
                [[0.0, 0.0, 0.0, (int) ceil($stated->perM2 * $layout->net)]],
                null,
                $layout->rule->of ?? $stated->material?->id,
            );
        }
        // Boards on a roof are as often laid loose or stuck, those under a slab always: only what is said is counted.
        $isSaid = $layout->isUpright || $layout->rule->edgeMm !== null || $layout->rule->fieldMm !== null;
        // What sticks needs none, and films and mats are held by what lies over them.
        $pattern = $isSaid && ($layout->as === LaidAs::Sheet || $layout->as->isBoard())
            ? Pattern::of($layout->as, $layout->rule)
            : null;
        if ($pattern === null) {
            return null;
        }
        $rows = match ($layout->as) {
            LaidAs::Sheet => $pattern->upLines($layout->face, $layout->backing),
            LaidAs::Sheathing => $pattern->ofPanels($layout),
            default => $pattern->ofBoards($layout),
        };

        return $this->row($layout->face->part, $layout->assembly, $at, $rows, $pattern, $layout->rule->of);
    }

    private function ofStrapping(Assembly $assembly, int $at, string $part, Face $face): ?FastenerRow
    {
        $layer = $assembly->layers[$at];
        $pattern = Pattern::of(LaidAs::Strapping, $this->takeoff->rule($assembly->id, $layer->id));
        $backing = new Backing($layer->framing?->spacingMm, $face->left, $face->right);

        return $pattern === null
            ? null
            : $this->row($part, $assembly->id, $at, $pattern->upLines($face, $backing), $pattern, null);
    }

    /** @param  list<array{float, float, float, int}>  $rows  as they stand */
    private function row(
        string $part,
        string $assembly,
        int $at,
        array $rows,
        ?Pattern $pattern,
        ?string $material,
    ): FastenerRow {
        $layers = $this->assemblies[$assembly]->layers;
        // From the outer face of what stands or carries: the framing, else the innermost layer.
        $framing = 0;
        foreach ($layers as $i => $layer) {
            $framing = $i < $at && $layer->framing !== null ? $i : $framing;
        }
        $through = 0.0;
        for ($i = $framing + 1; $i <= $at; $i++) {
            $through += $layers[$i]->thicknessMm;
        }
        $figures = RuleFigures::of('takeoff');
        $step = $figures->figure('screw_step_mm');
        $length = $at === 0
            ? null
            : ceil(($through + $figures->figure('embedment_mm')) / $step - 1e-6) * $step;

        return new FastenerRow(
            $part,
            $assembly,
            $layers[$at]->id,
            array_sum(array_column($rows, 3)),
            $pattern?->edge,
            $pattern?->field,
            $length,
            $through >= $figures->figure('engineer_mm'),
            $material,
            $pattern === null ? [] : $rows,
        );
    }
}
