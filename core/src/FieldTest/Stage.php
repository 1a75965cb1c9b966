<?php

declare(strict_types=1);

namespace Apron\FieldTest;

/** When a test is made: while leaks can still be reached, or when nothing more will change. */
enum Stage: string
{
    case BeforeCover = 'before-cover';
    case AtEnd = 'at-end';
}
