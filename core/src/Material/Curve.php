<?php

declare(strict_types=1);

namespace Apron\Material;

/** A figure that follows another, given at points and taken in a line between them; held at the ends. */
final readonly class Curve
{
    /**
     * @param  list<float>  $at  rising, at least two
     * @param  list<float>  $values  as many
     */
    public function __construct(public array $at, public array $values)
    {
    }

    public function value(float $at): float
    {
        $before = 0;
        foreach ($this->at as $i => $x) {
            if ($at <= $x) {
                return $i === 0
                    ? $this->values[0]
                    : $this->values[$before] +
                            (($this->values[$i] - $this->values[$before]) * ($at - $this->at[$before])) /
                                ($x - $this->at[$before]);
            }
            $before = $i;
        }

        return $this->values[$before];
    }
}
