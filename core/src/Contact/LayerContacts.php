<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Assembly\Assembly;
use Apron\Assembly\Control;
use Apron\Assembly\Layer;
use Apron\Material\Material;
use Apron\Material\Sticks;
use Apron\Material\Usual;

/** What touches in an assembly: each layer the next by their faces, members what they cross, fasteners their layers. */
final class LayerContacts
{
    public static function of(Assembly $assembly): Contacts
    {
        $contacts = new Contacts;
        $plane = self::plane($assembly);
        $at = fn (Layer $layer): string => "assemblies/$assembly->id/layers/$layer->id";
        foreach ($assembly->layers as $i => $layer) {
            // Inside of the plane that carries water it is dry, as long as that plane holds; outside of it rain comes.
            $conditions = new Conditions(wetPlace: $plane === null ? null : $i > $plane);
            $inner = $assembly->layers[$i - 1] ?? null;
            if ($inner !== null && self::solid($layer) && self::solid($inner)) {
                $contacts->add(self::meeting($layer->material, $inner->material, $conditions), $at($layer));
            }
            foreach ([$inner, $assembly->layers[$i + 1] ?? null] as $beside) {
                foreach (self::members($layer) as $member) {
                    if ($beside !== null && self::solid($beside)) {
                        $touch = new Touch($member, $beside->material, How::Touches, $conditions);
                        $contacts->add($touch, $at($layer));
                    }
                }
            }
            self::fasteners($contacts, $assembly, $i, $conditions, $at($layer));
        }

        return $contacts;
    }

    private static function plane(Assembly $assembly): ?int
    {
        $plane = null;
        foreach ($assembly->layers as $i => $layer) {
            $plane = in_array(Control::Water, $layer->controls, true) ? $i : $plane;
        }

        return $plane;
    }

    /**
     * The outer layer on the inner one: stuck where the outer has an adhesive or is laid wet, for that is on its inner
     * side; and where the inner is foam that was sprayed onto the outer from behind. Foam is not sprayed on wool: a
     * batt goes in when it has cured.
     */
    public static function meeting(Material $outer, Material $inner, Conditions $conditions): Touch
    {
        $rules = ContactRules::standing();
        [$out, $in] = [Usual::sticker($outer), Usual::sticker($inner)];
        $foamed = $out === Sticks::PolyurethaneFoam && $inner->family?->letsAirThrough === true;
        $stuck = ($out !== null && ! $foamed) || $in === Sticks::PolyurethaneFoam;

        return new Touch($outer, $inner, $stuck ? How::Bonded : How::Touches, $conditions);
    }

    private static function solid(Layer $layer): bool
    {
        return $layer->airLayer() === null;
    }

    /** @return list<Material> members that something can be said of: metal, and lumber that was treated */
    private static function members(Layer $layer): array
    {
        $material = $layer->framing?->material;
        $rules = ContactRules::standing();
        $speaks = $material !== null && ($material->isMetal() || $rules->speaksOf($material->family));

        return $material !== null && $speaks ? [$material] : [];
    }

    /** From their head in to what holds them: the first framed layer that they come to. */
    private static function fasteners(
        Contacts $contacts,
        Assembly $assembly,
        int $from,
        Conditions $conditions,
        string $place,
    ): void {
        $fastener = $assembly->layers[$from]->fasteners?->material;
        for ($i = $from; $fastener !== null && $i >= 0; $i--) {
            $layer = $assembly->layers[$i];
            foreach (array_filter([self::solid($layer) ? $layer->material : null, $layer->framing?->material]) as $in) {
                $contacts->add(new Touch($fastener, $in, How::Fastened, $conditions), $place);
            }
            if ($layer->framing !== null) {
                return;
            }
        }
    }
}
