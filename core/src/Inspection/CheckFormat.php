<?php

declare(strict_types=1);

namespace Apron\Inspection;

use Apron\Rules\Edition;
use Apron\Rules\Words;

/**
 * A check in its words, as cards, the phone and the report show it.
 *
 * @phpstan-type AskingCheck array{
 *     id: string, detail: string, what: string, place: string, step: int, drawn_mm: float|null, least_mm: float|null,
 *     most_mm: float|null, ...<string, mixed>
 * }
 */
final class CheckFormat
{
    /**
     * @return array{
     *     id: string, detail: string, step: int, place: string, drawn_mm: float|null, least_mm: float|null,
     *     most_mm: float|null, ...<string, mixed>
     * }
     */
    public static function told(Check $check, Words $words): array
    {
        $code = "check.$check->what";

        return [
            'id' => $check->id,
            'detail' => $check->detail,
            'of' => $check->of->value,
            'step' => $check->step,
            'place' => $check->place,
            'title' => self::title($check, $words),
            'reason' => $words->text($code, 'reason', $check->figures),
            'when_failing' => $words->text($code, 'remedy'),
            'instrument' => $words->text($code, 'instrument'),
            'drawn_mm' => $check->drawn,
            'least_mm' => $check->bounds?->least,
            'most_mm' => $check->bounds?->most,
            'film' => $check->film,
            'measured' => $check->measured?->toArray(),
        ];
    }

    /**
     * The same for the site, with what it asks: a phone gives that back with its reading.
     *
     * @param  string  $title  of the check's detail
     * @param  string  $catalogue  its version
     * @return AskingCheck
     */
    public static function asking(Check $check, string $title, Words $words, string $catalogue): array
    {
        $asked = self::asked($check, $words, $catalogue);

        return self::told($check, $words) + [
            'what' => $check->what,
            'rhythm' => $check->rhythm?->toArray(),
            'wanted' => self::wanted($check),
            'detail_title' => $title,
            'asked' => SiteFormat::writeAsked($asked),
        ];
    }

    /** How many readings are wanted: five of a field or a film, one of a lap or a look of a detail. Common practice. */
    private static function wanted(Check $check): int
    {
        return $check->film || ($check->of === CheckOf::Assembly && $check->bounds !== null) ? 5 : 1;
    }

    public static function asked(Check $check, Words $words, string $catalogue): Asked
    {
        return Asked::by($check, self::title($check, $words), Edition::told($catalogue));
    }

    public static function title(Check $check, Words $words): string
    {
        return trim(
            $words->text("check.$check->what", 'title', $check->figures).
                (in_array($check->place, ['left', 'right'], true) ? ", $check->place" : ''),
        );
    }
}
