<?php

declare(strict_types=1);

namespace Apron\Project;

use Apron\Acceptance\Acceptance;
use Apron\Building\BuildingAssessment;
use Apron\Contact\Contact;
use Apron\Contact\Contacts;
use Apron\Json\Broken;
use Apron\Judgement\AssemblyAssessment;
use Apron\Project\Section\AcceptancesSection;
use Apron\Project\Section\BuildingSection;
use Apron\Project\Section\PlanSection;
use Apron\Project\Section\TakeoffSection;
use Apron\Rules\Assessed;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Rules\Words;
use Apron\Trace\DetailAssessment;

/** Project in, figures and findings out. */
final readonly class Assessment
{
    public const FORMAT = 'apron-assessment/1';

    /** @var list<AssemblyAssessment> */
    public array $assemblies;

    /** @var list<DetailAssessment> */
    public array $details;

    public ?BuildingAssessment $building;

    /** what touches anywhere in it */
    public Contacts $contacts;

    /** @var list<Finding> worst first */
    public array $findings;

    /** @var array<string, list<Assessed>> by list of the file: every row that anything is said of */
    private array $assessed;

    public function __construct(public Project $project)
    {
        $assessed = $findings = [];
        $contacts = new Contacts($project->settled());
        foreach ($project->sections->all as $section) {
            $rows = $section instanceof ListSection ? $section->assessed($project) : [];
            foreach ($rows as $row) {
                array_push($findings, ...$row->findings());
            }
            if ($section instanceof ListSection) {
                $assessed[$section->section()] = $rows;
                foreach ($section->touching($project) as $touching) {
                    array_push($findings, ...$touching->findings());
                    $contacts->join($touching);
                }
            }
            array_push($findings, ...$section->findings($project));
        }
        $this->assessed = $assessed;
        $this->building = BuildingSection::assess($project);
        $this->contacts = $contacts;
        $all = array_merge(...array_values($assessed));
        $this->assemblies = array_values(
            array_filter($all, fn (Assessed $a): bool => $a instanceof AssemblyAssessment),
        );
        $this->details = array_values(array_filter($all, fn (Assessed $a): bool => $a instanceof DetailAssessment));
        $this->findings = Finding::worstFirst([...array_map(self::broken(...), $project->broken), ...$findings]);
    }

    /** @return list<Assessed> what is said of the rows of a list of the file */
    public function rows(string $section): array
    {
        return $this->assessed[$section] ?? [];
    }

    public function fails(): bool
    {
        return $this->findings !== [] && $this->findings[0]->severity === Severity::Fail;
    }

    /**
     * @param  bool  $long  false leaves out the figures that are long to put in words, such as the path of every strip
     *   of every detail
     * @return array<string, mixed> as `apron-assessment/1` has it; sections the project does not have are left out
     */
    public function toArray(Words $words, bool $long = true): array
    {
        $document = ['format' => self::FORMAT];
        $months = $this->project->brief->months();
        if ($months !== null) {
            $document['climate'] = ['months' => $months];
        }
        foreach ($this->project->sections->lists() as $section) {
            $in = $section->figuresIn();
            $rows = $this->assessed[$section->section()];
            if ($in !== null && $rows !== [] && ($long || $section->figuresAreShort())) {
                $document[$in] = [
                    ...(array) ($document[$in] ?? []),
                    ...array_map(fn (Assessed $one): array => $one->toArray($words), $rows),
                ];
            }
        }
        $contacts = array_map(fn (Contact $contact): array => $contact->toArray(), $this->contacts->all());
        if ($contacts !== [] && $long) {
            $document['contacts'] = $contacts;
        }
        if ($this->building !== null) {
            $document['building'] = BuildingSection::toArray($this->project, $this->building, $words);
        }
        $takeoff = TakeoffSection::assess($this->project);
        if ($takeoff !== null) {
            $document = [...$document, ...TakeoffSection::figures($takeoff)];
        }
        $plan = PlanSection::assess($this->project);
        if ($plan !== null) {
            $document['calendar'] = $plan->toArray();
        }
        $document['findings'] = Acceptance::mark(
            array_map(fn (Finding $finding): array => self::shape($finding, $words), $this->findings),
            AcceptancesSection::byFinding($this->project),
        );

        return $document;
    }

    /** A part of a stored project that this release cannot read: the one thing to be said of it. */
    public static function broken(Broken $broken): Finding
    {
        $section = $broken->section === 'openings' ? 'details' : $broken->section;

        return new Finding(
            'document.broken',
            Severity::Fail,
            $broken->id === '' ? $section : "$section/$broken->id",
            [
                'id' => $broken->id === '' ? $broken->section : $broken->id,
                'at' => $broken->why->pointer,
                'found' => $broken->why->value,
                'expected' => $broken->why->expected,
            ],
            Source::computed('the format of the project file'),
        );
    }

    /** @return array<string, mixed> a finding as `apron-assessment/1` has it */
    public static function shape(Finding $finding, Words $words): array
    {
        return [
            'key' => $finding->key(),
            'code' => $finding->code,
            'severity' => $finding->severity->value,
            'subject' => $finding->subject,
            ...$words->of($finding),
            'figures' => (object) $finding->figures,
            'source' => $finding->source->toArray(),
            'accepted' => null,
        ] + ($finding->under === null ? [] : ['under' => $finding->under]);
    }
}
