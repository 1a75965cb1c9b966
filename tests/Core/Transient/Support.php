<?php

declare(strict_types=1);

use Apron\Json\Node;
use Apron\Material\Material;
use Apron\Material\MaterialFormat;
use Apron\Transient\Beyond;
use Apron\Transient\LabAssessment;
use Apron\Transient\LabRun;
use Apron\Transient\Part;

/** @param  array<string, mixed>  $said */
function matter(array $said): Material
{
    $usual = ['id' => 'm', 'name' => 'm', 'conductivity_w_mk' => 0.15, 'vapour_resistance_factor' => 10];

    return MaterialFormat::read(Node::decoded(json_decode((string) json_encode($said + $usual))));
}

/**
 * @param  list<array{Material, float}>  $layers  and mm
 * @param  array<string, mixed>  $more  of the run
 */
function lab(array $layers, float $hours, Beyond $left, Beyond $right, array $more = []): LabAssessment
{
    return new LabAssessment(new LabRun(...($more + [
        'id' => 'r',
        'title' => 'r',
        'layers' => array_map(fn (array $layer): Part => new Part($layer[0], $layer[1]), $layers),
        'celsius' => 20.0,
        'humidity' => 0.5,
        'hours' => $hours,
        'left' => $left,
        'right' => $right,
    ])));
}
