<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Material\Family;
use Apron\Material\Material;
use Apron\Material\Product;
use Apron\Material\Sticks;
use Apron\Material\Usual;
use Apron\Rules\RuleFigures;
use Apron\Rules\Source;

/**
 * Do these two things belong together? A touch is judged by what the two families do to each other, by what sticks on
 * which face, and by the conditions it is laid under; a data sheet wins over a rule, and lifts no condition.
 */
final class Resolver
{
    private const DRY = 'Dry the face, or a product whose sheet takes a damp one.';

    public static function judge(Touch $touch, Settled $settled = new Settled): Judged
    {
        $rules = ContactRules::standing();
        $tested = self::tested($touch) ?? self::settled($touch, $settled->systems->settling($touch));
        if (self::isBreaker($touch->a) || self::isBreaker($touch->b)) {
            return self::saying(ContactVerdict::NotNeeded, 'bond.breaker', 'Nothing is to stick to it.', '');
        }
        $test = $settled->test($touch);
        $chemical = $tested === null ? self::chemical($touch, $rules) : [];
        if ($test?->hasShown() === true) {
            // It lay long enough for oils to have softened it, and held.
            $chemical = array_filter($chemical, fn (Judged $j): bool => $j->verdict !== ContactVerdict::TestFirst);
        }
        $found = [...$chemical, ...$touch->how->sticks() ? self::bond($touch, $rules, $tested, $test) : []];

        return $found === [] ? $tested ?? self::harmless() : Judged::worst(...$found);
    }

    /** A rod or a tape behind a bead. */
    private static function isBreaker(Material $material): bool
    {
        return in_array($material->id, RuleFigures::of('checks')->list('bond_breakers'), true);
    }

    private static function harmless(): Judged
    {
        return new Judged(
            ContactVerdict::NotNeeded,
            'touch.none',
            'Nothing in either that harms the other is known, and no bond is wanted.',
            '',
            Source::commonPractice(),
        );
    }

    /** One of the two was tested with the other: by its id, or by a family of it. */
    private static function tested(Touch $touch): ?Judged
    {
        foreach ([[$touch->a, $touch->b], [$touch->b, $touch->a]] as [$one, $other]) {
            $names = array_filter([$other->id, $other->family?->id, $touch->faceOf($other)?->id]);
            if (array_intersect($one->product->testedWith ?? [], $names) !== []) {
                return new Judged(
                    $touch->how->sticks() ? ContactVerdict::Bonds : ContactVerdict::NotNeeded,
                    'product.tested-with',
                    "The data sheet of {$one->name} says that it was tested with {$other->name}.",
                    '',
                    $one->source,
                );
            }
        }

        return null;
    }

    private static function settled(Touch $touch, ?System $system): ?Judged
    {
        return $system === null
            ? null
            : new Judged(
                $touch->how->sticks() ? ContactVerdict::Bonds : ContactVerdict::NotNeeded,
                "system.$system->id",
                "Both belong to {$system->name}: $system->by says so.",
                '',
                Source::commonPractice("the system {$system->name}, by $system->by"),
            );
    }

    /** @return list<Judged> */
    private static function chemical(Touch $touch, ContactRules $rules): array
    {
        [$a, $b] = [self::names($touch, $touch->a, $rules), self::names($touch, $touch->b, $rules)];
        $rule = $rules->touching($a, $b, $touch->how, self::said($touch));
        if ($rule !== null) {
            return [Judged::by($rule)];
        }
        $galvanic = $a === [] || $b === [] ? null : Galvanic::judge($a[0], $b[0], $touch);

        return $galvanic === null ? [] : [$galvanic];
    }

    /** @return list<string> what a material is to the other: its face there, and what it sticks with */
    private static function names(Touch $touch, Material $material, ContactRules $rules): array
    {
        $sticks = $material === $touch->over() ? Usual::sticker($material) : null;
        $names = [$touch->faceOf($material)?->id, $sticks?->value, $material->adhesive?->value];

        return array_values(array_unique(array_filter($names)));
    }

    /** @return array<string, string> what the data sheets say of cure and coating */
    private static function said(Touch $touch): array
    {
        $said = [];
        foreach ([$touch->a, $touch->b] as $material) {
            $said += array_filter([
                'cure' => $material->product?->cure?->value,
                'coating' => $material->product?->coating?->value,
            ]);
        }

        return $said;
    }

    /** @return list<Judged> */
    private static function bond(Touch $touch, ContactRules $rules, ?Judged $tested, ?AdhesionTest $test): array
    {
        // What lies over is pressed onto the other; a sheet laid into a bead is held by that.
        [$sticky, $on] = [$touch->over(), $touch->under()];
        $sticks = Usual::sticker($sticky);
        if ($sticks === null) {
            [$sticky, $on] = [$on, $sticky];
            $sticks = Usual::sticker($sticky);
        }
        if ($sticks === null) {
            return $touch->how === How::Lapped || $tested !== null
                ? []
                : [self::saying(ContactVerdict::NoBond, 'bond.nothing-sticks', 'Neither of the two sticks by itself.',
                    'An adhesive, a bead or a tape between them, or fasteners.')];
        }
        $rule = $tested ?? self::onFace($sticky, $sticks, $touch->faceOf($on), $rules);

        return [
            ...$test === null ? [$rule] : self::pulled($test, $sticky, $sticks, $rule),
            ...self::laid($touch->conditions, $sticky, $sticks),
        ];
    }

