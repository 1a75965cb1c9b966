<?php

declare(strict_types=1);

namespace Apron\Project;

use Apron\Climate\ClimateFormat;
use Apron\Climate\GenericClimates;
use Apron\Json\CoreData;
use Apron\Json\Node;
use Apron\Material\Catalogue;

/** An assembly that comes up in the trade, in a climate it comes up in. */
final readonly class Example
{
    private function __construct(
        public string $id,
        public string $title,
        /** what there is to learn from it, in a sentence or two */
        public string $about,
        public Project $project,
    ) {
    }

    /** @return list<self> */
    public static function all(Catalogue $catalogue): array
    {
        $climates = new GenericClimates;
        $node = CoreData::read('examples')->object(['note', 'examples']);

        return array_map(function (Node $row) use ($climates, $catalogue): self {
            $row->object(['id', 'title', 'about', 'climate', 'indoor', 'assembly']);
            $climate =
                $climates->named($row->get('climate')->text()) ??
                $row->get('climate')->refuse('the name of a generic climate');

            return new self(
                $row->get('id')->id(),
                $row->get('title')->text(),
                $row->get('about')->text(400),
                ProjectFormat::read(
                    Node::of([
                        'format' => ProjectFormat::FORMAT,
                        'project' => ['name' => $row->get('title')->text(), 'units' => 'si'],
                        'climate' => ClimateFormat::writeClimate($climate),
                        'indoor' => $row->get('indoor')->raw(),
                        'assemblies' => [$row->get('assembly')->raw()],
                    ]),
                    $catalogue,
                ),
            );
        }, $node->get('examples')->items(1));
    }
}
