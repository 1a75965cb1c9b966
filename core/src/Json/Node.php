<?php

declare(strict_types=1);

namespace Apron\Json;

/** One value of a JSON document and where it stands: reads it as what it should be, or refuses it with its place. */
final readonly class Node
{
    private mixed $value;

    /** A document kept as PHP has arrays for its objects too; each is made one when somebody comes to it. */
    private function __construct(mixed $value, private string $pointer)
    {
        $this->value = is_array($value) && ! array_is_list($value) ? (object) $value : $value;
    }

    /** Nothing in a project file stands deeper; what does is not one. */
    private const DEEPEST = 64;

    /** @throws FileRefused where the text is not JSON */
    public static function parse(string $json): self
    {
        // Editors of one system begin a file of theirs with a byte order mark.
        $json = str_starts_with($json, "\xEF\xBB\xBF") ? substr($json, 3) : $json;
        try {
            return new self(json_decode($json, false, self::DEEPEST, JSON_THROW_ON_ERROR), '');
        } catch (\JsonException $e) {
            throw new FileRefused('', self::wherefore($json, $e->getMessage()), 'one JSON object in UTF-8');
        }
    }

    /**
     * @param  array<string, mixed>|\stdClass  $value as json_encode would write it
     *
     * @throws FileRefused where JSON has no way to write it
     */
    public static function of(array|\stdClass $value, string $pointer = ''): self
    {
        try {
            return new self(
                json_decode(json_encode($value, JSON_THROW_ON_ERROR), false, self::DEEPEST, JSON_THROW_ON_ERROR),
                $pointer,
            );
        } catch (\JsonException $e) {
            throw new FileRefused(
                $pointer,
                lcfirst($e->getMessage()),
                'finite numbers, text in UTF-8, and no more than '.self::DEEPEST.' levels',
            );
        }
    }

    /** What json_decode made of a document, into objects and not arrays. */
    public static function decoded(\stdClass $value, string $pointer = ''): self
    {
        return new self($value, $pointer);
    }

    /** @param  array<mixed>  $value  a document kept as PHP, with arrays for its objects, none of them empty */
    public static function kept(array $value): self
    {
        return new self($value, '');
    }

    public function refuse(string $expected, ?string $value = null): never
    {
        throw new FileRefused($this->pointer, $value ?? $this->shown(), $expected);
    }

    /**
     * @param  list<string>  $known  the keys it may have
     * @param  list<string>  $required  those it must have
     */
    public function object(array $known, array $required = []): self
    {
        if (! ($this->value instanceof \stdClass)) {
            $this->refuse('an object');
        }
        foreach (array_keys(get_object_vars($this->value)) as $key) {
            if (! in_array((string) $key, $known, true)) {
                $this->child((string) $key)->refuse('one of the keys '.implode(', ', $known), "unknown key “{$key}”");
            }
        }
        foreach ($required as $key) {
            if (! $this->has($key)) {
                $this->child($key)->refuse("the key “{$key}”", 'missing');
            }
        }

        return $this;
    }

    /** @return array<string, self> every key of an object whose keys are names */
    public function entries(): array
    {
        if (! ($this->value instanceof \stdClass)) {
            $this->refuse('an object');
        }
        $entries = [];
        foreach (array_keys(get_object_vars($this->value)) as $key) {
            $entries[(string) $key] = $this->child((string) $key);
        }

        return $entries;
    }

    public function has(string $key): bool
    {
        return $this->value instanceof \stdClass &&
            property_exists($this->value, $key) &&
            $this->value->{$key} !== null;
    }

    public function get(string $key): self
    {
        if (! $this->has($key)) {
            $this->child($key)->refuse("the key “{$key}”", 'missing');
        }

        return $this->child($key);
    }

    /** The id of a row, as far as it has one; for saying which it is. */
    public function named(): string
    {
        return $this->value instanceof \stdClass && is_string($this->value->id ?? null) ? $this->value->id : '';
    }

    public function optional(string $key): ?self
    {
        return $this->has($key) ? $this->child($key) : null;
    }

    /** @return list<self> */
    public function items(int $least = 0, int $most = PHP_INT_MAX): array
    {
        if (! is_array($this->value)) {
            $this->refuse('a list');
        }
        $count = count($this->value);
        if ($count < $least || $count > $most) {
            $this->refuse(
                $least === $most
                    ? "a list of exactly $least"
                    : ($most === PHP_INT_MAX
                        ? "a list of at least $least"
                        : "a list of $least to $most"),
                "a list of $count",
            );
        }
        $items = [];
        foreach (array_values($this->value) as $i => $item) {
            $items[] = new self($item, $this->pointer.'/'.$i);
        }

        return $items;
    }

    /** Itself, where it is a list of no more than so many. */
    public function listOf(int $most): self
    {
        $this->items(0, $most);

        return $this;
    }

    /** @return list<float> */
    public function numbers(int $count): array
    {
        return array_map(fn (self $item): float => $item->number(), $this->items($count, $count));
    }

    public function text(int $longest = 200): string
    {
        if (! is_string($this->value) || trim($this->value) === '' || mb_strlen($this->value) > $longest) {
            $this->refuse("text of 1 to $longest characters");
        }
        if (preg_match('/[\x00-\x08\x0b\x0c\x0e-\x1f\x7f]/', $this->value) === 1) {
            $this->refuse('text without control characters');
        }

        return $this->value;
    }

    /** A name others refer to: no slash, for it becomes part of a path. */
    public function id(): string
    {
        if (! is_string($this->value) || preg_match('#^[^/\s\x00-\x1f]{1,80}$#uD', $this->value) !== 1) {
            $this->refuse('an id of 1 to 80 characters without spaces or slashes');
        }

        return $this->value;
    }

    public function boolean(): bool
    {
        if (! is_bool($this->value)) {
            $this->refuse('true or false');
        }

        return $this->value;
    }

    public function number(): float
    {
        if ((! is_int($this->value) && ! is_float($this->value)) || ! is_finite((float) $this->value)) {
            $this->refuse('a finite number');
        }

        // JSON knows −0, a drawing does not.
        return (float) $this->value + 0.0;
    }

    public function integer(int $least, int $most): int
    {
        if (! is_int($this->value) || $this->value < $least || $this->value > $most) {
            $this->refuse("a whole number from $least to $most");
        }

        return $this->value;
    }

    /** As it stands, unread: to be put into another document. */
    public function raw(): mixed
    {
        return $this->value;
    }

    /**
     * The same object with some keys said otherwise.
     *
     * @param  array<string, mixed>  $said
     */
    public function with(array $said): self
    {
        return new self(
            (object) ($said + ($this->value instanceof \stdClass ? get_object_vars($this->value) : [])),
            $this->pointer,
        );
    }

    /** Above zero: from the least to the most that there is in the trade. */
    public function positive(float $most, string $unit, float $least): float
    {
        $number = $this->number();
        if ($number <= 0 || $number > $most) {
            $this->refuse(trim("a number above 0 and up to $most $unit"));
        }
        if ($number < $least) {
            $this->refuse(trim("a number of at least $least and up to $most $unit"));
        }

        return $number;
    }

    public function between(float $least, float $most, string $unit): float
    {
        $number = $this->number();
        if ($number < $least || $number > $most) {
            $this->refuse(trim("a number from $least to $most $unit"));
        }

        return $number;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     */
    public function oneOf(string $enum): \BackedEnum
    {
        $case = is_string($this->value) ? $enum::tryFrom($this->value) : null;

        return $case ??
            $this->refuse(
                'one of '.implode(', ', array_map(fn (\BackedEnum $c): string => (string) $c->value, $enum::cases())),
            );
    }

    /** @param  list<string>  $words */
    public function word(array $words): string
    {
        if (! is_string($this->value) || ! in_array($this->value, $words, true)) {
            $this->refuse('one of '.implode(', ', $words));
        }

        return $this->value;
    }

    public function isText(): bool
    {
        return is_string($this->value);
    }

    private function child(string $key): self
    {
        $value = $this->value instanceof \stdClass ? $this->value->{$key} ?? null : null;

        return new self($value, $this->pointer.'/'.strtr($key, ['~' => '~0', '/' => '~1']));
    }

    private function shown(): string
    {
        return match (true) {
            $this->value === null => 'nothing',
            $this->value instanceof \stdClass => 'an object',
            is_array($this->value) => 'a list of '.count($this->value),
            is_float($this->value) && ! is_finite($this->value) => 'a number too large to hold',
            default => mb_strimwidth(
                json_encode($this->value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR),
                0,
                80,
                '…',
            ),
        };
    }

    /** JSON has no NaN and no Infinity, and people's programs write them all the same: say so, and on which line. */
    private static function wherefore(string $json, string $message): string
    {
        if (preg_match('/(?<=[:,\[])\s*-?(NaN|Infinity|nan|inf)\b/', $json, $m, PREG_OFFSET_CAPTURE)) {
            return $m[1][0].' on line '.(substr_count($json, "\n", 0, $m[1][1]) + 1).', which JSON does not have';
        }

        return 'not JSON ('.lcfirst($message).')';
    }
}
