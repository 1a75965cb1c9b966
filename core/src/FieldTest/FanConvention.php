<?php

declare(strict_types=1);

namespace Apron\FieldTest;

/** Two conventions for the same test; they differ in the correction for viscosity. */
enum FanConvention: string
{
    case Iso9972 = 'iso-9972';
    case AstmE779 = 'astm-e779';
}
