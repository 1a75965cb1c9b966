<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Detail\Detail;
use Apron\Detail\Laid;
use Apron\Detail\Layout;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\Rect;
use Apron\Material\Material;
use Apron\Material\Usual;
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
        foreach (self::touches($detail, $substrate) as $one) {
            $contacts->add($one->touch, "details/$detail->id/pieces/{$one->piece->id}");
        }

        return $contacts;
    }

    /**
     * @param  array<string, Material>  $substrate  by facet
     * @return list<PieceTouch>
     */
    public static function touches(Detail $detail, array $substrate = []): array
    {
        $layout = new Layout($detail);
        $found = [];
        foreach ($layout->overlaps() as $overlap) {
            [$outer, $inner] = [$overlap->outer, $overlap->inner];
            if (! $overlap->isApart()) {
                $step = max($outer->patch->step, $inner->patch->step);
                $touch = self::lying($outer->piece, $inner->piece);
                $found[] = new PieceTouch($touch, $outer->piece, $overlap->facet, $overlap->rect, $step);
            }
        }
        foreach ($substrate as $facet => $material) {
            foreach (self::innermost($layout, $facet) as [$laid, $bare]) {
                // The unit and boards stand on what carries them.
                if (! in_array($laid->piece->kind, [PieceKind::Unit, PieceKind::Board], true)) {
                    $dry = new Conditions(wetPlace: false);
                    $touch = LayerContacts::meeting($laid->piece->material, $material, $dry);
                    $found[] = new PieceTouch($touch, $laid->piece, $facet, $bare, $laid->patch->step);
                }
            }
        }
        foreach ($detail->fasteners as $fastener) {
            foreach ($fastener->through as $through) {
                $piece = $detail->piece($through);
                if ($piece !== null && $fastener->material !== null) {
                    $wet = new Conditions(wetPlace: true);
                    $found[] = new PieceTouch(
                        new Touch($fastener->material, $piece->material, How::Fastened, $wet),
                        $piece,
                    );
                }
            }
        }

        return $found;
    }

    private static function lying(Piece $outer, Piece $inner): Touch
    {
        $sticky = [PieceKind::Membrane, PieceKind::Tape, PieceKind::Formable, PieceKind::Corner, PieceKind::Fluid,
            PieceKind::Sealant];
        $stuck = in_array($outer->kind, $sticky, true) || $inner->kind === PieceKind::Sealant;
        $rules = ContactRules::standing();
        $sticks = Usual::sticker($outer->material) ?? Usual::sticker($inner->material);
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

    /** @return list<array{Laid, Rect}> those that have nothing under them somewhere, each with such a stretch */
    private static function innermost(Layout $layout, string $facet): array
    {
        $pieces = [];
        $under = [];
        foreach ($layout->facet($facet) as $laid) {
            $bare = $laid->rect()->without($under);
            if ($bare !== []) {
                $pieces[$laid->piece->id] ??= [$laid, $bare[0]];
            }
            $under[] = $laid->rect();
        }

        return array_values($pieces);
    }
}
