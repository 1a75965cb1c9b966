<?php

declare(strict_types=1);

return [
    'default' => 'mariadb',
    'connections' => [
        'mariadb' => [
            'driver' => 'mariadb',
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '33306'),
            'database' => env('DB_DATABASE', 'apron'),
            'username' => env('DB_USERNAME', 'root'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8mb4',
            'collation' => 'utf8mb4_bin',
            'strict' => true,
            'engine' => 'InnoDB',
        ],
    ],
    // Where APRON_REDIS=redis://… is set: sessions, limits and the queue leave this machine, so that there may be more
    // of it.
    'redis' => [
        'client' => 'predis',
        'options' => ['prefix' => 'apron:'],
        'default' => ['url' => env('APRON_REDIS', 'redis://127.0.0.1:6379')],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];
