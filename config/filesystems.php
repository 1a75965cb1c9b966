<?php

declare(strict_types=1);

return [
    'default' => 'files',
    'disks' => [
        // Photographs and reports; any Flysystem disk will do.
        'files' => ['driver' => 'local', 'root' => env('APRON_FILES', storage_path('app/files')), 'throw' => true],
    ],
];
