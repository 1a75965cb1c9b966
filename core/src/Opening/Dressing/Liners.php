<?php

declare(strict_types=1);

namespace Apron\Opening\Dressing;

use Apron\Detail\CutSize;
use Apron\Detail\Edges;
use Apron\Detail\Patch;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\Lay;
use Apron\Material\Material;
use Apron\Opening\Scheme;

/** The pieces that line an opening, whatever they are made of: pan, jamb liners, head liner, corner pieces. */
final class Liners
{
    /**
     * In one piece over sill, both upturns and the face below, with ears beside the opening.
     *
     * @param  float  $foot  how far down the face it goes
     * @param  int  $footDown  the step in which its leg on the face comes to rest
     */
    public static function pan(
        Scheme $in,
        Material $material,
        PieceKind $kind,
        int $step,
        float $foot,
        int $footDown,
        ?Edges $edges = null,
    ): Piece {
        [$w, $d, $up, $face] = [$in->mm('width'), $in->mm('depth'), $in->mm('pan_upturn'), $in->mm('face_return')];

        return Lay::piece(
            'pan',
            $material,
            $kind,
            $step,
            [
                Lay::patch('pan.sill', 'sill', [0, 0, $w, $d], ['p'], $step),
                Lay::patch('pan.jamb-left', 'jamb-left', [0, 0, $d, $up], ['p'], $step),
                Lay::patch('pan.jamb-right', 'jamb-right', [0, 0, $d, $up], ['p'], $step),
                ...self::leg($in, 'pan', -$face, $w + $face, $foot, $step, $footDown),
                Lay::patch('pan.ear-left', 'face', [-$face, 0, 0, $up], ['p'], $step),
                Lay::patch('pan.ear-right', 'face', [$w, 0, $w + $face, $up], ['p'], $step),
            ],
            PieceRole::Pan,
            new CutSize($w + 2 * $up, $d + $foot),
            $edges,
        );
    }

    /**
     * The leg of a pan on the face below the sill. Where the field comes later, its lower part is left loose until the
     * lower course is under it; the part that the flange lies on is down from the start.
     *
     * @return list<Patch>
     */
    private static function leg(
        Scheme $in,
        string $id,
        float $from,
        float $to,
        float $foot,
        int $step,
        int $footDown,
    ): array {
        if ($footDown !== $step) {
            // As far as the strips beside the opening, which the courses lap.
            $past = $in->of->held->besideReach($in);
            [$from, $to] = [-$past, $in->mm('width') + $past];
        }
        $held = $in->mm('face_return');

        return $footDown === $step
            ? [Lay::patch("$id.face", 'face', [$from, -$foot, $to, 0], ['p'], $step)]
            : [
                Lay::patch("$id.face", 'face', [$from, -$held, $to, 0], ['p'], $step),
                Lay::patch("$id.leg", 'face', [$from, -$foot, $to, -$held], ['p'], $footDown),
            ];
    }

    /**
     * @param  float|null  $foot  where they start above the sill; by the lap over the pan's upturn where nothing is
     *   said
     * @return list<Piece>
     */
    public static function jambs(
        Scheme $in,
        Material $material,
        int $step,
        ?float $foot = null,
        PieceKind $kind = PieceKind::Membrane,
        ?float $inside = null,
    ): array {
        [$w, $h, $d, $face] = [$in->mm('width'), $in->mm('height'), $in->mm('depth'), $in->mm('face_return')];
        $d = $inside ?? $d;
        $foot ??= $in->mm('pan_upturn') - $in->mm('membrane_lap');
        $liners = [];
        foreach (['left' => [-$face, 0.0], 'right' => [$w, $w + $face]] as $hand => [$u0, $u1]) {
            $liners[] = Lay::piece(
                "liner-$hand",
                $material,
                $kind,
                $step,
                [
                    Lay::patch("liner-$hand.jamb", "jamb-$hand", [0, $foot, $d, $h], [$hand[0]], $step),
                    Lay::patch("liner-$hand.face", 'face', [$u0, $foot, $u1, $h], [$hand[0]], $step),
                ],
                null,
                new CutSize($h - $foot, $d + $face),
            );
        }

        return $liners;
    }

