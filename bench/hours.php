<?php

declare(strict_types=1);

// A year hour by hour through 100 cells, beside the same scheme with NumPy and SciPy's banded solver in the same run.

$root = dirname(__DIR__);
require "$root/vendor/autoload.php";

use Apron\Climate\Air;
use Apron\Climate\GenericClimates;
use Apron\Climate\HourlyYear;
use Apron\Material\Catalogue;
use Apron\Transient\Beyond;
use Apron\Transient\Inflow;
use Apron\Transient\March;
use Apron\Transient\Mesh;
use Apron\Transient\Part;
use Apron\Transient\Slab;
use Apron\Transient\State;

$clt = (new Catalogue)->find('clt') ?? throw new LogicException('no timber');
$climate = (new GenericClimates)->all()[0];
$hours = HourlyYear::synthesise($climate, 1)->hours;
$air = fn ($hour): Beyond => Beyond::air(
    $hour->celsius,
    min(1.0, $hour->vapourPressure / Air::saturation($hour->celsius)),
    25.0,
    7.5e-8,
);
$inside = Beyond::air(21, 0.4, 7.7, 2.5e-8);
$none = new Inflow;

echo "\nA year hour by hour, timber between a room and the weather\n";
foreach ([[50.0, Mesh::wall()], [300.0, Mesh::lab()]] as [$mm, $mesh]) {
    $slab = new Slab([new Part($clt, $mm)], $mesh);
    $state = State::even($slab->nodes(), 0.6, 15.0);
    $march = new March($slab);
    $from = hrtime(true);
    foreach ($hours as $hour) {
        $march->over($state, 3600.0, $inside, $air($hour), $none);
    }
    $seconds = (hrtime(true) - $from) / 1e9;
    printf("%-66s        %8.2f s   %d steps\n", ($slab->nodes() - 2).' cells', $seconds, $march->steps);
    $table = $slab->tables[0];
    file_put_contents($file = tempnam(sys_get_temp_dir(), 'apron-bench'), json_encode([
        'thick' => $slab->thick,
        'rh' => array_map(fn (int $i): float => $table::humidityAt($i), range(0, $table::LAST)),
        'water' => $table->water,
        'potential' => $table->potential,
        'permeability' => $table->permeability,
        'conductivity' => $table->conductivity[0],
        'heat' => $table->heat,
        'outside' => array_map(
            fn ($h): array => [$h->celsius, min(1.0, $h->vapourPressure / Air::saturation($h->celsius))],
            $hours,
        ),
    ]));
    $said = json_decode((string) shell_exec("/usr/bin/python3 $root/bench/hours.py $file 2>/dev/null"), true);
    unlink($file);
    echo is_array($said)
        ? sprintf(
            "%-66s        %8.2f s   water differs by %.1e kg/m²\n",
            '  the same scheme, NumPy and scipy.linalg.solve_banded',
            $said['seconds'],
            abs($said['water'] - $slab->water($state)),
        )
        : "  SciPy is not here (apt-get install python3-scipy): nothing to set it beside.\n";
}
