<?php

namespace Apron\File;

use Apron\Inspection\Asked;
use Apron\Inspection\EventKind;
use Apron\Inspection\SiteEvent;
use Apron\Severity;

/** The site record as `apron-project/1` writes it: its events, by time and then id. */
final class SiteFormat
{
    private const KEYS = [
        'id', 'kind', 'visit', 'at', 'by', 'account', 'check', 'value_mm', 'typed', 'holds', 'instrument', 'supersedes', 'fault', 'severity', 'words', 'passes', 'photographs', 'asked',
    ];

    /** Nothing was seen on a site before there were sites to write it down, nor will be for a while. */
    private const YEARS = [1990, 2099];

    /**
     * @return list<SiteEvent>
     *
     * @throws FileRefused
     */
    public static function read(Node $node): array
    {
        $events = $ids = [];
        foreach ($node->object(['events'])->optional('events')?->items() ?? [] as $row) {
            $event = self::event($row);
            if (isset($ids[$event->id])) {
                $row->get('id')->refuse('an id that no other event has');
            }
            $ids[$event->id] = $event->kind;
            $events[] = $event;
        }
        foreach ($node->optional('events')?->items() ?? [] as $i => $row) {
            self::demandReferences($row, $events[$i], $ids);
        }

        return $events;
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
            photographs: array_map(self::digest(...), $node->optional('photographs')?->items($kind === EventKind::Photograph ? 1 : 0, 40) ?? []),
            asked: self::asked($node->optional('asked')),
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

        return $node === null ? null : new Asked(
            $node->get('title')->text(400),
            $node->optional('least_mm')?->between(0, 100000, 'mm'),
            $node->optional('drawn_mm')?->between(0, 100000, 'mm'),
            $node->get('edition')->text(),
        );
    }

    /** @return array<string, mixed> */
    public static function writeAsked(Asked $asked): array
    {
        return Written::without(['title' => $asked->title, 'least_mm' => $asked->least, 'drawn_mm' => $asked->drawn, 'edition' => $asked->edition]);
    }

    /** @param  array<string, EventKind>  $kinds by id */
    private static function demandReferences(Node $row, SiteEvent $event, array $kinds): void
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
    }

    public static function instant(Node $node): string
    {
        $text = $node->text(40);
        if (preg_match('/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{1,12})?Z$/D', $text) !== 1 || strtotime($text) === false) {
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

        return preg_match('/^[0-9a-f]{64}$/D', $text) === 1 ? $text : $node->refuse('a SHA-256 digest, 64 hexadecimal digits');
    }
}
