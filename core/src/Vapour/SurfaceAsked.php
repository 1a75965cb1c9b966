<?php

declare(strict_types=1);

namespace Apron\Vapour;

use Apron\Climate\Air;
use Apron\Climate\Climate;
use Apron\Climate\IndoorAir;

/** The temperature factor that keeps air at a face inside below a humidity in every month: ISO 13788:2012, clause 5. */
final readonly class SurfaceAsked
{
    private function __construct(
        /** null where no month has colder air outside */
        public ?float $factor,
        /** the month that asks for most, 0 for January */
        public ?int $month,
    ) {
    }

    /** @param  float  $humidity  share of saturation at the face: 0.8 for mould, 1 for water on what holds none */
    public static function below(float $humidity, Climate $climate, IndoorAir $indoors): self
    {
        [$most, $month] = [null, null];
        foreach ($climate->months as $m => $outdoors) {
            $air = $indoors->during($m, $outdoors);
            if ($outdoors->celsius >= $air['celsius']) {
                continue;
            }
            $asked =
                (Air::dewPoint($air['pressure'] / $humidity) - $outdoors->celsius) /
                ($air['celsius'] - $outdoors->celsius);
            if ($most === null || $asked > $most) {
                [$most, $month] = [$asked, $m];
            }
        }

        return new self($most, $month);
    }
}
