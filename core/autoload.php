<?php

declare(strict_types=1);

// The core stands alone: the command line needs no framework and no vendor folder.
spl_autoload_register(function (string $class): void {
    if (str_starts_with($class, 'Apron\\')) {
        $file = __DIR__.'/src/'.str_replace('\\', '/', substr($class, 6)).'.php';
        if (is_file($file)) {
            require $file;
        }
    }
});
