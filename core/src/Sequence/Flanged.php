<?php

namespace Apron\Sequence;

use Apron\Detail\CutSize;
use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Material\Material;

/** A unit with a nailing flange at the outer face: bedded at jambs and head, open at the foot, stripped over. */
trait Flanged
{
    protected function demandRoom(array $s): void
    {
        parent::demandRoom($s);
        if ($s['clearance_mm'] >= $s['flange_mm']) {
            throw new CannotGenerate('clearance_mm', $s['clearance_mm'], sprintf('less than the flange, %g mm, which must lie on the face', $s['flange_mm']));
        }
        if ($s['clearance_mm'] < $s['strip_clear_of_frame_mm']) {
            throw new CannotGenerate('strip_clear_of_frame_mm', $s['strip_clear_of_frame_mm'], sprintf('no more than the clearance, %g mm', $s['clearance_mm']));
        }
        $this->demandWholeUnits($s);
        $this->demandHeadRoom($s);
    }

    /** @param  array<string, float>  $s */
    protected function demandHeadRoom(array $s): void
    {
        $needed = $this->headStripTop($s);
        if ($s['margin_mm'] <= max($needed, $this->flapSide($s))) {
            throw new CannotGenerate('margin_mm', $s['margin_mm'], sprintf('more than %g mm, where the strips end', max($needed, $this->flapSide($s))));
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
            'mullion-covers' => ['clearance_mm' => $s['clearance_mm']],
            'flange-flashing' => ['past_mm' => $s['face_return_mm']],
            'membrane-below-and-beside' => ['above_mm' => $s['sheet_cut_above_head_mm']],
            'course-above' => ['lap_mm' => $this->headStripTop($s) - $s['sheet_cut_above_head_mm'] + $s['membrane_lap_mm']],
            default => parent::figuresOf($does, $s),
        };
    }

    /**
     * The step of the mullions' covers follows that of the units where there is more than one.
     *
     * @param  list<string>  $order
     * @param  array<string, float>  $s
     * @return list<string>
     */
    protected function withMullions(array $order, array $s): array
    {
        if ($s['mullions'] > 0) {
            array_splice($order, (int) array_search('unit-in-sealant', $order, true) + 1, 0, ['mullion-covers']);
        }

        return $order;
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
     * The unit, or several coupled side by side: between two of them their flanges only meet, so a cover lies over each mullion,
     * sealed at its sides and open at its foot.
     *
     * @param  array<string, float>  $s
     * @param  array<string, int>  $at
     * @return list<Piece>
     */
    protected function units(array $s, Material $material, array $at): array
    {
        [$w, $h, $f, $step] = [$s['width_mm'], $s['height_mm'], $this->flangeOnFace($s), $at['unit-in-sealant']];
        $many = (int) $s['mullions'] + 1;
        // Bedded in sealant at the jambs and the head; the bottom flange stays open, or the pan would be a bath.
        $edges = new Edges(['left' => Edge::Sealed, 'right' => Edge::Sealed, 'top' => Edge::Sealed, 'bottom' => Edge::Open]);
        $patches = [];
        $covers = [];
        for ($i = 0; $i < $many; $i++) {
            $from = $i === 0 ? -$f : $w * $i / $many;
            $to = $i === $many - 1 ? $w + $f : $w * ($i + 1) / $many;
            $patches[] = $this->patch($many === 1 ? 'unit.flange' : 'unit.flange-'.($i + 1), 'face', [$from, -$f, $to, $h + $f], [], $step);
            if ($i > 0) {
                $covers[] = $this->laid("mullion-cover-$i", $material, PieceKind::Moulded, $at['mullion-covers'], [
                    $this->patch("mullion-cover-$i.face", 'face', [$from - $s['flange_mm'], -$f, $from + $s['flange_mm'], $h + $f], [], $at['mullion-covers']),
                ], null, new CutSize($h + 2 * $f, 2 * $s['flange_mm']), new Edges(['left' => Edge::Sealed, 'right' => Edge::Sealed, 'top' => Edge::Sealed, 'bottom' => Edge::Open]));
            }
        }

        return [$this->laid('unit', $material, PieceKind::Unit, $step, $patches, null, null, $edges), ...$covers];
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
            $this->laid('jamb-strip-left', $material, PieceKind::Membrane, $step, [$this->patch('jamb-strip-left.face', 'face', [$inner - $strip, 0, $inner, $top], [], $step)], null, $cut),
            $this->laid('jamb-strip-right', $material, PieceKind::Membrane, $step, [$this->patch('jamb-strip-right.face', 'face', [$w - $inner, 0, $w - $inner + $strip, $top], [], $step)], null, $cut),
        ];
    }

    /**
     * @param  array<string, float>  $s
     */
    protected function headStrip(array $s, Material $material, int $step, ?Edges $edges = null): Piece
    {
        [$w, $side] = [$s['width_mm'], $this->flapSide($s)];
        $foot = $s['height_mm'] - $this->stripInner($s);

        return $this->laid('head-strip', $material, PieceKind::Membrane, $step, [
            $this->patch('head-strip.face', 'face', [-$side, $foot, $w + $side, $foot + $s['head_strip_mm']], [], $step),
        ], PieceRole::HeadFlashing, new CutSize($w + 2 * $side, $s['head_strip_mm']), $edges);
    }
}
