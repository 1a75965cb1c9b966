<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\CutSize;
use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Drafting\CannotGenerate;
use Apron\Material\Material;

/** A unit with a nailing flange at the outer face: bedded at jambs and head, open at the foot, stripped over. */
trait Flanged
{
    /** @var array<string, list<string>> whether trim is drawn, and how it meets the unit */
    protected const TRIM = ['trim' => ['by-others', 'drained', 'caulked']];

    /** @var array<string, string> */
    protected const TRIM_MATERIALS = [
        'trim_material' => 'wood-cladding',
        'trim_breaker_material' => 'backer-rod',
        'trim_sealant_material' => 'sealant-silyl',
    ];

    protected function demandRoom(array $s): void
    {
        parent::demandRoom($s);
        if ($s['clearance_mm'] >= $s['flange_mm']) {
            throw new CannotGenerate(
                'clearance_mm',
                $s['clearance_mm'],
                sprintf('less than the flange, %g mm, which must lie on the face', $s['flange_mm']),
            );
        }
        if ($s['clearance_mm'] < $s['strip_clear_of_frame_mm']) {
            throw new CannotGenerate(
                'strip_clear_of_frame_mm',
                $s['strip_clear_of_frame_mm'],
                sprintf('no more than the clearance, %g mm', $s['clearance_mm']),
            );
        }
        $this->demandBelow(
            $s,
            'trim_mm',
            $s['margin_mm'] + $s['clearance_mm'] - $s['trim_joint_mm'],
            'so that the trim stays on the wall that is drawn',
        );
        $this->demandWholeUnits($s);
        $this->demandHeadRoom($s);
    }

    /** @param  array<string, float>  $s */
    protected function demandHeadRoom(array $s): void
    {
        $needed = $this->headStripTop($s);
        if ($s['margin_mm'] <= max($needed, $this->flapSide($s))) {
            throw new CannotGenerate(
                'margin_mm',
                $s['margin_mm'],
                sprintf('more than %g mm, where the strips end', max($needed, $this->flapSide($s))),
            );
        }
    }

    protected function cutAbove(array $s): float
    {
        return $s['sheet_cut_above_head_mm'];
    }

    protected function flapSide(array $s): float
    {
        return $s['jamb_strip_mm'] - $this->stripInner($s) + $s['head_strip_past_jamb_mm'];
    }

    /**
     * @param  array<string, float>  $s
     * @return array<string, float>
     */
    protected function figuresOf(string $does, array $s): array
    {
        return match ($does) {
            'jamb-strips' => ['past_mm' => $s['jamb_strip_past_head_mm']],
            'head-strip', 'head-strip-taped' => ['past_mm' => $s['head_strip_past_jamb_mm']],
            'trim-bead' => ['gap_mm' => $s['trim_joint_mm']],
            'trim-drained', 'trim-caulked' => ['trim_mm' => $s['trim_mm'], 'gap_mm' => $s['trim_joint_mm']],
            'mullion-covers' => ['clearance_mm' => $s['clearance_mm']],
            'flange-flashing' => ['past_mm' => $s['face_return_mm']],
            'membrane-below-and-beside' => ['above_mm' => $s['sheet_cut_above_head_mm']],
            'course-above' => [
                'lap_mm' => $this->headStripTop($s) - $s['sheet_cut_above_head_mm'] + $s['membrane_lap_mm'],
            ],
            default => parent::figuresOf($does, $s),
        };
    }

    /**
     * The step of the mullions' covers follows that of the units where there is more than one; trim comes over all of
     * it.
     *
     * @param  list<string>  $order
     * @param  array<string, float>  $s
     * @param  array<string, string>  $chosen
     * @return list<string>
     */
    protected function aroundTheUnit(array $order, array $s, array $chosen): array
    {
        if ($s['mullions'] > 0) {
            array_splice($order, (int) array_search('unit-in-sealant', $order, true) + 1, 0, ['mullion-covers']);
        }
        // Behind a board trim belongs to the outer face, and is not drawn.
        if (($chosen['trim'] ?? 'by-others') !== 'by-others') {
            array_push($order, "trim-{$chosen['trim']}", ...$chosen['trim'] === 'caulked' ? ['trim-bead'] : []);
        }

        return $order;
    }

