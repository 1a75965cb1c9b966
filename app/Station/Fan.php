<?php

declare(strict_types=1);

namespace App\Station;

/** A fan in a door with its gauge: what Apron asks of a real one. */
interface Fan
{
    /** Whether what it reads is made up, and has to be marked so. */
    public function isSimulated(): bool;

    /**
     * @param  float  $flow50  m³/h that the building leaks at 50 Pa, for one that is not real
     * @return array{points: list<array{pressure_pa: float, flow_m3_h: float}>, zero_flow_before_pa: list<float>,
     *   zero_flow_after_pa: list<float>}
     */
    public function run(float $flow50): array;
}
