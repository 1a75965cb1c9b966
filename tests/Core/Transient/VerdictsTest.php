<?php

declare(strict_types=1);

use Apron\Climate\GenericClimates;
use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Project\ProjectFormat;
use Apron\Project\Section\RunsSection;
use Apron\Rules\Severity;

/** @return array<string, array{\stdClass}> */
function hourlyCases(): array
{
    $cases = json_decode((string) file_get_contents(__DIR__.'/verdicts.json'))->cases;

    return array_column(array_map(fn (\stdClass $case): array => [$case->id, [$case]], $cases), 1, 0);
}

// In a process that has served pages before, results would be looked for where they are kept.
beforeEach(fn () => Apron\Transient\Reckoned::keepIn(null));

it('signs of each wall what a careful consultant would', function (stdClass $case) {
    $catalogue = new Catalogue;
    $layers = [];
    foreach ($case->layers as $n => $said) {
        [$material, $mm, $air] = [...explode(' ', $said), null, null];
        $layers[] = ['id' => "l$n", 'material' => $material] + array_filter(['air' => $air]) + [
            'thickness_mm' => (float) ($mm ?? $catalogue->find($material)?->usualThicknessMm),
        ];
    }
    $leak = isset($case->leak) ? ['leak' => ['share' => $case->leak->share, 'layer' => 'l'.$case->leak->layer]] : [];
    $exposure = isset($case->exposure) ? ['exposure' => (array) $case->exposure] : [];
    $climate = (new GenericClimates)->named("$case->climate (made up)")
        ?? throw new LogicException("no climate $case->climate");
    $file = [
        'format' => 'apron-project/1',
        'project' => ['name' => 'Hours', 'units' => 'si'],
        'climate' => Apron\Climate\ClimateFormat::writeClimate($climate),
        'indoor' => ['kind' => 'fixed', 'temperature_c' => 21, 'rh_pct' => 40],
        'assemblies' => [['id' => 'w', 'name' => 'w', 'kind' => 'wall', 'layers' => $layers] + $exposure],
        'runs' => [['id' => 'r', 'assembly' => 'w', 'years' => 2] + $leak + array_filter([
            'facing_deg' => $case->facing_deg ?? null,
            'initial_rh_pct' => $case->initial_rh_pct ?? null,
        ], fn (mixed $said): bool => $said !== null)],
    ];
    $project = ProjectFormat::read(Node::decoded(json_decode((string) json_encode($file))), $catalogue);
    [$assessed] = (new RunsSection)->assessed($project);
    $worst = Severity::Pass;
    $said = [];
    foreach ($assessed->findings() as $finding) {
        $worst = $finding->severity->rank() < $worst->rank() && $finding->severity !== Severity::Note
            ? $finding->severity
            : $worst;
        $said[] = "{$finding->severity->value} $finding->code";
    }
    expect($worst->value)->toBe($case->verdict, implode(', ', $said));
    $told = $assessed->toArray(new Apron\Rules\Words(Apron\Quantity\UnitSystem::SI));
    expect($told['balance_error_pct'])->toBeLessThan(0.1);
})->with(hourlyCases());
