<?php

declare(strict_types=1);

namespace Apron\Project;

/**
 * What is another between two states of a project: documents that came, went or changed and in what, findings that
 * came, went or weigh another. Rows with ids are the same row wherever they stand.
 *
 * @phpstan-type Change array{section: string, id: string, title: string, change: 'added'|'removed'|'changed',
 *   fields: list<array{at: string, was: string|null, now: string|null}>, more: int}
 * @phpstan-type Said object{key: string, severity: string, title: string, subject: string, accepted: mixed}
 * @phpstan-type Line array{key: string, severity: string, title: string, subject: string, was?: string}
 */
final readonly class Compared
{
    /** So many fields of one document are told; the rest is counted. */
    private const MOST_FIELDS = 12;

    /** A text longer than this is told by its beginning. */
    private const LONGEST = 80;

    /** What every file has, and what the record only ever adds to. */
    private const LEFT_OUT = ['format', 'site', 'training'];

    /** @var list<Change> */
    public array $documents;

    /** @var array{came: list<Line>, went: list<Line>, changed: list<Line>} */
    public array $findings;

    /**
     * @param  \stdClass  $before  a project file
     * @param  \stdClass  $after  a later one
     * @param  list<Said>  $said  findings of the earlier, as the assessment has them
     * @param  list<Said>  $says  of the later
     */
    public function __construct(\stdClass $before, \stdClass $after, array $said, array $says)
    {
        $changes = [];
        foreach (array_unique([...array_keys((array) $before), ...array_keys((array) $after)]) as $section) {
            if (! in_array($section, self::LEFT_OUT, true)) {
                array_push($changes, ...self::section($section, $before->$section ?? null, $after->$section ?? null));
            }
        }
        $this->documents = $changes;
        $this->findings = self::findings($said, $says);
    }

    /**
     * @return array{documents: list<Change>,
     *   findings: array{came: list<Line>, went: list<Line>, changed: list<Line>}}
     */
    public function toArray(): array
    {
        return ['documents' => $this->documents, 'findings' => $this->findings];
    }

    /** @return list<Change> */
    private static function section(string $section, mixed $before, mixed $after): array
    {
        $was = self::byId($before);
        $is = self::byId($after);
        if ($was === null || $is === null) {
            $fields = self::fields('', $before, $after);

            return $fields === [] ? [] : [self::change($section, '', $section, 'changed', $fields)];
        }
        $changes = [];
        foreach ($was + $is as $id => $row) {
            $title = self::title($is[$id] ?? $row, (string) $id);
            $fields = isset($was[$id], $is[$id]) ? self::fields('', $was[$id], $is[$id]) : [];
            if (! isset($is[$id])) {
                $changes[] = self::change($section, (string) $id, $title, 'removed', []);
            } elseif (! isset($was[$id])) {
                $changes[] = self::change($section, (string) $id, $title, 'added', []);
            } elseif ($fields !== []) {
                $changes[] = self::change($section, (string) $id, $title, 'changed', $fields);
            }
        }

        return $changes;
    }

    /**
     * @param  'added'|'removed'|'changed'  $change
     * @param  list<array{at: string, was: string|null, now: string|null}>  $fields
     * @return Change
     */
    private static function change(string $section, string $id, string $title, string $change, array $fields): array
    {
        return [
            'section' => $section,
            'id' => $id,
            'title' => $title,
            'change' => $change,
            'fields' => array_slice($fields, 0, self::MOST_FIELDS),
            'more' => max(0, count($fields) - self::MOST_FIELDS),
        ];
    }

    private static function title(\stdClass $row, string $id): string
    {
        foreach (['title', 'name', 'reason'] as $key) {
            if (is_string($row->$key ?? null) && $row->$key !== '') {
                return self::shown($row->$key);
            }
        }

        return $id;
    }

    /** @return array<string, \stdClass>|null rows by their ids, one that is not there as none; null of anything else */
    private static function byId(mixed $value): ?array
    {
        if ($value === null) {
            return [];
        }
        $rows = [];
        foreach (is_array($value) ? $value : [null] as $row) {
            if (! $row instanceof \stdClass || ! is_string($row->id ?? null)) {
                return null;
            }
            $rows[$row->id] = $row;
        }

        return $rows;
    }

    /** @return list<array{at: string, was: string|null, now: string|null}> */
    private static function fields(string $at, mixed $before, mixed $after): array
    {
        [$was, $is] = [self::parts($before), self::parts($after)];
        if ($was === null || $is === null) {
            return self::isSame($before, $after)
                ? []
                : [['at' => $at, 'was' => self::told($before), 'now' => self::told($after)]];
        }
        $fields = [];
        foreach (array_keys($was + $is) as $key) {
            array_push($fields, ...self::fields("$at/$key", $was[$key] ?? null, $is[$key] ?? null));
        }

        return $fields;
    }

    /** 12 and 12.0 are one number. */
    private static function isSame(mixed $a, mixed $b): bool
    {
        if ((is_int($a) || is_float($a)) && (is_int($b) || is_float($b))) {
            return (float) $a === (float) $b;
        }

        return is_scalar($a) || $a === null ? $a === $b : json_encode($a) === json_encode($b);
    }

    /**
     * @return array<array-key, mixed>|null rows by their ids, lists by number, objects by key; null where it
     *   has none
     */
    private static function parts(mixed $value): ?array
    {
        if ($value instanceof \stdClass) {
            return (array) $value;
        }

        return is_array($value) ? ($value === [] ? [] : self::byId($value) ?? $value) : null;
    }

    private static function told(mixed $value): ?string
    {
        if ($value === null) {
            return null;
        }

        $flags = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES;

        return self::shown(is_string($value) ? $value : (string) json_encode($value, $flags));
    }

    private static function shown(string $text): string
    {
        return mb_strlen($text) > self::LONGEST ? mb_substr($text, 0, self::LONGEST - 1).'…' : $text;
    }

    /**
     * @param  list<Said>  $said
     * @param  list<Said>  $says
     * @return array{came: list<Line>, went: list<Line>, changed: list<Line>}
     */
    private static function findings(array $said, array $says): array
    {
        $was = array_column($said, null, 'key');
        $is = array_column($says, null, 'key');
        $told = ['came' => [], 'went' => [], 'changed' => []];
        foreach ($is as $key => $finding) {
            $weight = self::weight($finding);
            if (! isset($was[$key])) {
                $told['came'][] = self::finding($finding);
            } elseif ($weight !== self::weight($was[$key])) {
                $told['changed'][] = self::finding($finding) + ['was' => self::weight($was[$key])];
            }
        }
        foreach (array_diff_key($was, $is) as $finding) {
            $told['went'][] = self::finding($finding);
        }

        return $told;
    }

    /** @param  Said  $finding */
    private static function weight(object $finding): string
    {
        return $finding->severity.($finding->accepted === null ? '' : ', accepted');
    }

    /**
     * @param  Said  $finding
     * @return Line
     */
    private static function finding(object $finding): array
    {
        return [
            'key' => $finding->key,
            'severity' => self::weight($finding),
            'title' => $finding->title,
            'subject' => $finding->subject,
        ];
    }
}
