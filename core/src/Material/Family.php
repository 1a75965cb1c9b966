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
        /** a finish that is bonded to what is behind it: render, stone set in mortar, a coat on foam */
        public bool $bondedFinish,
        /** keeps a way open for water to run down */
        public bool $drains,
        /** has faces of wood, paper or gypsum that mould lives on */
        public bool $feedsMould,
        /** wood, and of which kind; null for anything else */
        public ?Timber $timber,
        /** kg/m³ of water it is made with and dries out of; null where it is made dry */
        public ?float $builtIn,
        /** mm from which foam of an open cell stops air; null where it never does */
        public ?float $airTightFrom,
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
            bondedFinish: $row->get('bonded_finish')->boolean(),
            drains: $row->get('drains')->boolean(),
            feedsMould: $row->get('feeds_mould')->boolean(),
            timber: $row->optional('timber')?->oneOf(Timber::class),
            builtIn: $row->optional('built_in_kg_m3')?->number(),
            airTightFrom: $row->optional('air_tight_from_mm')?->number(),
            standsInAs: $row->optional('stands_in_as')?->oneOf(Role::class),
            boardFrom: $row->optional('board_from_kg_m3')?->number(),
        );
    }
}