    /**
     * Trim over the flange and its strips, a joint's width off the frame. Drained, the joint stays open and what gets
     * behind the trim comes out at its foot; caulked, beads over bond breakers close the joint at both jambs. Never at
     * the head or the sill: what the head strip sheds comes out behind the head trim, and a bead there would keep it
     * in.
     *
     * @param  array<string, float>  $s
     * @param  array<string, Material>  $used
     * @param  array<string, int>  $at
     * @return list<Piece>
     */
    private function trim(array $s, array $used, array $at): array
    {
        $step = $at['trim-drained'] ?? ($at['trim-caulked'] ?? null);
        if ($step === null) {
            return [];
        }
        [$frame, $gap, $t] = [$s['clearance_mm'], $s['trim_joint_mm'], $s['trim_mm']];
        [$left, $right, $below, $top] = [$frame, $s['width_mm'] - $frame, $frame, $s['height_mm'] - $frame];
        [$in, $out] = [$gap, $gap + $t];
        $pieces = [];
        foreach (
            [
                'sill' => [$left - $out, $below - $out, $right + $out, $below - $in],
                'left' => [$left - $out, $below - $in, $left - $in, $top + $in],
                'right' => [$right + $in, $below - $in, $right + $out, $top + $in],
                'head' => [$left - $out, $top + $in, $right + $out, $top + $out],
            ] as $side => $rect
        ) {
            $pieces[] = $this->laid(
                "trim-$side",
                $used['trim_material'],
                PieceKind::Board,
                $step,
                [$this->patch("trim-$side.face", 'face', $rect, [], $step)],
                null,
                new CutSize(max($rect[2] - $rect[0], $rect[3] - $rect[1]), $t),
                null,
                false,
            );
        }
        if (! isset($at['trim-caulked'])) {
            return $pieces;
        }
        $joint = fn (string $id, int $step, ?Edges $foot): array => [
            $this->patch("$id.left", 'face', [$left - $gap, $below, $left, $top], [], $step, $foot),
            $this->patch("$id.right", 'face', [$right, $below, $right + $gap, $top], [], $step, $foot),
        ];

        return [
            ...$pieces,
            $this->laid(
                'trim-breaker',
                $used['trim_breaker_material'],
                PieceKind::Board,
                $step,
                $joint('trim-breaker', $step, null),
                null,
                null,
                null,
                false,
            ),
            $this->laid(
                'trim-bead',
                $used['trim_sealant_material'],
                PieceKind::Sealant,
                $at['trim-bead'],
                $joint('trim-bead', $at['trim-bead'], new Edges(['bottom' => Edge::Open])),
                null,
                null,
                null,
                false,
            ),
        ];
    }

    /**
     * How far the flange lies on the face beyond the opening.
     *
     * @param  array<string, float>  $s
     */
    protected function flangeOnFace(array $s): float
    {
        return $s['flange_mm'] - $s['clearance_mm'];
    }

    /**
     * From the arris of the opening inward to where the strips end, just clear of the frame.
     *
     * @param  array<string, float>  $s
     */
    protected function stripInner(array $s): float
    {
        return $s['clearance_mm'] - $s['strip_clear_of_frame_mm'];
    }

    /**
     * The top of the head strip above the opening.
     *
     * @param  array<string, float>  $s
     */
    protected function headStripTop(array $s): float
    {
        return $s['head_strip_mm'] - $this->stripInner($s);
    }

