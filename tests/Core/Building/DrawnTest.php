<?php

declare(strict_types=1);

use Apron\Building\Drawn\Cut;
use Apron\Building\Drawn\Cuts;
use Apron\Building\Drawn\Elevations;
use Apron\Building\Drawn\LevelCut;
use Apron\Building\Drawn\UprightCut;
use Apron\Building\Envelope;
use Apron\Building\Proofs;
use Apron\Building\Threads;
use Apron\Building\Walk;

require_once __DIR__.'/Boxes.php';

/** @return list<Cut> */
function cutsOf(Envelope $envelope): array
{
    return Cuts::of($envelope, new Threads($envelope, [], new Proofs, true));
}

/** Where lines of a cut end that no other goes on from: none, for what bounds a space goes right round it. */
function looseEnds(Cut $cut): array
{
    $ends = [];
    foreach ($cut->lines as $line) {
        foreach ([$line['from'], $line['to']] as [$a, $b]) {
            // To a tenth of a millimetre, whichever line it was reckoned from.
            $key = sprintf('%.0f %.0f', round($a, 1), round($b, 1));
            $ends[$key] = ($ends[$key] ?? 0) + 1;
        }
    }

    return array_keys(array_filter($ends, fn (int $n): bool => $n % 2 === 1));
}

/** m, of every line of one part */
function lineOf(Cut $cut, string $part): float
{
    $metres = 0.0;
    foreach ($cut->lines as $line) {
        $length = hypot($line['to'][0] - $line['from'][0], $line['to'][1] - $line['from'][1]) / 1000;
        $metres += $line['part'] === $part ? $length : 0.0;
    }

    return round($metres, 4);
}

it('cuts a building so that every kind of joint shows, and each cut goes right round', function (stdClass $case) {
    $envelope = envelopeOf($case->building);
    $shown = [];
    foreach (cutsOf($envelope) as $cut) {
        array_push($shown, ...$cut->kinds);
        expect(looseEnds($cut))->toBe([], "$cut->by of {$case->name}");
        foreach ($cut->lines as $line) {
            expect($envelope->parts)->toHaveKey($line['part'])
                ->and(hypot(...$line['out']))
                ->toEqualWithDelta(1.0, 1e-9);
        }
    }
    $kinds = array_unique(array_map(fn ($joint): string => $joint->kind->value, $envelope->joints));
    expect(array_diff($kinds, $shown))->toBe([]);
})->with(buildingCases(...));

it('lays every side flat: faces as large as the parts are, joints as long as they are', function (stdClass $case) {
    $envelope = envelopeOf($case->building);
    $areas = [];
    foreach (Elevations::of($envelope) as $side) {
        foreach ($side['faces'] as ['part' => $part, 'corners_mm' => $corners]) {
            $areas[$part] = ($areas[$part] ?? 0.0) + abs(Apron\Building\Outline::signed($corners)) / 1e6;
        }
        foreach ($side['joints'] as $joint) {
            foreach ([$joint['from_mm'], $joint['to_mm']] as [$u]) {
                expect($u)->toBeGreaterThanOrEqual(-1.0)->toBeLessThanOrEqual($side['length_mm'] + 1.0);
            }
        }
    }
    foreach ($envelope->parts as $part) {
        if ($part->edge !== null) {
            expect($areas[$part->id] ?? 0.0)->toEqualWithDelta($part->gross, 2e-3, $part->id);
        }
    }
})->with(buildingCases(...));

it('cuts a box where its sizes say, an opening in it told from its wall', function () {
    $file = boxFile(
        ['placed' => [['opening' => 'o1', 'block' => 'hall', 'edge' => 0, 'x_mm' => 2000, 'z_mm' => 900]]],
        [],
        ['openings' => [windowRow('o1')]],
    );
    $envelope = (new Apron\Project\Assessment(readProject($file)))->building->envelope;
    // Through the middle of the window: 0.9 m of wall under it, 1.2 m of it, 0.9 m over it.
    $section = UprightCut::of($envelope, [2450.0, 4000.0], [0.0, 1.0]);
    expect(lineOf($section, 'hall.opening.o1'))
        ->toBe(1.2)
        ->and(lineOf($section, 'hall.wall.0'))
        ->toBe(1.8)
        ->and(lineOf($section, 'hall.wall.2'))
        ->toBe(3.0)
        ->and(lineOf($section, 'hall.roof'))
        ->toBe(8.0)
        ->and($section->kinds)
        ->toContain('sill', 'head', 'parapet', 'wall-to-slab')
        ->not->toContain('jamb');
    $out = array_column($section->lines, 'out', 'part');
    expect([$out['hall.wall.0'], $out['hall.wall.2'], $out['hall.roof'], $out['hall.slab']])->toBe([
        [-1.0, 0.0], [1.0, 0.0], [0.0, 1.0], [0.0, -1.0],
    ]);
    $plan = LevelCut::of($envelope, 1500.0);
    expect(lineOf($plan, 'hall.opening.o1'))
        ->toBe(0.9)
        ->and(lineOf($plan, 'hall.wall.0'))
        ->toBe(11.1)
        ->and(count(array_filter($plan->points, fn (array $p): bool => str_starts_with($p['joint'], 'jamb:'))))
        ->toBe(2);
    expect(lineOf(LevelCut::of($envelope, 2500.0), 'hall.wall.0'))->toBe(12.0);
});

it('cuts a gable along its slopes and up its walls', function () {
    $block = ['roof_form' => ['kind' => 'gable', 'pitch_deg' => 45, 'ridge_along' => 0]];
    $envelope = (new Apron\Project\Assessment(readProject(boxFile([], $block))))->building->envelope;
    $section = UprightCut::of($envelope, [6000.0, 4000.0], [0.0, 1.0]);
    // 8 m from eaves to eaves at 45°: each slope is 4 m times the root of two.
    expect(lineOf($section, 'hall.roof.0'))
        ->toEqualWithDelta(4 * M_SQRT2, 1e-3)
        ->and(lineOf($section, 'hall.roof.2'))
        ->toEqualWithDelta(4 * M_SQRT2, 1e-3)
        ->and($section->kinds)
        ->toContain('ridge', 'eaves')
        ->and(looseEnds($section))
        ->toBe([]);
    $along = UprightCut::of($envelope, [6000.0, 4001.0], [1.0, 0.0]);
    expect(lineOf($along, 'hall.wall.1'))->toEqualWithDelta(3 + 3.999, 1e-2)->and($along->kinds)->toContain('verge');
});

it('walks from joint to joint, each once, and leaves the ground it is on as seldom as it can', function (
    stdClass $case,
) {
    $envelope = envelopeOf($case->building);
    $walk = Walk::round($envelope);
    $joints = array_column($envelope->joints, null, 'id');
    $ids = array_keys($joints);
    sort($ids);
    $walked = $walk;
    sort($walked);
    expect($walked)->toBe($ids);
    $jumps = 0;
    for ($i = 1; $i < count($walk); $i++) {
        $jumps += array_intersect($joints[$walk[$i - 1]]->parts, $joints[$walk[$i]]->parts) === [] ? 1 : 0;
    }
    // Of a box of twelve edges none; wherever corners meet a step may come to parts that are new.
    expect($jumps)->toBeLessThanOrEqual((int) (count($walk) / 4));
})->with(buildingCases(...));
