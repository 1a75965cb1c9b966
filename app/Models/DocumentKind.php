<?php

namespace App\Models;

enum DocumentKind: string
{
    case Brief = 'brief';
    case Material = 'material';
    case Assembly = 'assembly';
    case Detail = 'detail';
    case Opening = 'opening';

    /** The list of the project file it stands in; the brief is several sections. */
    public function section(): ?string
    {
        return match ($this) {
            self::Brief => null,
            self::Material => 'materials',
            self::Assembly => 'assemblies',
            self::Detail => 'details',
            self::Opening => 'openings',
        };
    }

    public static function ofSection(string $section): ?self
    {
        foreach (self::listed() as $kind) {
            if ($kind->section() === $section) {
                return $kind;
            }
        }

        return null;
    }

    /** @return list<self> those that stand in lists, in the order of the file */
    public static function listed(): array
    {
        return [self::Material, self::Assembly, self::Detail, self::Opening];
    }

    /**
     * Kinds whose keys are one list: an opening of the schedule becomes a detail when a piece of it is changed by hand, and one again
     * when that is undone, under the key it had.
     *
     * @return list<self>
     */
    public function sharing(): array
    {
        return in_array($this, [self::Detail, self::Opening], true) ? [self::Detail, self::Opening] : [$this];
    }
}
