<?php

declare(strict_types=1);

use Apron\Assembly\Assembly;
use Apron\Cure\CureSearch;
use Apron\Cure\Films;
use Apron\Cure\Trial;
use Apron\Judgement\AssemblyAssessment;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Words;

require_once __DIR__.'/Verdicts.php';

/** What the list of cures for a reader has: php bin/verdicts.php --cures > tests/Core/Judgement/cures.txt */
const CURES = __DIR__.'/cures.txt';

/** @return array<string, int> how bad what is said is, by code without its place */
function saidOf(AssemblyAssessment $assessed): array
{
    $said = [];
    foreach ($assessed->findings() as $finding) {
        $topic = preg_replace(
            ['/\.(interface|within)(\.inward)?$/', '/^(year|humid)\..*/'],
            ['', '$1'],
            $finding->code,
        );
        $said[$topic] = min($said[$topic] ?? PHP_INT_MAX, $finding->severity->rank());
    }

    return array_filter($said, fn (int $rank): bool => $rank <= Severity::Caution->rank());
}

it('says of each assembly of the table what an expert signs', function (string $id) {
    $case = Verdicts::cases()[$id];
    $assessed = Verdicts::assessed($case);
    $codes = array_map(fn (Finding $f): string => $f->code, $assessed->findings());
    expect(Verdicts::verdict($assessed))->toBe($case['verdict'], $id);
    foreach ($case['says'] as $says) {
        expect(array_filter($codes, fn (string $code): bool => str_starts_with($code, $says)))->not->toBe([], $says);
    }
})->with(array_keys(Verdicts::cases()));

it('has a table of enough cases, each with why and on what basis', function () {
    $cases = Verdicts::cases();
    $verdicts = array_count_values(array_column($cases, 'verdict'));
    expect(count($cases))
        ->toBeGreaterThanOrEqual(80)
        ->and($verdicts['fail'])
        ->toBeGreaterThanOrEqual(25)
        ->and($verdicts['pass'])
        ->toBeGreaterThanOrEqual(25)
        ->and(array_diff(array_unique(array_column($cases, 'basis')), ['published', 'common-practice', 'judgement']))
        ->toBe([])
        ->and(array_filter($cases, fn (array $case): bool => strlen($case['why']) < 20))
        ->toBe([]);
});

it('offers for the table only cures that are sound themselves, and the list for a reader has them all', function () {
    $words = new Words(UnitSystem::SI);
    $list = '';
    foreach (Verdicts::cases() as $id => $case) {
        [$project, $now] = [Verdicts::project($case), Verdicts::assessed($case)];
        $had = saidOf($now);
        foreach (Verdicts::curable($now) as $finding) {
            $list .= "$id: {$finding->code}\n";
            $search = new CureSearch($project->brief, $project->assemblies[0], $finding, $project->materials);
            foreach ($search->all() as $cure) {
                $title = CureSearch::title($cure, $words);
                $list .= "    $title\n";
                if ($cure->assembly === null) {
                    continue;
                }
                $then = new AssemblyAssessment($project->brief, $cure->assembly);
                foreach (saidOf($then) as $topic => $rank) {
                    expect($rank)->toBeGreaterThanOrEqual($had[$topic] ?? PHP_INT_MAX, "$id, $title: $topic");
                }
                expect(array_map(fn (Finding $f): string => $f->key(), $then->findings()))
                    ->not->toContain($finding->key())
                    ->and($then->heat->mainPath)
                    ->toBeGreaterThan(0.98 * $now->heat->mainPath);
                $stapled = fn (AssemblyAssessment $a): int => count(
                    array_filter($a->assembly->layers, fn ($l): bool => $l->material->id === 'pe-film-stapled'),
                );
                expect($stapled($then))->toBeLessThanOrEqual($stapled($now));
            }
        }
    }
    expect($list)->toBe((string) file_get_contents(CURES));
});

it('proposes to a cooled room nothing tight inside', function (string $id) {
    $case = Verdicts::cases()[$id];
    $project = Verdicts::project($case);
    foreach (Verdicts::curable(Verdicts::assessed($case)) as $finding) {
        $cures = (new CureSearch($project->brief, $project->assemblies[0], $finding, $project->materials))->all();
        expect(array_filter($cures, fn ($cure): bool => $cure->kind->value === 'retarder'))->toBe([]);
    }
})->with(['vinyl-wallpaper-hot-humid', 'freezer-eps-no-barrier', 'cold-store-film-on-cold-side']);

/** @return array{Apron\Brief\Brief, Assembly} */
function verdictWall(string $id): array
{
    $project = Verdicts::project(Verdicts::cases()[$id]);

    return [$project->brief, $project->assemblies[0]];
}

/** One layer drawn as so many. */
function split(Assembly $assembly, int $at, int $parts): Assembly
{
    $layer = $assembly->layers[$at];
    $pieces = array_map(
        fn (int $k) => $layer->changed(thicknessMm: $layer->thicknessMm / $parts)->named("$layer->id.$k"),
        range(1, $parts),
    );
    $layers = $assembly->layers;
    array_splice($layers, $at, 1, $pieces);

    return $assembly->withLayers($layers);
}