    /**
     * What was pulled off the real face wins over what a rule has in mind: not what was pulled before it had cured.
     *
     * @return list<Judged>
     */
    private static function pulled(
        AdhesionTest $test,
        Material $sticky,
        Sticks $sticks,
        Judged $rule,
    ): array {
        ['by' => $by, 'at' => $at] = $test->signed();
        $source = Source::commonPractice("a pull on the face, $by, $at");
        $cured = (Usual::of($sticky)->cureH ?? 0.0) / 24;

        $pulled = match (true) {
            ! $test->held() => self::saying(ContactVerdict::NoBond, 'adhesion.let-go',
                'It was tried on this face, and let go of it.',
                'Clean, prime or change the face, or another product; then pull again.', $source),
            ($test->curedDays() ?? INF) < $cured => self::saying(ContactVerdict::TestFirst, 'adhesion.too-early',
                sprintf('It was pulled before it had cured: %g days are asked.', $cured),
                'Pull again when it has cured.', $source),
            default => self::saying(ContactVerdict::Bonds, 'adhesion.held', 'It was tried on this face, and held.', '',
                $source),
        };
        // A pull tells nothing of what the one eats of the other meanwhile.
        $stays = $rule->verdict->harms() || $pulled->verdict === ContactVerdict::TestFirst;

        return $stays ? [$rule, $pulled] : [$pulled];
    }

    private static function onFace(Material $sticky, Sticks $sticks, ?Family $face, ContactRules $rules): Judged
    {
        $rule = $face === null ? null : $rules->bonding($sticks, $face);
        if ($face === null || $rule === null) {
            return self::saying(
                ContactVerdict::TestFirst,
                'none',
                'There is no rule for this pair.',
                'A peel or tail test on the real face; ask both makers.',
            );
        }
        $primer = $sticky->product?->primerOn;
        if ($primer !== null && in_array($face->id, $primer, true) && $rule->verdict === ContactVerdict::Bonds) {
            return self::saying(ContactVerdict::PrimeFirst, 'product.primer-on', 'Its data sheet wants a primer there.',
                'The primer that its sheet names.', $sticky->source);
        }
        if ($primer !== null && ! in_array($face->id, $primer, true) && $rule->verdict === ContactVerdict::PrimeFirst) {
            return self::saying(ContactVerdict::Bonds, 'product.primer-on', 'Its data sheet wants no primer there.', '',
                $sticky->source);
        }

        return Judged::by($rule);
    }

    /**
     * What it is laid under: the data sheet's limits, or the usual ones of what sticks so.
     *
     * @return list<Judged>
     */
    private static function laid(Conditions $c, Material $sticky, Sticks $sticks): array
    {
        $own = $sticky->product ?? new Product;
        $sheet = $own->else(Usual::ofSticker($sticks));
        [$low, $high] = $sheet->applicationC ?? [-INF, INF];
        [$cold, $hot] = $sheet->serviceC ?? [-INF, INF];
        $damp = $sheet->dampFace ?? false;
        $no = fn (string $what, string $why, string $do): Judged => self::saying(
            ContactVerdict::NoBond,
            "condition.$what",
            $why,
            $do,
            $own == new Product ? null : $sticky->source,
        );
        $found = [];
        if ($c->frost) {
            $found[] = $no('frost', 'It is laid on ice.', 'Thaw and dry the face; not while there is frost on it.');
        }
        if ($c->dusty) {
            $found[] = $no('dusty', 'It is laid on dust.', 'Brush or vacuum the face, prime where it still comes off.');
        }
        if ($c->damp && ! $damp) {
            // Polyurethane cures with water: too much of it foams.
            $foams = in_array($sticks, [Sticks::Polyurethane, Sticks::FluidPolyurethane], true);
            $found[] = $own->dampFace === null && $foams
                ? self::saying(ContactVerdict::TestFirst, 'condition.damp', 'It foams with water on the face.',
                    self::DRY)
                : $no('damp', 'The face is damp, and it takes none.', self::DRY);
        }
        if ($c->surfaceC !== null && $c->surfaceC < $low) {
            $found[] = $sheet->primedC !== null && $c->surfaceC >= $sheet->primedC
                ? self::saying(ContactVerdict::PrimeFirst, 'condition.cold-primed',
                    "Under $low °C it is laid on a primed face alone.", 'The primer that its sheet names for the cold.',
                    $sticky->source)
                : $no('cold', "The face is colder than the $low °C it may be laid at.",
                    'Warm it and the face, wait, or a product for the cold.');
        }
        if ($c->surfaceC !== null && $c->surfaceC > $high) {
            $found[] = $no('hot', "The face is hotter than the $high °C it may be laid at.", 'Shade it, or early in the day.');
        }
        if ($c->serviceC !== null && ($c->serviceC > $hot || $c->serviceC < $cold)) {
            $found[] = $no('service', "It bears $cold to $hot °C in service.", 'A product rated for the heat there.');
        }

        return $found;
    }

    private static function saying(
        ContactVerdict $verdict,
        string $rule,
        string $why,
        string $do,
        ?Source $source = null,
    ): Judged {
        return new Judged($verdict, $rule, $why, $do, $source ?? Source::commonPractice());
    }
}
