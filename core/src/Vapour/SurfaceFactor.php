<?php

declare(strict_types=1);

namespace Apron\Vapour;

use Apron\Assembly\ThermalResistance;
use Apron\Climate\Air;
use Apron\Climate\Climate;
use Apron\Climate\IndoorAir;

/** Temperature factor of the inside surface against what mould asks for: ISO 13788:2012, clause 5. */
final readonly class SurfaceFactor
{
    /** m²K/W, for an opaque surface behind furniture and curtains: ISO 13788:2012, table 2. */
    private const RSI = 0.25;

    /** Monthly mean relative humidity at the surface above which mould grows: ISO 13788:2012, 5.3. */
    private const MOULD_HUMIDITY = 0.8;

    /** null where R is not known */
    public ?float $factor;

    /** null where no month has colder air outside */
    public ?float $leastForMould;

    /** 0 for January */
    public ?int $criticalMonth;

    public function __construct(ThermalResistance $heat, Climate $climate, IndoorAir $indoors)
    {
        $total = $heat->total();
        $this->factor = $total === null ? null : 1 - self::RSI / ($total - $heat->assembly->rsi() + self::RSI);
        [$least, $critical] = [null, null];
        foreach ($climate->months as $m => $outdoors) {
            $air = $indoors->during($m, $outdoors);
            if ($outdoors->celsius >= $air['celsius']) {
                continue;
            }
            $needed =
                (Air::dewPoint($air['pressure'] / self::MOULD_HUMIDITY) - $outdoors->celsius) /
                ($air['celsius'] - $outdoors->celsius);
            if ($least === null || $needed > $least) {
                [$least, $critical] = [$needed, $m];
            }
        }
        $this->leastForMould = $least;
        $this->criticalMonth = $critical;
    }

    /** @return array{frsi: float|null, frsi_min_mould: float|null, critical_month: int|null} */
    public function toArray(): array
    {
        return [
            'frsi' => $this->factor,
            'frsi_min_mould' => $this->leastForMould,
            'critical_month' => $this->criticalMonth === null ? null : $this->criticalMonth + 1,
        ];
    }
}
