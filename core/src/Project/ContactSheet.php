<?php

declare(strict_types=1);

namespace Apron\Project;

use Apron\Climate\Month;
use Apron\Contact\AskedPair;
use Apron\Contact\Contact;
use Apron\Contact\Contacts;
use Apron\Contact\Remedies;
use Apron\Contact\Resolver;
use Apron\Contact\Touch;
use Apron\Material\Materials;

/** What touches in a project, as its page, its report and its schedule show it. */
final class ContactSheet
{
    private const COLUMNS = ['severity', 'verdict', 'a', 'how', 'b', 'reason', 'remedy', 'rule', 'source', 'places'];

    public static function contacts(Project $project): Contacts
    {
        $all = new Contacts($project->systems());
        foreach ($project->sections->lists() as $section) {
            foreach ($section->touching($project) as $touching) {
                $all->join($touching);
            }
        }

        return $all;
    }

    /**
     * @param  int|null  $month  1 to 12: as it is when laid on faces at the mean of that month's air; null for any
     * @return array{contacts: list<array<string, mixed>>, months: list<float>}
     */
    public static function of(Project $project, ?int $month = null): array
    {
        $titles = self::titles($project);
        $months = array_map(fn (Month $m): float => $m->celsius, $project->brief->climate->months ?? []);
        $contacts = self::contacts($project);
        $at = $month === null ? null : $months[$month - 1] ?? null;

        return [
            'contacts' => array_map(
                fn (Contact $contact): array => self::row($contact, $titles, $project->materials),
                ($at === null ? $contacts : $contacts->at($at))->all(),
            ),
            'months' => $months,
        ];
    }

    /**
     * @param  array<string, string>  $titles  of documents by the start of their places
     * @return array<string, mixed>
     */
    private static function row(Contact $contact, array $titles, Materials $materials): array
    {
        $touch = $contact->touch;

        return $contact->toArray() + [
            'a_name' => $touch->a->name,
            'b_name' => $touch->b->name,
            'where' => self::where($contact, $titles),
            'clears' => self::clears($contact->touch, $materials),
        ];
    }

    /**
     * @param  array<string, string>  $titles
     * @return list<array{title: string, place: string}> the walls, openings and joints that have it, each with the
     *   first place in it
     */
    private static function where(Contact $contact, array $titles): array
    {
        $where = [];
        foreach ($contact->places as $place) {
            $of = implode('/', array_slice(explode('/', $place), 0, 2));
            $where[$of] ??= ['title' => $titles[$of] ?? $place, 'place' => $place];
        }

        return array_values($where);
    }

    /** @return array<string, string> */
    private static function titles(Project $project): array
    {
        $titles = [];
        foreach ($project->assemblies as $assembly) {
            $titles["assemblies/$assembly->id"] = $assembly->name;
        }
        foreach ($project->details as $detail) {
            $titles["details/$detail->id"] = $detail->title;
        }

        return $titles;
    }

    /** @return array<string, mixed> what comes of a pair that is asked about, and what clears it */
    public static function answer(AskedPair $asked, Materials $materials): array
    {
        $contact = new Contact("asked.$asked->id", $asked->touch, Resolver::judge($asked->touch), [$asked->place()]);

        return $contact->toArray() + [
            'a_name' => $asked->touch->a->name,
            'b_name' => $asked->touch->b->name,
            'where' => [],
            'clears' => self::clears($asked->touch, $materials),
        ];
    }

    /** @return list<array{kind: string, with: string|null, name: string|null}> */
    private static function clears(Touch $touch, Materials $materials): array
    {
        $all = [...$materials->own, ...$materials->catalogue->all()];

        return array_map(
            fn (array $remedy): array => [
                'kind' => $remedy['kind'],
                'with' => $remedy['with']?->id,
                'name' => $remedy['with']?->name,
            ],
            Remedies::of($touch, array_values(array_column($all, null, 'id'))),
        );
    }

    /** The schedule as CSV, RFC 4180; a cell that a spreadsheet would reckon is put as text. */
    public static function csv(Project $project): string
    {
        $titles = self::titles($project);
        $lines = [implode(',', self::COLUMNS)];
        foreach (self::contacts($project)->all() as $contact) {
            $cells = [
                $contact->severity()->value,
                $contact->judged->verdict->value,
                $contact->touch->a->name,
                $contact->touch->how->value,
                $contact->touch->b->name,
                $contact->judged->why,
                $contact->judged->do,
                $contact->judged->rule,
                $contact->judged->source->name,
                implode('; ', array_column(self::where($contact, $titles), 'title')),
            ];
            $lines[] = implode(',', array_map(self::cell(...), $cells));
        }

        return implode("\r\n", $lines)."\r\n";
    }

    private static function cell(string $text): string
    {
        $text = preg_match('/^[=+\-@\t]/', $text) === 1 ? "'$text" : $text;

        return '"'.str_replace('"', '""', $text).'"';
    }
}
