<?php

declare(strict_types=1);

// What people wait for, through the web server, on generated projects: ./apron bench. Times are of whole requests,
// measured at the client on the same two cores; beside them what they were at the start of this work
// (../docs/reliability.md), in the same units. An argument "load" adds fifty people at once.

use Apron\Method\Methods;

require __DIR__.'/../vendor/autoload.php';

$url = (string) getenv('APRON_URL');
$jar = tempnam(sys_get_temp_dir(), 'apron-bench');
$token = fn (): string => preg_match('/XSRF-TOKEN\s+(\S+)/', (string) @file_get_contents($jar), $m) === 1
    ? urldecode($m[1])
    : '';
$handle = function (string $method, string $path, mixed $body = null) use ($url, $jar, $token): CurlHandle {
    $curl = curl_init($url.$path);
    $form = is_array($body) && reset($body) instanceof CURLFile;
    curl_setopt_array(
        $curl,
        [
            CURLOPT_CUSTOMREQUEST => $method,
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_TIMEOUT => 120,
            CURLOPT_COOKIEJAR => $jar,
            CURLOPT_COOKIEFILE => $jar,
            CURLOPT_ENCODING => 'gzip',
            CURLOPT_HTTPHEADER => [
                'Accept: application/json',
                'X-XSRF-TOKEN: '.$token(),
                ...$form ? [] : ['Content-Type: application/json'],
            ],
        ] + ($body === null ? [] : [CURLOPT_POSTFIELDS => $form ? $body : json_encode($body)]),
    );

    return $curl;
};
$last = 0.0;
$ask = function (string $method, string $path, mixed $body = null) use ($handle, &$last): mixed {
    $curl = $handle($method, $path, $body);
    $began = hrtime(true);
    $said = (string) curl_exec($curl);
    $last = (hrtime(true) - $began) / 1e6;
    $status = curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
    unset($curl);
    if ($status >= 300) {
        throw new RuntimeException("$method $path: $status ".substr($said, 0, 300));
    }

    return json_decode($said, true);
};
$bring = function (array $file) use ($ask): string {
    $path = tempnam(sys_get_temp_dir(), 'apron-bench');
    file_put_contents($path, json_encode($file));
    $id = $ask('POST', '/api/projects/import', ['file' => new CURLFile($path, 'application/json', 'p.json')])['id'];
    unlink($path);

    return $id;
};
$median = function (array $ms): float {
    sort($ms);

    return $ms[intdiv(count($ms), 2)];
};
$p95 = function (array $ms): float {
    sort($ms);

    return $ms[(int) floor(0.95 * (count($ms) - 1))];
};
$line = fn (string $what, array $ms, string $before, string $aim) => printf(
    "%-52s %8.0f %8.0f   %-14s %s\n",
    $what,
    $median($ms),
    max($ms),
    $before,
    $aim,
);

curl_exec($handle('GET', '/sign-in'));
$ask('POST', '/api/sign-in', ['email' => 'consultant@demo.test', 'password' => 'lapped-outward']);
$demo = json_decode((string) file_get_contents(__DIR__.'/../database/demo/project.json'), true);

// Five hundred openings of six kinds, as a schedule brings them.
$file = $demo;
unset($file['site'], $file['training']);
$file['project']['name'] = 'bench of 500 openings';
$file['openings'] = [];
foreach (range(1, 500) as $n) {
    $file['openings'][] = [
        'id' => "s$n",
        'title' => "Window $n",
        'generator' => Methods::openings()[$n % 6],
        'parameters' => ['width_mm' => 600 + 10 * ($n % 60), 'height_mm' => 1200, 'depth_mm' => 140],
    ];
}
$many = $bring($file);

// Ten thousand readings on the demo.
$file = $demo;
$file['project']['name'] = 'bench of 10,000 readings';
$file['site'] = ['events' => [['id' => 'v1', 'kind' => 'visit', 'at' => '2026-05-01T08:00:00Z', 'by' => 'x']]];
$checks = ['o4.pan-upturn.left', 'o4.pan-upturn.right', 'o4.flap-over-head-strip', 'o4.slit-tape-side.left'];
for ($n = 0; $n < 10000; $n++) {
    $file['site']['events'][] = [
        'id' => "r$n",
        'kind' => 'reading',
        'visit' => 'v1',
        'at' => gmdate('Y-m-d\TH:i:s\Z', 1777622400 + $n),
        'by' => 'x',
        'check' => $checks[$n % 4],
        'value_mm' => 150 + ($n % 50),
        'typed' => (string) (150 + ($n % 50)),
        'instrument' => 'tape measure',
    ];
}
$site = $bring($file);

