<?php

declare(strict_types=1);

namespace Apron\Cure;

use Apron\Material\Material;

/** What a material is there for, as far as another could stand in for it. */
enum Role: string
{
    case Board = 'insulation board';
    case Cavity = 'cavity insulation';
    case Sheathing = 'sheathing';
    case Sheet = 'sheet or membrane';
    case Retarder = 'vapour retarder';

    /** Of a sheet's family, and yet only strips of it. */
    private const STRIPS = [
        'flashing-strip',
        'flashing-formable',
        'seam-tape',
        'seam-tape-butyl',
        'fluid-flashing',
        'dimple-sheet',
        'polyethylene-foam',
        'backer-rod',
    ];

    private const FAMILIES = [
        'eps' => self::Board,
        'xps' => self::Board,
        'polyiso-foil' => self::Board,
        'polyiso-glass' => self::Board,
        'phenolic' => self::Board,
        'wood-fibre' => self::Board,
        'cork' => self::Board,
        'cellular-glass' => self::Board,
        'cellulose' => self::Cavity,
        'spray-foam' => self::Cavity,
        'spray-foam-open' => self::Cavity,
        'wood-fibre-batt' => self::Cavity,
        'cotton' => self::Cavity,
        'osb' => self::Sheathing,
        'plywood' => self::Sheathing,
        'glass-mat-gypsum' => self::Sheathing,
        'cement-board' => self::Sheathing,
        'polyolefin' => self::Sheet,
        'asphalt-paper' => self::Sheet,
        'acrylic' => self::Sheet,
        'sbs' => self::Sheet,
        'fluid-acrylic' => self::Sheet,
        'fluid-silyl' => self::Sheet,
        'fluid-silicone' => self::Sheet,
        'fluid-bitumen' => self::Sheet,
        'polyethylene' => self::Retarder,
        'smart-film' => self::Retarder,
        'kraft' => self::Retarder,
        'paint' => self::Retarder,
    ];

    public static function of(Material $material): ?self
    {
        if (in_array($material->id, self::STRIPS, true)) {
            return null;
        }

        // Wool is a board when it is stiff enough to stand in front of the wall.
        return $material->family === 'mineral-wool'
            ? (($material->density ?? 0) >= 55
                ? self::Board
                : self::Cavity)
            : self::FAMILIES[$material->family ?? ''] ?? null;
    }
}
