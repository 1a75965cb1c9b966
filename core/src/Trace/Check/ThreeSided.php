<?php

declare(strict_types=1);

namespace Apron\Trace\Check;

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
 * Sealant in a joint that moves must bond to its two sides only: stuck to the back as well it tears. A bead is in a
 * joint where two other pieces end at its opposite edges, with a gap between them; behind it in that gap there must be
 * backer rod or bond-breaker tape.
 */
final readonly class ThreeSided implements DetailCheck
{
    /** @param  list<array{piece: string, facet: string, gap: Rect}>  $stuck sealant stuck on three sides */
    private function __construct(private Rain $rain, public array $stuck)
    {
    }

    public static function of(Rain $rain): self
    {
        return new self($rain, self::found($rain->layout));
    }

    public function findings(): array
    {
        $findings = [];
        foreach ($this->stuck as $row) {
            $findings[$row['piece']] ??= new Finding(
                'sealant.three-sided',
                Severity::Fail,
                $this->rain->subject(),
                [
                    'piece' => $row['piece'],
                    'facet' => $row['facet'],
                ],
                Source::commonPractice(),
                $row['piece'],
            );
        }

        return array_values($findings);
    }

    public function told(): array
    {
        return [];
    }

    /** @return list<array{piece: string, facet: string, gap: Rect}> */
    private static function found(Layout $layout): array
    {
        $found = [];
        foreach ($layout->on as $facet => $patches) {
            foreach ($patches as $bead) {
                $gap = $bead->piece->kind === PieceKind::Sealant ? self::gap($bead, $patches) : null;
                if ($gap !== null && ! self::broken($bead, $gap, $patches)) {
                    $found[] = ['piece' => $bead->piece->id, 'facet' => (string) $facet, 'gap' => $gap];
                }
            }
        }

        return $found;
    }

    /**
     * What the bead fills between two patches that end on opposite sides of it.
     *
     * @param  list<Laid>  $patches
     */
    private static function gap(Laid $bead, array $patches): ?Rect
    {
        $r = $bead->rect();
        $sides = array_values(
            array_filter(
                $patches,
                fn (Laid $l): bool => $l->order < $bead->order && $l->piece !== $bead->piece && ! self::breaker($l),
            ),
        );
        foreach ($sides as $a) {
            foreach ($sides as $b) {
                [$p, $q] = [$a->rect(), $b->rect()];
                // One below, the other above.
                if (
                    $p->v1 >= $r->v0 &&
                    $q->v0 <= $r->v1 &&
                    $p->v1 < $q->v0 &&
                    $p->v0 < $r->v0 &&
                    $q->v1 > $r->v1 &&
                    max($p->u0, $q->u0, $r->u0) < min($p->u1, $q->u1, $r->u1)
                ) {
                    return new Rect(max($p->u0, $q->u0, $r->u0), $p->v1, min($p->u1, $q->u1, $r->u1), $q->v0);
                }
                // One on the left, the other on the right.
                if (
                    $p->u1 >= $r->u0 &&
                    $q->u0 <= $r->u1 &&
                    $p->u1 < $q->u0 &&
                    $p->u0 < $r->u0 &&
                    $q->u1 > $r->u1 &&
                    max($p->v0, $q->v0, $r->v0) < min($p->v1, $q->v1, $r->v1)
                ) {
                    return new Rect($p->u1, max($p->v0, $q->v0, $r->v0), $q->u0, min($p->v1, $q->v1, $r->v1));
                }
            }
        }

        return null;
    }

    /** @param  list<Laid>  $patches */
    private static function broken(Laid $bead, Rect $gap, array $patches): bool
    {
        foreach ($patches as $l) {
            if ($l->order < $bead->order && self::breaker($l) && $l->rect()->contains($gap)) {
                return true;
            }
        }

        return false;
    }

    /** Whether it is there so that sealant does not bond to what is behind it: a rod or a breaker tape. */
    public static function breaker(Laid $laid): bool
    {
        return in_array($laid->piece->material->id, RuleFigures::of('checks')->list('bond_breakers'), true);
    }
}
