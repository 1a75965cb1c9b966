<?php

declare(strict_types=1);

namespace App\Http;

use Apron\Brief\Brief;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Words;
use Illuminate\Http\Request;

/** The words of an answer, in the units that were asked for or else in the project's own. */
final class Wording
{
    public static function of(Request $request, Brief $brief): Words
    {
        return new Words(self::units($request) ?? $brief->units);
    }

    /** Null where the request does not say. */
    public static function units(Request $request): ?UnitSystem
    {
        $asked = $request->validate(['units' => 'nullable|in:si,us'])['units'] ?? null;

        return $asked === null ? null : UnitSystem::from($asked);
    }
}
