<?php

declare(strict_types=1);

namespace Apron\FieldTest;

use Apron\Json\Node;
use Apron\Json\Written;

/** What every test says of itself: which it is, of when, with what, and whether it is real. */
final readonly class TestHead
{
    /** Keys of a row that are of its head. */
    public const KEYS = [
        'id', 'kind', 'title', 'date', 'stage', 'simulated', 'by_person', 'instrument', 'calibrated', 'place',
    ];

    public function __construct(
        public string $id,
        public TestKind $kind,
        public string $title,
        public ?string $date = null,
        /** before the insulation covers the layer, or at the end; null where nobody has said */
        public ?Stage $stage = null,
        public bool $isSimulated = false,
        public ?string $person = null,
        public ?string $instrument = null,
        /** the day its instrument was last calibrated */
        public ?string $calibrated = null,
        /** the opening, the joint or the part that it is of */
        public ?string $place = null,
    ) {
    }

    public static function read(Node $node): self
    {
        $id = $node->get('id')->id();

        return new self(
            $id,
            TestKind::from($node->get('kind')->word(array_column(TestKind::cases(), 'value'))),
            $node->optional('title')?->text() ?? $id,
            $node->optional('date')?->text(10),
            $node->optional('stage') === null
                ? null
                : Stage::from($node->get('stage')->word(array_column(Stage::cases(), 'value'))),
            $node->optional('simulated')?->boolean() ?? false,
            $node->optional('by_person')?->text(),
            $node->optional('instrument')?->text(),
            $node->optional('calibrated')?->text(10),
            $node->optional('place')?->text(400),
        );
    }

    /** @return array<string, mixed> */
    public function write(): array
    {
        return ['id' => $this->id, 'kind' => $this->kind->value] + Written::without([
            'title' => $this->title === $this->id ? null : $this->title,
            'date' => $this->date,
            'stage' => $this->stage?->value,
            'simulated' => $this->isSimulated ? true : null,
            'by_person' => $this->person,
            'instrument' => $this->instrument,
            'calibrated' => $this->calibrated,
            'place' => $this->place,
        ]);
    }

    /** Whether two tests are of one day that is known, one stage and one world, the real or a made up one. */
    public function isOneOccasionWith(self $other): bool
    {
        return $this->date !== null &&
            [$this->date, $this->stage, $this->isSimulated] === [$other->date, $other->stage, $other->isSimulated];
    }
}
