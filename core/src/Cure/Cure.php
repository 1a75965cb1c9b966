<?php

declare(strict_types=1);

namespace Apron\Cure;

use Apron\Assembly\Assembly;

/** One change of one thing that clears a finding, or the least of it that was tried without clearing it. */
final readonly class Cure
{
    /**
     * @param  array<string, float|int|string>  $figures  for the words of it
     * @param  list<array{x: float, y: float, clears: bool}>  $curve  by what is changed: mm, or ng/(Pa·s·m²)
     * @param  Assembly|null  $assembly  with the change made; null where nothing within reach clears it
     */
    public function __construct(
        public CureKind $kind,
        public string $layer,
        public array $figures,
        public ?float $from,
        public ?float $to,
        public array $curve,
        public ?Assembly $assembly,
    ) {
    }

    /** The code of its words. */
    public function code(): string
    {
        return 'cure.'.
            $this->kind->value.
            match (true) {
                $this->kind === CureKind::Thickness && $this->to === null => '.none',
                $this->kind === CureKind::Permeance && $this->to === null => '.none',
                $this->kind === CureKind::Permeance && $this->assembly === null => '.unbuilt',
                $this->kind === CureKind::Permeance && $this->layer === '' => '.add',
                $this->kind === CureKind::Permeance && $this->to > (float) $this->from => '.open',
                default => '',
            };
    }
}
