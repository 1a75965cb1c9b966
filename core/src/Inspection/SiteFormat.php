<?php

declare(strict_types=1);

namespace Apron\Inspection;

use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Json\Rows;
use Apron\Json\Written;
use Apron\Rules\Severity;

/** The site record as `apron-project/1` writes it: its events, by time and then id. */
final class SiteFormat
{
    private const KEYS = [
        'id',
        'kind',
        'visit',
        'at',
        'by',
        'account',
        'check',
        'value_mm',
        'typed',
        'holds',
        'instrument',
        'supersedes',
        'fault',
        'severity',
        'words',
        'passes',
        'photographs',
        'asked',
    ];

    /** Nothing was seen on a site before there were sites to write it down, nor will be for a while. */
    private const YEARS = [1990, 2099];

    /**
     * @param  Rows|null  $rows  how a bad event is taken; it refuses the file where nothing is said
     * @return list<SiteEvent>
     *
     * @throws FileRefused
     */
    public static function read(Node $node, ?Rows $rows = null): array
    {
        $rows ??= Rows::refusing();
        $list = $node->object(['events'])->optional('events');
        $events = $rows->byId('site', $list, self::event(...));
        $kinds = array_map(fn (SiteEvent $event): EventKind => $event->kind, $events);
        foreach ($list?->items() ?? [] as $row) {
            $event = $events[$row->named()] ?? null;
            if (
                $event !== null &&
                $rows->one('site', $row, fn () => self::demandReferences($row, $event, $kinds)) === null
            ) {
                unset($events[$event->id]);
            }
        }

        return array_values($events);
    }

    /** @throws FileRefused */
    public static function event(Node $node): SiteEvent
    {
        $node->object(self::KEYS, ['id', 'kind', 'at', 'by']);
        $kind = $node->get('kind')->oneOf(EventKind::class);
        $id = $node->get('id')->id();
        $value = $node->optional('value_mm')?->between(0, 100000, 'mm');
        $holds = $node->optional('holds')?->boolean();
        if ($kind === EventKind::Reading && ($value === null) === ($holds === null)) {
            $node->refuse('either “value_mm” or “holds” on a reading', $value === null ? 'neither' : 'both');
        }
        $needed = match ($kind) {
            EventKind::Visit => [],
            EventKind::Reading => ['visit', 'check'],
            EventKind::Photograph => ['visit', 'photographs'],
            EventKind::FaultRaised => ['visit', 'severity', 'words'],
            EventKind::FaultRepaired => ['visit', 'fault', 'words'],
            EventKind::FaultReinspected => ['visit', 'fault', 'passes'],
        };
        $node->object(self::KEYS, $needed);

        return new SiteEvent(
            id: $id,
            kind: $kind,
            visit: $node->optional('visit')?->id() ?? $id,
            at: self::instant($node->get('at')),
            by: $node->get('by')->text(),
            account: $node->optional('account')?->id(),
            check: $node->optional('check')?->id(),
            value: $value,
            typed: $node->optional('typed')?->text(40),
            holds: $holds,
            instrument: $node->optional('instrument')?->text(),
            supersedes: $node->optional('supersedes')?->id(),
            fault: $node->optional('fault')?->id(),
            severity: $node->optional('severity')?->oneOf(Severity::class),
            words: $node->optional('words')?->text(2000),
            passes: $node->optional('passes')?->boolean(),
            photographs: array_map(
                self::digest(...),
                $node->optional('photographs')?->items($kind === EventKind::Photograph ? 1 : 0, 40) ?? [],
            ),
            asked: self::asked($node->optional('asked')),
        );
    }

