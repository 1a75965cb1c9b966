<?php

declare(strict_types=1);

namespace Apron\Inspection;

/** What a check is made from: a step of a detail, or a layer of a wall, roof or floor, or the plan. */
enum CheckOf: string
{
    case Detail = 'detail';
    case Assembly = 'assembly';
    case Plan = 'plan';
}
