<?php

declare(strict_types=1);

namespace Apron\Cure;

use Apron\Assembly\Assembly;
use Apron\Assembly\AssemblyKind;
use Apron\Assembly\Layer;
use Apron\Json\CoreData;
use Apron\Json\Node;
use Apron\Judgement\Cladding;
use Apron\Material\Material;
use Apron\Material\Role;

/** What the trade builds in the place of something else, from `core/data/exchanges.json`. */
final class Exchange
{
    /** @var list<self>|null */
    private static ?array $all = null;

    /**
     * @param  list<string>  $families  that it takes the place of
     * @param  list<string>  $to  materials, the usual one first
     */
    private function __construct(
        public readonly ExchangePlace $place,
        public readonly array $families,
        public readonly array $to,
        public readonly Keeps $keeps,
    ) {
    }

    /** @return list<self> */
    public static function all(): array
    {
        return self::$all ??= array_map(
            fn (Node $row): self => new self(
                $row->get('place')->oneOf(ExchangePlace::class),
                array_map(fn (Node $id): string => $id->id(), $row->get('families')->items(1)),
                array_map(fn (Node $id): string => $id->id(), $row->get('to')->items(1)),
                $row->get('keeps')->oneOf(Keeps::class),
            ),
            CoreData::read('exchanges')->get('exchanges')->items(1),
        );
    }

    /** Whether a layer is of such a family and lies in such a place. */
    public function fits(Assembly $assembly, Spots $spots, int $at): bool
    {
        $layer = $assembly->layers[$at];
        $inside = $at < ($spots->outermostInsulation ?? -1);

        return in_array($layer->material->family?->id, $this->families, true) &&
            match ($this->place) {
                ExchangePlace::Finish => $at === 0,
                ExchangePlace::OuterSheet => $assembly->kind === AssemblyKind::Wall &&
                    $assembly->soil === null &&
                    $at > $spots->insulation &&
                    $layer->material->vapourResistanceFactor === null,
                ExchangePlace::OuterBoard => $assembly->kind === AssemblyKind::Wall &&
                    $assembly->soil === null &&
                    $at > 0 &&
                    $spots->isBoard($at),
                ExchangePlace::Sheathing => $assembly->kind === AssemblyKind::Wall &&
                    $layer->material->role() === Role::Sheathing &&
                    $at > $spots->insulation,
                ExchangePlace::FacedLining => $layer->material->facers !== [] && $at < $spots->insulation,
                ExchangePlace::InnerFilm => $inside && $layer->material->vapourResistanceFactor === null,
                ExchangePlace::FacedCavity => $layer->material->facers !== [] &&
                    $layer->material->role() === Role::Cavity,
                ExchangePlace::InnerBelowGrade => $assembly->soil !== null &&
                    $layer->insulates() &&
                    $at < $spots->outside,
                ExchangePlace::InnerOnMasonry => ! $inside &&
                    $assembly->soil === null &&
                    $layer->insulates() &&
                    isset($assembly->layers[$at + 1]) &&
                    Cladding::solid($assembly->layers[$at + 1]),
            };
    }

    /**
     * mm of the other in the place of a layer; null where none that is sold keeps what it has to.
     *
     * @param  list<float>  $sold
     */
    public function thickness(Layer $layer, Material $other, array $sold): ?float
    {
        if ($this->keeps !== Keeps::Resistance) {
            return $this->keeps === Keeps::Usual
                ? $other->usualThicknessMm ?? $layer->thicknessMm
                : $layer->thicknessMm;
        }
        foreach ($sold as $mm) {
            if ($other->resistanceOf($mm) >= $layer->material->resistanceOf($layer->thicknessMm)) {
                return $mm;
            }
        }

        return null;
    }
}
