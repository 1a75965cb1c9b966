<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Detail\Detail;
use Apron\Detail\Laid;
use Apron\Detail\Layout;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Material\Material;
use Apron\Rules\RuleFigures;

/** What touches in a detail: each piece those it lies on, what is under the first of them, fasteners their pieces. */
final class PieceContacts
{
    /**
     * @param  array<string, Material>  $substrate  by facet: what the innermost pieces lie on, where that is known
     */
    public static function of(Detail $detail, array $substrate = []): Contacts
    {
        $contacts = new Contacts;
        $layout = new Layout($detail);
        $place = fn (Piece $piece): string => "details/$detail->id/pieces/$piece->id";
        foreach ($layout->overlaps() as $overlap) {
            if (! $overlap->isApart()) {
                $touch = self::lying($overlap->outer->piece, $overlap->inner->piece);
                $contacts->add($touch, $place($overlap->outer->piece));
            }
        }
        foreach ($substrate as $facet => $material) {
            foreach (self::innermost($layout, $facet) as $piece) {
                // The unit and boards stand on what carries them.
                if (! in_array($piece->kind, [PieceKind::Unit, PieceKind::Board], true)) {
                    $touch = LayerContacts::meeting($piece->material, $material, new Conditions(wetPlace: false));
                    $contacts->add($touch, $place($piece));
                }
            }
        }
        foreach ($detail->fasteners as $fastener) {
            foreach ($fastener->through as $through) {
                $piece = $detail->piece($through);
                if ($piece !== null && $fastener->material !== null) {
                    $touch = new Touch(
                        $fastener->material,
                        $piece->material,
                        How::Fastened,
                        new Conditions(wetPlace: true),
                    );
                    $contacts->add($touch, $place($piece));
                }
            }
        }

        return $contacts;
    }

    private static function lying(Piece $outer, Piece $inner): Touch
    {
        $sticky = [PieceKind::Membrane, PieceKind::Tape, PieceKind::Formable, PieceKind::Corner, PieceKind::Fluid,
            PieceKind::Sealant];
        $stuck = in_array($outer->kind, $sticky, true) || $inner->kind === PieceKind::Sealant;
        $rules = ContactRules::standing();
        $sticks = $rules->sticker($outer->material) ?? $rules->sticker($inner->material);
        $how = match (true) {
            ! $stuck || $sticks === null => How::Touches,
            $inner->kind === PieceKind::Sealant => How::Pressed,
            default => How::Bonded,
        };
        // A rod behind a bead is there so that the bead does not stick to it.
        $how = self::isBreaker($inner->material) || self::isBreaker($outer->material) ? How::Pressed : $how;

        // Water runs on all of it.
        return new Touch($outer->material, $inner->material, $how, new Conditions(wetPlace: true));
    }

    private static function isBreaker(Material $material): bool
    {
        return in_array($material->id, RuleFigures::of('checks')->list('bond_breakers'), true);
    }

    /** @return list<Piece> those that have nothing under them somewhere */
    private static function innermost(Layout $layout, string $facet): array
    {
        $pieces = [];
        $under = [];
        foreach ($layout->facet($facet) as $laid) {
            $bare = $laid->rect()->without(array_map(fn (Laid $l) => $l->rect(), $under));
            if ($bare !== []) {
                $pieces[$laid->piece->id] = $laid->piece;
            }
            $under[] = $laid;
        }

        return array_values($pieces);
    }
}
