<?php

declare(strict_types=1);

// Kills each part of a running instance with SIGKILL, over and over, while documents and readings are saved, and says
// what became of them. Run by hand: ./apron kills 10. It works on an instance of its own and leaves nothing running.

require __DIR__.'/../vendor/autoload.php';

use Symfony\Component\Process\Process;

$times = max(1, (int) ($argv[1] ?? 10));
$root = dirname(__DIR__);
$run = "$root/storage/apron/kills";
$port = 20000 + random_int(0, 9999);
$env = ['APRON_INSTANCE' => 'kills', 'APRON_PORT' => (string) $port];
(new Process(["$root/apron", 'stop'], $root, $env, timeout: 60))->run();
(new Process(['rm', '-rf', $run]))->mustRun();

$start = function () use ($root, $env): Process {
    $process = new Process(["$root/apron", 'start'], $root, $env, timeout: null);
    $process->start();

    return $process;
};
$jar = tempnam(sys_get_temp_dir(), 'apron-kills');
/** @return array{int, mixed} status (0 for no answer) and what was said */
$ask = function (string $method, string $path, ?array $body = null) use ($port, $jar): array {
    $token = preg_match('/XSRF-TOKEN\s+(\S+)/', (string) @file_get_contents($jar), $m) === 1 ? urldecode($m[1]) : '';
    $curl = curl_init("http://127.0.0.1:$port$path");
    curl_setopt_array(
        $curl,
        [
            CURLOPT_CUSTOMREQUEST => $method,
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_TIMEOUT => 20,
            CURLOPT_COOKIEJAR => $jar,
            CURLOPT_COOKIEFILE => $jar,
            CURLOPT_HTTPHEADER => [
                'Accept: application/json',
                'Content-Type: application/json',
                "X-XSRF-TOKEN: $token",
            ],
        ] + ($body === null ? [] : [CURLOPT_POSTFIELDS => json_encode($body)]),
    );
    $said = curl_exec($curl);
    $status = (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
    unset($curl);

    return [$said === false ? 0 : $status, json_decode((string) $said, true)];
};
$until = function (callable $holds, float $seconds): ?float {
    $began = microtime(true);
    while (! $holds()) {
        if (microtime(true) - $began > $seconds) {
            return null;
        }
        usleep(50000);
    }

    return microtime(true) - $began;
};
$up = fn (): bool => $ask('GET', '/up')[0] === 200;
$pid = fn (string $part): int => (int) explode(' ', (string) @file_get_contents("$run/run/$part.pid"))[0];

$app = $start();
$until($up, 300) ?? exit("It did not start.\n".$app->getOutput().$app->getErrorOutput());
$until(
    fn (): bool => $ask('POST', '/api/sign-in', [
        'email' => 'consultant@demo.test',
        'password' => 'lapped-outward',
    ])[0] === 200 || $ask('GET', '/sign-in')[0] !== 200,
    30,
);
$project = $ask('GET', '/api/projects')[1][0]['id'];
$wall = current(
    array_filter($ask('GET', "/api/projects/$project")[1]['assemblies'], fn (array $d): bool => $d['key'] === 'w1'),
);
$visit = null;
$acknowledged = ['saves' => [], 'readings' => []];
$n = 0;
$work = function () use ($ask, $project, &$wall, &$acknowledged, &$n, &$visit): void {
    $n++;
    $content = ['name' => "Named $n times"] + $wall['content'];
    [$status, $said] = $ask('PUT', "/api/projects/$project/documents/assembly/w1", [
        'revision' => $wall['revision'],
        'content' => $content,
        'save' => "kill-$n",
    ]);
    if ($status === 200) {
        $wall = $said;
        $acknowledged['saves'][] = $said['revision'];
    } elseif ($status === 409) {
        $wall = $said['theirs'];
    }
    $event =
        $visit === null
            ? ['id' => 'kill-visit', 'kind' => 'visit', 'at' => '2026-11-01T08:00:00Z']
            : [
                'id' => "kill-$n",
                'kind' => 'reading',
                'visit' => 'kill-visit',
                'at' => '2026-11-01T09:00:00Z',
                'check' => 'o4.pan-upturn.left',
                'value_mm' => 160 + $n,
            ];
    if ($ask('POST', "/api/projects/$project/site/events", ['events' => [$event]])[0] === 200) {
        $visit ??= true;
        $acknowledged['readings'][] = $event['id'];
    }
};
$lost = function () use ($ask, $project, &$acknowledged): array {
    $revisions = array_column($ask('GET', "/api/projects/$project/documents/assembly/w1/revisions")[1] ?? [], 'number');
    $file = $ask('GET', "/api/projects/$project/export.json")[1];
    $events = array_column($file['site']['events'] ?? [], 'id');
    // The list of revisions holds the newest two hundred.
    $saves = array_filter($acknowledged['saves'], fn (int $r): bool => $r >= min($revisions ?: [0]));

    return [
        count(array_diff($saves, $revisions)),
        count(array_diff($acknowledged['readings'], $events)),
        count($events) - count(array_unique($events)),
    ];
};

printf(
    "%-22s %5s %14s %18s %6s %8s\n",
    'killed with SIGKILL',
    'times',
    'up again',
    'median · most, s',
    'lost',
    'doubled',
);
$bad = 0;
$report = function (string $what, array $waits) use ($times, $lost, &$bad): void {
    $known = array_values(array_filter($waits, fn (?float $w): bool => $w !== null));
    sort($known);
    [$saves, $readings, $doubled] = $lost();
    $bad += $times - count($known) + $saves + $readings + $doubled;
    printf(
        "%-22s %5d %14s %18s %6d %8d\n",
        $what,
        count($waits),
        count($known).' of '.count($waits),
        $known === [] ? '–' : sprintf('%.1f · %.1f', $known[intdiv(count($known), 2)], end($known)),
        $saves + $readings,
        $doubled,
    );
};
foreach (['database', 'nginx', 'fpm', 'queue'] as $part) {
    $waits = [];
    for ($i = 0; $i < $times; $i++) {
        foreach (range(1, 3) as $_) {
            $work();
        }
        $old = $pid($part);
        posix_kill($old, SIGKILL);
        $work();
        $waits[] = $until(fn (): bool => $pid($part) !== $old && $pid($part) > 0 && $up() && $app->isRunning(), 60);
        if (! $app->isRunning()) {
            $app = $start();
            $until($up, 120);
        }
        // The watch gives up on a part that will not stay up, five times in a minute: each kill here is one of its own.
        if ($i % 4 === 3) {
            sleep(61);
        }
        $work();
    }
    $report($part, $waits);
}
$waits = [];
for ($i = 0; $i < $times; $i++) {
    $work();
    posix_kill($app->getPid() ?? exit("It stopped by itself.\n".$app->getOutput()), SIGKILL);
    $work();
    $app = $start();
    $waits[] = $until(fn (): bool => $up() && str_contains($app->getOutput(), 'Ctrl-C'), 120);
}
$report('the start itself', $waits);
$waits = [];
$left = 0;
for ($i = 0; $i < $times; $i++) {
    $id = $ask('POST', "/api/projects/$project/reports")[1]['id'] ?? '';
    $until(fn (): bool => ($ask('GET', "/api/reports/$id")[1]['state'] ?? '') === 'printing', 20);
    $old = $pid('queue');
    posix_kill($old, SIGKILL);
    $waits[] = $until(fn (): bool => ($ask('GET', "/api/reports/$id")[1]['state'] ?? '') === 'done', 60);
    $left = max($left, substr_count((string) shell_exec('ps -eo args'), "$run/tmp/apron-print-"));
    if ($i % 4 === 3) {
        sleep(61);
    }
}
$report('queue, in a report', $waits);
(new Process(["$root/apron", 'stop'], $root, $env, timeout: 60))->run();
$after = substr_count((string) shell_exec('ps -eo args'), $run);
echo "browsers left behind: while running $left, after stop ".($after > 0 ? $after : 0)."\n";
@unlink($jar);
exit($bad + $left + $after > 0 ? 1 : 0);
