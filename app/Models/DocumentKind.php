<?php

namespace App\Models;

enum DocumentKind: string
{
    case Brief = 'brief';
    case Material = 'material';
    case Assembly = 'assembly';
    case Detail = 'detail';

    /** The list of the project file it stands in; the brief is several sections. */
    public function section(): ?string
    {
        return match ($this) {
            self::Brief => null,
            self::Material => 'materials',
            self::Assembly => 'assemblies',
            self::Detail => 'details',
        };
    }
}