printf("%-52s %8s %8s   %-14s %s\n", 'ms', 'median', 'most', 'before', 'aim');
$ask('GET', "/api/projects/$many/assessment?units=si&paths=none");
$first = $last;
$ask('GET', "/api/projects/$many/assessment?units=si&paths=none");
$edit = [];
$opening = array_values(
    array_filter($ask('GET', "/api/projects/$many")['openings'], fn (array $d): bool => $d['key'] === 's7'),
)[0];
foreach (range(1, 7) as $n) {
    $opening['content']['parameters']['width_mm'] = 700 + $n;
    $opening = $ask('PUT', "/api/projects/$many/documents/opening/s7", [
        'revision' => $opening['revision'],
        'content' => $opening['content'],
    ]);
    $save = $last;
    $ask('GET', "/api/projects/$many/assessment?units=si&paths=none");
    $edit[] = $save + $last;
}
$line('500 openings: one edited, saved, its verdict there', $edit, '~8400', 'under 200');
$line('500 openings: all of it assessed, once', [$first], '~6900', '');
// What is issued is frozen and printed: how long until it stands, and how long until its report can be taken away.
$issued = $ask('POST', "/api/projects/$many/revisions", ['title' => 'tender', 'words' => '']);
$line('500 openings: issued', [$last], '', '');
$began = hrtime(true);
do {
    usleep(200_000);
    $report = $ask('GET', "/api/projects/$many/revisions")['revisions'][0]['reports'][0];
} while (in_array($report['state'], ['queued', 'printing'], true));
$line("500 openings: its report, {$report['state']}", [(hrtime(true) - $began) / 1e6], '', '');
$kept = [];
foreach (range(1, 15) as $_) {
    $ask('GET', "/api/projects/$site/assessment?units=si&paths=none");
    $kept[] = $last;
}
$line('findings of a kept project', array_slice($kept, 1), '68', 'under 30');
$page = [];
foreach (range(1, 7) as $_) {
    $ask('GET', "/api/projects/$site/site?units=si");
    $page[] = $last;
}
$line('site page with 10,000 readings', $page, '~2000 at 2022', 'under 300');
$database = new PDO(
    'mysql:host='.getenv('DB_HOST').';port='.getenv('DB_PORT').';dbname='.getenv('DB_DATABASE'),
    (string) getenv('DB_USERNAME'),
    (string) getenv('DB_PASSWORD'),
);
$organisation = $database->query('select organisation_id from projects limit 1')->fetchColumn();
$insert = $database->prepare(
    'insert into projects (id, organisation_id, name, created_at, updated_at) values (?, ?, ?, now(), now())',
);
foreach (range(1, 3000) as $n) {
    $insert->execute([sprintf('01BENCH%019d', $n), $organisation, "Barn $n"]);
}
$list = [];
foreach (range(1, 9) as $_) {
    $ask('GET', '/api/projects');
    $list[] = $last;
}
$line('list of 3,000 projects, its first page', $list, '500 (memory)', 'under 100');

if (($argv[1] ?? '') === 'load') {
    $small = $bring(
        ['project' => ['name' => 'bench of one wall'] + $demo['project']] +
            array_diff_key($demo, ['site' => 1, 'training' => 1]),
    );
    $wall = array_values(
        array_filter($ask('GET', "/api/projects/$small")['assemblies'], fn (array $d): bool => $d['key'] === 'w1'),
    )[0];
    $kinds = [
        'list' => [fn () => $handle('GET', '/api/projects'), '1097'],
        'assess' => [
            fn () => $handle('POST', "/api/projects/$small/assess", [
                'kind' => 'assembly',
                'content' => $wall['content'],
            ]),
            '1565',
        ],
        'findings' => [fn () => $handle('GET', "/api/projects/$small/assessment?units=si&paths=none"), '2748'],
        'save' => [
            function () use ($handle, $small, $wall) {
                static $n = 0;
                $n++;
                $content = ['id' => "load$n", 'name' => "Load $n"] + $wall['content'];

                return $handle('PUT', "/api/projects/$small/documents/assembly/load$n", [
                    'revision' => 0,
                    'content' => $content,
                ]);
            },
            '3201',
        ],
    ];
    foreach ($kinds as $what => [$make, $before]) {
        [$ms, $bad] = [[], 0];
        $multi = curl_multi_init();
        $until = microtime(true) + 8;
        $add = function () use ($multi, $make): void {
            curl_multi_add_handle($multi, $make());
        };
        foreach (range(1, 50) as $_) {
            $add();
        }
        do {
            curl_multi_exec($multi, $running);
            while ($done = curl_multi_info_read($multi)) {
                $ms[] = curl_getinfo($done['handle'], CURLINFO_TOTAL_TIME) * 1000;
                $bad += curl_getinfo($done['handle'], CURLINFO_RESPONSE_CODE) === 200 ? 0 : 1;
                curl_multi_remove_handle($multi, $done['handle']);
                if (microtime(true) < $until) {
                    $add();
                }
            }
            curl_multi_select($multi, 0.01);
        } while ($running > 0);
        printf(
            "50 at once: %-40s %8.0f %8.0f   %-14s under %.0f%s\n",
            "$what, median and p95 (".round(count($ms) / 8).' a second)',
            $median($ms),
            $p95($ms),
            "$before p95",
            (int) $before / 3,
            $bad > 0 ? "   $bad refused" : '',
        );
    }
}
unlink($jar);
