<?php

declare(strict_types=1);

namespace Apron\Building;

/**
 * The part that a place on the skin of a conditioned block belongs to. What it faces is looked for a hair beyond it, so
 * that nothing needs to be said of who stands beside whom.
 */
final class Surfaces
{
    /** mm: less than anything that is drawn */
    public const HAIR = 0.01;

    /** @var array<string, Part> by id, without areas */
    private array $known = [];

    public function __construct(public readonly Building $building)
    {
    }

    /** On a side of it; null where the other side is inside too. */
    public function upright(Block $block, Edge $edge, float $u, float $z): ?Part
    {
        [$x, $y] = $edge->at($u);
        [$dx, $dy] = $edge->along();
        $beyond = $this->building->blockAt($x + $dy * self::HAIR, $y - $dx * self::HAIR, $z);
        if ($beyond?->isConditioned() === true) {
            return null;
        }
        if ($beyond === null && $z < $this->building->groundAt($block, $edge->index)) {
            return $this->part(
                "$block->id.foundation.$edge->index",
                PartKind::FoundationWall,
                Faces::Ground,
                $block->foundation,
                $block,
                $edge->index,
            );
        }
        $stretch = $block->stretchAt($edge->index, $u, $z)?->assembly;
        $own = $block->walls[$edge->index] ?? $block->wall;
        $id = "$block->id.wall.$edge->index";
        $id .= $beyond === null ? '' : "@$beyond->id";
        $id .= $stretch === null || $stretch === $own ? '' : "@stretch-$stretch";

        return $this->part($id, PartKind::Wall, self::faces($beyond), $stretch ?? $own, $block, $edge->index);
    }

    /** Its top or its base, over or under a place within it; null where the other side is inside too. */
    public function level(Block $block, bool $top, float $x, float $y): ?Part
    {
        if ($top && ! $block->roofForm->isFlat()) {
            return $this->slope($block, $x, $y);
        }
        $beyond = $this->building->blockAt($x, $y, $top ? $block->top + self::HAIR : $block->base - self::HAIR);
        $at = $beyond === null ? '' : "@$beyond->id";

        return match (true) {
            $beyond?->isConditioned() === true => null,
            $beyond?->inside === Inside::Unconditioned => $this->part(
                "$block->id.floor$at",
                PartKind::Floor,
                Faces::Unconditioned,
                $block->floor,
                $block,
            ),
            $top => $this->part(
                "$block->id.roof$at",
                PartKind::Roof,
                $beyond === null && $block->top < $this->building->lowestGround($block)
                    ? Faces::Ground
                    : self::faces($beyond),
                $block->roof,
                $block,
            ),
            $beyond === null && $this->building->standsOnGround($block) => $this->part(
                "$block->id.slab",
                PartKind::Slab,
                Faces::Ground,
                $block->slab,
                $block,
            ),
            default => $this->part(
                "$block->id.soffit$at",
                PartKind::Soffit,
                self::faces($beyond),
                $block->soffit,
                $block,
            ),
        };
    }

    /** The slope of a pitched roof over a place: one part a slope, a gable’s named by the edge it falls to. */
    private function slope(Block $block, float $x, float $y): Part
    {
        $form = $block->roofForm;
        $id = "$block->id.roof";
        if ($form->ridgeAlong !== null) {
            $low = $block->outline->edge($form->ridgeAlong);
            $far = ($low?->off($x, $y) ?? 0.0) > $form->width($block->outline) / 2;
            $id .= '.'.($far ? ($form->ridgeAlong + 2) % 4 : $form->ridgeAlong);
        }

        return $this->part($id, PartKind::Roof, Faces::Outside, $block->roof, $block);
    }

    private static function faces(?Block $beyond): Faces
    {
        return match ($beyond?->inside) {
            Inside::Unconditioned => Faces::Unconditioned,
            Inside::Open => Faces::Open,
            default => Faces::Outside,
        };
    }

    private function part(
        string $id,
        PartKind $kind,
        Faces $faces,
        ?string $assembly,
        Block $block,
        ?int $edge = null,
    ): Part {
        return $this->known[$id] ??= new Part($id, $kind, $faces, $assembly, $block->id, 0.0, 0.0, $edge);
    }
}
