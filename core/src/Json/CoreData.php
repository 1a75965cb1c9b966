<?php

declare(strict_types=1);

namespace Apron\Json;

/** The catalogues, figures and words that ship with the core, each file read from one place. */
final class CoreData
{
    /** @param  string  $name  within `core/data`, without `.json` */
    public static function read(string $name): Node
    {
        return Node::parse((string) file_get_contents(self::path("$name.json")));
    }

    /** @param  string  $name  a file or folder within `core/data` */
    public static function path(string $name): string
    {
        return dirname(__DIR__, 2)."/data/$name";
    }
}
