<?php

declare(strict_types=1);

namespace Apron\Material;

use Apron\Json\Node;

/** A family of materials and what all of it does, from `core/data/families.json`. */
final readonly class Family
{
    private function __construct(
        public string $id,
        /** soaks water up or lets it lie in its pores */
        public bool $holdsWater,
        /** rots, swells, softens or stops insulating when it is wet */
        public bool $harmedByWater,
        /** air blows through it */
        public bool $letsAirThrough,
        /** a cladding that soaks up rain and gives it to the sun */
        public bool $reservoir,
        /** sheathing that a ventilated cladding keeps dry enough by the table of retarders */
        public bool $ventedSheathing,
        /** foam that lies outside of framing */
        public bool $foamBoard,
        /** sheathing that a fastener holds in */
        public bool $nailBase,
        public bool $metal,
        /** lets more vapour through when it is damp */
        public bool $smart,
        /** what another material may take the place of; null where none does */
        public ?Role $standsInAs,
        /** kg/m³ from which it stands as a board in front of the wall; null where it never does, or always */
        public ?float $boardFrom,
    ) {
    }

    public static function read(Node $row): self
    {
        return new self(
            id: $row->get('id')->id(),
            holdsWater: $row->get('holds_water')->boolean(),
            harmedByWater: $row->get('harmed_by_water')->boolean(),
            letsAirThrough: $row->get('lets_air_through')->boolean(),
            reservoir: $row->get('reservoir')->boolean(),
            ventedSheathing: $row->get('vented_sheathing')->boolean(),
            foamBoard: $row->get('foam_board')->boolean(),
            nailBase: $row->get('nail_base')->boolean(),
            metal: $row->get('metal')->boolean(),
            smart: $row->get('smart')->boolean(),
            standsInAs: $row->optional('stands_in_as')?->oneOf(Role::class),
            boardFrom: $row->optional('board_from_kg_m3')?->number(),
        );
    }
}
