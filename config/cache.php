<?php

declare(strict_types=1);

return [
    'default' => env('CACHE_STORE', env('APRON_REDIS') ? 'redis' : 'file'),
    'stores' => [
        'array' => ['driver' => 'array', 'serialize' => false],
        'redis' => ['driver' => 'redis', 'connection' => 'default'],
        'file' => ['driver' => 'file', 'path' => env('APRON_CACHE', storage_path('framework/cache'))],
    ],
    'prefix' => 'apron',
];
