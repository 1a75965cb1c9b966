<?php

declare(strict_types=1);

namespace Apron\Trace\Check;

use Apron\Detail\Edge;
use Apron\Detail\Interval;
use Apron\Detail\Laid;
use Apron\Detail\Layout;
use Apron\Detail\PieceKind;
use Apron\Detail\Rect;
use Apron\Detail\Side;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Trace\DetailCheck;
use Apron\Trace\Rain;

/** Whether the wall's air layer reaches the unit on each of its four sides. */
final readonly class AirLine implements DetailCheck
{
    /** @param  array<string, bool>  $air by side; empty where there is no opening */
    private function __construct(private Rain $rain, public array $air)
    {
    }

    public static function of(Rain $rain): self
    {
        return new self($rain, self::found($rain->layout));
    }

    public function findings(): array
    {
        $broken = $this->rain->layout->detail->unit === null ? [] : array_keys($this->air, false, true);

        return array_map(
            fn (string $side): Finding => new Finding(
                'air.broken',
                Severity::Caution,
                $this->rain->subject(),
                ['side' => $side],
                Source::commonPractice(),
                $side,
            ),
            $broken,
        );
    }

    public function told(): array
    {
        return $this->air === [] ? [] : ['air' => $this->air];
    }

    /** @return array<string, bool> by side; empty where there is no opening */
    private static function found(Layout $layout): array
    {
        $opening = $layout->detail->opening;
        if ($opening === null) {
            return [];
        }
        $tight = self::inContact($layout);
        $sides = [];
        foreach (
            [
                'sill' => Side::Bottom,
                'head' => Side::Top,
                'jamb-left' => Side::Left,
                'jamb-right' => Side::Right,
            ] as $facet => $side
        ) {
            $sides[$facet] = self::byJoint($layout, $facet, $tight) || self::byFlange($layout, $side, $tight);
        }

        return $sides;
    }

    /** @return array<string, true> pieces that air control goes on through, from the wall's air layer */
    private static function inContact(Layout $layout): array
    {
        $links = [];
        foreach ($layout->overlaps() as $overlap) {
            [$inner, $outer] = [$overlap->inner->piece, $overlap->outer->piece];
            $bead = $inner->kind === PieceKind::Sealant || $outer->kind === PieceKind::Sealant;
            $air = ($inner->air || $bead) && ($outer->air || $bead) && ($inner->air || $outer->air);
            if ($air && self::holds($overlap->outer)) {
                $links[$inner->id][] = $outer->id;
                $links[$outer->id][] = $inner->id;
            }
        }
        $reached = [];
        $next = [];
        foreach ($layout->detail->pieces as $piece) {
            if ($piece->airLayer) {
                $next[] = $piece->id;
            }
        }
        while ($next !== []) {
            $id = array_pop($next);
            if (! isset($reached[$id])) {
                $reached[$id] = true;
                $next = [...$next, ...$links[$id] ?? []];
            }
        }

        return $reached;
    }

    /** Whether an edge of it is bonded or sealed: a fastened open lap is no contact. */
    public static function holds(Laid $outer): bool
    {
        foreach (Side::cases() as $side) {
            foreach ($outer->runs($side) as $run) {
                if ($run['edge'] !== Edge::Open) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @param  array<string, true>  $tight */
    private static function byJoint(Layout $layout, string $facet, array $tight): bool
    {
        $unit = $layout->detail->unit;
        $joint = $unit?->joints[$facet] ?? null;
        if ($joint === null) {
            return false;
        }
        $depths = [...$joint->inner ? [$unit->innerZ] : [], ...$joint->outer === Edge::Sealed ? [$unit->outerZ] : []];
        $extent = $layout->detail->facets[$facet]->extent;
        foreach ($depths as $z) {
            $upright = str_starts_with($facet, 'jamb');
            $spans = [];
            foreach ($layout->facet($facet) as $laid) {
                $r = $laid->rect();
                $at = $upright ? $r->u0 <= $z && $r->u1 >= $z : $r->v0 <= $z && $r->v1 >= $z;
                if ($at && $laid->piece->air && isset($tight[$laid->piece->id])) {
                    $spans[] = $upright ? [$r->v0, $r->v1] : [$r->u0, $r->u1];
                }
            }
            if (self::stretch($extent, $upright)->isCoveredBy($spans)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether that edge of the flange is sealed, over its whole length, to pieces the air layer goes on through.
     *
     * @param  array<string, true>  $tight
     */
    private static function byFlange(Layout $layout, Side $side, array $tight): bool
    {
        $flange = $layout->detail->unit->flange ?? null;
        $edges =
            $flange === null
                ? []
                : array_filter(
                    $layout->of[$flange],
                    fn (Laid $l): bool => $l->patch->facet === 'face' &&
                        ! self::meetsItsOwn($l, $side, $layout->of[$flange]),
                );
        foreach ($edges as $laid) {
            if (! self::sealedAlong($layout, $laid, $side, $tight)) {
                return false;
            }
        }

        return $edges !== [];
    }

    /** @param  array<string, true>  $tight */
    private static function sealedAlong(Layout $layout, Laid $laid, Side $side, array $tight): bool
    {
        foreach ($laid->runs($side) as $run) {
            if ($run['edge'] !== Edge::Sealed) {
                return false;
            }
        }
        $r = $laid->rect();
        $level = $side === Side::Top || $side === Side::Bottom;
        $at = self::edgeOf($r, $side);
        $spans = [];
        foreach ($layout->facet('face') as $under) {
            $o = $under->rect();
            $there = $level ? $o->v0 <= $at && $o->v1 >= $at : $o->u0 <= $at && $o->u1 >= $at;
            if (
                $there &&
                $under->order < $laid->order &&
                $under->piece->air &&
                isset($tight[$under->piece->id]) &&
                $o->overlap($r) !== null
            ) {
                $spans[] = $level ? [$o->u0, $o->u1] : [$o->v0, $o->v1];
            }
        }

        return self::stretch($r, ! $level)->isCoveredBy($spans);
    }

    private static function stretch(Rect $r, bool $upright): Interval
    {
        return $upright ? Interval::of($r->v0, $r->v1) : Interval::of($r->u0, $r->u1);
    }

    private static function edgeOf(Rect $r, Side $side): float
    {
        return match ($side) {
            Side::Top => $r->v1,
            Side::Bottom => $r->v0,
            Side::Left => $r->u0,
            Side::Right => $r->u1,
        };
    }

    /**
     * Whether another patch of the flange goes on beyond this side: units coupled side by side.
     *
     * @param  list<Laid>  $own
     */
    private static function meetsItsOwn(Laid $laid, Side $side, array $own): bool
    {
        $opposite = match ($side) {
            Side::Top => Side::Bottom,
            Side::Bottom => Side::Top,
            Side::Left => Side::Right,
            Side::Right => Side::Left,
        };
        foreach ($own as $other) {
            if ($other !== $laid && self::edgeOf($other->rect(), $opposite) === self::edgeOf($laid->rect(), $side)) {
                return true;
            }
        }

        return false;
    }
}
