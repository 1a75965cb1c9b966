<?php

declare(strict_types=1);

namespace Apron\FieldTest;

/** What a test comes to. */
enum TestVerdict: string
{
    case Pass = 'pass';
    case Fail = 'fail';
    case NotValid = 'not valid';
}
