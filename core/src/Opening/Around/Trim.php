<?php

declare(strict_types=1);

namespace Apron\Opening\Around;

use Apron\Detail\CutSize;
use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\Patch;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Drafting\Lay;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;
use Apron\Trace\Outcome;

/**
 * Trim on the face round the opening, a joint's width off the unit's frame, or off the arris where the unit stands back
 * in its return. Drained, the joint stays open and what gets behind the trim comes out at its foot; caulked, beads over
 * bond breakers close the joint at both jambs. Never at the head or the sill: what the head sheds comes out behind the
 * head trim, and a bead there would keep it in.
 */
final class Trim extends Part
{
    public function groups(Composition $of): array
    {
        return ['trim'];
    }

    public function materials(Composition $of): array
    {
        return [
            'trim_material' => 'wood-cladding',
            'trim_breaker_material' => 'backer-rod',
            'trim_sealant_material' => 'sealant-silyl',
        ];
    }

    /**
     * What gets behind it comes out at its foot; beads over the arris of a return keep out what would run in there.
     */
    public function worst(Composition $of): Outcome
    {
        return match (true) {
            $of->has('trim', 'by-others') => Outcome::Shed,
            $of->has('trim', 'caulked') && ! $of->has('held_by', 'flange') => Outcome::ReliesOnSeal,
            default => Outcome::Recovered,
        };
    }

    public function steps(Scheme $in): array
    {
        return match ($in->of->of('trim')) {
            'drained' => ['trim-drained'],
            'caulked' => ['trim-caulked', 'trim-bead'],
            default => [],
        };
    }

    /** From the arris in to the edge that the trim stands off. */
    private static function edge(Scheme $in): float
    {
        return $in->of->has('held_by', 'flange') ? $in->mm('clearance') : 0.0;
    }

    /** From the opening out to where trim that is drawn ends. */
    public static function outerEdge(Scheme $in): float
    {
        return $in->mm('trim_joint') + $in->mm('trim') - self::edge($in);
    }

    public function pieces(Scheme $in): array
    {
        return match ($in->of->of('trim')) {
            'drained' => $this->boards($in, $in->at('trim-drained')),
            'caulked' => [
                ...$this->boards($in, $in->at('trim-caulked')),
                Lay::piece(
                    'trim-breaker',
                    $in->material('trim_breaker'),
                    PieceKind::Board,
                    $in->at('trim-caulked'),
                    $this->joint($in, 'trim-breaker', $in->at('trim-caulked'), null),
                    null,
                    null,
                    null,
                    false,
                ),
                Lay::piece(
                    'trim-bead',
                    $in->material('trim_sealant'),
                    PieceKind::Sealant,
                    $in->at('trim-bead'),
                    $this->joint($in, 'trim-bead', $in->at('trim-bead'), new Edges(['bottom' => Edge::Open])),
                    null,
                    null,
                    null,
                    false,
                ),
            ],
            default => [],
        };
    }

    /** @return list<Piece> */
    private function boards(Scheme $in, int $step): array
    {
        [$edge, $in0, $t] = [self::edge($in), $in->mm('trim_joint'), $in->mm('trim')];
        [$left, $right, $below, $top] = [$edge, $in->mm('width') - $edge, $edge, $in->mm('height') - $edge];
        $out = $in0 + $t;
        $pieces = [];
        foreach (
            [
                'sill' => [$left - $out, $below - $out, $right + $out, $below - $in0],
                'left' => [$left - $out, $below - $in0, $left - $in0, $top + $in0],
                'right' => [$right + $in0, $below - $in0, $right + $out, $top + $in0],
                'head' => [$left - $out, $top + $in0, $right + $out, $top + $out],
            ] as $side => $rect
        ) {
            $pieces[] = Lay::piece(
                "trim-$side",
                $in->material('trim'),
                PieceKind::Board,
                $step,
                [Lay::patch("trim-$side.face", 'face', $rect, [], $step)],
                null,
                new CutSize(max($rect[2] - $rect[0], $rect[3] - $rect[1]), $t),
                null,
                false,
            );
        }

        return $pieces;
    }

    /** @return list<Patch> the joint between trim and unit at both jambs */
    private function joint(Scheme $in, string $id, int $step, ?Edges $foot): array
    {
        [$edge, $gap] = [self::edge($in), $in->mm('trim_joint')];
        [$left, $right, $below, $top] = [$edge, $in->mm('width') - $edge, $edge, $in->mm('height') - $edge];

        return [
            Lay::patch("$id.left", 'face', [$left - $gap, $below, $left, $top], [], $step, $foot),
            Lay::patch("$id.right", 'face', [$right, $below, $right + $gap, $top], [], $step, $foot),
        ];
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return match ($does) {
            'trim-bead' => ['gap_mm' => $in->mm('trim_joint')],
            'trim-drained', 'trim-caulked' => [
                'trim_mm' => $in->mm('trim'),
                'gap_mm' => $in->mm('trim_joint'),
            ],
            default => null,
        };
    }

    public function demandRoom(Scheme $in): void
    {
        $in->demandBelow(
            'trim_mm',
            $in->mm('margin') + self::edge($in) - $in->mm('trim_joint'),
            'so that the trim stays on the wall that is drawn',
        );
    }
}