    /**
     * Without it the inner seal at the head would lie on bare wood, and the wall's air layer would stop short of the
     * unit.
     */
    public static function head(
        Scheme $in,
        Material $material,
        int $step,
        PieceKind $kind = PieceKind::Formable,
    ): Piece {
        [$w, $h, $d, $face, $leg] = [
            $in->mm('width'),
            $in->mm('height'),
            $in->mm('depth'),
            $in->mm('face_return'),
            $in->mm('membrane_lap'),
        ];

        return Lay::piece(
            'head-liner',
            $material,
            $kind,
            $step,
            [
                Lay::patch('head-liner.head', 'head', [0, 0, $w, $d], ['t'], $step),
                Lay::patch('head-liner.jamb-left', 'jamb-left', [0, $h - $leg, $d, $h], ['t'], $step),
                Lay::patch('head-liner.jamb-right', 'jamb-right', [0, $h - $leg, $d, $h], ['t'], $step),
                Lay::patch('head-liner.face', 'face', [-$face, $h, $w + $face, $h + $face], ['t'], $step),
                Lay::patch('head-liner.ear-left', 'face', [-$face, $h - $leg, 0, $h], ['t'], $step),
                Lay::patch('head-liner.ear-right', 'face', [$w, $h - $leg, $w + $face, $h], ['t'], $step),
            ],
            null,
            new CutSize($w + 2 * $leg, $d + $face),
        );
    }

    /**
     * A flat strip folded from the sill up the jambs, or from the head down them, and onto the face: slit at the
     * corners, where it has not the material to go round.
     *
     * @param  float  $leg  how far it goes on the face
     * @param  float  $inside  how far it reaches in
     */
    public static function slit(
        string $id,
        Scheme $in,
        Material $material,
        PieceKind $kind,
        int $step,
        float $leg,
        float $inside,
        ?int $footDown = null,
    ): Piece {
        [$w, $h] = [$in->mm('width'), $in->mm('height')];
        $sill = $id === 'pan';
        $up = $in->mm($sill ? 'pan_upturn' : 'membrane_lap');
        $facet = $sill ? 'sill' : 'head';
        [$foot, $top] = $sill ? [0.0, $up] : [$h - $up, $h];

        return Lay::piece(
            $id,
            $material,
            $kind,
            $step,
            [
                Lay::patch("$id.$facet", $facet, [0, 0, $w, $inside], ['p'], $step),
                Lay::patch("$id.jamb-left", 'jamb-left', [0, $foot, $inside, $top], ['p'], $step),
                Lay::patch("$id.jamb-right", 'jamb-right', [0, $foot, $inside, $top], ['p'], $step),
                ...$sill
                    ? self::leg($in, $id, 0.0, $w, $leg, $step, $footDown ?? $step)
                    : [Lay::patch("$id.face", 'face', [0, $h, $w, $h + $leg], ['p'], $step)],
            ],
            $sill ? PieceRole::Pan : null,
            new CutSize($w + 2 * $up, $inside + $leg),
        );
    }

    /**
     * Pieces that go round the corners where a flat strip is slit: on sill or head, up or down the jamb, and on the
     * face.
     *
     * @return list<Piece>
     */
    public static function corners(
        string $facet,
        Scheme $in,
        Material $material,
        PieceKind $kind,
        int $step,
        float $leg,
    ): array {
        [$w, $h] = [$in->mm('width'), $in->mm('height')];
        $jamb = $facet === 'sill' ? [0.0, $leg] : [$h - $leg, $h];
        // Past the arris it covers the slit on both faces of the corner.
        [$past0, $past1] = $facet === 'sill' ? [-$leg, 0.0] : [$h, $h + $leg];
        $pieces = [];
        $sides = ['left' => [-$leg, 0.0, 0.0, $leg], 'right' => [$w, $w + $leg, $w - $leg, $w]];
        foreach ($sides as $hand => [$out0, $out1, $in0, $in1]) {
            $id = "corner-$facet-$hand";
            $across = [min($out0, $in0), $past0, max($out1, $in1), $past1];
            $pieces[] = Lay::piece(
                $id,
                $material,
                $kind,
                $step,
                [
                    Lay::patch("$id.$facet", $facet, [$in0, 0, $in1, $leg], ['c'], $step),
                    Lay::patch("$id.jamb", "jamb-$hand", [0, $jamb[0], $leg, $jamb[1]], ['c'], $step),
                    Lay::patch("$id.across", 'face', $across, ['c'], $step),
                    Lay::patch("$id.beside", 'face', [$out0, $jamb[0], $out1, $jamb[1]], ['c'], $step),
                ],
                null,
                new CutSize(2 * $leg, 2 * $leg),
            );
        }

        return $pieces;
    }
}
