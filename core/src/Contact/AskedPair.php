<?php

declare(strict_types=1);

namespace Apron\Contact;

/** A pair that somebody asked about directly, before anything is drawn. */
final readonly class AskedPair
{
    /** what the places of such pairs begin with */
    public const SECTION = 'asked/';

    public function __construct(public string $id, public Touch $touch)
    {
    }

    public function place(): string
    {
        return self::SECTION.$this->id;
    }

    public function contacts(): Contacts
    {
        $contacts = new Contacts;
        $contacts->add($this->touch, $this->place(), "asked.$this->id");

        return $contacts;
    }
}
