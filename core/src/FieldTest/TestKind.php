<?php

declare(strict_types=1);

namespace Apron\FieldTest;

/** The tests there are, as the file names them. */
enum TestKind: string
{
    case Fan = 'fan';
    case Water = 'water';
    case Smoke = 'smoke';
    case Adhesion = 'adhesion';
    case Film = 'film';
    case Moisture = 'moisture';
}
