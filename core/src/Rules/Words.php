<?php

declare(strict_types=1);

namespace Apron\Rules;

use Apron\Json\CoreData;
use Apron\Quantity\Display;
use Apron\Quantity\UnitSystem;

/**
 * The text catalogue: what Apron says, by code, with the figures put in where braces name them. A code may have
 * `{figure}` for a number shown with its unit, and `{word:name}` for an entry of the list `name` (months, controls).
 */
final class Words
{
    /** @var array<string, array<string, string>> */
    private array $texts = [];

    /** @var array<string, array<string, string>> */
    private array $lists = [];

    private Display $display;

    /** @var array<string, string> what was said before: the ways of the water say the same over and over */
    private array $said = [];

    public function __construct(UnitSystem $units)
    {
        $this->display = new Display($units);
        foreach (['findings', 'cures', 'trace', 'sequence', 'checks', 'handling', 'lists'] as $file) {
            /** @var array<string, array<string, string>> $rows */
            $rows = CoreData::rows("words/$file");
            if ($file === 'lists') {
                $this->lists = $rows;
            } else {
                $this->texts += $rows;
            }
        }
    }

    /** @return array{title: string, reason: string, remedy: string} */
    public function of(Finding $finding): array
    {
        return [
            'title' => $this->text($finding->code, 'title', $finding->figures),
            'reason' => $this->text($finding->code, 'reason', $finding->figures),
            'remedy' => $this->text($finding->code, 'remedy', $finding->figures),
        ];
    }

    /**
     * @param  array<string, float|int|string>  $figures
     *
     * @throws \OutOfBoundsException where the catalogue has no such text, or the text names a figure that is not given
     */
    public function text(string $code, string $part, array $figures = []): string
    {
        $key = $code.'|'.$part.'|'.implode('|', $figures).'|'.implode('|', array_keys($figures));
        if (isset($this->said[$key])) {
            return $this->said[$key];
        }
        // What a school says otherwise is all that it says: the rest is as usual.
        $template =
            $this->texts[$code][$part] ??
            ($this->texts[(string) strstr($code, '@', true)][$part] ??
                throw new \OutOfBoundsException("no words for $code · $part"));

        return $this->said[$key] = (string) preg_replace_callback(
            '/\{(?:(\w+):)?([\w.]+)\}/',
            function (array $m) use ($figures, $code): string {
                $value =
                    $figures[$m[2]] ??
                    throw new \OutOfBoundsException("the words of $code name the figure $m[2], which is not given");

                return $m[1] === '' ? $this->display->figure($m[2], $value) : $this->listed($m[1], (string) $value);
            },
            $template,
        );
    }

    /** A figure by itself, with its unit. */
    public function figure(string $key, float|int|string $value): string
    {
        return $this->display->figure($key, $value);
    }

    /**
     * A code's words, or those the school of the project has instead, kept under `code@question.answer`.
     *
     * @param  array<string, string>  $answers  question => answer
     */
    public function coded(string $code, array $answers): string
    {
        foreach ($answers as $question => $answer) {
            if ($this->has("$code@$question.$answer")) {
                return "$code@$question.$answer";
            }
        }

        return $code;
    }

    public function has(string $code): bool
    {
        return isset($this->texts[$code]);
    }

    /** An answer to a choice: by its own words where the same word means another thing elsewhere. */
    public function answer(string $choice, string $answer): string
    {
        return $this->lists['choice']["$choice.$answer"] ?? $this->listed('choice', $answer);
    }

    public function listed(string $list, string $entry): string
    {
        // Several of a kind are numbered: the second of two covers is `mullion-cover-2`.
        $numbered =
            preg_match('/^(.+)-(\d+)$/', $entry, $m) === 1 && isset($this->lists[$list][$m[1]])
                ? "{$this->lists[$list][$m[1]]} $m[2]"
                : $entry;

        return $this->lists[$list][$entry] ?? $numbered;
    }
}
