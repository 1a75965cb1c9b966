<?php

declare(strict_types=1);

namespace Apron\Project;

use Apron\Assembly\AssemblyFormat;
use Apron\Contact\Contact;
use Apron\Detail\Detail;
use Apron\Detail\DetailWriter;
use Apron\Inspection\SiteEvent;
use Apron\Inspection\SiteFormat;
use Apron\Inspection\Substituted;
use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Material\Material;
use Apron\Material\Usual;
use Apron\Project\Section\AssembliesSection;
use Apron\Project\Section\DetailsSection;
use Apron\Project\Section\OpeningsSection;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Rules\Words;

/**
 * “We used this instead”: the wall, opening or joint is judged as it would be with it, and what is said then and was
 * not said before is what the substitution brings. The plan stays as it is, and so does the record.
 */
final readonly class Substitutions
{
    public function __construct(private Project $project, private Words $words)
    {
    }

    /**
     * @param  list<SiteEvent>  $events
     * @return list<Finding>
     */
    public function findings(array $events): array
    {
        $findings = [];
        foreach ($events as $event) {
            if ($event->says instanceof Substituted) {
                $findings[] = $this->judged($event, $event->says);
            }
        }

        return $findings;
    }

    /**
     * As the site and the report show them.
     *
     * @param  list<SiteEvent>  $events
     * @return list<array{event: array<string, mixed>, severity: string, title: string, reason: string, remedy: string}>
     */
    public function told(array $events): array
    {
        $told = [];
        foreach ($events as $event) {
            if ($event->says instanceof Substituted) {
                $finding = $this->judged($event, $event->says);
                $told[] = [
                    'event' => SiteFormat::write($event),
                    'severity' => $finding->severity->value,
                    ...$this->words->of($finding),
                ];
            }
        }

        return $told;
    }

    private function judged(SiteEvent $event, Substituted $said): Finding
    {
        $used = $this->project->materials->find($said->material);
        $planned = $this->planned($said);
        if ($used === null || $planned === null) {
            return self::finding('site.substitution-lost', Severity::Caution, $event, ['place' => $said->place]);
        }
        try {
            $brings = $this->brings($said, $used);
        } catch (FileRefused $refused) {
            // It cannot stand there at all: a bead where a sheet is asked.
            $brings = [[Severity::Fail, $refused->getMessage()]];
        }
        $brings = [...$brings, ...self::clocks($planned, $used)];
        $worst = array_reduce(
            $brings,
            fn (Severity $worst, array $one): Severity => $one[0]->rank() < $worst->rank() ? $one[0] : $worst,
            Severity::Note,
        );

        return self::finding(
            $brings === [] ? 'site.substituted' : 'site.substituted-brings',
            $worst,
            $event,
            [
                'used' => $used->name,
                'planned' => $planned->name,
                'where' => $this->title($said),
                'brings' => implode('; ', array_unique(array_column($brings, 1))),
            ],
        );
    }

    /** @param  array<string, string>  $figures */
    private static function finding(string $code, Severity $severity, SiteEvent $event, array $figures): Finding
    {
        return new Finding(
            $code,
            $severity,
            "site/substitutions/$event->id",
            $figures + ['by' => $event->by, 'at' => substr($event->at, 0, 10), 'words' => $event->words ?? ''],
            Source::computed('site record'),
        );
    }

    private function planned(Substituted $said): ?Material
    {
        ['list' => $list, 'id' => $id, 'part' => $part] = $said->parts();
        if ($list === 'assemblies') {
            $layers = array_column($this->assembly($id)['layers'] ?? [], null, 'id');

            return $this->project->materials->find($layers[$part]['material'] ?? '');
        }

        return $this->detail($id)?->piece($part)?->material;
    }

    private function title(Substituted $said): string
    {
        ['list' => $list, 'id' => $id, 'part' => $part] = $said->parts();

        return $list === 'assemblies'
            ? $this->assembly($id)['name'] ?? $id
            : ($this->detail($id)->title ?? $id).", $part";
    }

    /** @return array{id: string, name: string, layers: list<array{id: string, material: string}>}|null */
    private function assembly(string $id): ?array
    {
        $row = $this->project->of(AssembliesSection::class)[$id] ?? null;
        if ($row === null) {
            return null;
        }
        /** @var array{id: string, name: string, layers: list<array{id: string, material: string}>} $written */
        $written = json_decode((string) json_encode(AssemblyFormat::write($row)), true);

        return $written;
    }

    private function detail(string $id): ?Detail
    {
        $row = $this->project->of(OpeningsSection::class)[$id] ?? null;

        return $row->detail ?? $this->project->of(DetailsSection::class)[$id] ?? null;
    }

    /**
     * What is said of the document with it and is not said, or weighs less, without.
     *
     * @return list<array{Severity, string}>
     *
     * @throws FileRefused where it cannot stand there
     */
    private function brings(Substituted $said, Material $used): array
    {
        ['list' => $list] = $said->parts();
        [$before, $after] =
            $list === 'assemblies' ? $this->assemblies($said, $used) : $this->details($said, $used);
        $weights = [];
        foreach ($before as [$key, $severity]) {
            $weights[$key] = min($weights[$key] ?? PHP_INT_MAX, $severity->rank());
        }
        $brings = [];
        foreach ($after as [$key, $severity, $text]) {
            $worse = $severity->rank() < ($weights[$key] ?? Severity::Note->rank());
            if ($worse) {
                $brings[] = [$severity, $text];
            }
        }

        return $brings;
    }

    /** @return array{list<array{string, Severity, string}>, list<array{string, Severity, string}>} */
    private function assemblies(Substituted $said, Material $used): array
    {
        ['id' => $id, 'part' => $part] = $said->parts();
        $file = $this->assembly($id) ?? throw new \LogicException($id);
        $layers = array_map(
            fn (array $layer): array => $layer['id'] === $part ? ['material' => $used->id] + $layer : $layer,
            $file['layers'],
        );

        return [
            $this->said(['assemblies' => [$file]], "assemblies/$id", $this->planned($said)),
            $this->said(['assemblies' => [['layers' => $layers] + $file]], "assemblies/$id", $used),
        ];
    }

    /** @return array{list<array{string, Severity, string}>, list<array{string, Severity, string}>} */
    private function details(Substituted $said, Material $used): array
    {
        ['id' => $id, 'part' => $part] = $said->parts();
        $detail = $this->detail($id) ?? throw new \LogicException($id);
        $row = $this->project->of(OpeningsSection::class)[$id] ?? null;
        $between = $row->between ?? $detail->between;
        $walls = array_values(array_filter(array_map($this->assembly(...), $between)));
        /** @var array{pieces: list<array{id: string}>} $file */
        $file = json_decode((string) json_encode(DetailWriter::write($detail)), true);
        $file += $between === [] ? [] : ['between' => $between];
        $pieces = array_map(
            fn (array $piece): array => $piece['id'] === $part ? ['material' => $used->id] + $piece : $piece,
            $file['pieces'],
        );
        $base = $walls === [] ? [] : ['assemblies' => $walls];

        return [
            $this->said($base + ['details' => [$file]], "details/$id", $this->planned($said)),
            $this->said($base + ['details' => [['pieces' => $pieces] + $file]], "details/$id", $used),
        ];
    }

    /**
     * Findings and contacts of one document, in the project it stands in.
     *
     * @param  array<string, mixed>  $documents
     * @param  Material|null  $there  the one that stands in the place: it goes by the place, and not by its name
     * @return list<array{string, Severity, string}> a key that tells the same thing apart, how bad, and its words
     *
     * @throws FileRefused
     */
    private function said(array $documents, string $subject, ?Material $there): array
    {
        $kept = array_intersect_key(
            ProjectFormat::document($this->project),
            array_flip(['format', 'project', 'climate', 'indoor', 'conditions', 'materials', 'systems', 'adhesion']),
        );
        $text = json_encode($documents + $kept, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
        $assessment = new Assessment(ProjectFormat::read(Node::parse($text), $this->project->materials->catalogue));
        $said = [];
        foreach ($assessment->findings as $finding) {
            if (str_starts_with($finding->subject, $subject) && ! str_starts_with($finding->code, 'contact.')) {
                $said[] = [$finding->code, $finding->severity, $this->words->of($finding)['title']];
            }
        }
        foreach ($assessment->contacts->all() as $contact) {
            $said = [...$said, ...self::contact($contact, $subject, $there)];
        }

        return $said;
    }

    /** @return list<array{string, Severity, string}> */
    private static function contact(Contact $contact, string $subject, ?Material $there): array
    {
        if (! array_filter($contact->places, fn (string $place): bool => str_starts_with($place, $subject))) {
            return [];
        }
        [$a, $b] = [$contact->touch->a->name, $contact->touch->b->name];
        $by = fn (Material $material): string => $material->id === $there?->id ? 'here' : $material->id;
        $key = $by($contact->touch->a)." {$contact->touch->how->value} ".$by($contact->touch->b);
        $said = [[$key, $contact->severity(), "$a, $b: {$contact->judged->verdict->value}"]];
        if ($contact->stranger !== null) {
            [$system, $stranger] = $contact->stranger;
            $said[] = [
                "$key stranger",
                Severity::Caution,
                "{$stranger->name} is a stranger to the system {$system->name}",
            ];
        }

        return $said;
    }

    /**
     * What the clocks and the laps of the plan no longer fit.
     *
     * @return list<array{Severity, string}>
     */
    private static function clocks(Material $planned, Material $used): array
    {
        [$was, $is] = [Usual::of($planned), Usual::of($used)];
        $said = [];
        if ($was->sunDays !== null && $is->sunDays !== null && $is->sunDays < $was->sunDays) {
            $said[] = [
                Severity::Note,
                sprintf('it bears %g days in the sun, and the one planned %g', $is->sunDays, $was->sunDays),
            ];
        }
        [$lap, $asked] = [$is->lapMm[0] ?? null, $was->lapMm[0] ?? null];
        if ($lap !== null && $asked !== null && $lap > $asked) {
            $said[] = [Severity::Note, sprintf('it is lapped %g mm, and the one planned %g mm', $lap, $asked)];
        }
        if ($is->cureH !== null && $is->cureH > ($was->cureH ?? 0.0)) {
            $said[] = [
                Severity::Note,
                sprintf('it cures in %g h, and the one planned in %g h', $is->cureH, $was->cureH ?? 0.0),
            ];
        }

        return $said;
    }
}
