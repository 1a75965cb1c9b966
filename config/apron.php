<?php

declare(strict_types=1);

return [
    // Where the report's pages are printed from: the address at which this machine reaches its own web server.
    // Where the browser that prints keeps its profile; cleared when a report was cut short.
    'tmp' => env('APRON_TMP', sys_get_temp_dir()),
    'pdfinfo' => env('APRON_PDFINFO', '/usr/bin/pdfinfo'),
    'chromedriver' => env('APRON_CHROMEDRIVER', '/usr/bin/chromedriver'),
    'chromium' => env('APRON_CHROMIUM', '/usr/bin/chromium'),
    // The names under which the application answers, beside the one of its own address.
    'hosts' => array_values(
        array_unique(
            array_filter(
                array_map(fn (string $name): string => strtolower(trim($name)), [
                    (string) parse_url((string) env('APP_URL', 'http://127.0.0.1:8080'), PHP_URL_HOST),
                    'localhost',
                    '127.0.0.1',
                    ...explode(',', (string) env('APRON_HOSTS', '')),
                ]),
            ),
        ),
    ),
    // A person typing into a drawing posts a draft at every key; a loop gone wild posts many more.
    'requests_a_minute' => (int) env('APRON_REQUESTS_A_MINUTE', 1200),
    'photograph_most_bytes' => 15 * 1024 * 1024,
    'photograph_longest_side' => 2048,
];
