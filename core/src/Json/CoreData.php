<?php

declare(strict_types=1);

namespace Apron\Json;

/** The catalogues, figures and words that ship with the core, each file read from one place. */
final class CoreData
{
    private static ?string $keptIn = null;

    /**
     * Keep each file as PHP beside what else is made from the source: a server that keeps compiled PHP in its memory
     * then reads none of them again.
     *
     * @param  string|null  $folder  that may be written; null keeps nothing
     */
    public static function keepIn(?string $folder): void
    {
        self::$keptIn = $folder;
    }

    /** @param  string  $name  within `core/data`, without `.json` */
    public static function read(string $name): Node
    {
        return Node::kept(self::rows($name));
    }

    /**
     * The same as PHP has it, with arrays for its objects.
     *
     * @param  string  $name  within `core/data`, without `.json`
     * @return array<mixed>
     */
    public static function rows(string $name): array
    {
        $path = self::path("$name.json");
        if (self::$keptIn === null) {
            return self::decoded($path);
        }
        $stem = self::$keptIn.'/'.strtr($name, '/', '.');
        $kept = "$stem@".filemtime($path).'-'.filesize($path).'.php';
        if (! is_file($kept)) {
            self::keep($path, $stem, $kept);
        }

        /** @var array<mixed> $rows */
        $rows = is_file($kept) ? require $kept : self::decoded($path);

        return $rows;
    }

    /** @return array<mixed> */
    private static function decoded(string $path): array
    {
        /** @var array<mixed> $rows */
        $rows = json_decode((string) file_get_contents($path), true, 64, JSON_THROW_ON_ERROR);

        return $rows;
    }

    /** Written whole or not at all, for others read it meanwhile; where it cannot be, the file itself is read. */
    private static function keep(string $path, string $stem, string $kept): void
    {
        $folder = dirname($kept);
        if (! is_dir($folder) && is_dir(dirname($folder)) && is_writable(dirname($folder))) {
            @mkdir($folder);
        }
        $writing = is_writable($folder) ? tempnam($folder, 'writing') : false;
        if ($writing === false) {
            return;
        }
        file_put_contents($writing, '<?php return '.var_export(self::decoded($path), true).';');
        foreach (glob("$stem@*.php") ?: [] as $old) {
            @unlink($old);
        }
        rename($writing, $kept);
    }

    /** @param  string  $name  a file or folder within `core/data` */
    public static function path(string $name): string
    {
        return dirname(__DIR__, 2)."/data/$name";
    }
}
