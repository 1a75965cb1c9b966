<?php

declare(strict_types=1);

use Apron\Climate\ClimateFormat;
use Apron\Climate\GenericClimates;
use Apron\Judgement\AssemblyAssessment;
use Apron\Project\Project;
use Apron\Rules\Finding;
use Apron\Rules\Severity;

/** The table of verdicts.json: assemblies with what an expert signs of each. */
final class Verdicts
{
    /** @return array<string, mixed> */
    public static function table(): array
    {
        return json_decode((string) file_get_contents(__DIR__.'/verdicts.json'), true, 16, JSON_THROW_ON_ERROR);
    }

    /** @return array<string, array<string, mixed>> by id */
    public static function cases(): array
    {
        return array_column(self::table()['cases'], null, 'id');
    }

    /** @param  array<string, mixed>  $case */
    public static function project(array $case): Project
    {
        return readProject([
            'format' => 'apron-project/1',
            'project' => ['name' => $case['id'], 'units' => $case['units'] ?? 'si'],
            'climate' => ClimateFormat::writeClimate((new GenericClimates)->named($case['climate'].' (made up)')),
            'indoor' => self::table()['rooms'][$case['room']],
            'assemblies' => [
                [
                    'id' => 'w',
                    'name' => $case['id'],
                    'kind' => $case['kind'],
                    ...($case['kind'] === 'foundation' ? ['soil' => ['depth_m' => 1.5]] : []),
                    'layers' => array_map(self::layer(...), $case['layers']),
                ],
            ],
        ]);
    }

    /** @param  array<string, mixed>  $case */
    public static function assessed(array $case): AssemblyAssessment
    {
        $project = self::project($case);

        return new AssemblyAssessment($project->brief, $project->assemblies[0]);
    }

    /** The worst of what is said, but for names and sources. */
    public static function verdict(AssemblyAssessment $assessed): string
    {
        $ranks = array_map(
            fn (Finding $f): int => $f->severity->rank(),
            array_filter($assessed->findings(), fn (Finding $f): bool => ! str_starts_with($f->code, 'control.')),
        );
        $worst = $ranks === [] ? Severity::Pass->rank() : min($ranks);

        return match (true) {
            $worst === Severity::Fail->rank() => 'fail',
            $worst === Severity::Caution->rank() => 'caution',
            default => 'pass',
        };
    }

    /** @return list<Finding> fails and cautions that are causes, and that a change to the wall could clear */
    public static function curable(AssemblyAssessment $assessed): array
    {
        return array_values(
            array_filter(
                $assessed->findings(),
                fn (Finding $f): bool => $f->severity->rank() <= Severity::Caution->rank() &&
                    $f->under === null &&
                    ! str_starts_with($f->code, 'control.') &&
                    $f->code !== 'surface.room-damp',
            ),
        );
    }

    /** @return array<string, mixed> of “glass-wool-batt 92 steel@406” */
    private static function layer(string $said): array
    {
        $words = explode(' ', $said);
        $material = array_shift($words);
        $layer = ['material' => $material];
        foreach ($words as $word) {
            $layer += match (true) {
                is_numeric($word) => ['thickness_mm' => (float) $word],
                $word === 'ventilated' => ['air' => 'ventilated'],
                $word === 'turned' => ['turned' => true],
                $word === 'girts' => [
                    'bridges' => [['name' => 'continuous girts', 'psi_w_mk' => 0.11, 'm_per_m2' => 2.46]],
                ],
                str_starts_with($word, 'steel@') => [
                    'framing' => [
                        'material' => 'steel-galvanised',
                        'fraction' => 0.0027,
                        'spacing_mm' => (float) substr($word, 6),
                        'gauge_mm' => 1.1,
                        'flange_mm' => 41,
                    ],
                ],
                default => throw new InvalidArgumentException("“{$word}” in “{$said}”"),
            };
        }

        return $layer + ['thickness_mm' => (new Apron\Material\Catalogue)->find($material)?->usualThicknessMm];
    }
}
