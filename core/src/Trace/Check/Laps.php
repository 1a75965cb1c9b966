<?php

declare(strict_types=1);

namespace Apron\Trace\Check;

use Apron\Detail\Detail;
use Apron\Detail\Edge;
use Apron\Detail\Laid;
use Apron\Detail\Layout;
use Apron\Detail\LeastLap;
use Apron\Detail\Overlap;
use Apron\Detail\Patch;
use Apron\Detail\PieceKind;
use Apron\Detail\Rect;
use Apron\Detail\Side;
use Apron\Json\CoreData;
use Apron\Json\Node;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Trace\DetailCheck;
use Apron\Trace\Lap;
use Apron\Trace\Rain;
use Apron\Trace\Strips;

/** The laps of a detail: how wide, which way, against the least that is asked. */
final readonly class Laps implements DetailCheck
{
    /** @param  list<Lap>  $laps  */
    private function __construct(private Rain $rain, public array $laps)
    {
    }

    public static function of(Rain $rain): self
    {
        return new self($rain, self::found($rain->layout, $rain->strips));
    }

    public function findings(): array
    {
        $findings = [];
        $source = Source::commonPractice('least laps of the detail, or of common practice where it brings none');
        foreach ($this->laps as $lap) {
            $figures = [
                'outer' => $lap->outer,
                'inner' => $lap->inner,
                'lap_mm' => $lap->size,
                'least_mm' => $lap->least ?? 0.0,
            ];
            $key = "$lap->outer.$lap->inner.$lap->facet";
            if ($lap->verdict !== Severity::Pass) {
                $findings["short.$key"] = new Finding(
                    'lap.short',
                    $lap->verdict,
                    $this->rain->subject(),
                    $figures,
                    $source,
                    $key,
                );
            }
            // Trim over a strip, boards over a sheet: measured, but nobody takes them for a lap. What is bonded the
            // wrong way, as tape over the joints of boards, is their sound method, and its bond is told by the trace.
            $rigid = $this->kind($lap->outer) === PieceKind::Board && $this->kind($lap->inner) !== PieceKind::Board;
            if ($lap->reversed && ! $lap->bonded && ! $rigid) {
                $findings["reversed.$key"] = new Finding(
                    'lap.reversed',
                    Severity::Note,
                    $this->rain->subject(),
                    $figures,
                    $source,
                    $key,
                );
            }
        }

        return array_values($findings);
    }

    public function told(): array
    {
        return ['laps' => array_map(fn (Lap $lap): array => $lap->toArray(), $this->laps)];
    }

    private function kind(string $piece): ?PieceKind
    {
        return $this->rain->layout->detail->piece($piece)?->kind;
    }

    /** @return list<Lap> */
    private static function found(Layout $layout, Strips $strips): array
    {
        $laps = [];
        foreach ($layout->on as $facet => $laid) {
            $patches = self::whole(self::copies($laid));
            foreach (Overlap::among((string) $facet, $patches) as $overlap) {
                $lap = self::between($layout, $overlap, $strips->runsIn((string) $facet));
                if ($lap !== null) {
                    $laps[] = $lap;
                }
            }
        }

        return $laps;
    }

    /**
     * Of their own, so that merging them changes nothing elsewhere.
     *
     * @param  list<Laid>  $laid
     * @return list<Laid>
     */
    private static function copies(array $laid): array
    {
        $copies = array_map(fn (Laid $l): Laid => clone $l, $laid);
        foreach ($copies as $copy) {
            $copy->joined = array_map(function (Laid $l) use ($laid, $copies): Laid {
                $at = array_search($l, $laid, true);

                return $at === false ? $l : $copies[$at];
            }, $copy->joined);
        }

        return $copies;
    }

    /**
     * Patches of a piece joined along a whole edge and laid in one step are one patch: where it was split is no edge.
     *
     * @param  list<Laid>  $laid
     * @return list<Laid>
     */
    private static function whole(array $laid): array
    {
        for ($a = 0; $a < count($laid); $a++) {
            foreach ($laid as $b => $other) {
                $one = $laid[$a];
                $rect =
                    $b === $a || ! in_array($other, $one->joined, true) || $one->patch->step !== $other->patch->step
                        ? null
                        : self::together($one->rect(), $other->rect());
                if ($rect !== null) {
                    $p = $one->patch;
                    $merged = new Laid(
                        $one->piece,
                        new Patch($p->id, $p->facet, $rect, $p->joined, $p->step, $p->under, $p->edges, $p->drain),
                        min($one->order, $other->order),
                    );
                    $merged->joined = array_values(
                        array_filter(
                            [...$one->joined, ...$other->joined],
                            fn (Laid $l): bool => $l !== $one && $l !== $other,
                        ),
                    );
                    foreach ($laid as $third) {
                        $third->joined = array_map(
                            fn (Laid $l): Laid => $l === $one || $l === $other ? $merged : $l,
                            $third->joined,
                        );
                    }
                    $laid[$a] = $merged;
                    unset($laid[$b]);
                    $laid = array_values($laid);
                    usort($laid, fn (Laid $x, Laid $y): int => $x->order <=> $y->order);

                    return self::whole($laid);
                }
            }
        }

        return $laid;
    }

    /** The rectangle two make that share a whole edge, or null. */
    private static function together(Rect $a, Rect $b): ?Rect
    {
        return match (true) {
            $a->u0 === $b->u0 && $a->u1 === $b->u1 && ($a->v1 === $b->v0 || $b->v1 === $a->v0) => new Rect(
                $a->u0,
                min($a->v0, $b->v0),
                $a->u1,
                max($a->v1, $b->v1),
            ),
            $a->v0 === $b->v0 && $a->v1 === $b->v1 && ($a->u1 === $b->u0 || $b->u1 === $a->u0) => new Rect(
                min($a->u0, $b->u0),
                $a->v0,
                max($a->u1, $b->u1),
                $a->v1,
            ),
            default => null,
        };
    }

    private static function between(Layout $layout, Overlap $both, bool $runsIn): ?Lap
    {
        [$inner, $outer, $overlap] = [$both->inner, $both->outer, $both->rect];
        [$a, $b] = [$outer->rect(), $inner->rect()];
        // Each must reach beyond the other at opposite ends; one within the other's range is a cover.
        $level = ($a->v1 > $b->v1 && $a->v0 > $b->v0) || ($b->v1 > $a->v1 && $b->v0 > $a->v0);
        $upright = ($a->u1 > $b->u1 && $a->u0 > $b->u0) || ($b->u1 > $a->u1 && $b->u0 > $a->u0);
        $horizontal = $level && (! $upright || $overlap->width() > $overlap->height());
        if (! $level && ! $upright) {
            return null;
        }
        if (
            self::goesOnInside($layout, $outer, $overlap, $horizontal) ||
            self::goesOnInside($layout, $inner, $overlap, $horizontal) ||
            $both->isApart()
        ) {
            return null;
        }
        $size = $horizontal ? $overlap->height() : $overlap->width();
        $outerAbove = $a->v1 > $b->v1;
        $row = self::least($layout->detail, $outer, $inner);
        $least = $horizontal ? $row?->horizontal : $row?->end;

        return new Lap(
            $outer->piece->id,
            $inner->piece->id,
            $outer->patch->facet,
            $horizontal,
            $size,
            $horizontal && $outerAbove === $runsIn,
            $horizontal && self::bonded($outer, $overlap, $runsIn ? Side::Bottom : Side::Top),
            $least,
            $least === null ? Severity::Pass : Severity::ofLeast($size, $least),
            max($outer->patch->step, $inner->patch->step),
            ($inner->patch->step > $outer->patch->step ? $inner : $outer)->piece->id,
        );
    }

    private static function bonded(Laid $outer, Rect $overlap, Side $side): bool
    {
        foreach ([$overlap->u0, ($overlap->u0 + $overlap->u1) / 2, $overlap->u1] as $along) {
            if ($outer->edge($side, $along) === Edge::Open) {
                return false;
            }
        }

        return true;
    }

    /**
     * Whether the edge of a patch that lies inside the overlap is joined to another patch of its piece: no edge is
     * there.
     */
    private static function goesOnInside(Layout $layout, Laid $laid, Rect $overlap, bool $horizontal): bool
    {
        $r = $laid->rect();
        foreach ($laid->joined as $other) {
            $o = $other->rect();
            if ($other->patch->facet !== $laid->patch->facet) {
                // Folded over an arris where it ends.
                $end = $layout->endInto($laid, $other);
                // All along the overlap: where only a part of the edge goes on, the rest of it is an edge.
                $atFold =
                    in_array($end, $horizontal ? ['v0', 'v1'] : ['u0', 'u1'], true) &&
                    $overlap->{$end} === $r->{$end} &&
                    self::goesAlong($layout, $laid, $other, $overlap, $horizontal);
                if ($atFold) {
                    return true;
                }

                continue;
            }
            $meets = $horizontal
                ? (($o->v1 === $r->v0 && $overlap->v0 === $r->v0) || ($o->v0 === $r->v1 && $overlap->v1 === $r->v1)) &&
                    $o->u0 <= $overlap->u0 &&
                    $o->u1 >= $overlap->u1
                : (($o->u1 === $r->u0 && $overlap->u0 === $r->u0) || ($o->u0 === $r->u1 && $overlap->u1 === $r->u1)) &&
                    $o->v0 <= $overlap->v0 &&
                    $o->v1 >= $overlap->v1;
            if ($meets) {
                return true;
            }
        }

        return false;
    }

    /** Whether a patch beyond the arris goes on along the whole of an overlap at it. */
    private static function goesAlong(
        Layout $layout,
        Laid $laid,
        Laid $other,
        Rect $overlap,
        bool $horizontal,
    ): bool {
        $o = $other->rect();
        // Along an arris both facets count alike, whichever of their two ways runs there.
        $level = in_array($layout->endInto($other, $laid), ['v0', 'v1'], true);
        [$from, $to] = $level ? [$o->u0, $o->u1] : [$o->v0, $o->v1];

        return $horizontal
            ? $from <= $overlap->u0 && $to >= $overlap->u1
            : $from <= $overlap->v0 && $to >= $overlap->v1;
    }

    /** The detail's own list where it brings one, else that of common practice. */
    private static function least(Detail $detail, Laid $outer, Laid $inner): ?LeastLap
    {
        return $detail->leastLaps !== []
            ? $detail->leastLap($outer->piece, $inner->piece)
            : $detail->leastLap($outer->piece, $inner->piece, self::usual());
    }

    /** @return list<LeastLap> */
    private static function usual(): array
    {
        /** @var list<LeastLap>|null $rows */
        static $rows = null;

        return $rows ??= array_map(
            fn (Node $row): LeastLap => new LeastLap(
                $row->get('outer')->text(),
                $row->get('inner')->text(),
                $row->optional('horizontal_mm')?->number(),
                $row->optional('end_mm')?->number(),
            ),
            CoreData::read('figures/laps')->get('laps')->get('value')->items(1),
        );
    }
}
