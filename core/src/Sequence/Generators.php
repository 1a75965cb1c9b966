<?php

namespace Apron\Sequence;

/** Every way of dressing an opening that is built. */
final class Generators
{
    /** @return array<string, Generator> by name */
    public static function all(): array
    {
        $all = [];
        foreach ([new FlangedUnitInFastenedSheet, new FlangedUnitInSelfAdhered, new FlangedUnitInFluid, new StrappedUnitInSelfAdhered] as $generator) {
            $all[$generator->name()] = $generator;
        }

        return $all;
    }

    public static function named(string $name): ?Generator
    {
        return self::all()[$name] ?? null;
    }
}
