<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', env('APRON_REDIS') ? 'redis' : 'file'),
    'lifetime' => 720,
    'expire_on_close' => false,
    'encrypt' => false,
    'connection' => env('APRON_REDIS') ? 'default' : null,
    'table' => 'sessions',
    'store' => null,
    'lottery' => [2, 100],
    'cookie' => 'apron_session',
    'path' => '/',
    'domain' => null,
    // Behind TLS a cookie goes no other way; on loopback there is none.
    'secure' => env('SESSION_SECURE_COOKIE', str_starts_with((string) env('APP_URL', ''), 'https://')),
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
    'files' => env('APRON_SESSIONS', storage_path('framework/sessions')),
];
