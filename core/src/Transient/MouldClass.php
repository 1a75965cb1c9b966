<?php

declare(strict_types=1);

namespace Apron\Transient;

use Apron\Material\Family;
use Apron\Rules\RuleFigures;

/** How well a face feeds mould: the classes of the VTT model. */
enum MouldClass: string
{
    case VerySensitive = 'very-sensitive';
    case Sensitive = 'sensitive';
    case MediumResistant = 'medium-resistant';
    case Resistant = 'resistant';

    /** What nobody has put in a class is taken as plastic, metal and glass: it resists. */
    public static function of(?Family $family): self
    {
        foreach ([self::VerySensitive, self::Sensitive, self::MediumResistant] as $class) {
            if (RuleFigures::of('transient')->lists("mould_of_$class->value", $family?->id)) {
                return $class;
            }
        }

        return self::Resistant;
    }

    /** @return array<string, float> */
    public function figures(): array
    {
        return RuleFigures::of('transient')->table('mould_classes')[$this->value];
    }
}
