<?php

declare(strict_types=1);

// The trace and all checks of an opening, by number of patches, and of five hundred openings.

use Apron\Detail\Detail;
use Apron\Detail\DetailFormat;
use Apron\Detail\DetailWriter;
use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Material\Materials;
use Apron\Opening\Presets;
use Apron\Project\ProjectFormat;
use Apron\Trace\DetailAssessment;

require __DIR__.'/../vendor/autoload.php';

$materials = new Materials([], new Catalogue);
$opening = fn (int $w = 1200): Detail => Presets::all()['flanged-unit-in-fastened-sheet']->make(
    'o',
    'O',
    ['width_mm' => $w, 'height_mm' => 1500, 'depth_mm' => 140],
    $materials,
);

/** The opening with boards in courses over the face until it has so many patches, each course taped. */
$with = function (int $count) use ($opening, $materials): Detail {
    $row = DetailWriter::write($opening());
    $have = array_sum(array_map(fn (array $p): int => count($p['patches']), $row['pieces']));
    for ($i = 0; $i < $count - $have; $i++) {
        [$course, $place] = [intdiv($i, 6), $i % 6];
        $v = -480 + 240 * $course;
        // Two boards a side of the opening, a joint of tape between them, and a tape along the course.
        $rect = [
            [-490, $v, -300, $v + 240],
            [-300, $v, -200, $v + 240],
            [-330, $v, -270, $v + 240],
            [1400, $v, 1500, $v + 240],
            [1500, $v, 1690, $v + 240],
            [1470, $v, 1530, $v + 240],
        ][$place];
        $tape = $place === 2 || $place === 5;
        $row['pieces'][] = [
            'id' => "t$i",
            'material' => $tape ? 'seam-tape' : 'polyiso-foil',
            'kind' => $tape ? 'tape' : 'board',
            'step' => 20 + $i,
            'patches' => [['id' => "t$i.f", 'facet' => 'face', 'rect' => $rect]],
        ];
    }

    return DetailFormat::read(Node::of($row), $materials);
};
echo "Trace and checks of one opening, median of 15\n";
foreach ([25, 40, 60, 80] as $count) {
    $detail = $with($count);
    $times = [];
    for ($i = 0; $i < 15; $i++) {
        $began = hrtime(true);
        $assessed = new DetailAssessment($detail);
        $times[] = (hrtime(true) - $began) / 1e6;
    }
    sort($times);
    printf("  %d patches, %d rows of strips: %.2f ms\n", $count, count($assessed->strips), $times[7]);
}
$details = array_map(fn (int $i): Detail => $opening(600 + 3 * $i), range(1, 500));
$began = hrtime(true);
foreach ($details as $detail) {
    (new DetailAssessment($detail))->worst();
}
printf("Five hundred openings, no two alike: %.2f s\n", (hrtime(true) - $began) / 1e9);

// The same of a schedule, by three methods, one of them in two planes: read from its file, made, traced and checked.
$methods = ['flanged-unit-in-self-adhered', 'strapped-unit-in-fluid', 'unit-in-two-planes'];
$file = json_encode(
    [
        'format' => ProjectFormat::FORMAT,
        'project' => ['name' => 'Schedule', 'units' => 'si', 'wind_pressure_pa' => 300],
        'openings' => array_map(
            fn (int $i): array => [
                'id' => "w$i",
                'title' => "Window $i",
                'generator' => $methods[$i % 3],
                'parameters' => ['width_mm' => 600 + 3 * $i, 'height_mm' => 1500, 'depth_mm' => 140],
            ],
            range(1, 500),
        ),
    ],
    JSON_THROW_ON_ERROR,
);
$began = hrtime(true);
$project = ProjectFormat::parse($file, new Catalogue);
$read = (hrtime(true) - $began) / 1e9;
foreach ($project->details as $detail) {
    (new DetailAssessment($detail))->worst();
}
printf(
    "A schedule of five hundred openings by three methods: read and made %.2f s, in all %.2f s\n",
    $read,
    (hrtime(true) - $began) / 1e9,
);
