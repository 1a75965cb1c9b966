<?php

declare(strict_types=1);

namespace Apron\Building;

use Apron\Rules\RuleFigures;

/** Where insulation grows too thin from one part to the next: R of one beside that of its neighbour. */
final class ThinHeat
{
    /**
     * @param  array<string, float>  $u  W/(m²K) by assembly
     * @return list<array{joint: string, part: string, beside: string, share: float}> the least share first, each pair
     *   of assemblies once; openings, which no insulation goes through, and what is towards unheated space are not
     *   asked
     */
    public static function of(Envelope $envelope, array $u): array
    {
        $least = RuleFigures::of('building')->figure('neighbour_share');
        $thin = [];
        foreach ($envelope->joints as $joint) {
            [$a, $b] = [$envelope->parts[$joint->parts[0]] ?? null, $envelope->parts[$joint->parts[1]] ?? null];
            if ($a === null || $b === null || ! self::isAsked($a) || ! self::isAsked($b)) {
                continue;
            }
            [$ua, $ub] = [$u[$a->assembly ?? ''] ?? 0.0, $u[$b->assembly ?? ''] ?? 0.0];
            if ($ua <= 0 || $ub <= 0) {
                continue;
            }
            $share = min($ua, $ub) / max($ua, $ub);
            $pair = $ua > $ub ? [$a, $b] : [$b, $a];
            $key = "{$pair[0]->assembly} {$pair[1]->assembly}";
            if ($share < $least && ! isset($thin[$key])) {
                $thin[$key] = [
                    'joint' => $joint->id,
                    'part' => $pair[0]->id,
                    'beside' => $pair[1]->id,
                    'share' => round($share, 4),
                ];
            }
        }
        usort($thin, fn (array $x, array $y): int => $x['share'] <=> $y['share']);

        return $thin;
    }

    private static function isAsked(Part $part): bool
    {
        return $part->kind !== PartKind::Opening && $part->faces !== Faces::Unconditioned;
    }
}
