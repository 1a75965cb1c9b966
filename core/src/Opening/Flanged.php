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
use Apron\Drafting\Choices;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
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

    protected function demandRoom(Sizes $s): void
    {
        parent::demandRoom($s);
        if ($s->mm('clearance') >= $s->mm('flange')) {
            throw new CannotGenerate(
                'clearance_mm',
                $s->mm('clearance'),
                sprintf('less than the flange, %g mm, which must lie on the face', $s->mm('flange')),
            );
        }
        if ($s->mm('clearance') < $s->mm('strip_clear_of_frame')) {
            throw new CannotGenerate(
                'strip_clear_of_frame_mm',
                $s->mm('strip_clear_of_frame'),
                sprintf('no more than the clearance, %g mm', $s->mm('clearance')),
            );
        }
        $this->demandBelow(
            $s,
            'trim_mm',
            $s->mm('margin') + $s->mm('clearance') - $s->mm('trim_joint'),
            'so that the trim stays on the wall that is drawn',
        );
        $this->demandWholeUnits($s);
        $this->demandHeadRoom($s);
    }

    protected function demandHeadRoom(Sizes $s): void
    {
        $needed = $this->headStripTop($s);
        if ($s->mm('margin') <= max($needed, $this->flapSide($s))) {
            throw new CannotGenerate(
                'margin_mm',
                $s->mm('margin'),
                sprintf('more than %g mm, where the strips end', max($needed, $this->flapSide($s))),
            );
        }
    }

    protected function cutAbove(Sizes $s): float
    {
        return $s->mm('sheet_cut_above_head');
    }

    protected function flapSide(Sizes $s): float
    {
        return $s->mm('jamb_strip') - $this->stripInner($s) + $s->mm('head_strip_past_jamb');
    }

    /**
     * @return array<string, float>
     */
    protected function figuresOf(string $does, Sizes $s): array
    {
        return match ($does) {
            'jamb-strips' => ['past_mm' => $s->mm('jamb_strip_past_head')],
            'head-strip', 'head-strip-taped' => ['past_mm' => $s->mm('head_strip_past_jamb')],
            'trim-bead' => ['gap_mm' => $s->mm('trim_joint')],
            'trim-drained', 'trim-caulked' => ['trim_mm' => $s->mm('trim'), 'gap_mm' => $s->mm('trim_joint')],
            'mullion-covers' => ['clearance_mm' => $s->mm('clearance')],
            'flange-flashing' => ['past_mm' => $s->mm('face_return')],
            'membrane-below-and-beside' => ['above_mm' => $s->mm('sheet_cut_above_head')],
            'course-above' => [
                'lap_mm' => $this->headStripTop($s) - $s->mm('sheet_cut_above_head') + $s->mm('membrane_lap'),
            ],
            default => parent::figuresOf($does, $s),
        };
    }

    /**
     * The step of the mullions' covers follows that of the units where there is more than one; trim comes over all of
     * it.
     *
     * @param  list<string>  $order
     * @return list<string>
     */
    protected function aroundTheUnit(array $order, Sizes $s, Choices $chosen): array
    {
        if ($s->figure('mullions') > 0) {
            array_splice($order, (int) array_search('unit-in-sealant', $order, true) + 1, 0, ['mullion-covers']);
        }
        // Behind a board trim belongs to the outer face, and is not drawn.
        if (! $chosen->is('trim', 'by-others') && $chosen->asks('trim')) {
            array_push($order, "trim-{$chosen->of('trim')}", ...$chosen->is('trim', 'caulked') ? ['trim-bead'] : []);
        }

        return $order;
    }

    /**
     * Trim over the flange and its strips, a joint's width off the frame. Drained, the joint stays open and what gets
     * behind the trim comes out at its foot; caulked, beads over bond breakers close the joint at both jambs. Never at
     * the head or the sill: what the head strip sheds comes out behind the head trim, and a bead there would keep it
     * in.
     *
     * @return list<Piece>
     */
    private function trim(Sizes $s, Used $used, StepNumbers $at): array
    {
        $step = $at->firstOf('trim-drained', 'trim-caulked');
        if ($step === null) {
            return [];
        }
        [$frame, $gap, $t] = [$s->mm('clearance'), $s->mm('trim_joint'), $s->mm('trim')];
        [$left, $right, $below, $top] = [$frame, $s->mm('width') - $frame, $frame, $s->mm('height') - $frame];
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
                $used->of('trim'),
                PieceKind::Board,
                $step,
                [$this->patch("trim-$side.face", 'face', $rect, [], $step)],
                null,
                new CutSize(max($rect[2] - $rect[0], $rect[3] - $rect[1]), $t),
                null,
                false,
            );
        }
        if (! $at->has('trim-caulked')) {
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
                $used->of('trim_breaker'),
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
                $used->of('trim_sealant'),
                PieceKind::Sealant,
                $at->of('trim-bead'),
                $joint('trim-bead', $at->of('trim-bead'), new Edges(['bottom' => Edge::Open])),
                null,
                null,
                null,
                false,
            ),
        ];
    }

    /** How far the flange lies on the face beyond the opening. */
    protected function flangeOnFace(Sizes $s): float
    {
        return $s->mm('flange') - $s->mm('clearance');
    }

    /** From the arris of the opening inward to where the strips end, just clear of the frame. */
    protected function stripInner(Sizes $s): float
    {
        return $s->mm('clearance') - $s->mm('strip_clear_of_frame');
    }

    /** The top of the head strip above the opening. */
    protected function headStripTop(Sizes $s): float
    {
        return $s->mm('head_strip') - $this->stripInner($s);
    }

    /**
     * The unit, or several coupled side by side: between two of them their flanges only meet, so a cover lies over each
     * mullion, sealed at its sides and open at its foot.
     *
     * @return list<Piece> with what lies round them on the face
     */
    protected function units(Sizes $s, Used $used, StepNumbers $at): array
    {
        $material = $used->of('unit');
        [$w, $h, $f, $step] = [
            $s->mm('width'),
            $s->mm('height'),
            $this->flangeOnFace($s),
            $at->of('unit-in-sealant'),
        ];
        $many = (int) $s->figure('mullions') + 1;
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
                    $at->of('mullion-covers'),
                    [
                        $this->patch(
                            "mullion-cover-$i.face",
                            'face',
                            [$from - $s->mm('flange'), -$f, $from + $s->mm('flange'), $h + $f],
                            [],
                            $at->of('mullion-covers'),
                        ),
                    ],
                    null,
                    new CutSize($h + 2 * $f, 2 * $s->mm('flange')),
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
     * @return list<Piece>
     */
    protected function jambStrips(Sizes $s, Material $material, int $step): array
    {
        [$w, $inner, $strip] = [$s->mm('width'), $this->stripInner($s), $s->mm('jamb_strip')];
        $top = $s->mm('height') + $s->mm('jamb_strip_past_head');
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

    protected function headStrip(Sizes $s, Material $material, int $step, ?Edges $edges = null): Piece
    {
        [$w, $side] = [$s->mm('width'), $this->flapSide($s)];
        $foot = $s->mm('height') - $this->stripInner($s);

        return $this->laid(
            'head-strip',
            $material,
            PieceKind::Membrane,
            $step,
            [
                $this->patch(
                    'head-strip.face',
                    'face',
                    [-$side, $foot, $w + $side, $foot + $s->mm('head_strip')],
                    [],
                    $step,
                ),
            ],
            PieceRole::HeadFlashing,
            new CutSize($w + 2 * $side, $s->mm('head_strip')),
            $edges,
        );
    }
}
