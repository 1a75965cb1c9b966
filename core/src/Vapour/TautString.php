<?php

declare(strict_types=1);

namespace Apron\Vapour;

/**
 * The vapour pressure through a construction as a string pulled taut below saturation: over sd, the greatest convex
 * curve that nowhere exceeds saturation and has the given ends (ISO 13788:2012, 6.4.4, several planes). It is the lower
 * convex hull of the nodes, found in one pass; picking planes one by one is wrong as soon as there are two.
 */
final class TautString
{
    /**
     * @param  array<int, float>  $sd  m, rising
     * @param  array<int, float>  $saturation  Pa at each node
     * @param  int  $from  first node of the stretch
     * @param  int  $to  last node of the stretch
     * @param  float  $pFrom  Pa held at the first node
     * @param  float  $pTo  Pa held at the last node
     * @return list<int> the nodes the string touches, both ends included
     */
    public static function touches(array $sd, array $saturation, int $from, int $to, float $pFrom, float $pTo): array
    {
        $nodes = [$from];
        $pressures = [$pFrom];
        $top = 0;
        for ($i = $from + 1; $i <= $to; $i++) {
            $p = $i === $to ? $pTo : $saturation[$i];
            while ($top > 0) {
                $a = $nodes[$top - 1];
                $b = $nodes[$top];
                // b stays only where it lies below the line from a to i.
                if (
                    ($pressures[$top] - $pressures[$top - 1]) * ($sd[$i] - $sd[$a]) <
                    ($p - $pressures[$top - 1]) * ($sd[$b] - $sd[$a])
                ) {
                    break;
                }
                $top--;
            }
            $top++;
            $nodes[$top] = $i;
            $pressures[$top] = $p;
        }

        return array_slice($nodes, 0, $top + 1);
    }

    /**
     * The string's pressure at every node, given the nodes it touches and the pressure there.
     *
     * @param  list<float>  $sd
     * @param  list<int>  $touched
     * @param  array<int, float>  $pressureAt  Pa at each touched node
     * @return list<float>
     */
    public static function pressures(array $sd, array $touched, array $pressureAt): array
    {
        $pressures = [];
        for ($t = 1; $t < count($touched); $t++) {
            [$a, $b] = [$touched[$t - 1], $touched[$t]];
            for ($i = $a; $i < $b; $i++) {
                $pressures[] =
                    $pressureAt[$a] + (($pressureAt[$b] - $pressureAt[$a]) * ($sd[$i] - $sd[$a])) / ($sd[$b] - $sd[$a]);
            }
        }
        $pressures[] = $pressureAt[$touched[count($touched) - 1]];

        return $pressures;
    }
}
