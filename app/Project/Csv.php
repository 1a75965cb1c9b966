<?php

declare(strict_types=1);

namespace App\Project;

/** A table as a sheet reads it: UTF-8 with its mark; a text that the sheet would reckon begins with a quote. */
final class Csv implements \Stringable
{
    /** @var resource */
    private $out;

    /** @param  list<string>  $head */
    public function __construct(array $head)
    {
        $this->out = fopen('php://temp', 'r+') ?: throw new \RuntimeException('no memory to write to');
        fwrite($this->out, "\u{FEFF}");
        $this->row($head);
    }

    /** @param  list<string|int|float>  $cells */
    public function row(array $cells): void
    {
        $safe = fn (string|int|float $cell): string|int|float => is_string($cell) ? self::text($cell) : $cell;
        fputcsv($this->out, array_map($safe, $cells), ',', '"', '');
    }

    private static function text(string $text): string
    {
        return preg_match('/^[=+\-@\t\r]/', $text) === 1 ? "'$text" : $text;
    }

    public function __toString(): string
    {
        rewind($this->out);

        return (string) stream_get_contents($this->out);
    }
}
