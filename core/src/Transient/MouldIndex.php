<?php

declare(strict_types=1);

namespace Apron\Transient;

use Apron\Rules\RuleFigures;

/**
 * The VTT model of mould growth on a face, hour by hour: Hukka and Viitanen 1999 with the classes of Ojanen and others
 * 2010, as ASHRAE 160-2016, addendum e, takes it (from memory). 0 is none, 1 is seen with a microscope, 3 by eye, 6
 * covers.
 */
final class MouldIndex
{
    public float $index = 0.0;

    public float $most = 0.0;

    /** hours since it last grew */
    private float $resting = 0.0;

    /** @var array<string, float> */
    private readonly array $figures;

    private readonly float $declineFirst;

    private readonly float $declineLater;

    /** @param  float|null  $decline  share of the decline on pine; null takes that of what nobody has measured */
    public function __construct(public readonly MouldClass $class, ?float $decline = null)
    {
        $rules = RuleFigures::of('transient');
        $decline ??= $rules->figure('mould_decline_share');
        $this->figures = $class->figures();
        $this->declineFirst = $decline * $rules->figure('mould_declines_first_1_h');
        $this->declineLater = $decline * $rules->figure('mould_declines_later_1_h');
    }

    /** % relative humidity above which it grows at a temperature in °C */
    public static function critical(float $celsius, float $least): float
    {
        return $celsius > 20
            ? $least
            : max($least, -0.00267 * $celsius ** 3 + 0.16 * $celsius ** 2 - 3.13 * $celsius + 100);
    }

    /** Goes on for so many hours at °C and % relative humidity. */
    public function during(float $hours, float $celsius, float $humidity): void
    {
        $humidity = min(100.0, $humidity);
        $critical = self::critical($celsius, $this->figures['rh_least']);
        if ($celsius > 0.0 && $celsius <= 50.0 && $humidity >= $critical) {
            $this->resting = 0.0;
            $this->index = min(6.0, $this->index + ($this->daily($celsius, $humidity, $critical) * $hours) / 24);
            $this->most = max($this->most, $this->index);

            return;
        }
        $this->resting += $hours;
        $by = match (true) {
            $this->resting <= 6 => $this->declineFirst,
            $this->resting <= 24 => 0.0,
            default => $this->declineLater,
        };
        $this->index = max(0.0, $this->index - $by * $hours);
    }

    /** By how much it grows in a day. */
    private function daily(float $celsius, float $humidity, float $critical): float
    {
        $class = $this->figures;
        $damp = $critical < 100 ? ($critical - $humidity) / ($critical - 100) : 1.0;
        $bound = $class['a'] + $class['b'] * $damp - $class['c'] * $damp ** 2;
        $k1 = $this->index < 1 ? $class['k1_below'] : $class['k1_above'];
        $k2 = max(0.0, 1 - exp(2.3 * ($this->index - $bound)));

        return ($k1 * $k2) / (7 * exp(
            -0.68 * log($celsius) - 13.9 * log($humidity) + 0.14 * $class['wood'] + 66.02,
        ));
    }
}
