<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Rules\Finding;
use Apron\Rules\Severity;

/** A touch with what comes of it, and every place of the project where it is. */
final readonly class Contact
{
    /** @param  non-empty-list<string>  $places  paths of the project file: `assemblies/w1/layers/l2` */
    public function __construct(
        public string $id,
        public Touch $touch,
        public Judged $judged,
        public array $places,
    ) {
    }

    public function severity(): Severity
    {
        return $this->judged->verdict->severity($this->touch->how);
    }

    /** What is told of it as a finding: what fails, in its first place. What is only asked about is not built. */
    public function finding(): ?Finding
    {
        if ($this->severity() !== Severity::Fail || str_starts_with($this->places[0], AskedPair::SECTION)) {
            return null;
        }

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
            'verdict' => $this->judged->verdict->value,
            'severity' => $this->severity()->value,
            'rule' => $this->judged->rule,
            'reason' => $this->judged->why,
            'remedy' => $this->judged->do,
            'source' => ['kind' => $this->judged->source->kind->value, 'name' => $this->judged->source->name],
            'places' => $this->places,
        ];
    }
}
