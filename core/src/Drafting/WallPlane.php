<?php

declare(strict_types=1);

namespace Apron\Drafting;

use Apron\Detail\PieceKind;

/** The water plane of the wall that a junction is made in: what it is drawn as, and what of it comes first. */
enum WallPlane: string
{
    case FastenedSheet = 'fastened-sheet';
    case SelfAdhered = 'self-adhered';
    case Fluid = 'fluid';
    case FacedSheathing = 'faced-sheathing';
    case TapedInsulation = 'taped-insulation';

    /** Every plane, a fastened sheet being the usual one. */
    public const SHEET_FIRST = [
        self::FastenedSheet,
        self::SelfAdhered,
        self::Fluid,
        self::FacedSheathing,
        self::TapedInsulation,
    ];

    /** Every plane, a membrane being the usual one. */
    public const MEMBRANE_FIRST = [
        self::SelfAdhered,
        self::FastenedSheet,
        self::Fluid,
        self::FacedSheathing,
        self::TapedInsulation,
    ];

    public function kind(): PieceKind
    {
        return match ($this) {
            self::FastenedSheet => PieceKind::Sheet,
            self::SelfAdhered => PieceKind::Membrane,
            self::Fluid => PieceKind::Fluid,
            self::FacedSheathing, self::TapedInsulation => PieceKind::Board,
        };
    }

    /** Boards stand before anything is dressed over them; a sheet, a membrane or a coat is lapped over it. */
    public function standsFirst(): bool
    {
        return $this->kind() === PieceKind::Board;
    }

    /** The parameter that says what the plane is made of. */
    public function place(): string
    {
        return match ($this) {
            self::FastenedSheet => 'sheet_material',
            self::SelfAdhered => 'membrane_material',
            self::Fluid => 'fluid_material',
            self::FacedSheathing, self::TapedInsulation => 'board_material',
        };
    }

    /** What a method calls its own where it would be called the same: a board outside of boards, a coat under one. */
    public function besides(): string
    {
        return match ($this) {
            self::FastenedSheet, self::SelfAdhered => 'patch_material',
            self::Fluid => 'flashing_material',
            self::FacedSheathing, self::TapedInsulation => 'outer_board_material',
        };
    }

    /** The id of the material that it starts at. */
    public function usual(): string
    {
        return match ($this) {
            self::FastenedSheet => 'polyolefin-wrap',
            self::SelfAdhered => 'membrane-permeable',
            self::Fluid => 'fluid-permeable',
            self::FacedSheathing => 'osb-film-faced',
            self::TapedInsulation => 'insulated-sheathing-foil',
        };
    }
}
