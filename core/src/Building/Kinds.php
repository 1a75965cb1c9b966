<?php

declare(strict_types=1);

namespace Apron\Building;

/** What kind of joint two parts make where they meet; null where they are one surface, or one goes on as the other. */
final class Kinds
{
    /** In one plane, side by side. */
    public static function beside(Part $a, Part $b): ?JointKind
    {
        if ($a->isOneWith($b)) {
            return null;
        }
        $warm = array_filter([$a, $b], fn (Part $p): bool => $p->faces === Faces::Unconditioned);

        return match (true) {
            $a->kind === PartKind::Floor, $b->kind === PartKind::Floor, count($warm) === 1 => JointKind::Unconditioned,
            // Behind an open block a wall goes on.
            $a->kind === $b->kind && $a->assembly === $b->assembly => null,
            default => JointKind::AssemblyChange,
        };
    }

    /** In one plane, one over the other. */
    public static function above(Part $up, Part $down, bool $roofBelow): ?JointKind
    {
        $stands = $down->faces === Faces::Unconditioned || $down->faces === Faces::Open;

        return match (true) {
            $up->isOneWith($down) => null,
            $up->kind === PartKind::Wall && $down->kind === PartKind::FoundationWall => JointKind::WallToFoundation,
            $roofBelow && $stands && $up->faces === Faces::Outside => JointKind::WallAboveRoof,
            default => self::beside($up, $down),
        };
    }

    /** A side and a top or base of one block. */
    public static function edge(Part $upright, Part $level, bool $top, bool $heldUnder, RoofForm $form): JointKind
    {
        return match (true) {
            $level->kind === PartKind::Floor => JointKind::Unconditioned,
            $top && $heldUnder => JointKind::Unconditioned,
            $top => $form->parapet ? JointKind::Parapet : JointKind::Eaves,
            $level->kind === PartKind::Soffit => JointKind::WallToSoffit,
            $upright->kind === PartKind::FoundationWall => JointKind::FoundationToSlab,
            default => JointKind::WallToSlab,
        };
    }

    /** A side of one block, and the top or base of another that it comes down to or goes up to. */
    public static function hollow(Part $upright, Part $level, bool $up): JointKind
    {
        return match (true) {
            $level->kind === PartKind::Floor => JointKind::Unconditioned,
            $up => JointKind::WallAboveRoof,
            $level->kind === PartKind::Soffit => JointKind::SoffitToWall,
            $upright->kind === PartKind::FoundationWall => JointKind::FoundationToSlab,
            default => JointKind::WallToSlab,
        };
    }

    /** @param  float  $angle  of the conditioned space between two upright parts, rad */
    public static function corner(Part $a, Part $b, float $angle): ?JointKind
    {
        return match (true) {
            abs($angle - M_PI) < 1e-6 => self::beside($a, $b),
            $angle < M_PI => JointKind::OutsideCorner,
            default => JointKind::InsideCorner,
        };
    }
}
