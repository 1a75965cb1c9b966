<?php

declare(strict_types=1);

namespace Apron\Judgement;

use Apron\Assembly\Assembly;
use Apron\Assembly\Control;
use Apron\Climate\Air;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Vapour\MoistureYear;
use Apron\Vapour\Path;
use Apron\Vapour\Profile;
use Apron\Vapour\SurfaceFactor;

/** What profiles, the year and the surface come to, said about the places in the assembly. */
final class MoistureFindings
{
    private const STEADY = 'ISO 13788:2012, 6.4, one steady pair of airs';

    private const YEAR = 'ISO 13788:2012, clause 6, monthly balance';

    public function __construct(private readonly RuleFigures $rules)
    {
    }

    /** @return list<Finding> */
    public function ofProfile(Assembly $assembly, Profile $profile): array
    {
        $subject = 'assemblies/'.$assembly->id;
        $findings = [];
        if ($profile->surfaceWet) {
            $findings[] = new Finding(
                'surface.wet',
                Severity::Fail,
                $subject,
                [
                    'condition' => $profile->name,
                    'surface_c' => $profile->temperatures[0],
                    'dew_point_c' => Air::dewPoint($profile->indoorPressure),
                ],
                Source::computed(self::STEADY),
                $profile->name,
            );
        }
        if ($profile->condensation !== []) {
            $node = (int) array_search(max($profile->condensation), $profile->condensation, true);
            [$suffix, $place] = $this->place($assembly, $profile->path, $node);
            $findings[] = new Finding(
                "steady.condenses.$suffix",
                Severity::Note,
                $subject,
                $place + [
                    'condition' => $profile->name,
                    'rate_g_m2_h' => $profile->totalRate(),
                    'outdoor_c' => $profile->outdoors,
                ],
                Source::computed(self::STEADY),
                $profile->name,
            );
        }

        return $findings;
    }

    /** @return list<Finding> */
    public function ofYear(Assembly $assembly, MoistureYear $year): array
    {
        $subject = 'assemblies/'.$assembly->id;
        $source = Source::computed(self::YEAR);
        $verdict = $year->verdict();
        $wettest = $year->wettest();
        $water = $this->waterLayer($assembly);
        if (
            $assembly->soil !== null &&
            $wettest !== null &&
            $water !== null &&
            $year->path->layer[$wettest] >= $water
        ) {
            // Outside of the waterproofing the ground keeps everything damp, and what stands there is made for it.
            return [
                new Finding(
                    'year.damp-ground',
                    Severity::Note,
                    $subject,
                    ['water' => $assembly->layers[$water]->material->name],
                    $source,
                ),
            ];
        }
        if ($verdict === 'dry' || $wettest === null) {
            return [new Finding('year.dry', Severity::Pass, $subject, [], $source)];
        }
        [$suffix, $place] = $this->place($assembly, $year->path, $wettest);
        $peak = $year->peak($wettest) * 1000;
        $figures = $place + ['peak_g_m2' => $peak, 'residue_g_m2' => $year->accumulated[$wettest][11] * 1000];
        if ($verdict === 'accumulates') {
            return [new Finding("year.accumulates.$suffix", Severity::Fail, $subject, $figures, $source)];
        }
        $runs = $peak > $this->rules->figure('runoff_g_m2');

        return [
            new Finding("year.dries.$suffix", $runs ? Severity::Caution : Severity::Note, $subject, $figures, $source),
        ];
    }

    /** @return list<Finding> */
    public function ofSurface(Assembly $assembly, SurfaceFactor $surface): array
    {
        if ($surface->factor === null || $surface->leastForMould === null) {
            return [];
        }
        $figures = [
            'frsi' => $surface->factor,
            'least' => $surface->leastForMould,
            'month' => (int) $surface->criticalMonth + 1,
        ];
        if ($surface->leastForMould >= 1) {
            // No wall is warmer than its room: where the room itself is that damp, insulation is no cure.
            return [
                new Finding(
                    'surface.room-damp',
                    Severity::Caution,
                    'assemblies/'.$assembly->id,
                    $figures,
                    Source::published('ISO 13788:2012, clause 5'),
                ),
            ];
        }
        $mould = $surface->factor < $surface->leastForMould;

        return [
            new Finding(
                $mould ? 'surface.mould' : 'surface.no-mould',
                $mould ? Severity::Fail : Severity::Pass,
                'assemblies/'.$assembly->id,
                $figures,
                Source::published('ISO 13788:2012, clause 5'),
            ),
        ];
    }

    private function waterLayer(Assembly $assembly): ?int
    {
        foreach ($assembly->layers as $i => $layer) {
            if (in_array(Control::Water, $layer->controls, true)) {
                return $i;
            }
        }

        return null;
    }

    /** @return array{'interface'|'within', array<string, float|int|string>} */
    private function place(Assembly $assembly, Path $path, int $node): array
    {
        $interface = $path->interface[$node];
        if ($interface < 0) {
            return [
                'within',
                [
                    'layer' => $assembly->layers[$path->layer[$node]]->material->name,
                    'depth_mm' => $path->depthMm[$node],
                ],
            ];
        }

        return [
            'interface',
            [
                'inner' => $assembly->layers[$interface - 1]->material->name,
                'outer' => $assembly->layers[$interface]->material->name,
            ],
        ];
    }
}
