<?php

declare(strict_types=1);

use Apron\Contact\ContactRule;
use Apron\Contact\ContactRules;
use Apron\Contact\Resolver;
use Apron\Contact\Touch;

require_once __DIR__.'/Pairs.php';

/** Which rules no case would miss: taken out one at a time, and every case judged again that went by it. */
final class Untested
{
    /** @return array<string, Touch> by the number of the case */
    private static function touches(): array
    {
        $touches = [];
        foreach (self::cases() as $i => $case) {
            $touches["case $i"] = touchOf($case);
        }

        return $touches;
    }

    /** @return list<array<string, mixed>> */
    private static function cases(): array
    {
        $text = (string) file_get_contents(__DIR__.'/cases.json');

        return json_decode($text, true, 16, JSON_THROW_ON_ERROR)['cases'];
    }

    /** @return list<string> ids of rules whose loss changes the verdict of a case */
    public static function missed(): array
    {
        $rules = ContactRules::standing();
        $rules->all();
        $missed = [];
        $verdict = fn (Touch $touch): string => Resolver::judge($touch)->verdict->value;
        foreach (self::touches() as $touch) {
            $id = Resolver::judge($touch)->rule;
            if (isset($missed[$id]) && $missed[$id]) {
                continue;
            }
            $was = $verdict($touch);
            $put = Closure::bind(function (string $id): Closure {
                [$bonding, $touching] = [$this->bonding, $this->touching];
                foreach ($this->bonding as $sticks => $faces) {
                    $this->bonding[$sticks] = array_filter($faces, fn (ContactRule $r): bool => $r->id !== $id);
                }
                foreach ($this->touching as $pair => $rows) {
                    $this->touching[$pair] = array_values(
                        array_filter($rows, fn (ContactRule $r): bool => $r->id !== $id),
                    );
                }

                return function () use ($bonding, $touching): void {
                    [$this->bonding, $this->touching] = [$bonding, $touching];
                };
            }, $rules, ContactRules::class)($id);
            $missed[$id] = $verdict($touch) !== $was;
            $put();
        }

        return array_keys(array_filter($missed));
    }

    /** docs/contacts-untested.md */
    public static function page(): string
    {
        $missed = array_flip(self::missed());
        $all = ContactRules::standing()->all();
        $groups = [];
        foreach ($all as $rule) {
            if (! isset($missed[$rule->id])) {
                $bonding = str_contains($rule->id, '.on.');
                $groups[$bonding ? "What sticks with $rule->a, on" : 'What two families do to each other'][] =
                    $bonding ? $rule->b : "$rule->a / $rule->b";
            }
        }
        ksort($groups);
        $tested = count(array_filter($all, fn (ContactRule $r): bool => isset($missed[$r->id])));
        $lines = ['# Contact rules that no test would miss', ''];
        $lines[] = sprintf(
            'Of %d rules %d change the verdict of a case of `tests/Core/Contact/cases.json` when they are taken out, each by itself. The',
            count($all),
            $tested,
        );
        $lines[] = 'others, named here, stand on the same reasons as their neighbours, and nobody has written a case for them.';
        $lines[] = 'Made by `php bin/untested-rules.php`.';
        foreach ($groups as $title => $names) {
            $lines = [...$lines, '', "**$title:** ".implode(', ', array_unique($names)).'.'];
        }

        return implode("\n", $lines)."\n";
    }
}