it('finds the same of a layer drawn as one, two, five or forty', function (string $id, int $at) {
    [$brief, $wall] = verdictWall($id);
    $whole = new AssemblyAssessment($brief, $wall);
    $said = fn (AssemblyAssessment $a): array => array_map(
        fn (Finding $f): string => "{$f->severity->value} ".preg_replace('/\.(interface|within)/', '', $f->code),
        array_filter($a->findings(), fn (Finding $f): bool => $f->code !== 'material.from-memory'),
    );
    foreach ([2, 5, 40] as $parts) {
        $drawn = new AssemblyAssessment($brief, split($wall, $at, $parts));
        expect(array_values($said($drawn)))->toBe(array_values($said($whole)), "$id in $parts");
        expect(count($drawn->gatherings()))->toBe(count($whole->gatherings()));
        foreach ($whole->gatherings() as $z => $zone) {
            if (! $zone->worthAWord()) {
                continue;
            }
            foreach (['peak', 'residue', 'bears', 'borne'] as $figure) {
                expect($drawn->gatherings()[$z]->{$figure})->toEqualWithDelta(
                    $zone->{$figure},
                    0.02 * max($zone->{$figure}, 0.005),
                    "$id in $parts, $figure",
                );
            }
        }
    }
})->with([
    'wool of a cold wall' => ['class-3-2x6-cold', 2],
    'foam of a freezer' => ['freezer-eps-no-barrier', 1],
    'the strand board' => ['class-3-2x6-cold', 3],
    'cellulose of a roof' => ['unvented-cellulose-roof', 2],
]);

it('never finds more in winter for more insulation outside', function (string $id, int $at) {
    [$brief, $wall] = verdictWall($id);
    $last = 0;
    foreach ([20, 40, 60, 80, 120, 160, 240] as $mm) {
        $assessed = new AssemblyAssessment(
            $brief,
            $wall->withLayer($at, $wall->layers[$at]->changed(thicknessMm: $mm)),
        );
        $worst = array_map(
            fn (Finding $f): int => $f->severity->rank(),
            array_filter(
                $assessed->findings(),
                fn (Finding $f): bool => preg_match(
                    '/^(year|practice\.(leak|plane|exterior|roof)|surface\.mould)/',
                    $f->code,
                ) === 1,
            ),
        );
        $rank = $worst === [] ? Severity::Pass->rank() : min($worst);
        expect($rank)->toBeGreaterThanOrEqual($last, "$id at $mm mm");
        $last = $rank;
    }
})->with([
    'foil board' => ['thin-foil-board-zone-6', 4],
    'XPS' => ['xps-13-2x6-zone-6', 5],
    'roof' => ['r80-roof-r25-above', 4],
]);

it('finds the same of a facer and of the same film as a layer of its own', function () {
    [$brief, $wall] = verdictWall('turned-kraft-cold');
    $faced = new AssemblyAssessment($brief, $wall);
    $facer = $wall->layers[1]->facers()[0];
    expect($facer->face)->toBe(Apron\Material\Face::Outer);
    $bare = (new Apron\Material\Catalogue)->find('glass-wool-batt');
    $film = Films::of(Apron\Material\Material::permeanceOfSd($facer->sdWet));
    $apart = new AssemblyAssessment(
        $brief,
        Trial::with($wall->withLayer(1, $wall->layers[1]->changed($bare)), 2, $film),
    );
    expect($apart->gatherings()[0]->peak)
        ->toEqualWithDelta($faced->gatherings()[0]->peak, 0.02 * $faced->gatherings()[0]->peak)
        ->and(saidOf($apart))
        ->toBe(saidOf($faced));
});

it('finds in a mirrored climate the mirrored amounts', function () {
    // A wall of one material, the air inside and outside changed about: what gathered near one face gathers near the
    // other, with Rsi and Rse changed as well.
    $layers = [[0.04, 120, 1], [0.04, 120, 30]];
    $mirror = array_reverse($layers);
    $year = function (array $layers, float $in, float $rhIn, float $out, float $rhOut, float $rsi, float $rse) {
        $file = wallFile($layers, $out, $rhOut, [
            'indoor' => ['kind' => 'fixed', 'temperature_c' => $in, 'rh_pct' => $rhIn],
        ]);
        $file['assemblies'][0] = ['rsi_m2k_w' => $rsi, 'rse_m2k_w' => $rse] + $file['assemblies'][0];
        $project = readProject($file);

        return new AssemblyAssessment($project->brief, $project->assemblies[0]);
    };
    $winter = $year($layers, 22, 60, -8, 80, 0.13, 0.04);
    $summer = $year($mirror, -8, 80, 22, 60, 0.04, 0.13);
    expect($winter->gatherings())
        ->not->toBe([])
        ->and($summer->gatherings()[0]->peak)
        ->toEqualWithDelta($winter->gatherings()[0]->peak, 1e-6 * $winter->gatherings()[0]->peak)
        ->and($winter->year->fromOutdoors())
        ->toBeFalse()
        ->and($summer->year->fromOutdoors())
        ->toBeTrue();
});
