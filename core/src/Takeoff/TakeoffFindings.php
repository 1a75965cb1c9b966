<?php

declare(strict_types=1);

namespace Apron\Takeoff;

use Apron\Assembly\Assembly;
use Apron\Building\Envelope;
use Apron\Material\Materials;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/** What is said of quantities: layouts that leave a wall bare, walls out of plane, lines that speak of nothing. */
final readonly class TakeoffFindings
{
    /** @param  array<string, Assembly>  $assemblies  by id */
    public function __construct(
        private Takeoff $takeoff,
        private Laying $laying,
        private Envelope $envelope,
        private array $assemblies,
        private Materials $materials,
    ) {
    }

    /** @return list<Finding> */
    public function all(): array
    {
        $findings = [];
        foreach ($this->laying->layouts as $layout) {
            $moved = $this->takeoff->movedIn($layout->face->part, $layout->layer->id);
            foreach (LayoutRules::of($layout, $moved) as $fault) {
                $findings[] = self::finding(
                    $fault->code,
                    $fault->severity,
                    [
                        'part' => $this->envelope->parts[$layout->face->part]->name(),
                        'product' => $layout->layer->material->name,
                        ...$fault->figures,
                    ],
                    "{$layout->face->part} {$layout->layer->id} $fault->course".
                        ($fault->x === null ? '' : sprintf(' %.0F', $fault->x)),
                );
            }
        }

        foreach ($this->laying->tooSmall as $key => $product) {
            [$part] = explode(' ', $key, 2);
            $figures = ['part' => $this->envelope->parts[$part]->name(), 'product' => $product];
            $findings[] = self::finding('takeoff.too-small', Severity::Caution, $figures, $key);
        }

        return [...$findings, ...$this->nowhere(), ...$this->planes()];
    }

    /** @return list<Finding> what is settled for a part or a layer that is not there */
    private function nowhere(): array
    {
        $findings = [];
        $named = [];
        foreach ([...$this->takeoff->moved, ...$this->takeoff->surveys, ...$this->takeoff->transfers] as $of) {
            $named[$of->part] = isset($this->laying->faces[$of->part]) || isset($this->laying->level[$of->part]);
        }
        foreach ($this->takeoff->deliveries as $delivery) {
            foreach ($delivery->parts as $part) {
                $named[$part] = isset($this->envelope->parts[$part]);
            }
        }
        $materials = [
            ...array_column($this->takeoff->layers, 'tape'),
            ...array_column($this->takeoff->layers, 'of'),
            ...array_column($this->takeoff->surveys, 'bracket'),
            ...array_column($this->takeoff->surveys, 'girt'),
        ];
        foreach (array_filter($materials) as $material) {
            $named[$material] = $this->materials->find($material) !== null;
        }
        foreach ($this->takeoff->layers as $rule) {
            $layers = array_column($this->assemblies[$rule->assembly]->layers ?? [], 'id');
            $named["$rule->assembly/$rule->layer"] = in_array($rule->layer, $layers, true);
        }
        foreach ($named as $what => $isThere) {
            if (! $isThere) {
                $what = (string) $what;
                $findings[] = self::finding('takeoff.nowhere', Severity::Note, ['what' => $what], $what);
            }
        }

        return $findings;
    }

    /** @return list<Finding> walls that no packing brings into plane */
    private function planes(): array
    {
        $most = RuleFigures::of('takeoff')->figure('plane_most_mm');
        $findings = [];
        foreach ($this->takeoff->surveys as $survey) {
            $over = array_filter($survey->packed(), fn (array $point): bool => $point['need_mm'] > $most);
            if ($over !== []) {
                $findings[] = self::finding(
                    'takeoff.out-of-plane',
                    Severity::Caution,
                    [
                        'survey' => $survey->id,
                        'count' => count($over),
                        'need_mm' => max(array_column($over, 'need_mm')),
                        'most_mm' => $most,
                    ],
                    $survey->id,
                );
            }
        }

        return $findings;
    }

    /** @param  array<string, float|int|string>  $figures */
    private static function finding(string $code, Severity $severity, array $figures, string $of): Finding
    {
        return new Finding($code, $severity, 'takeoff', $figures, Source::computed('the layout of the building'), $of);
    }
}
