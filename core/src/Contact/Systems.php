<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Drafting\Uses;
use Apron\Material\Material;

/** The systems of a project, and what each says of two materials that touch. */
final readonly class Systems
{
    /** @var list<string> uses whose materials a system speaks of; framing and boards are what it is laid on */
    private const SPOKEN_OF = ['sheet', 'membrane', 'tape', 'fluid', 'sealant'];

    /** @param  list<System>  $all */
    public function __construct(public array $all = [])
    {
    }

    /** The system that both belong to: it settles the pair. */
    public function settling(Touch $touch): ?System
    {
        foreach ($this->all as $system) {
            if ($system->has($touch->a) && $system->has($touch->b)) {
                return $system;
            }
        }

        return null;
    }

    /**
     * One belongs to a system, and the other is of a kind that systems speak of and belongs to none with it.
     *
     * @return array{System, Material}|null the system, and the stranger
     */
    public function stranger(Touch $touch): ?array
    {
        $meant = in_array($touch->how, [How::Bonded, How::Lapped, How::Pressed], true);
        if (! $meant || $this->settling($touch) !== null) {
            return null;
        }
        foreach ($this->all as $system) {
            foreach ([[$touch->a, $touch->b], [$touch->b, $touch->a]] as [$one, $other]) {
                if ($system->has($one) && self::isSpokenOf($other)) {
                    return [$system, $other];
                }
            }
        }

        return null;
    }

    private static function isSpokenOf(Material $material): bool
    {
        $families = array_merge(...array_map(Uses::familiesOf(...), self::SPOKEN_OF));

        return $material->adhesive !== null || in_array($material->family?->id, $families, true);
    }
}
