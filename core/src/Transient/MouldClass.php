<?php

declare(strict_types=1);

namespace Apron\Transient;

use Apron\Material\Face;
use Apron\Material\Material;
use Apron\Rules\RuleFigures;

/** How well a face feeds mould: the classes of the VTT model. */
enum MouldClass: string
{
    case VerySensitive = 'very-sensitive';
    case Sensitive = 'sensitive';
    case MediumResistant = 'medium-resistant';
    case Resistant = 'resistant';

    /**
     * What is in no class is plastic, metal or glass: it resists. A material of no family that stores water of the air
     * may be of wood or paper, and is taken as such until somebody says what it is.
     */
    public static function of(Material $material, Face $face): self
    {
        $family = $material->faceFamily($face);
        if ($family === null && $material->sorptionCurve !== null) {
            return self::Sensitive;
        }
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
