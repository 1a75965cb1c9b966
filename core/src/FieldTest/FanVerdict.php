<?php

declare(strict_types=1);

namespace Apron\FieldTest;

/** What a fan test comes to. */
enum FanVerdict: string
{
    case Pass = 'pass';
    case Fail = 'fail';
    case NotValid = 'not valid';
}
