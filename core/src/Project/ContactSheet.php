<?php

declare(strict_types=1);

namespace Apron\Project;

use Apron\Climate\Month;
use Apron\Contact\AskedPair;
use Apron\Contact\Contact;
use Apron\Contact\Contacts;
use Apron\Contact\PieceContacts;
use Apron\Contact\Remedied;
use Apron\Contact\Resolver;
use Apron\Contact\Season;
use Apron\Detail\Detail;
use Apron\Project\Section\DetailsSection;
use Apron\Rules\Severity;

/** What touches in a project, as its page, its report and its schedule show it. */
final class ContactSheet
{
    private const COLUMNS = ['severity', 'verdict', 'a', 'how', 'b', 'reason', 'remedy', 'rule', 'source', 'places'];

    public static function contacts(Project $project): Contacts
    {
        $all = new Contacts($project->settled());
        foreach ($project->sections->lists() as $section) {
            foreach ($section->touching($project) as $touching) {
                $all->join($touching);
            }
        }

        return $all;
    }

    /**
     * @param  int|null  $month  1 to 12: as it is when laid on faces at the mean of that month's air; null for any
     * @return array{
     *   contacts: list<array<string, mixed>>,
     *   months: list<float>,
     *   season: list<array<string, mixed>>,
     * }
     */
    public static function of(Project $project, ?int $month = null): array
    {
        $titles = self::titles($project);
        $months = array_map(fn (Month $m): float => $m->celsius, $project->brief->climate->months ?? []);
        $contacts = self::contacts($project);
        $at = $month === null ? null : $months[$month - 1] ?? null;
        $all = ($at === null ? $contacts : $contacts->at($at))->all();
        $remedied = new Remedied($project->settled(), $project->materials, $all);

        return [
            'contacts' => array_map(
                fn (Contact $contact): array => self::row($contact, $titles, $remedied->of($contact)),
                $all,
            ),
            'months' => $months,
            'season' => self::season($project),
        ];
    }

    /** @return list<array<string, mixed>> what of it is laid in weather, or stands in the sun, by product */
    private static function season(Project $project): array
    {
        $rows = [];
        foreach ($project->used() as $material) {
            $season = new Season($material);
            if ($season->isLaid() || $season->sunDays() !== null) {
                $rows[] = [
                    'material' => $material->id,
                    'name' => $material->name,
                    'application_c' => $season->isLaid() ? $season->applicationC() : null,
                    'stated' => $season->isStated(),
                    'sun_days' => $season->sunDays(),
                    'months' => array_map(
                        fn (Month $m): string => $season->in($m)->value,
                        $season->isLaid() ? $project->brief->climate->months ?? [] : [],
                    ),
                ];
            }
        }
        usort($rows, fn (array $a, array $b): int => $a['name'] <=> $b['name']);

        return $rows;
    }

    /**
     * @param  array<string, string>  $titles  of documents by the start of their places
     * @param  list<array<string, mixed>>  $clears
     * @return array<string, mixed>
     */
    private static function row(Contact $contact, array $titles, array $clears): array
    {
        $touch = $contact->touch;

        return $contact->toArray() + [
            'a_name' => $touch->a->name,
            'b_name' => $touch->b->name,
            'where' => self::where($contact, $titles),
            'clears' => $clears,
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
            // What is only asked about is nowhere.
            if (str_starts_with($place, AskedPair::SECTION)) {
                continue;
            }
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

    /**
     * What wants something round a detail, each where it is: of two pieces that touch in several stretches of a facet
     * the largest.
     *
     * @param  list<string>  $between  ids of the walls it stands in
     * @return list<array<string, mixed>>
     */
    public static function marks(Project $project, Detail $detail, array $between): array
    {
        $marks = [];
        $settled = $project->settled();
        foreach (PieceContacts::touches($detail, DetailsSection::substrate($project, $detail, $between)) as $one) {
            [$touch, $rect] = [$one->touch, $one->rect];
            $judged = Resolver::judge($touch, $settled);
            $severity = $judged->verdict->severity($touch->how);
            if ($rect === null || $severity === Severity::Pass) {
                continue;
            }
            $id = Contacts::id($touch);
            $area = $rect->width() * $rect->height();
            $key = "$id {$one->piece->id} $one->facet";
            if ($area > ($marks[$key]['area'] ?? 0.0)) {
                $marks[$key] = [
                    'contact' => $id,
                    'severity' => $severity->value,
                    'says' => "{$touch->a->name}, {$touch->b->name}: {$judged->verdict->value}",
                    'piece' => $one->piece->id,
                    'facet' => $one->facet,
                    'rect' => $rect->toArray(),
                    'step' => $one->step,
                    'area' => $area,
                ];
            }
        }

        return array_map(
            fn (array $mark): array => array_diff_key($mark, ['area' => 0.0]),
            array_values($marks),
        );
    }

    /** @return array<string, mixed> what comes of a pair that is asked about, and what clears it */
    public static function answer(AskedPair $asked, Project $project): array
    {
        $judged = Resolver::judge($asked->touch, $project->settled());
        $contact = new Contact("asked.$asked->id", $asked->touch, $judged, [$asked->place()]);

        return self::row($contact, [], (new Remedied($project->settled(), $project->materials))->of($contact));
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
