<?php

declare(strict_types=1);

namespace Apron\Vapour;

use Apron\Assembly\ThermalResistance;
use Apron\Climate\Climate;
use Apron\Climate\IndoorAir;
use Apron\Rules\RuleFigures;

/** Temperature factor of the inside surface against what mould asks for: ISO 13788:2012, clause 5. */
final readonly class SurfaceFactor
{
    /** null where R is not known */
    public ?float $factor;

    /** at the coldest metal; null where there is none */
    public ?float $atBridge;

    /** null where no month has colder air outside */
    public ?float $leastForMould;

    /** 0 for January */
    public ?int $criticalMonth;

    public function __construct(ThermalResistance $heat, Climate $climate, IndoorAir $indoors)
    {
        $physics = RuleFigures::of('physics');
        [$rsi, $damp] = [$physics->figure('mould_rsi_m2k_w'), $physics->figure('mould_rh_pct') / 100];
        $total = $heat->total();
        $this->factor = $total === null ? null : 1 - $rsi / ($total - $heat->assembly->rsi() + $rsi);
        $this->atBridge = SurfaceAtBridge::factor($heat);
        $asked = SurfaceAsked::below($damp, $climate, $indoors);
        $this->leastForMould = $asked->factor;
        $this->criticalMonth = $asked->month;
    }

    /**
     * @return array{frsi: float|null, frsi_at_bridge: float|null, frsi_min_mould: float|null, critical_month: int|null}
     */
    public function toArray(): array
    {
        return [
            'frsi' => $this->factor,
            'frsi_at_bridge' => $this->atBridge,
            'frsi_min_mould' => $this->leastForMould,
            'critical_month' => $this->criticalMonth === null ? null : $this->criticalMonth + 1,
        ];
    }
}
