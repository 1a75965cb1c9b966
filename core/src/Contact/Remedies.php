<?php

declare(strict_types=1);

namespace Apron\Contact;

use Apron\Material\Material;
use Apron\Material\Sticks;
use Apron\Material\Usual;
use Apron\Rules\Severity;

/**
 * What clears a bad contact, each tried before it is told: a primer that takes to the face, another product of the same
 * kind, the other one on top, something between them that neither minds.
 */
final class Remedies
{
    /** So many of a kind are told: the choice is a person's. */
    private const MOST = 3;

    /** @var list<string> families that are laid between two that harm each other, the usual first */
    private const BETWEEN = ['foil', 'polyester', 'polyethylene', 'epdm'];

    /**
     * @param  array<Material>  $all  of the project and the catalogue
     * @return list<array{kind: string, with: Material|null, verdict: ContactVerdict}>
     */
    public static function of(Touch $touch, array $all, Settled $settled = new Settled): array
    {
        $judged = Resolver::judge($touch, $settled);
        if ($judged->verdict->severity($touch->how) === Severity::Pass) {
            return [];
        }
        $metal = isset(ContactRules::standing()->series[$touch->a->family->id ?? '']);

        return [
            ...$judged->verdict === ContactVerdict::PrimeFirst ? self::primers($touch, $all) : [],
            ...self::others($touch, $all),
            ...$touch->how->sticks() ? self::turned($touch) : [],
            ...$metal || ! $touch->how->sticks() ? self::between($touch, $all) : [],
        ];
    }

    /**
     * @param  array<Material>  $materials
     * @return list<array{kind: string, with: Material|null, verdict: ContactVerdict}>
     */
    private static function primers(Touch $touch, array $materials): array
    {
        $primers = array_filter(
            $materials,
            fn (Material $m): bool => str_starts_with($m->adhesive->value ?? '', 'primer-') &&
                self::clears(new Touch($m, $touch->under(), How::Bonded)),
        );

        return self::told('primer', $primers, ContactVerdict::Bonds);
    }

    /**
     * Others that do the same, instead of the first.
     *
     * @param  array<Material>  $materials
     * @return list<array{kind: string, with: Material|null, verdict: ContactVerdict}>
     */
    private static function others(Touch $touch, array $materials): array
    {
        $rules = ContactRules::standing();
        $does = Usual::sticker($touch->a) !== null;
        $metal = isset($rules->series[$touch->a->family->id ?? '']);
        $form = self::form($touch->a);
        $of = fn (string $form): array => array_filter(
            $materials,
            fn (Material $m): bool => $m->id !== $touch->a->id &&
                ($does
                    ? Usual::sticker($m) !== null && self::form($m) === $form
                    : $metal && isset($rules->series[$m->family->id ?? ''])) &&
                self::clears(new Touch($m, $touch->b, $touch->how, $touch->conditions, $touch->aOverB)),
        );
        // Where no tape will do, a strip is cut from a membrane.
        $like = $of($form) ?: ($form === 'tape' ? $of('membrane') : []);

        return self::told('instead', $like, null);
    }

    /** A tape is no bead, and no membrane, and a coat is none of them. */
    private static function form(Material $material): string
    {
        return match (true) {
            str_starts_with($material->adhesive->value ?? '', 'primer-') => 'primer',
            $material->adhesive === Sticks::MasticSolvent => 'bead',
            $material->adhesive !== null => $material->isStrip() ? 'tape' : 'membrane',
            str_starts_with($material->family->id ?? '', 'fluid-') => 'coat',
            default => 'bead',
        };
    }

    /** @return list<array{kind: string, with: Material|null, verdict: ContactVerdict}> */
    private static function turned(Touch $touch): array
    {
        $other = new Touch($touch->a, $touch->b, $touch->how, $touch->conditions, ! $touch->aOverB);
        $verdict = Resolver::judge($other)->verdict;

        return self::clears($other) ? [['kind' => 'turned', 'with' => null, 'verdict' => $verdict]] : [];
    }

    /**
     * @param  array<Material>  $materials
     * @return list<array{kind: string, with: Material|null, verdict: ContactVerdict}>
     */
    private static function between(Touch $touch, array $materials): array
    {
        $between = array_filter(
            $materials,
            fn (Material $m): bool => in_array($m->family?->id, self::BETWEEN, true) &&
                self::clears(new Touch($touch->a, $m, How::Touches)) &&
                self::clears(new Touch($m, $touch->b, How::Touches)),
        );

        return self::told('between', $between, ContactVerdict::NotNeeded);
    }

    private static function clears(Touch $touch): bool
    {
        return Resolver::judge($touch)->verdict->severity($touch->how) === Severity::Pass;
    }

    /**
     * @param  array<Material>  $materials
     * @return list<array{kind: string, with: Material|null, verdict: ContactVerdict}>
     */
    private static function told(string $kind, array $materials, ?ContactVerdict $verdict): array
    {
        return array_map(
            fn (Material $m): array => [
                'kind' => $kind,
                'with' => $m,
                'verdict' => $verdict ?? ContactVerdict::Bonds,
            ],
            array_slice(array_values($materials), 0, self::MOST),
        );
    }
}
