<?php

declare(strict_types=1);

// What it costs to judge what touches: 60 materials of the catalogue, 2,000 pairs in every way of meeting; beside as
// many look-ups of a pair in an indexed table of SQLite in memory, which is what a table of rules alone would cost. It
// grows with the number of different touches, not with how many openings have them.

use Apron\Contact\Contacts;
use Apron\Contact\How;
use Apron\Contact\Touch;
use Apron\Json\CoreData;
use Apron\Material\Catalogue;

require __DIR__.'/../vendor/autoload.php';

const TOUCHES = 2000;

$materials = array_values(array_slice((new Catalogue)->all(), 0, 400));
$step = max(1, intdiv(count($materials), 60));
$spread = array_filter($materials, fn (int $i): bool => $i % $step === 0, ARRAY_FILTER_USE_KEY);
$sixty = array_slice(array_values($spread), 0, 60);
$ways = How::cases();
$pairs = [];
for ($i = 0; $i < TOUCHES; $i++) {
    $pairs[] = new Touch($sixty[($i * 7) % 60], $sixty[($i * 11 + intdiv($i, 60)) % 60], $ways[$i % count($ways)]);
}
(new Contacts)->all();
Apron\Contact\ContactRules::standing();
$best = INF;
for ($turn = 0; $turn < 5; $turn++) {
    $began = hrtime(true);
    $contacts = new Contacts;
    foreach ($pairs as $i => $touch) {
        $contacts->add($touch, "bench/$i", "t$i");
    }
    $contacts->all();
    $best = min($best, (hrtime(true) - $began) / 1e6);
}
printf("%d contacts of %d materials judged            %7.1f ms\n", TOUCHES, count($sixty), $best);

$python = <<<'PY'
import json, sqlite3, sys, time
rules, pairs = json.load(sys.stdin)
db = sqlite3.connect(":memory:")
db.execute("create table rule (stick text, face text, verdict text, primary key (stick, face))")
db.executemany("insert into rule values (?, ?, ?)", rules)
began = time.perf_counter()
for pair in pairs:
    db.execute("select verdict from rule where stick = ? and face = ?", pair).fetchall()
print(f"{len(pairs)} look-ups of a pair in SQLite {(time.perf_counter() - began) * 1000:27.1f} ms")
PY;
$rules = array_map(
    fn ($row): array => [$row->get('stick')->id(), $row->get('on')->id(), $row->get('verdict')->text()],
    CoreData::read('contacts')->get('bonding')->items(1),
);
$looked = array_map(
    fn (Touch $touch): array => [$touch->a->adhesive->value ?? 'acrylic', $touch->b->family->id ?? ''],
    $pairs,
);
$run = proc_open(['python3', '-c', $python], [['pipe', 'r'], STDOUT, STDERR], $pipes);
fwrite($pipes[0], json_encode([$rules, $looked], JSON_THROW_ON_ERROR));
fclose($pipes[0]);
proc_close($run);
