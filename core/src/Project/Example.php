<?php

declare(strict_types=1);

namespace Apron\Project;

use Apron\Assembly\AssemblyFormat;
use Apron\Climate\ClimateFormat;
use Apron\Climate\GenericClimates;
use Apron\Json\CoreData;
use Apron\Json\Node;
use Apron\Judgement\AssemblyAssessment;
use Apron\Material\Catalogue;
use Apron\Rules\Finding;
use Apron\Rules\Words;

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

    /** @return array<string, mixed> with its verdict, and the first two things that are said of it */
    public function toArray(Words $words): array
    {
        $assessed = new AssemblyAssessment($this->project->brief, $this->project->assemblies[0]);
        // What its figures are from is true of every example and says nothing of this one; what follows from an error
        // is not another.
        $said = array_values(
            array_filter(
                Finding::worstFirst($assessed->findings()),
                fn (Finding $finding): bool => $finding->code !== 'material.from-memory' && $finding->under === null,
            ),
        );

        return [
            'id' => $this->id,
            'title' => $this->title,
            'about' => $this->about,
            'climate' => $this->project->brief->climate?->name,
            'u_w_m2k' => $assessed->heat->overallU(),
            'year' => $assessed->year?->verdict()->value,
            'worst' => $said[0]->severity->value,
            'says' => array_map(fn (Finding $f): string => $words->of($f)['title'], array_slice($said, 0, 2)),
            'assembly' => AssemblyFormat::write($this->project->assemblies[0]),
        ];
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
