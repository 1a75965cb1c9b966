<?php

namespace Apron\Climate;

use Apron\File\ClimateFormat;
use Apron\File\Node;

/** Twelve-month climates made up for Apron; none is a place. */
final class GenericClimates
{
    /** @return list<Climate> */
    public function all(): array
    {
        $node = Node::parse((string) file_get_contents(dirname(__DIR__, 2).'/data/climates.json'))->object(['note', 'climates']);

        return array_map(ClimateFormat::climate(...), $node->get('climates')->items(1));
    }
}
