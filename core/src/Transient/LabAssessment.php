<?php

declare(strict_types=1);

namespace Apron\Transient;

use Apron\Budget\TakesTooLong;
use Apron\Rules\Assessed;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Rules\Words;

/** What a sample in two steady airs comes to. */
final class LabAssessment implements Assessed
{
    /** of relative humidity: no step moves a node by much more */
    private const CAREFUL = 0.004;

    /** s: a face that meets another air at once begins with steps as short */
    private const FIRST = 0.01;

    public readonly Slab $slab;

    public readonly State $state;

    /** kg/m² */
    public readonly float $water;

    /** % of what moved, that what is stored does not account for */
    public readonly float $error;

    /** h that it got to */
    public readonly float $reached;

    private ?string $cut = null;

    public function __construct(public readonly LabRun $run)
    {
        $this->slab = new Slab($run->layers, Mesh::lab());
        $this->state = State::even($this->slab->nodes(), max(1e-4, $run->humidity), $run->celsius);
        $march = new March($this->slab, $run->isIsothermal, $run->latent);
        $before = $this->slab->water($this->state);
        $none = new Inflow;
        $done = 0.0;
        $whole = $run->hours * 3600;
        $step = self::FIRST;
        try {
            while ($done < $whole - 1e-6) {
                // In pieces, so that a run that is cut off has got to somewhere.
                $piece = min($whole - $done, max(100 * $step, 1.0));
                $step = $march->over(
                    $this->state,
                    $piece,
                    $run->left,
                    $run->right,
                    $none,
                    $whole,
                    self::CAREFUL,
                    $step,
                );
                $done += $piece;
            }
        } catch (TakesTooLong $long) {
            $this->cut = $long->more;
        }
        $this->reached = $done / 3600;
        $this->water = $this->slab->water($this->state);
        $lost = abs($this->water - $before - $march->in);
        $this->error = $march->moved > 0 ? (100 * $lost) / $march->moved : 0.0;
    }

    public function findings(): array
    {
        return $this->cut === null ? [] : [
            new Finding(
                'run.cut-short',
                Severity::Caution,
                "runs/{$this->run->id}",
                ['reached_h' => $this->reached, 'more' => $this->cut],
                Source::computed('steps until then'),
            ),
        ];
    }

    public function toArray(Words $words): array
    {
        $profile = array_map(function (float $depth): array {
            $at = $this->slab->at($depth / 1000, $this->state);

            return [
                'depth_mm' => $depth,
                'temperature_c' => $at['celsius'],
                'rh_pct' => 100 * $at['humidity'],
                'water_kg_m3' => $at['water'],
            ];
        }, $this->run->depths);

        return [
            'id' => $this->run->id,
            'profile' => $profile,
            'water_kg_m2' => $this->water,
            'balance_error_pct' => $this->error,
        ];
    }
}
