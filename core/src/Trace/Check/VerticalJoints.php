<?php

declare(strict_types=1);

namespace Apron\Trace\Check;

use Apron\Detail\Edge;
use Apron\Detail\Laid;
use Apron\Detail\Layout;
use Apron\Detail\OpeningGeometry;
use Apron\Detail\Rect;
use Apron\Detail\Side;
use Apron\Rules\Finding;
use Apron\Rules\Severity;
use Apron\Rules\Source;
use Apron\Trace\DetailCheck;
use Apron\Trace\Rain;

/**
 * Lines along v on which an edge of one patch meets an edge of another without their being joined: they fall between
 * two strips of the trace.
 */
final readonly class VerticalJoints implements DetailCheck
{
    /**
     * @param  list<array{facet: string, u: float, v: array{float, float}, verdict: Severity, left: string,
     *   right: string}>  $joints
     */
    private function __construct(private Rain $rain, public array $joints)
    {
    }

    public static function of(Rain $rain): self
    {
        return new self($rain, self::found($rain->layout));
    }

    public function findings(): array
    {
        $findings = [];
        foreach ($this->joints as $joint) {
            if ($joint['verdict'] === Severity::Fail) {
                $key = "{$joint['left']}.{$joint['right']}.{$joint['facet']}";
                $findings[$key] ??= new Finding(
                    'joint.open',
                    Severity::Fail,
                    $this->rain->subject(),
                    [
                        'left' => $joint['left'],
                        'right' => $joint['right'],
                        'facet' => $joint['facet'],
                        'u_mm' => $joint['u'],
                        'from_mm' => $joint['v'][0],
                        'to_mm' => $joint['v'][1],
                    ],
                    Source::commonPractice(),
                    $key,
                );
            }
        }

        return array_values($findings);
    }

    public function told(): array
    {
        return [
            'joints' => array_map(
                fn (array $j): array => [
                    'facet' => $j['facet'],
                    'u' => $j['u'],
                    'v' => $j['v'],
                    'verdict' => $j['verdict']->value,
                ],
                $this->joints,
            ),
        ];
    }

    /**
     * @return list<array{facet: string, u: float, v: array{float, float}, verdict: Severity, left: string,
     *   right: string}>
     */
    private static function found(Layout $layout): array
    {
        $joints = [];
        foreach ($layout->on as $facet => $patches) {
            foreach ($patches as $left) {
                foreach ($patches as $right) {
                    if (
                        $left === $right ||
                        $left->rect()->u1 !== $right->rect()->u0 ||
                        in_array($right, $left->joined, true)
                    ) {
                        continue;
                    }
                    $from = max($left->rect()->v0, $right->rect()->v0);
                    $to = min($left->rect()->v1, $right->rect()->v1);
                    if (
                        $facet === 'outer-face' &&
                        self::overReveal($layout->detail->opening, $left->rect(), $right->rect())
                    ) {
                        continue;
                    }
                    if ($from < $to) {
                        $joints = [
                            ...$joints,
                            ...self::stretches((string) $facet, $left, $right, $from, $to, $patches),
                        ];
                    }
                }
            }
        }

        return $joints;
    }

    /**
     * Whether one of them hangs before the opening, in front of the edge the board is cut to: a joint there leads into
     * the reveal.
     */
    private static function overReveal(?OpeningGeometry $opening, Rect $left, Rect $right): bool
    {
        return $opening !== null &&
            ($left->u1 === 0.0 || $left->u1 === $opening->width) &&
            max($left->v0, $right->v0) >= 0 &&
            min($left->v1, $right->v1) <= $opening->height;
    }

    /**
     * @param  list<Laid>  $patches
     * @return list<array{facet: string, u: float, v: array{float, float}, verdict: Severity, left: string,
     *   right: string}>
     */
    private static function stretches(
        string $facet,
        Laid $left,
        Laid $right,
        float $from,
        float $to,
        array $patches,
    ): array {
        $cuts = [$from, $to];
        foreach ($patches as $other) {
            foreach ([$other->rect()->v0, $other->rect()->v1] as $v) {
                if ($v > $from && $v < $to) {
                    $cuts[] = $v;
                }
            }
        }
        $cuts = array_values(array_unique($cuts, SORT_REGULAR));
        sort($cuts);
        $stretches = [];
        for ($i = 1, $n = count($cuts); $i < $n; $i++) {
            $v = ($cuts[$i - 1] + $cuts[$i]) / 2;
            // A side that is joined on there is no edge.
            if (self::goesOn($left, $left->rect()->u1, $v) || self::goesOn($right, $right->rect()->u0, $v)) {
                continue;
            }
            $verdict = self::verdict($left, $right, $v, $patches);
            $last = count($stretches) - 1;
            if (
                $last >= 0 &&
                $stretches[$last]['verdict'] === $verdict &&
                $stretches[$last]['v'][1] === $cuts[$i - 1]
            ) {
                $stretches[$last]['v'][1] = $cuts[$i];
            } else {
                $stretches[] = [
                    'facet' => $facet,
                    'u' => $left->rect()->u1,
                    'v' => [$cuts[$i - 1], $cuts[$i]],
                    'verdict' => $verdict,
                    'left' => $left->piece->id,
                    'right' => $right->piece->id,
                ];
            }
        }

        return $stretches;
    }

    /** @param  list<Laid>  $patches */
    private static function verdict(Laid $left, Laid $right, float $v, array $patches): Severity
    {
        $u = $left->rect()->u1;
        $inboard = false;
        foreach ($patches as $across) {
            if (
                $across === $left ||
                $across === $right ||
                $across->rect()->v0 >= $v ||
                $across->rect()->v1 <= $v ||
                ! self::liesAcross($across, $u, $v)
            ) {
                continue;
            }
            if ($across->order > max($left->order, $right->order)) {
                return Severity::Pass;
            }
            $inboard = true;
        }
        $sealed = $left->edge(Side::Right, $v) === Edge::Sealed || $right->edge(Side::Left, $v) === Edge::Sealed;

        return $inboard || $sealed ? Severity::Note : Severity::Fail;
    }

    /** By itself, or with one it is joined to on that very line. */
    private static function liesAcross(Laid $across, float $u, float $v): bool
    {
        $r = $across->rect();

        return ($r->u0 < $u && $r->u1 > $u) || (($r->u0 === $u || $r->u1 === $u) && self::goesOn($across, $u, $v));
    }

    /** Whether a patch is joined, at a place on one of its sides, to the next. */
    private static function goesOn(Laid $laid, float $u, float $v): bool
    {
        foreach ($laid->joined as $other) {
            $o = $other->rect();
            $there = $other->patch->facet === $laid->patch->facet && $o->v0 < $v && $o->v1 > $v;
            if (
                $there &&
                (($laid->rect()->u1 === $u && $o->u0 === $u) || ($laid->rect()->u0 === $u && $o->u1 === $u))
            ) {
                return true;
            }
        }

        return false;
    }
}
