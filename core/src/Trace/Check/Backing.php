<?php

declare(strict_types=1);

namespace Apron\Trace\Check;

use Apron\Detail\FramingMember;
use Apron\Detail\Interval;
use Apron\Detail\Laid;
use Apron\Detail\Layout;
use Apron\Detail\PieceKind;
use Apron\Detail\Rect;
use Apron\Rules\Finding;
use Apron\Rules\RuleFigures;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Trace\DetailCheck;
use Apron\Trace\Rain;

/**
 * What must have something solid behind it, where a detail says where its framing is: a lap of fastened sheets lies
 * over framing or blocking, for it is fastened there; an upright joint of boards is centred on framing.
 */
final readonly class Backing implements DetailCheck
{
    /**
     * @param  list<array{what: string, facet: string, one: string, other: string, rect: Rect}>  $unbacked  laps and
     *   joints with no framing behind them
     */
    private function __construct(private Rain $rain, public array $unbacked)
    {
    }

    public static function of(Rain $rain): self
    {
        return new self($rain, self::missing($rain->layout));
    }

    public function findings(): array
    {
        $findings = [];
        foreach ($this->unbacked as $row) {
            $key = "{$row['one']}.{$row['other']}.{$row['facet']}";
            $code = $row['what'] === 'lap' ? 'backing.lap' : 'backing.joint';
            $findings[$key] ??= new Finding(
                $code,
                Severity::Caution,
                $this->rain->subject(),
                [
                    'one' => $row['one'],
                    'other' => $row['other'],
                    'facet' => $row['facet'],
                    'u_mm' => $row['rect']->u0,
                    'from_mm' => $row['rect']->v0,
                    'to_mm' => $row['rect']->v1,
                ],
                Source::commonPractice(),
                $key,
            );
        }

        return array_values($findings);
    }

    public function told(): array
    {
        return [];
    }

    /**
     * @return list<array{what: string, facet: string, one: string, other: string, rect: Rect}> laps and joints with
     *   nothing behind them, on facets whose framing is known
     */
    private static function missing(Layout $layout): array
    {
        $framing = [];
        foreach ($layout->detail->framing as $member) {
            $framing[$member->facet][] = $member;
        }
        $missing = [];
        foreach ($layout->overlaps() as $overlap) {
            $members = $framing[$overlap->facet] ?? [];
            $lap =
                $members !== [] && self::bothAre(PieceKind::Sheet, $overlap->inner, $overlap->outer)
                    ? self::lap($overlap->inner->rect(), $overlap->outer->rect(), $members)
                    : null;
            if ($lap !== null) {
                $missing[] = self::row('lap', $overlap->facet, $overlap->inner, $overlap->outer, $lap);
            }
        }
        foreach ($framing as $facet => $members) {
            foreach (self::pairsOfBoards($layout->facet($facet)) as [$inner, $outer]) {
                $joint = self::joint($inner->rect(), $outer->rect(), $members);
                if ($joint !== null) {
                    $missing[] = self::row('joint', $facet, $inner, $outer, $joint);
                }
            }
        }

        return $missing;
    }

    /** @return array{what: string, facet: string, one: string, other: string, rect: Rect} */
    private static function row(string $what, string $facet, Laid $inner, Laid $outer, Rect $rect): array
    {
        return [
            'what' => $what,
            'facet' => $facet,
            'one' => $outer->piece->id,
            'other' => $inner->piece->id,
            'rect' => $rect,
        ];
    }

    /**
     * @param  list<Laid>  $patches
     * @return list<array{Laid, Laid}> a rod in a joint is drawn as a board and is none
     */
    private static function pairsOfBoards(array $patches): array
    {
        $boards = array_values(
            array_filter(
                $patches,
                fn (Laid $l): bool => $l->piece->kind === PieceKind::Board && ! ThreeSided::breaker($l),
            ),
        );
        $pairs = [];
        foreach ($boards as $i => $inner) {
            foreach (array_slice($boards, $i + 1) as $outer) {
                if ($inner->piece !== $outer->piece) {
                    $pairs[] = [$inner, $outer];
                }
            }
        }

        return $pairs;
    }

    private static function bothAre(PieceKind $kind, Laid $a, Laid $b): bool
    {
        return $a->piece->kind === $kind && $b->piece->kind === $kind;
    }

    /**
     * The lap, where no member lies behind it over its whole length; null where one does, or where the two do not lap.
     *
     * @param  list<FramingMember>  $members
     */
    private static function lap(Rect $a, Rect $b, array $members): ?Rect
    {
        $lap = $a->overlap($b);
        $staggered =
            (($a->u0 <=> $b->u0) === ($a->u1 <=> $b->u1) && ($a->u0 <=> $b->u0) !== 0) ||
            (($a->v0 <=> $b->v0) === ($a->v1 <=> $b->v1) && ($a->v0 <=> $b->v0) !== 0);
        if ($lap === null || ! $staggered) {
            return null;
        }
        $upright = $lap->height() >= $lap->width();
        $behind = array_filter(array_map(fn (FramingMember $m): ?Rect => $m->rect->overlap($lap), $members));
        $runs = array_map(fn (Rect $r): array => $upright ? [$r->v0, $r->v1] : [$r->u0, $r->u1], $behind);

        $stretch = $upright ? Interval::of($lap->v0, $lap->v1) : Interval::of($lap->u0, $lap->u1);

        return $stretch->isCoveredBy($runs) ? null : $lap;
    }

    /**
     * The line where two boards stand side by side, no wider apart than a gap, where no member takes both their edges:
     * a cripple under a sill plate does so together with it.
     *
     * @param  list<FramingMember>  $members
     */
    private static function joint(Rect $a, Rect $b, array $members): ?Rect
    {
        $bearing = RuleFigures::of('checks')->figure('board_bearing_mm');
        [$left, $right] = $a->u0 < $b->u0 ? [$a, $b] : [$b, $a];
        [$foot, $top] = [max($a->v0, $b->v0), min($a->v1, $b->v1)];
        if ($right->u0 < $left->u1 || $right->u0 - $left->u1 > $bearing || $foot >= $top) {
            return null;
        }
        $bear = array_filter(
            $members,
            fn (FramingMember $m): bool => $m->rect->u0 <= $left->u1 - $bearing &&
                $m->rect->u1 >= $right->u0 + $bearing,
        );
        $bare = Interval::of($foot, $top)->firstBare(
            array_map(fn (FramingMember $m): array => [$m->rect->v0, $m->rect->v1], $bear),
        );

        return $bare === null ? null : new Rect($left->u1, $bare->from, $right->u0, $bare->to);
    }
}