    /**
     * An event as this writes it, read back without looking at each part of it again; null where it is not one.
     *
     * @param  mixed  $row  what json_decode makes of it, as an array
     */
    public static function written(mixed $row): ?SiteEvent
    {
        $kind = is_array($row) && is_string($row['kind'] ?? null) ? EventKind::tryFrom($row['kind']) : null;
        if (
            $kind === null ||
            ! is_string($row['id'] ?? null) ||
            ! is_string($row['at'] ?? null) ||
            ! is_string($row['by'] ?? null)
        ) {
            return null;
        }
        $text = fn (string $key): ?string => is_string($row[$key] ?? null) ? $row[$key] : null;
        $truth = fn (string $key): ?bool => is_bool($row[$key] ?? null) ? $row[$key] : null;
        $number = fn (mixed $value): ?float => is_int($value) || is_float($value) ? (float) $value : null;
        $asked = is_array($row['asked'] ?? null) ? $row['asked'] : null;
        $photographs = is_array($row['photographs'] ?? null)
            ? array_values(array_filter($row['photographs'], is_string(...)))
            : [];

        return new SiteEvent(
            id: $row['id'],
            kind: $kind,
            visit: $text('visit') ?? $row['id'],
            at: $row['at'],
            by: $row['by'],
            account: $text('account'),
            check: $text('check'),
            value: $number($row['value_mm'] ?? null),
            typed: $text('typed'),
            holds: $truth('holds'),
            instrument: $text('instrument'),
            supersedes: $text('supersedes'),
            fault: $text('fault'),
            severity: Severity::tryFrom($text('severity') ?? ''),
            words: $text('words'),
            passes: $truth('passes'),
            photographs: $photographs,
            asked: $asked === null || ! is_string($asked['title'] ?? null) || ! is_string($asked['edition'] ?? null)
                ? null
                : new Asked(
                    $asked['title'],
                    $number($asked['least_mm'] ?? null),
                    $number($asked['drawn_mm'] ?? null),
                    $asked['edition'],
                ),
        );
    }

    /** @return array<string, mixed> */
    public static function write(SiteEvent $event): array
    {
        return Written::without([
            'id' => $event->id,
            'kind' => $event->kind->value,
            'visit' => $event->kind === EventKind::Visit ? null : $event->visit,
            'at' => $event->at,
            'by' => $event->by,
            'account' => $event->account,
            'check' => $event->check,
            'value_mm' => $event->value,
            'typed' => $event->typed,
            'holds' => $event->holds,
            'instrument' => $event->instrument,
            'supersedes' => $event->supersedes,
            'fault' => $event->fault,
            'severity' => $event->severity?->value,
            'words' => $event->words,
            'passes' => $event->passes,
            'photographs' => $event->photographs,
            'asked' => $event->asked === null ? null : self::writeAsked($event->asked),
        ]);
    }

    private static function asked(?Node $node): ?Asked
    {
        $node?->object(['title', 'least_mm', 'drawn_mm', 'edition'], ['title', 'edition']);

        return $node === null
            ? null
            : new Asked(
                $node->get('title')->text(400),
                $node->optional('least_mm')?->between(0, 100000, 'mm'),
                $node->optional('drawn_mm')?->between(0, 100000, 'mm'),
                $node->get('edition')->text(),
            );
    }

    /** @return array<string, mixed> */
    public static function writeAsked(Asked $asked): array
    {
        return Written::without([
            'title' => $asked->title,
            'least_mm' => $asked->least,
            'drawn_mm' => $asked->drawn,
            'edition' => $asked->edition,
        ]);
    }

    /** @param  array<string, EventKind>  $kinds by id */
    private static function demandReferences(Node $row, SiteEvent $event, array $kinds): true
    {
        if (($kinds[$event->visit] ?? null) !== EventKind::Visit) {
            $row->get('visit')->refuse('the id of a visit event');
        }
        if ($event->supersedes !== null && ($kinds[$event->supersedes] ?? null) !== EventKind::Reading) {
            $row->get('supersedes')->refuse('the id of a reading');
        }
        if ($event->fault !== null && ($kinds[$event->fault] ?? null) !== EventKind::FaultRaised) {
            $row->get('fault')->refuse('the id of a fault-raised event');
        }

        return true;
    }

    public static function instant(Node $node): string
    {
        $text = $node->text(40);
        if (
            preg_match('/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{1,12})?Z$/D', $text) !== 1 ||
            strtotime($text) === false
        ) {
            $node->refuse('a time in UTC such as 2026-03-04T09:30:00Z');
        }
        if ((int) $text < self::YEARS[0] || (int) $text > self::YEARS[1]) {
            $node->refuse(sprintf('a time of the years %d to %d', ...self::YEARS));
        }

        return $text;
    }

    private static function digest(Node $node): string
    {
        $text = $node->text(64);

        return preg_match('/^[0-9a-f]{64}$/D', $text) === 1
            ? $text
            : $node->refuse('a SHA-256 digest, 64 hexadecimal digits');
    }
}
