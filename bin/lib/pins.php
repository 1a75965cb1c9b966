<?php

declare(strict_types=1);

// The exact version of every PHP library, for every firm the same: Composer writes no lock file everywhere, and this is
// read in its place.
//   with    what to tell composer update · check   whether what is installed is what is pinned · write   pin what is
// installed

$root = dirname(__DIR__, 2);
$file = "$root/composer.pins.json";
$installed = function () use ($root): array {
    $versions = [];
    foreach (
        json_decode((string) file_get_contents("$root/vendor/composer/installed.json"), true)['packages'] as $package
    ) {
        // Our own stand-ins are pinned by being here.
        if (($package['dist']['type'] ?? '') !== 'path' && $package['type'] !== 'metapackage') {
            $versions[$package['name']] = ltrim($package['version'], 'v');
        }
    }
    ksort($versions);

    return $versions;
};
$pins = is_file($file) ? json_decode((string) file_get_contents($file), true) : [];

switch ($argv[1] ?? '') {
    case 'with':
        foreach ($pins as $name => $pin) {
            echo "--with\n$name:$pin\n";
        }
        break;
    case 'check':
        $wrong = 0;
        $here = $installed();
        foreach ($pins + $here as $name => $_) {
            if (($here[$name] ?? null) !== ($pins[$name] ?? null)) {
                fprintf(
                    STDERR,
                    "%s: %s is installed, %s is pinned\n",
                    $name,
                    $here[$name] ?? 'nothing',
                    $pins[$name] ?? 'nothing',
                );
                $wrong = 1;
            }
        }
        exit($wrong);
    case 'write':
        file_put_contents($file, json_encode($installed(), JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES)."\n");
        break;
    default:
        fwrite(STDERR, "php bin/lib/pins.php with|check|write\n");
        exit(2);
}
