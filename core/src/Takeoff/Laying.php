<?php

declare(strict_types=1);

namespace Apron\Takeoff;

use Apron\Assembly\Assembly;
use Apron\Assembly\Control;
use Apron\Building\Envelope;
use Apron\Building\JointKind;
use Apron\Building\Part;
use Apron\Crew\Packing;
use Apron\Crew\Shelves;
use Apron\Detail\CutSize;
use Apron\Material\Usual;
use Apron\Rules\RuleFigures;

/**
 * Every layer of every part laid out, part by part, upright ones first; boards and rolls of one size are shared by all
 * of them.
 */
final class Laying
{
    /** More pieces on one wall than anybody cuts: the size is a slip of the pen. */
    private const MOST_PIECES = 6000;

    /** @var list<Layout> */
    public array $layouts = [];

    /** @var array<string, string> product by part and layer, of what would be more pieces than that */
    public array $tooSmall = [];

    /** @var array<string, array{count: int, least: int, share: float}> by material and size: how many, the fewest there
     *   could be, and what is bought for each square metre that is cut */
    public array $packed = [];

    /** @var array<string, Stock> by material and size */
    private array $stocks = [];

    /** @var array<string, Face> what stands upright, by part */
    public readonly array $faces;

    /** @var array<string, Face> roofs, slabs, floors and soffits, by part */
    public readonly array $level;

    private readonly CornerReturns $returns;

    /** @var array<string, list<array{float, float}>> where a soffit lies under it, by part */
    private readonly array $soffits;

    /** @param  array<string, Assembly>  $assemblies  by id */
    public function __construct(
        private readonly Takeoff $takeoff,
        Envelope $envelope,
        array $assemblies,
    ) {
        $this->faces = Face::all($envelope);
        $this->level = LevelFaces::of($envelope);
        $this->returns = new CornerReturns($envelope, $assemblies);
        $this->soffits = self::overSoffits($envelope);
        foreach ($this->faces + $this->level as $id => $face) {
            $part = $envelope->parts[$id];
            $assembly = $assemblies[$part->assembly ?? ''] ?? null;
            if ($assembly !== null) {
                $this->part($part, $face, $assembly);
            }
        }
        $this->pack();
    }

    private function part(Part $part, Face $face, Assembly $assembly): void
    {
        $behind = [];
        foreach ($assembly->layers as $at => $layer) {
            $as = LaidAs::of($assembly, $at);
            if ($as === null || ! ($as->isRolled() || $as->isBoard()) || self::isInsideOfFraming($assembly, $at)) {
                $behind = [];

                continue;
            }
            $rule = $this->takeoff->rule($assembly->id, $layer->id);
            $size = Size::of($as, Usual::of($layer->material), $rule);
            $longest = min($size->length, self::longest($rule) ?? INF) - $size->lapEnd;
            $across = ($face->right - $face->left) / max(1.0, $longest);
            if ($across * ($face->top / ($size->width - $size->lapLevel)) > self::MOST_PIECES) {
                $this->tooSmall["$part->id $layer->id"] = $layer->material->name;
                $behind = [];

                continue;
            }
            $backing = $rule->jointsAnywhere
                ? new Backing(null, $face->left, $face->right)
                : new Backing(self::spacing($assembly, $at), $face->left, $face->right);
            $moved = $this->takeoff->movedIn($part->id, $layer->id);
            if ($as->isBoard()) {
                $key = self::boardKey($layer->material->id, $size, $layer->thicknessMm);
                $stock = $this->stocks[$key] ??= new Stock($size);
                $past = $face->past(...$this->returns->of($part, $assembly, $at));
                $rows = new Rows($past, $backing, $size, $stock, $rule->first, $behind, $moved);
                $pieces = array_map(
                    fn (LaidPiece $piece): LaidPiece => $piece->within($face->left, $face->right),
                    $rows->pieces(),
                );
                $this->stocks[$key] = $rows->stock();
            } else {
                $courses = new Courses($face, $backing, $size, self::longest($rule), $moved);
                $pieces = [
                    ...in_array(Control::Water, $layer->controls, true) ? $this->strips($part->id, $size) : [],
                    ...$rule->upright ? $courses->upright() : $courses->level(),
                ];
                if ($rule->usesRest) {
                    $pieces = array_map(
                        fn (LaidPiece $piece): LaidPiece => $piece->isStrip ? $piece : $piece->narrowed($rule->upright),
                        $pieces,
                    );
                }
            }
            $this->layouts[] = new Layout(
                $face,
                $assembly->id,
                $layer,
                $as,
                $size,
                $backing,
                $rule,
                $pieces,
                $part->net,
                self::isBacked($assembly, $at),
                $behind,
                $part->kind->isUpright(),
            );
            $behind = $as->isBoard() ? $pieces : [];
        }
    }

    private static function longest(LayerRule $rule): ?float
    {
        return $rule->longest ?? ($rule->upright ? RuleFigures::of('takeoff')->figure('upright_mm') : null);
    }

