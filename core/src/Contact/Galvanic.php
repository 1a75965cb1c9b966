<?php

declare(strict_types=1);

namespace Apron\Contact;

/** Two metals that touch: how far apart in the series, how wet it is there, and how much of each there is. */
final class Galvanic
{
    /** @param  string  $a  families of metals */
    public static function judge(string $a, string $b, Touch $touch): ?Judged
    {
        $rules = ContactRules::standing();
        [$va, $vb] = [$rules->series[$a] ?? null, $rules->series[$b] ?? null];
        // What runs off a metal harms the one below by the copper in it alone: that is a row of its own.
        if ($va === null || $vb === null || ! in_array($touch->how, self::metallic(), true)) {
            return null;
        }
        $apart = round(abs($va - $vb), 4);
        $place = self::place($touch->conditions);
        $bears = $rules->apart[$place];
        $verdict = match (true) {
            $apart <= $bears => ContactVerdict::NotNeeded,
            $apart <= $rules->far[$place] => ContactVerdict::Separate,
            default => ContactVerdict::Corrodes,
        };
        $verdict = self::byArea($verdict, $va > $vb, $touch);
        $harmed = $va > $vb ? $a : $b;

        return new Judged(
            $verdict,
            "galvanic.$a.$b",
            $verdict === ContactVerdict::NotNeeded
                ? 'Near each other in the series, or too dry, or too little of the nobler to matter.'
                : sprintf('%.2f V apart where %.2f is borne: the less noble, %s, is used up.', $apart, $bears, $harmed),
            $verdict === ContactVerdict::NotNeeded
                ? ''
                : 'A plastic washer, gasket or tape between them; the fastener of the nobler metal; or one metal throughout.',
            $rules->seriesSource,
        );
    }

    /** A small anode in a large cathode goes fast; a small cathode in a large anode does little. */
    private static function byArea(ContactVerdict $verdict, bool $aIsAnode, Touch $touch): ContactVerdict
    {
        if ($verdict === ContactVerdict::NotNeeded) {
            return $verdict;
        }
        $large = ContactRules::standing()->largeArea;
        $ratio = $touch->conditions->areaRatio;
        if ($ratio === null && $touch->how === How::Fastened) {
            $ratio = $aIsAnode ? $large : 1 / $large;
        }

        return match (true) {
            $ratio === null => $verdict,
            $ratio >= $large => $verdict->worseForMetal(),
            $ratio > 1 / $large => $verdict,
            // Salt carries the current further.
            $touch->conditions->marine => ContactVerdict::Separate,
            default => ContactVerdict::NotNeeded,
        };
    }

    private static function place(Conditions $conditions): string
    {
        return match (true) {
            $conditions->marine => 'marine',
            $conditions->wetPlace === null => 'unsaid',
            default => $conditions->wetPlace ? 'wet' : 'dry',
        };
    }

    /** @return list<How> ways of meeting in which metal lies on metal */
    private static function metallic(): array
    {
        return [How::Touches, How::Pressed, How::Lapped, How::Fastened];
    }
}
