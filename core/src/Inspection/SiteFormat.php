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
    /** What an event of any kind may say. */
    private const ANY = ['id', 'kind', 'visit', 'at', 'by', 'account', 'check', 'words', 'fault', 'photographs', 'pin'];

    /** What only a kind says. */
    private const OWN = [
        'visit' => [],
        'reading' => ['value_mm', 'value', 'unit', 'typed', 'holds', 'instrument', 'calibrated', 'supersedes', 'asked'],
        'photograph' => ['marks'],
        'fault-raised' => ['severity'],
        'fault-assigned' => ['who', 'due'],
        'fault-repaired' => [],
        'fault-reinspected' => ['passes'],
        'substitution' => ['place', 'material'],
    ];

    private const NEEDED = [
        'visit' => [],
        'reading' => ['visit', 'check'],
        'photograph' => ['visit', 'photographs'],
        'fault-raised' => ['visit', 'severity', 'words'],
        'fault-assigned' => ['visit', 'fault', 'who'],
        'fault-repaired' => ['visit', 'fault', 'words'],
        'fault-reinspected' => ['visit', 'fault', 'passes'],
        'substitution' => ['visit', 'place', 'material', 'words'],
    ];

    private const MOST = 100000;

    private const MOST_MARKS = 40;

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
        $kind = $node
            ->object(array_merge(self::ANY, ...array_values(self::OWN)), ['id', 'kind', 'at', 'by'])
            ->get('kind')
            ->oneOf(EventKind::class);
        $node->object([...self::ANY, ...self::OWN[$kind->value]], self::NEEDED[$kind->value]);
        $id = $node->get('id')->id();

        return new SiteEvent(
            id: $id,
            kind: $kind,
            visit: $node->optional('visit')?->id() ?? $id,
            at: self::instant($node->get('at')),
            by: $node->get('by')->text(),
            account: $node->optional('account')?->id(),
            check: $node->optional('check')?->id(),
            words: $node->optional('words')?->text(2000),
            fault: $node->optional('fault')?->id(),
            photographs: array_map(
                self::digest(...),
                $node->optional('photographs')?->items($kind === EventKind::Photograph ? 1 : 0, 40) ?? [],
            ),
            says: match ($kind) {
                EventKind::Reading => self::reading($node),
                EventKind::FaultRaised => new FaultRaised($node->get('severity')->oneOf(Severity::class)),
                EventKind::FaultAssigned => new FaultAssigned(
                    $node->get('who')->text(),
                    $node->optional('due') === null ? null : self::day($node->get('due')),
                ),
                EventKind::FaultReinspected => new FaultReinspected($node->get('passes')->boolean()),
                EventKind::Substitution => self::substituted($node),
                EventKind::Visit, EventKind::Photograph, EventKind::FaultRepaired => null,
            },
            pin: self::pin($node->optional('pin')),
            marks: array_map(
                self::mark(...),
                $node->optional('marks')?->listOf(self::MOST_MARKS)->items() ?? [],
            ),
        );
    }

    private static function pin(?Node $node): ?Pin
    {
        $node?->object(['part', 'x_mm', 'z_mm'], ['part', 'x_mm', 'z_mm']);

        return $node === null
            ? null
            : new Pin(
                $node->get('part')->text(400),
                $node->get('x_mm')->between(-1e6, 1e6, 'mm'),
                $node->get('z_mm')->between(-1e6, 1e6, 'mm'),
            );
    }

    private static function substituted(Node $node): Substituted
    {
        $place = $node->get('place')->text();
        if (preg_match(Substituted::PLACE, $place) !== 1) {
            $node->get('place')->refuse('a layer or a piece: assemblies/w1/layers/l2, or details/o4/pieces/pan');
        }

        return new Substituted($place, $node->get('material')->id());
    }

    private static function reading(Node $node): Reading
    {
        if ($node->has('value') !== $node->has('unit') || ($node->has('value') && $node->has('value_mm'))) {
            $node->refuse('“value_mm”, or “value” with its “unit”');
        }
        $unit = $node->optional('unit')?->oneOf(ReadingUnit::class) ?? ReadingUnit::Millimetre;
        $value =
            $node->optional('value_mm')?->between(0, self::MOST, 'mm') ??
            $node->optional('value')?->between(-self::MOST, self::MOST, $unit->value);
        $holds = $node->optional('holds')?->boolean();
        if (($value === null) === ($holds === null)) {
            $node->refuse('either “value_mm” or “holds” on a reading', $value === null ? 'neither' : 'both');
        }

        return new Reading(
            value: $value,
            unit: $unit,
            typed: $node->optional('typed')?->text(40),
            holds: $holds,
            instrument: $node->optional('instrument')?->text(),
            calibrated: $node->optional('calibrated') === null ? null : self::day($node->get('calibrated')),
            supersedes: $node->optional('supersedes')?->id(),
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
            words: $text('words'),
            fault: $text('fault'),
            photographs: $photographs,
            says: match ($kind) {
                EventKind::Reading => self::writtenReading($row, $text),
                EventKind::FaultRaised => new FaultRaised(
                    Severity::tryFrom($text('severity') ?? '') ?? Severity::Caution,
                ),
                EventKind::FaultAssigned => new FaultAssigned($text('who') ?? '', $text('due')),
                EventKind::FaultReinspected => new FaultReinspected(($row['passes'] ?? null) === true),
                EventKind::Substitution => new Substituted($text('place') ?? '', $text('material') ?? ''),
                EventKind::Visit, EventKind::Photograph, EventKind::FaultRepaired => null,
            },
            pin: self::writtenPin($row['pin'] ?? null),
            marks: self::writtenMarks($row['marks'] ?? null),
        );
    }

    /** @return list<Mark> */
    private static function writtenMarks(mixed $marks): array
    {
        $place = fn (mixed $at): ?array => is_array($at) && is_numeric($at[0] ?? null) && is_numeric($at[1] ?? null)
            ? [(float) $at[0], (float) $at[1]]
            : null;
        $read = [];
        foreach (is_array($marks) ? $marks : [] as $mark) {
            $at = is_array($mark) ? $place($mark['at'] ?? null) : null;
            if (is_array($mark) && $at !== null) {
                $words = is_string($mark['words'] ?? null) ? $mark['words'] : null;
                $read[] = new Mark($at, $place($mark['from'] ?? null), $words);
            }
        }

        return $read;
    }

    private static function mark(Node $row): Mark
    {
        $row->object(['at', 'from', 'words'], ['at']);
        $place = function (Node $node): array {
            $node->numbers(2);
            [$x, $y] = array_map(fn (Node $n): float => $n->between(0.0, 1.0, 'of the picture'), $node->items(2, 2));

            return [$x, $y];
        };
        $from = $row->optional('from');
        if ($from === null && ! $row->has('words')) {
            $row->refuse('an arrow with “from”, or “words”');
        }

        return new Mark(
            $place($row->get('at')),
            $from === null ? null : $place($from),
            $row->optional('words')?->text(200),
        );
    }

    private static function writtenPin(mixed $pin): ?Pin
    {
        if (! is_array($pin) || ! is_string($pin['part'] ?? null)) {
            return null;
        }
        $number = fn (string $key): float => is_numeric($pin[$key] ?? null) ? (float) $pin[$key] : 0.0;

        return new Pin($pin['part'], $number('x_mm'), $number('z_mm'));
    }

    /**
     * @param  array<mixed>  $row
     * @param  \Closure(string): ?string  $text
     */
    private static function writtenReading(array $row, \Closure $text): Reading
    {
        $number = fn (mixed $value): ?float => is_int($value) || is_float($value) ? (float) $value : null;
        $asked = is_array($row['asked'] ?? null) ? $row['asked'] : [];
        [$title, $edition] = [$asked['title'] ?? null, $asked['edition'] ?? null];
        $unit = fn (mixed $said): ReadingUnit => is_string($said)
            ? ReadingUnit::tryFrom($said) ?? ReadingUnit::Millimetre
            : ReadingUnit::Millimetre;
        [$least, $most] = [
            $number($asked['least_mm'] ?? ($asked['least'] ?? null)),
            $number($asked['most_mm'] ?? ($asked['most'] ?? null)),
        ];

        return new Reading(
            value: $number($row['value_mm'] ?? ($row['value'] ?? null)),
            unit: $unit($row['unit'] ?? null),
            typed: $text('typed'),
            holds: is_bool($row['holds'] ?? null) ? $row['holds'] : null,
            instrument: $text('instrument'),
            calibrated: $text('calibrated'),
            supersedes: $text('supersedes'),
            asked: is_string($title) && is_string($edition)
                ? new Asked(
                    $title,
                    $least === null && $most === null
                        ? null
                        : Bounds::of($least, $most, $unit($asked['unit'] ?? null)),
                    $number($asked['drawn_mm'] ?? null),
                    $edition,
                )
                : null,
        );
    }

    /** @return array<string, mixed> */
    public static function write(SiteEvent $event): array
    {
        [$says, $reading] = [$event->says, $event->reading()];
        $mm = $reading?->unit === ReadingUnit::Millimetre;

        return Written::without([
            'id' => $event->id,
            'kind' => $event->kind->value,
            'visit' => $event->kind === EventKind::Visit ? null : $event->visit,
            'at' => $event->at,
            'by' => $event->by,
            'account' => $event->account,
            'check' => $event->check,
            'value_mm' => $mm ? $reading->value : null,
            'value' => $mm ? null : $reading?->value,
            'unit' => $mm ? null : $reading?->unit->value,
            'typed' => $reading?->typed,
            'holds' => $reading?->holds,
            'instrument' => $reading?->instrument,
            'calibrated' => $reading?->calibrated,
            'supersedes' => $reading?->supersedes,
            'fault' => $event->fault,
            'severity' => $says instanceof FaultRaised ? $says->severity->value : null,
            'words' => $event->words,
            'who' => $says instanceof FaultAssigned ? $says->who : null,
            'due' => $says instanceof FaultAssigned ? $says->due : null,
            'passes' => $says instanceof FaultReinspected ? $says->passes : null,
            'place' => $says instanceof Substituted ? $says->place : null,
            'material' => $says instanceof Substituted ? $says->material : null,
            'photographs' => $event->photographs,
            'pin' => $event->pin?->toArray(),
            'marks' => array_map(fn (Mark $mark): array => $mark->toArray(), $event->marks),
            'asked' => $reading?->asked === null ? null : self::writeAsked($reading->asked),
        ]);
    }

    private static function asked(?Node $node): ?Asked
    {
        $bounds = ['least_mm', 'most_mm', 'least', 'most', 'unit'];
        $node?->object(['title', ...$bounds, 'drawn_mm', 'edition'], ['title', 'edition']);

        return $node === null
            ? null
            : new Asked(
                $node->get('title')->text(400),
                self::bounds($node),
                $node->optional('drawn_mm')?->between(0, self::MOST, 'mm'),
                $node->get('edition')->text(),
            );
    }

    private static function bounds(Node $node): ?Bounds
    {
        $unit = $node->optional('unit')?->oneOf(ReadingUnit::class) ?? ReadingUnit::Millimetre;
        $suffix = $unit === ReadingUnit::Millimetre ? '_mm' : '';
        $from = $unit === ReadingUnit::Millimetre ? 0 : -self::MOST;
        $least = $node->optional("least$suffix")?->between($from, self::MOST, $unit->value);
        $most = $node->optional("most$suffix")?->between($from, self::MOST, $unit->value);
        if ($least !== null && $most !== null && $least > $most) {
            $node->get("most$suffix")->refuse("no less than the least, $least");
        }

        return $least === null && $most === null ? null : Bounds::of($least, $most, $unit);
    }

    /** @return array<string, mixed> */
    public static function writeAsked(Asked $asked): array
    {
        $mm = $asked->bounds?->unit === ReadingUnit::Millimetre;

        return Written::without([
            'title' => $asked->title,
            'least_mm' => $mm ? $asked->bounds->least : null,
            'most_mm' => $mm ? $asked->bounds->most : null,
            'least' => $mm ? null : $asked->bounds?->least,
            'most' => $mm ? null : $asked->bounds?->most,
            'unit' => $mm ? null : $asked->bounds?->unit->value,
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
        $corrects = $event->reading()?->supersedes;
        if ($corrects !== null && ($kinds[$corrects] ?? null) !== EventKind::Reading) {
            $row->get('supersedes')->refuse('the id of a reading');
        }
        if ($event->fault !== null && ($kinds[$event->fault] ?? null) !== EventKind::FaultRaised) {
            $row->get('fault')->refuse('the id of a fault-raised event');
        }

        return true;
    }

    private static function day(Node $node): string
    {
        $text = $node->text(10);
        $is = preg_match('/^(\d{4})-(\d\d)-(\d\d)$/D', $text, $m) === 1 &&
            checkdate((int) $m[2], (int) $m[3], (int) $m[1]);

        return $is ? $text : $node->refuse('a day such as 2026-03-04');
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
