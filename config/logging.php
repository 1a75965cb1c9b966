<?php

declare(strict_types=1);

return [
    'default' => 'single',
    'deprecations' => ['channel' => 'null', 'trace' => false],
    'channels' => [
        'single' => [
            'driver' => 'single',
            'path' => env('APRON_LOG', storage_path('logs/apron.log')),
            'level' => env('LOG_LEVEL', 'warning'),
            'replace_placeholders' => true,
        ],
        'mail' => [
            'driver' => 'single',
            'path' => env('APRON_MAIL', storage_path('logs/mail.log')),
            'level' => 'debug',
        ],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
        'emergency' => ['path' => storage_path('logs/apron.log')],
    ],
];
