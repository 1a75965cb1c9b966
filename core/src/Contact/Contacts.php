<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Rules\Finding;

/**
 * Touches that were found here and there, those of the same two materials in the same way and under the same conditions
 * told once. Each is judged once, however many openings have it.
 */
final class Contacts
{
    /** @var array<string, array{Touch, non-empty-list<string>}> by id */
    private array $found = [];

    /** @var list<Contact>|null worst first */
    private ?array $all = null;

    public function __construct(private readonly Settled $settled = new Settled)
    {
    }

    /** @param  string|null  $id  where it has one of its own: a pair that was asked about */
    public function add(Touch $touch, string $place, ?string $id = null): void
    {
        $this->all = null;
        $id ??= self::id($touch);
        if (! isset($this->found[$id])) {
            $this->found[$id] = [$touch, [$place]];
        } elseif (! in_array($place, $this->found[$id][1], true)) {
            $this->found[$id][1][] = $place;
        }
    }

    public function join(self $others): void
    {
        foreach ($others->found as $id => [$touch, $places]) {
            foreach ($places as $place) {
                $this->add($touch, $place, (string) $id);
            }
        }
    }

    /** The same touches, as a project has settled them. */
    public function in(Settled $settled): self
    {
        $in = new self($settled);
        $in->found = $this->found;

        return $in;
    }

    /** The same touches as they are laid on faces at a temperature, °C. */
    public function at(float $surfaceC): self
    {
        $at = new self($this->settled);
        foreach ($this->found as $id => [$touch, $places]) {
            $at->found[$id] = [$touch->how->sticks() ? $touch->at($surfaceC) : $touch, $places];
        }

        return $at;
    }

    /** The same from run to run, and the same for the same touch elsewhere. */
    public static function id(Touch $touch): string
    {
        $inside = $touch->conditions->wetPlace === false ? '.dry' : '';

        return ($touch->aOverB ? '' : 'under.')."{$touch->a->id}.{$touch->how->value}.{$touch->b->id}$inside";
    }

    /** @return list<Contact> worst first */
    public function all(): array
    {
        if ($this->all === null) {
            $all = [];
            foreach ($this->found as $id => [$touch, $places]) {
                $all[] = new Contact(
                    (string) $id,
                    $touch,
                    Resolver::judge($touch, $this->settled),
                    $places,
                    $this->settled->systems->stranger($touch),
                );
            }
            usort(
                $all,
                fn (Contact $a, Contact $b): int => [$a->severity()->rank(), $a->judged->verdict->rank(), $a->id] <=>
                    [$b->severity()->rank(), $b->judged->verdict->rank(), $b->id],
            );
            $this->all = $all;
        }

        return $this->all;
    }

    /** @return list<Finding> of those that fail, and of strangers to a system */
    public function findings(): array
    {
        return array_merge(...array_map(fn (Contact $c): array => $c->findings(), $this->all()));
    }
}
