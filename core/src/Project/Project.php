<?php

declare(strict_types=1);

namespace Apron\Project;

use Apron\Assembly\Assembly;
use Apron\Brief\Brief;
use Apron\Contact\Settled;
use Apron\Contact\Systems;
use Apron\Crew\Training;
use Apron\Detail\Detail;
use Apron\Inspection\SiteEvent;
use Apron\Json\Broken;
use Apron\Material\Material;
use Apron\Material\Materials;
use Apron\Method\ScheduledOpening;
use Apron\Project\Section\AdhesionSection;
use Apron\Project\Section\AssembliesSection;
use Apron\Project\Section\BriefSection;
use Apron\Project\Section\DetailsSection;
use Apron\Project\Section\OpeningsSection;
use Apron\Project\Section\SiteSection;
use Apron\Project\Section\SystemsSection;
use Apron\Project\Section\TrainingSection;

/**
 * Everything the core needs to know about one project: what each section was read as. Those that much stands on have
 * names of their own.
 */
final readonly class Project
{
    public Brief $brief;

    public Materials $materials;

    /** @var list<Assembly> */
    public array $assemblies;

    /** @var list<Detail> all: those the file gives piece by piece, then those made from the opening schedule */
    public array $details;

    /** @var list<ScheduledOpening> */
    public array $openings;

    /** @var list<Training> oldest first */
    public array $training;

    /** @var list<SiteEvent>|null null where the project has no site record */
    public ?array $site;

    /** @var list<Broken> parts of a stored project that can no longer be read */
    public array $broken;

    /** @var array<string, mixed> by class of the section */
    private array $values;

    public function __construct(public Sections $sections, Reading $read)
    {
        $this->values = $read->values();
        $this->broken = $read->rows->broken;
        $this->brief = $this->of(BriefSection::class);
        $this->materials = $read->materials();
        $this->assemblies = array_values($this->of(AssembliesSection::class));
        $this->openings = array_values($this->of(OpeningsSection::class));
        $this->details = [
            ...array_values($this->of(DetailsSection::class)),
            ...array_map(fn (ScheduledOpening $row): Detail => $row->detail, $this->openings),
        ];
        $this->training = $this->of(TrainingSection::class);
        $this->site = $this->of(SiteSection::class);
    }

    /**
     * What a section was read as.
     *
     * @template T
     *
     * @param  class-string<Section<T>>  $section
     * @return T
     */
    public function of(string $section): mixed
    {
        /** @var T */
        return $this->values[$section];
    }

    /** What is warranted together in it, and what was pulled off its faces. */
    public function settled(): Settled
    {
        return new Settled(
            new Systems(array_values($this->of(SystemsSection::class))),
            array_values($this->of(AdhesionSection::class)),
        );
    }

    /** @return array<string, Material> what it is made of, by id */
    public function used(): array
    {
        $used = [];
        foreach ($this->sections->lists() as $section) {
            $used += $section->used($this);
        }

        return $used;
    }

    public function detail(string $id): ?Detail
    {
        foreach ($this->details as $detail) {
            if ($detail->id === $id) {
                return $detail;
            }
        }

        return null;
    }
}
