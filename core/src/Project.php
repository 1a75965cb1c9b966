<?php

namespace Apron;

use Apron\Assembly\Assembly;
use Apron\Climate\Climate;
use Apron\Climate\Condition;
use Apron\Climate\IndoorAir;
use Apron\Detail\Detail;
use Apron\Inspection\SiteEvent;
use Apron\Material\Materials;
use Apron\Quantity\UnitSystem;

/** Everything the core needs to know about one project. */
final readonly class Project
{
    /**
     * @param  array<string, string>  $schools  question => choice
     * @param  list<Condition>  $conditions
     * @param  list<Assembly>  $assemblies
     * @param  list<Detail>  $details
     * @param  list<SiteEvent>|null  $site  null where the project has no site record
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
        public ?array $site,
    ) {
    }

    /** The head of water the wind holds up, mm: Pa / 9.81. */
    public function headOfWater(): ?float
    {
        return $this->windPressure === null ? null : $this->windPressure / 9.81;
    }

    /** The same project somewhere else. */
    public function in(Climate $climate): self
    {
        return new self(
            $this->name, $this->units, $this->schools, $this->windPressure, $climate, $this->indoors, $this->conditions,
            $this->materials, $this->assemblies, $this->details, $this->site,
        );
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