    /** Linings: what lies inside of the framing is bought by its area. */
    public static function isInsideOfFraming(Assembly $assembly, int $at): bool
    {
        for ($i = $at + 1; $i < count($assembly->layers); $i++) {
            if ($assembly->layers[$i]->framing !== null && $assembly->layers[$i]->airLayer() === null) {
                return true;
            }
        }

        // Studs round an empty cavity are framing too, where something insulates outside of it.
        for ($i = $at + 1; $i < count($assembly->layers); $i++) {
            if ($assembly->layers[$i]->framing !== null) {
                return $at === 0;
            }
        }

        return false;
    }

    /** mm between the members that stand behind a layer; null where nothing says that there are any. */
    public static function spacing(Assembly $assembly, int $at): ?float
    {
        for ($i = $at; $i >= 0; $i--) {
            if ($assembly->layers[$i]->framing !== null) {
                return $assembly->layers[$i]->framing->spacingMm;
            }
        }

        return null;
    }

    /** Whether what lies behind a layer holds it between members. */
    private static function isBacked(Assembly $assembly, int $at): bool
    {
        $behind = $assembly->layers[$at - 1] ?? null;

        return $behind !== null && $behind->framing === null && $behind->airLayer() === null;
    }

    private static function boardKey(string $material, Size $size, float $thickness): string
    {
        return sprintf('%s board %g %g %g', $material, $size->length, $size->width, $thickness);
    }

    public static function key(Layout $layout, LaidPiece $piece): string
    {
        return $layout->as->isBoard()
            ? self::boardKey($layout->layer->material->id, $layout->size, $layout->layer->thicknessMm)
            : sprintf(
                '%s roll %g %g',
                $layout->layer->material->id,
                $layout->size->length,
                $piece->roll ?? $layout->size->width,
            );
    }

    /** @return list<LaidPiece> strips at the foot over a soffit, half of each on the wall */
    private function strips(string $part, Size $size): array
    {
        $width = RuleFigures::of('takeoff')->figure('soffit_strip_mm');
        $pieces = [];
        foreach (Face::merged($this->soffits[$part] ?? []) as [$from, $to]) {
            for ($left = $from; $left < $to - Face::HAIR; $left = $right - $size->lapEnd) {
                $right = min($to, $left + $size->length);
                $long = $right - $left;
                $pieces[] = new LaidPiece(-1, $left, 0.0, $right, $width / 2, $long, $width, true, $width);
                if ($right >= $to - Face::HAIR) {
                    break;
                }
            }
        }

        return $pieces;
    }

    /** @return array<string, list<array{float, float}>> along their sides, by part */
    private static function overSoffits(Envelope $envelope): array
    {
        $over = [];
        foreach ($envelope->joints as $joint) {
            foreach ($joint->kind === JointKind::WallToSoffit ? $joint->met : [] as $met) {
                $wall = $met->a->kind->isUpright() ? $met->a : $met->b;
                $block = $envelope->building->block($wall->block);
                foreach ($block->outline->edges ?? [] as $edge) {
                    if ($edge->index === $wall->edge) {
                        $us = [$edge->u($met->from[0], $met->from[1]), $edge->u($met->to[0], $met->to[1])];
                        $over[$wall->id][] = [min($us), max($us)];
                    }
                }
            }
        }

        return $over;
    }

    /** Rolls and boards over all that has been laid, and what each piece is cut from. */
    private function pack(): void
    {
        $groups = $sizes = [];
        foreach ($this->layouts as $layout) {
            foreach ($layout->pieces as $piece) {
                $key = self::key($layout, $piece);
                $groups[$key][] = $piece;
                $sizes[$key] = $layout;
            }
        }
        foreach ($groups as $key => $pieces) {
            [$size, $isBoard] = [$sizes[$key]->size, $sizes[$key]->as->isBoard()];
            $cut = array_sum(array_map(fn (LaidPiece $p): float => $p->area(), $pieces));
            if ($isBoard) {
                $count = Stock::together($pieces, $size);
                $least = (int) ceil($cut / $size->area() - 1e-6);
                $share = ($count * $size->area()) / $cut;
            } else {
                $roll = $pieces[0]->roll ?? $size->width;
                // What somebody has dragged too far is longer than any roll: it fills one, and is said to be too long.
                $cutOf = fn (LaidPiece $p): CutSize => new CutSize(min($p->length, $size->length), $p->width);
                $runs = new Shelves(array_map($cutOf, $pieces), $roll);
                $from = Packing::firstFit($runs->lengths, $size->length);
                foreach ($pieces as $i => $piece) {
                    $piece->from = $from[$runs->of[$i]];
                }
                $isNarrowed = array_filter($pieces, fn (LaidPiece $p): bool => $p->width < $roll - Face::HAIR) !== [];
                $count = max(0, ...$from);
                $least = $isNarrowed
                    ? (int) ceil((1e6 * $cut) / ($roll * $size->length) - 1e-6)
                    : Packing::atLeast($runs->lengths, $size->length);
                $share = $isNarrowed ? (array_sum($runs->lengths) * $roll) / (1e6 * $cut) : 1.0;
            }
            $this->packed[$key] = compact('count', 'least', 'share');
        }
    }
}
