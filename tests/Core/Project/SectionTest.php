<?php

declare(strict_types=1);

// What a new section of the project file takes: one class, here. Everything else is built from it.

use Apron\Json\Node;
use Apron\Material\Catalogue;
use Apron\Project\Assessment;
use Apron\Project\ProjectFormat;
use Apron\Project\Sections;
use Apron\Quantity\UnitSystem;
use Apron\Rules\Words;

require_once __DIR__.'/../../NotesSection.php';

function withNotes(): Sections
{
    return Sections::usual()->with(new NotesSection);
}

function notesFile(array $notes): array
{
    return ['format' => 'apron-project/1', 'project' => ['name' => 'N', 'units' => 'si'], 'notes' => $notes];
}

it('is read, judged and written by its own class alone', function () {
    $file = notesFile([
        ['id' => 'n1', 'says' => 'The roof is next year.'],
        ['id' => 'n2', 'says' => 'Ask who owns the gutter?'],
    ]);
    $project = ProjectFormat::read(Node::of($file), new Catalogue, withNotes());
    expect(array_keys($project->of(NotesSection::class)))
        ->toBe(['n1', 'n2'])
        ->and(json_decode(ProjectFormat::write($project), true))
        ->toBe($file);
    $said = (new Assessment($project))->toArray(new Words(UnitSystem::SI));
    expect($said['notes'])
        ->toBe([['id' => 'n1', 'asks' => false], ['id' => 'n2', 'asks' => true]])
        ->and(array_column($said['findings'], 'subject'))
        ->toBe(['notes/n2']);
});

it('refuses its own rows with their place, and is refused where it is not registered', function () {
    $read = fn (array $file, ?Sections $sections = null) => ProjectFormat::read(
        Node::of($file),
        new Catalogue,
        $sections,
    );
    expect(fn () => $read(notesFile([['id' => 'n1']]), withNotes()))
        ->toThrow(Apron\Json\FileRefused::class, '/notes/0/says')
        ->and(fn () => $read(notesFile([['id' => 'n1', 'says' => 'a'], ['id' => 'n1', 'says' => 'b']]), withNotes()))
        ->toThrow(Apron\Json\FileRefused::class, '/notes/1/id')
        ->and(fn () => $read(notesFile([['id' => 'n1', 'says' => 'a']])))
        ->toThrow(Apron\Json\FileRefused::class, 'notes');
});

it('describes itself', function () {
    expect(withNotes()->schema()['notes'])
        ->toBe(['type' => 'array', 'items' => ['$ref' => '#/$defs/Note']])
        ->and(withNotes()->keys())
        ->toBe([...Sections::usual()->keys(), 'notes']);
});
