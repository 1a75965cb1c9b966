<?php

declare(strict_types=1);

namespace Apron\Brief;

use Apron\Climate\Air;
use Apron\Climate\Climate;
use Apron\Climate\Condition;
use Apron\Climate\IndoorAir;
use Apron\Quantity\UnitSystem;

/**
 * What a project settles before anything is drawn, and every assembly and opening stands on: its airs, its wind and its
 * schools.
 */
final readonly class Brief
{
    /**
     * @param  array<string, string>  $schools  question => choice
     * @param  list<Condition>  $conditions
     */
    public function __construct(
        public string $name,
        public UnitSystem $units,
        public array $schools = [],
        /** the wind's push on the walls that sills and dams are sized for, Pa; null where not settled */
        public ?float $windPressure = null,
        public ?Climate $climate = null,
        public ?IndoorAir $indoors = null,
        public array $conditions = [],
        /** how tight the building is to be; null where not settled */
        public ?AirTarget $airTarget = null,
    ) {
    }

    /** The head of water that the wind holds up, mm: Pa / 9.81. */
    public function headOfWater(): ?float
    {
        return $this->windPressure === null ? null : $this->windPressure / 9.81;
    }

    /** The same brief somewhere else. */
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
            airTarget: $this->airTarget,
        );
    }

    /**
     * @return list<array<string, float>>|null the two airs and their dew points, January first; null until both are
     *   stated
     */
    public function months(): ?array
    {
        if ($this->climate === null || $this->indoors === null) {
            return null;
        }
        $months = [];
        foreach ($this->climate->months as $m => $outdoors) {
            $air = $this->indoors->during($m, $outdoors);
            $months[] = [
                'outdoor_c' => $outdoors->celsius,
                'outdoor_dew_point_c' => Air::dewPoint($outdoors->vapourPressure()),
                'indoor_c' => $air['celsius'],
                'indoor_rh_pct' => (100 * $air['pressure']) / Air::saturation($air['celsius']),
                'indoor_dew_point_c' => Air::dewPoint($air['pressure']),
            ];
        }

        return $months;
    }
}
