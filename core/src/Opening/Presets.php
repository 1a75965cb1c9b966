<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Json\CoreData;
use Apron\Json\Node;

/** Ways of making an opening that have a name, each with its answers, from `core/data/combinations.json`. */
final class Presets
{
    /** What is taken where nobody says how an opening is made. */
    public const USUAL = 'flanged-unit-in-fastened-sheet';

    /** @return array<string, ComposedOpening> by name */
    public static function all(): array
    {
        /** @var array<string, ComposedOpening>|null $all */
        static $all = null;
        if ($all === null) {
            $all = [];
            foreach (CoreData::read('combinations')->get('presets')->entries() as $name => $row) {
                $all[$name] = new ComposedOpening(
                    $name,
                    array_map(fn (Node $answer): string => $answer->id(), $row->entries()),
                );
            }
        }

        return $all;
    }
}
