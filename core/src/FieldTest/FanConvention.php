<?php

declare(strict_types=1);

namespace Apron\FieldTest;

/** Two conventions for the same test; they differ in the correction for viscosity. */
enum FanConvention: string
{
    case Iso9972 = 'iso-9972';
    case AstmE779 = 'astm-e779';

    public function name(): string
    {
        return match ($this) {
            self::Iso9972 => 'ISO 9972:2015 (from memory)',
            self::AstmE779 => 'ASTM E779-19 (from memory)',
        };
    }
}
