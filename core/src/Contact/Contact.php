<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Material\Material;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;

/** A touch with what comes of it, and every place of the project where it is. */
final readonly class Contact
{
    /** @param  non-empty-list<string>  $places  paths of the project file: `assemblies/w1/layers/l2` */
    public function __construct(
        public string $id,
        public Touch $touch,
        public Judged $judged,
        public array $places,
        /** @var array{System, Material}|null a system that one of the two belongs to, and the other that does not */
        public ?array $stranger = null,
    ) {
    }

    public function severity(): Severity
    {
        return $this->judged->verdict->severity($this->touch->how);
    }

    /**
     * What is told of it as findings, in its first place: what fails, and what a system loses by a stranger. What is
     * only asked about is not built.
     *
     * @return list<Finding>
     */
    public function findings(): array
    {
        if (str_starts_with($this->places[0], AskedPair::SECTION)) {
            return [];
        }

        return [
            ...$this->severity() === Severity::Fail ? [$this->failing()] : [],
            ...$this->stranger === null ? [] : [$this->strange(...$this->stranger)],
        ];
    }

    private function strange(System $system, Material $stranger): Finding
    {
        return new Finding(
            'contact.stranger',
            Severity::Caution,
            $this->places[0],
            [
                'stranger' => $stranger->name,
                'other' => $stranger === $this->touch->a ? $this->touch->b->name : $this->touch->a->name,
                'system' => $system->name,
                'by' => $system->by,
            ],
            Source::commonPractice("the system {$system->name}, by $system->by"),
            $this->id,
        );
    }

    private function failing(): Finding
    {
        $code = match ($this->judged->verdict) {
            ContactVerdict::Attacks => 'contact.attacks',
            ContactVerdict::Corrodes => 'contact.corrodes',
            default => 'contact.no-bond',
        };

        return new Finding(
            $code,
            Severity::Fail,
            $this->places[0],
            [
                'a' => $this->touch->a->name,
                'b' => $this->touch->b->name,
                'how' => $this->touch->how->value,
                'why' => $this->judged->why,
                'do' => $this->judged->do,
                'count' => count($this->places),
            ],
            $this->judged->source,
            $this->id,
        );
    }

    /** @return array<string, mixed> as `apron-assessment/1` has it */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'a' => $this->touch->a->id,
            'b' => $this->touch->b->id,
            'how' => $this->touch->how->value,
            'a_over_b' => $this->touch->aOverB,
            'verdict' => $this->judged->verdict->value,
            'severity' => $this->severity()->value,
            'rule' => $this->judged->rule,
            'reason' => $this->judged->why,
            'remedy' => $this->judged->do,
            'source' => ['kind' => $this->judged->source->kind->value, 'name' => $this->judged->source->name],
            'places' => $this->places,
            'stranger_to' => $this->stranger[0]->id ?? null,
        ];
    }
}
