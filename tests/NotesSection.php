<?php

declare(strict_types=1);

use Apron\Json\Node;
use Apron\Project\ListSection;
use Apron\Project\Project;
use Apron\Project\Reading;
use Apron\Rules\Assessed;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Rules\Words;

/** A note of the project: the smallest section there could be. A question is a finding until it is answered. */
final class Note implements Assessed
{
    public function __construct(public readonly string $id, public readonly string $says)
    {
    }

    public function findings(): array
    {
        return $this->asks()
            ? [
                new Finding(
                    'document.broken',
                    Severity::Note,
                    "notes/$this->id",
                    ['id' => $this->id, 'at' => '/notes', 'found' => $this->says, 'expected' => 'an answer'],
                    Source::computed('a test'),
                ),
            ]
            : [];
    }

    public function toArray(Words $words): array
    {
        return ['id' => $this->id, 'asks' => $this->asks()];
    }

    private function asks(): bool
    {
        return str_ends_with($this->says, '?');
    }
}

final class NotesSection extends ListSection
{
    public function kind(): string
    {
        return 'note';
    }

    public function section(): string
    {
        return 'notes';
    }

    public function figuresIn(): string
    {
        return 'notes';
    }

    public function definition(): string
    {
        return 'Note';
    }

    protected function readRow(Node $node, Reading $reading): Note
    {
        $node->object(['id', 'says'], ['id', 'says']);

        return new Note($node->get('id')->id(), $node->get('says')->text());
    }

    protected function writeRow(object $row): array
    {
        return ['id' => $row->id, 'says' => $row->says];
    }

    public function rows(Project $project): array
    {
        return $project->of(self::class);
    }

    protected function assess(Project $project, object $row): Note
    {
        return $row;
    }
}
