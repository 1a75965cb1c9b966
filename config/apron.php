<?php

return [
    // Where the report's pages are printed from: the address at which this machine reaches its own web server.
    'chromedriver' => env('APRON_CHROMEDRIVER', '/usr/bin/chromedriver'),
    'chromium' => env('APRON_CHROMIUM', '/usr/bin/chromium'),
    'photograph_most_bytes' => 15 * 1024 * 1024,
    'photograph_longest_side' => 2048,
];
