<?php

declare(strict_types=1);

namespace Apron\Rules;

/** Where a number or a rule comes from. */
final readonly class Source
{
    private function __construct(public SourceKind $kind, public string $name, public ?string $date = null)
    {
    }

    /** A published document, with its clause or table in the name. */
    public static function published(string $name): self
    {
        return new self(SourceKind::Published, $name);
    }

    /** What the trade does, without a document behind it. */
    public static function commonPractice(string $name = 'common practice'): self
    {
        return new self(SourceKind::CommonPractice, $name);
    }

    /** Computed by Apron from the project; the name says by which rule. */
    public static function computed(string $name): self
    {
        return new self(SourceKind::Computed, $name);
    }

    /** As a file states it. */
    public static function of(SourceKind $kind, string $name, ?string $date = null): self
    {
        return new self($kind, $name, $date);
    }

    /** @return array{kind: string, name: string, date?: string} */
    public function toArray(): array
    {
        $row = ['kind' => $this->kind->value, 'name' => $this->name];
        if ($this->date !== null) {
            $row['date'] = $this->date;
        }

        return $row;
    }
}