    /**
     * The unit, or several coupled side by side: between two of them their flanges only meet, so a cover lies over each
     * mullion, sealed at its sides and open at its foot.
     *
     * @param  array<string, float>  $s
     * @param  array<string, Material>  $used
     * @param  array<string, int>  $at
     * @return list<Piece> with what lies round them on the face
     */
    protected function units(array $s, array $used, array $at): array
    {
        $material = $used['unit_material'];
        [$w, $h, $f, $step] = [$s['width_mm'], $s['height_mm'], $this->flangeOnFace($s), $at['unit-in-sealant']];
        $many = (int) $s['mullions'] + 1;
        // Bedded in sealant at the jambs and the head; the bottom flange stays open, or the pan would be a bath.
        $edges = new Edges([
            'left' => Edge::Sealed,
            'right' => Edge::Sealed,
            'top' => Edge::Sealed,
            'bottom' => Edge::Open,
        ]);
        $patches = [];
        $covers = [];
        for ($i = 0; $i < $many; $i++) {
            $from = $i === 0 ? -$f : ($w * $i) / $many;
            $to = $i === $many - 1 ? $w + $f : ($w * ($i + 1)) / $many;
            $patches[] = $this->patch(
                $many === 1 ? 'unit.flange' : 'unit.flange-'.($i + 1),
                'face',
                [$from, -$f, $to, $h + $f],
                [],
                $step,
            );
            if ($i > 0) {
                $covers[] = $this->laid(
                    "mullion-cover-$i",
                    $material,
                    PieceKind::Moulded,
                    $at['mullion-covers'],
                    [
                        $this->patch(
                            "mullion-cover-$i.face",
                            'face',
                            [$from - $s['flange_mm'], -$f, $from + $s['flange_mm'], $h + $f],
                            [],
                            $at['mullion-covers'],
                        ),
                    ],
                    null,
                    new CutSize($h + 2 * $f, 2 * $s['flange_mm']),
                    new Edges([
                        'left' => Edge::Sealed,
                        'right' => Edge::Sealed,
                        'top' => Edge::Sealed,
                        'bottom' => Edge::Open,
                    ]),
                );
            }
        }

        return [
            $this->laid('unit', $material, PieceKind::Unit, $step, $patches, null, null, $edges),
            ...$covers,
            ...$this->trim($s, $used, $at),
        ];
    }

    /**
     * @param  array<string, float>  $s
     * @return list<Piece>
     */
    protected function jambStrips(array $s, Material $material, int $step): array
    {
        [$w, $inner, $strip] = [$s['width_mm'], $this->stripInner($s), $s['jamb_strip_mm']];
        $top = $s['height_mm'] + $s['jamb_strip_past_head_mm'];
        $cut = new CutSize($top, $strip);

        return [
            $this->laid(
                'jamb-strip-left',
                $material,
                PieceKind::Membrane,
                $step,
                [$this->patch('jamb-strip-left.face', 'face', [$inner - $strip, 0, $inner, $top], [], $step)],
                null,
                $cut,
            ),
            $this->laid(
                'jamb-strip-right',
                $material,
                PieceKind::Membrane,
                $step,
                [
                    $this->patch(
                        'jamb-strip-right.face',
                        'face',
                        [$w - $inner, 0, $w - $inner + $strip, $top],
                        [],
                        $step,
                    ),
                ],
                null,
                $cut,
            ),
        ];
    }

    /**
     * @param  array<string, float>  $s
     */
    protected function headStrip(array $s, Material $material, int $step, ?Edges $edges = null): Piece
    {
        [$w, $side] = [$s['width_mm'], $this->flapSide($s)];
        $foot = $s['height_mm'] - $this->stripInner($s);

        return $this->laid(
            'head-strip',
            $material,
            PieceKind::Membrane,
            $step,
            [
                $this->patch(
                    'head-strip.face',
                    'face',
                    [-$side, $foot, $w + $side, $foot + $s['head_strip_mm']],
                    [],
                    $step,
                ),
            ],
            PieceRole::HeadFlashing,
            new CutSize($w + 2 * $side, $s['head_strip_mm']),
            $edges,
        );
    }
}
