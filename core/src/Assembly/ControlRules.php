<?php

namespace Apron\Assembly;

use Apron\File\Node;
use Apron\Source;
use Apron\SourceKind;

/** The figures that say whether a layer can do the job it is named for, each with its source. */
final class ControlRules
{
    private Node $rules;

    public function __construct(?string $file = null)
    {
        $this->rules = Node::parse((string) file_get_contents($file ?? dirname(__DIR__, 2).'/data/figures/controls.json'));
    }

    public function figure(string $name): float
    {
        return $this->rules->get($name)->get('value')->number();
    }

    public function source(string $name): Source
    {
        $source = $this->rules->get($name)->get('source');

        return Source::of($source->get('kind')->oneOf(SourceKind::class), $source->get('name')->text(400));
    }
}
