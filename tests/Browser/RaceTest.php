<?php

declare(strict_types=1);

// Two connections at once against the real server: what one looks at must still stand when it is written.

/** A person at the HTTP interface, signed in. */
function visitor(): object
{
    return new class
    {
        private string $jar;

        public function __construct()
        {
            $this->jar = tempnam(sys_get_temp_dir(), 'apron-race');
            $this->ask('GET', '/sign-in');
            $this->ask('POST', '/api/sign-in', ['email' => 'consultant@demo.test', 'password' => 'lapped-outward']);
        }

        public function handle(string $method, string $path, ?array $body = null): CurlHandle
        {
            $token =
                preg_match('/XSRF-TOKEN\s+(\S+)/', (string) file_get_contents($this->jar), $m) === 1
                    ? urldecode($m[1])
                    : '';
            $curl = curl_init(getenv('APRON_URL').$path);
            curl_setopt_array(
                $curl,
                [
                    CURLOPT_CUSTOMREQUEST => $method,
                    CURLOPT_RETURNTRANSFER => true,
                    CURLOPT_TIMEOUT => 60,
                    CURLOPT_COOKIEJAR => $this->jar,
                    CURLOPT_COOKIEFILE => $this->jar,
                    CURLOPT_HTTPHEADER => [
                        'Accept: application/json',
                        'Content-Type: application/json',
                        "X-XSRF-TOKEN: $token",
                    ],
                ] + ($body === null ? [] : [CURLOPT_POSTFIELDS => json_encode($body)]),
            );

            return $curl;
        }

        /** @return array{int, mixed} */
        public function ask(string $method, string $path, ?array $body = null): array
        {
            $curl = $this->handle($method, $path, $body);
            $said = (string) curl_exec($curl);
            $status = curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
            unset($curl);

            return [$status, json_decode($said, true)];
        }

        /** @return list<int> what became of requests sent at once */
        public function atOnce(CurlHandle ...$handles): array
        {
            $multi = curl_multi_init();
            array_map(fn (CurlHandle $h) => curl_multi_add_handle($multi, $h), $handles);
            do {
                curl_multi_exec($multi, $running);
                curl_multi_select($multi, 0.01);
            } while ($running > 0);

            return array_map(
                fn (CurlHandle $h): int => curl_getinfo($h, CURLINFO_RESPONSE_CODE),
                array_values($handles),
            );
        }
    };
}

it('never leaves a wall without its material, whoever saves and removes at once', function () {
    $one = visitor();
    $project = $one->ask('POST', '/api/projects', ['name' => 'Race', 'units' => 'si'])[1]['id'];
    $path = "/api/projects/$project";
    $own = ['id' => 'own1', 'name' => 'Own', 'conductivity_w_mk' => 0.04, 'vapour_resistance_factor' => 2];
    $wall = fn (string $material): array => [
        'id' => 'w1',
        'name' => 'w1',
        'kind' => 'wall',
        'layers' => [['material' => $material, 'thickness_mm' => 100]],
    ];
    [$material, $revision] = [0, 0];
    for ($round = 0; $round < 12; $round++) {
        $material = $one->ask('PUT', "$path/documents/material/own1", ['revision' => $material, 'content' => $own])[1][
            'revision'
        ];
        $revision = $one->ask('PUT', "$path/documents/assembly/w1", [
            'revision' => $revision,
            'content' => $wall('gypsum-board'),
        ])[1]['revision'];
        $both = $one->atOnce(
            $one->handle('PUT', "$path/documents/assembly/w1", ['revision' => $revision, 'content' => $wall('own1')]),
            $one->handle('DELETE', "$path/documents/material/own1", ['revision' => $material]),
        );
        // One of them is first, and the other is told.
        expect($both)
            ->toBeIn([[200, 422], [422, 204]])
            ->and($one->ask('GET', "$path/assessment")[0])
            ->toBe(200);
        $documents = $one->ask('GET', $path)[1];
        expect($documents['assemblies'][0]['broken'])->toBeNull();
        $revision = $documents['assemblies'][0]['revision'];
        $material = $both[1] === 204 ? $material + 1 : $material;
    }
});

it('keeps one of two saves of one revision, and one of two events of one id', function () {
    $one = visitor();
    $project = $one->ask('POST', '/api/projects', ['name' => 'Race', 'units' => 'si'])[1]['id'];
    $path = "/api/projects/$project";
    $wall = fn (int $mm): array => [
        'id' => 'w1',
        'name' => 'w1',
        'kind' => 'wall',
        'layers' => [['material' => 'gypsum-board', 'thickness_mm' => $mm]],
    ];
    $saves = $one->atOnce(
        ...array_map(
            fn (int $mm): CurlHandle => $one->handle('PUT', "$path/documents/assembly/w1", [
                'revision' => 0,
                'content' => $wall($mm),
            ]),
            range(1, 6),
        ),
    );
    sort($saves);
    expect($saves)->toBe([200, 409, 409, 409, 409, 409]);
    $events = $one->atOnce(
        ...array_map(
            fn (int $second): CurlHandle => $one->handle('POST', "$path/site/events", [
                'events' => [['id' => 'v1', 'kind' => 'visit', 'at' => "2026-05-01T08:00:0{$second}Z"]],
            ]),
            range(1, 6),
        ),
    );
    sort($events);
    expect($events)
        ->toBe([200, 409, 409, 409, 409, 409])
        ->and($one->ask('GET', "$path/site")[1]['visits'])
        ->toHaveCount(1);
});

it('runs once what two ask for at once, and what one cancels is cancelled for both', function () {
    $demo = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/database/demo/project.json'), true);
    [$one, $two] = [visitor(), visitor()];
    $project = $one->ask('POST', '/api/projects', ['name' => 'Race', 'units' => 'si'])[1]['id'];
    $path = "/api/projects/$project";
    $brief = $one->ask('GET', $path)[1]['brief'];
    $content = array_intersect_key($demo, ['climate' => 1, 'indoor' => 1]) + $brief['content'];
    $one->ask('PUT', "$path/documents/brief/brief", ['revision' => $brief['revision'], 'content' => $content]);
    foreach (range(1, 6) as $n) {
        // Each another wall: what was run once is known to all.
        $wall = ['id' => 'w1', 'name' => 'W', 'kind' => 'wall', 'layers' => [
            ['id' => 'a', 'material' => 'gypsum-board', 'thickness_mm' => 12.5],
            ['id' => 'b', 'material' => 'mineral-wool-board', 'thickness_mm' => 100 + mt_rand(1, 1_000_000) / 1e5],
        ]];
        $of = "$path/documents/assembly/w$n";
        expect($one->ask('PUT', $of, ['revision' => 0, 'content' => ['id' => "w$n"] + $wall])[0])->toBe(200);
        $run = ['id' => "r$n", 'assembly' => "w$n", 'years' => 20];
        expect($one->ask('PUT', "$path/documents/run/r$n", ['revision' => 0, 'content' => $run])[0])->toBe(200);
        expect($one->atOnce(
            $one->handle('POST', "$path/runs/r$n/start", []),
            $two->handle('POST', "$path/runs/r$n/start", []),
        ))->toBe([202, 202]);
        expect($one->atOnce(
            $one->handle('POST', "$path/runs/r$n/cancel", []),
            $two->handle('POST', "$path/runs/r$n/cancel", []),
        ))->toBe([200, 200]);
        $stands = array_column($two->ask('GET', "$path/runs")[1], 'state', 'key');
        expect($stands["r$n"])->toBe('cancelled');
    }
});
