<?php

declare(strict_types=1);

require_once __DIR__.'/Support.php';

/**
 * A small wall: a sheet that ends above its foot, and two to five membranes, tapes and coats over it, some of them down
 * to the foot and some not, no two of which begin at one level.
 */
function smallWall(int $seed): array
{
    mt_srand($seed);
    $levels = range(520, 980, 23);
    shuffle($levels);
    $foot = mt_rand(0, 3) === 0 ? 0 : 100 + 10 * mt_rand(0, 30);
    $pieces = [one('p1', 'sheet', 1, [0, $foot, 1000, 1000])];
    foreach (range(2, mt_rand(3, 6)) as $step) {
        $u0 = 100 * mt_rand(0, 4);
        $kind = ['membrane', 'tape', 'fluid'][mt_rand(0, 2)];
        $down = mt_rand(0, 3) === 0 ? 410 + 7 * $step : 0;
        $rect = [$u0, $down, min(1000, $u0 + 100 * mt_rand(4, 9)), array_pop($levels)];
        // Not bonded along its foot, what gets behind it comes out again: only then does a second edge count.
        $pieces[] = one("p$step", $kind, $step, $rect, mt_rand(0, 2) > 0 ? ['edges' => ['bottom' => 'open']] : []);
    }

    return wallDetail($pieces);
}

/** The same with the upper edges of some pieces let go. */
function letGo(array $detail, array $ids): array
{
    foreach ($detail['pieces'] as $i => $piece) {
        if (in_array($piece['id'], $ids, true)) {
            $detail['pieces'][$i]['edges'] = ['top' => 'open'] + ($piece['edges'] ?? []);
        }
    }

    return $detail;
}

/** @return list<bool> of each strip, in their order, whether water comes to harm in it */
function harmed(array $detail): array
{
    return array_map(fn ($strip): bool => $strip->outcome->harms(), traced($detail)->strips);
}

/** @return list<list<string>> every set of so many of these */
function setsOf(array $ids, int $many): array
{
    if ($many === 0) {
        return [[]];
    }
    $sets = [];
    foreach ($ids as $i => $id) {
        foreach (setsOf(array_slice($ids, $i + 1), $many - 1) as $rest) {
            $sets[] = [$id, ...$rest];
        }
    }

    return $sets;
}

it('says of every strip just how many edges must fail: broken by one and two, no fewer do harm and so many do', function () {
    $told = [0 => 0, 1 => 0, 2 => 0, 'more' => 0];
    foreach (range(1, 240) as $seed) {
        $detail = smallWall($seed);
        $ids = array_column(
            array_filter($detail['pieces'], fn (array $p): bool => $p['kind'] !== 'sheet'),
            'id',
        );
        $least = [];
        foreach ([0, 1, 2] as $many) {
            foreach (setsOf($ids, $many) as $broken) {
                foreach (harmed(letGo($detail, $broken)) as $strip => $harm) {
                    $least[$strip] = $harm ? min($many, $least[$strip] ?? $many) : $least[$strip] ?? null;
                }
            }
        }
        foreach (traced($detail)->strips as $i => $strip) {
            // What takes three or more, or cannot be brought about, no set of two finds.
            $said = $strip->lines !== null && $strip->lines <= 2 ? $strip->lines : null;
            expect($least[$i])->toBe($said, "wall $seed, strip $i: ".json_encode($detail['pieces']));
            $told[$said ?? 'more']++;
        }
    }
    expect(min($told))->toBeGreaterThan(20, json_encode($told));
});
