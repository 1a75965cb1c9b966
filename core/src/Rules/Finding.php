<?php

declare(strict_types=1);

namespace Apron\Rules;

/**
 * The only kind of conclusion. Its words are looked up by `code` in the text catalogue (see Words);
 * `figures` carries the numbers they speak of, in SI, the unit as the end of each key.
 */
final readonly class Finding
{
    /**
     * @param  string  $subject  what it is about: a path into the project, `assemblies/w1/layers/l3`
     * @param  array<string, float|int|string>  $figures
     * @param  string  $discriminator  tells apart two findings of one code on one subject; never an index
     */
    public function __construct(
        public string $code,
        public Severity $severity,
        public string $subject,
        public array $figures,
        public Source $source,
        public string $discriminator = '',
        /** the key of the finding that it follows from; null where it stands for itself */
        public ?string $under = null,
    ) {
    }

    /** The same as what follows from another. */
    public function under(string $cause): self
    {
        return new self(
            $this->code,
            $this->severity,
            $this->subject,
            $this->figures,
            $this->source,
            $this->discriminator,
            $cause,
        );
    }

    /** The same, weighing no less than so much. */
    public function atLeast(Severity $severity): self
    {
        return $severity->rank() >= $this->severity->rank()
            ? $this
            : new self(
                $this->code,
                $severity,
                $this->subject,
                $this->figures,
                $this->source,
                $this->discriminator,
                $this->under,
            );
    }

    /** Identifies the finding through edits: code, subject ids, discriminator. */
    public function key(): string
    {
        return $this->code.'@'.$this->subject.($this->discriminator === '' ? '' : '#'.$this->discriminator);
    }

    /**
     * @param  list<self>  $findings
     * @return list<self> worst first; within a severity in the order they were found
     */
    public static function worstFirst(array $findings): array
    {
        $order = array_keys($findings);
        usort(
            $order,
            fn (int $a, int $b): int => [$findings[$a]->severity->rank(), $a] <=> [$findings[$b]->severity->rank(), $b],
        );

        return array_map(fn (int $i): self => $findings[$i], $order);
    }
}
