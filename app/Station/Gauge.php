<?php

declare(strict_types=1);

namespace App\Station;

/** An instrument that reads one number at a time, pins in wood say: what Apron asks of a real one. */
interface Gauge
{
    public function name(): string;

    /** Whether what it reads is made up, and has to be marked so. */
    public function isSimulated(): bool;

    /** @return list<float> so many readings: % of moisture, µm, °C */
    public function read(GaugeKind $kind, int $count): array;
}
