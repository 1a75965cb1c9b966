<?php

declare(strict_types=1);

namespace Apron\Json;

/** How a document is written: the same content gives the same bytes. */
final class Written
{
    /**
     * Leaves out what was not stated.
     *
     * @param  array<string, mixed>  $row
     * @return array<string, mixed>
     */
    public static function without(array $row): array
    {
        return array_filter($row, fn (mixed $value): bool => $value !== null && $value !== []);
    }

    /**
     * Two spaces, keys in the order given, numbers as short as they can be read back exactly.
     *
     * @param  array<mixed>  $document
     */
    public static function json(array $document): string
    {
        $text = json_encode(
            $document,
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
        );

        return preg_replace_callback(
            '/^ +/m',
            fn (array $m): string => str_repeat(' ', intdiv(strlen($m[0]), 2)),
            $text,
        )."\n";
    }
}
