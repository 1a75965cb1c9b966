<?php

namespace Apron\Project;

use Apron\Assembly\Assembly;
use Apron\Climate\Climate;
use Apron\Climate\Condition;
use Apron\Climate\IndoorAir;
use Apron\Crew\Training;
use Apron\Detail\Detail;
use Apron\Inspection\SiteEvent;
use Apron\Json\Broken;
use Apron\Material\Material;
use Apron\Material\Materials;
use Apron\Method\ScheduledOpening;
use Apron\Quantity\UnitSystem;

/** Everything the core needs to know about one project. */
final readonly class Project
{
    /**
     * @param  array<string, string>  $schools  question => choice
     * @param  list<Condition>  $conditions
     * @param  list<Assembly>  $assemblies
     * @param  list<Detail>  $details  all: those the file gives piece by piece, then those made from the opening schedule
     * @param  list<ScheduledOpening>  $openings
     * @param  list<Training>  $training  oldest first
     * @param  list<SiteEvent>|null  $site  null where the project has no site record
     * @param  list<Broken>  $broken  parts of a stored project that can no longer be read
     */
    public function __construct(
        public string $name,
        public UnitSystem $units,
        public array $schools,
        /** the wind's push on the walls that sills and dams are sized for, Pa; null where not settled */
        public ?float $windPressure,
        public ?Climate $climate,
        public ?IndoorAir $indoors,
        public array $conditions,
        public Materials $materials,
        public array $assemblies,
        public array $details,
        public array $openings,
        public array $training,
        public ?array $site,
        public array $broken,
    ) {
    }

    public function headOfWater(): ?float
    {
        return self::headOf($this->windPressure);
    }

    /** The head of water a wind holds up, mm: Pa / 9.81. */
    public static function headOf(?float $windPressure): ?float
    {
        return $windPressure === null ? null : $windPressure / 9.81;
    }

    /** The same project somewhere else. */
    public function in(Climate $climate): self
    {
        return new self(
            name: $this->name,
            units: $this->units,
            schools: $this->schools,
            windPressure: $this->windPressure,
            climate: $climate,
            indoors: $this->indoors,
            conditions: $this->conditions,
            materials: $this->materials,
            assemblies: $this->assemblies,
            details: $this->details,
            openings: $this->openings,
            training: $this->training,
            site: $this->site,
            broken: $this->broken,
        );
    }

    /** @return array<string, Material> what its assemblies and details are made of, by id */
    public function used(): array
    {
        $used = [];
        foreach ($this->assemblies as $assembly) {
            $used += $assembly->materials();
        }
        foreach ($this->details as $detail) {
            $used += $detail->materials();
        }

        return $used;
    }

    /** @return list<Detail> those that stand in the file piece by piece */
    public function ownDetails(): array
    {
        $scheduled = array_map(fn (ScheduledOpening $row): string => $row->id, $this->openings);

        return array_values(array_filter($this->details, fn (Detail $detail): bool => ! in_array($detail->id, $scheduled, true)));
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
