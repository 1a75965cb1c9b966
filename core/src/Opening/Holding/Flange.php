<?php

declare(strict_types=1);

namespace Apron\Opening\Holding;

use Apron\Detail\CutSize;
use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\Unit;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Lay;
use Apron\Opening\Composition;
use Apron\Opening\Part;
use Apron\Opening\Scheme;
use Apron\Trace\Outcome;

/**
 * A unit with a nailing flange at the face: bedded in sealant at jambs and head, open at its foot, and flashed over,
 * with strips or with a coat. In the reveal of a board the flashing of the head stands in for the head strip.
 */
final class Flange extends Part implements Held
{
    public function groups(Composition $of): array
    {
        return ['flanged'];
    }

    public function materials(Composition $of): array
    {
        return [
            'unit_material' => 'window-unit',
            ...$of->has('over_flange', 'fluid')
                ? ['flashing_material' => 'fluid-flashing']
                : ['strip_material' => 'flashing-strip'],
        ];
    }

    /**
     * What leaks at the unit comes out behind its flange's open foot. A coat over the flange relies on its seal, unless
     * the plane comes down over it.
     */
    public function worst(Composition $of): Outcome
    {
        return $of->has('over_flange', 'fluid') && ! $of->plane->comesDownOverHead($of)
            ? Outcome::ReliesOnSeal
            : Outcome::Recovered;
    }

    private static function coated(Scheme $in): bool
    {
        return $in->of->has('over_flange', 'fluid');
    }

    private static function behindBoard(Scheme $in): bool
    {
        return $in->of->has('outboard', 'board');
    }

    private static function headStep(Scheme $in): string
    {
        return $in->of->plane->comesDownOverHead($in->of) ? 'head-strip' : 'head-strip-taped';
    }

    public function steps(Scheme $in): array
    {
        $flashed = self::coated($in) ? ['flange-flashing'] : ['jamb-strips'];
        if (! self::coated($in) && ! self::behindBoard($in)) {
            $flashed[] = self::headStep($in);
        }

        return [
            'unit-in-sealant',
            ...$in->figure('mullions') > 0 ? ['mullion-covers'] : [],
            ...$flashed,
            InnerSeal::of($in->of)->step(),
        ];
    }

    public function set(Scheme $in): Unit
    {
        return new Unit(
            0.0,
            min($in->mm('frame_depth'), $in->mm('depth')),
            'unit',
            InnerSeal::of($in->of)->joints(Edge::Sealed, Edge::Open),
        );
    }

    /** How far the flange lies on the face beyond the opening. */
    private static function onFace(Scheme $in): float
    {
        return $in->mm('flange') - $in->mm('clearance');
    }

    /** From the arris of the opening inward to where the strips end, just clear of the frame. */
    private static function inner(Scheme $in): float
    {
        return $in->mm('clearance') - $in->mm('strip_clear_of_frame');
    }

    /** The foot of the head strip above the opening: on the frame, or above the drip of a rigid cap. */
    private static function headStripFoot(Scheme $in): float
    {
        return $in->of->has('head_cap', 'rigid') ? 0.0 : -self::inner($in);
    }

    public function besideReach(Scheme $in): float
    {
        return self::coated($in)
            ? self::onFace($in) + $in->mm('face_return')
            : $in->mm('jamb_strip') - self::inner($in);
    }

    public function headCoverTop(Scheme $in): float
    {
        return self::coated($in)
            ? self::onFace($in) + $in->mm('face_return')
            : self::headStripFoot($in) + $in->mm('head_strip');
    }

    public function headCoverSide(Scheme $in): float
    {
        return $this->besideReach($in) + $in->mm('head_strip_past_jamb');
    }

    public function sheetCut(Scheme $in): float
    {
        return $in->mm('sheet_cut_above_head');
    }

    public function pieces(Scheme $in): array
    {
        return [
            ...$this->units($in),
            ...self::coated($in) ? [$this->coat($in)] : $this->jambStrips($in),
            ...self::coated($in) || self::behindBoard($in) ? [] : [$this->headStrip($in)],
        ];
    }

    /** Bedded at the jambs and the head; the bottom flange stays open, or the pan would be a bath. */
    private static function bedded(): Edges
    {
        return new Edges([
            'left' => Edge::Sealed,
            'right' => Edge::Sealed,
            'top' => Edge::Sealed,
            'bottom' => Edge::Open,
        ]);
    }

    /**
     * The unit, or several coupled side by side: between two of them their flanges only meet, so a cover lies over each
     * mullion, sealed at its sides and open at its foot.
     *
     * @return list<Piece>
     */
    private function units(Scheme $in): array
    {
        [$w, $h, $f, $flange] = [$in->mm('width'), $in->mm('height'), self::onFace($in), $in->mm('flange')];
        [$material, $step] = [$in->material('unit'), $in->at('unit-in-sealant')];
        $many = (int) $in->figure('mullions') + 1;
        $patches = [];
        $covers = [];
        for ($i = 0; $i < $many; $i++) {
            $from = $i === 0 ? -$f : ($w * $i) / $many;
            $to = $i === $many - 1 ? $w + $f : ($w * ($i + 1)) / $many;
            $patches[] = Lay::patch(
                $many === 1 ? 'unit.flange' : 'unit.flange-'.($i + 1),
                'face',
                [$from, -$f, $to, $h + $f],
                [],
                $step,
            );
            if ($i > 0) {
                $cover = $in->at('mullion-covers');
                $covers[] = Lay::piece(
                    "mullion-cover-$i",
                    $material,
                    PieceKind::Moulded,
                    $cover,
                    [
                        Lay::patch(
                            "mullion-cover-$i.face",
                            'face',
                            [$from - $flange, -$f, $from + $flange, $h + $f],
                            [],
                            $cover,
                        ),
                    ],
                    null,
                    new CutSize($h + 2 * $f, 2 * $flange),
                    self::bedded(),
                );
            }
        }

        return [
            Lay::piece('unit', $material, PieceKind::Unit, $step, $patches, null, null, self::bedded()),
            ...$covers,
        ];
    }

    /** @return list<Piece> from level with the sill, so that no bonded edge closes the drain under the flange */
    private function jambStrips(Scheme $in): array
    {
        [$w, $inner, $strip] = [$in->mm('width'), self::inner($in), $in->mm('jamb_strip')];
        $top = $in->mm('height') + $in->mm('jamb_strip_past_head');
        $strips = [];
        foreach (
            ['left' => [$inner - $strip, $inner], 'right' => [$w - $inner, $w - $inner + $strip]] as $hand => [$u0, $u1]
        ) {
            $strips[] = Lay::onFace(
                "jamb-strip-$hand",
                $in->material('strip'),
                PieceKind::Membrane,
                $in->at('jamb-strips'),
                [$u0, 0, $u1, $top],
                null,
                new CutSize($top, $strip),
            );
        }

        return $strips;
    }

    private function headStrip(Scheme $in): Piece
    {
        [$w, $side, $foot, $step] = [
            $in->mm('width'),
            $this->headCoverSide($in),
            $in->mm('height') + self::headStripFoot($in),
            $in->at(self::headStep($in)),
        ];

        return Lay::piece(
            'head-strip',
            $in->material('strip'),
            PieceKind::Membrane,
            $step,
            [
                Lay::patch(
                    'head-strip.face',
                    'face',
                    [-$side, $foot, $w + $side, $foot + $in->mm('head_strip')],
                    [],
                    $step,
                ),
            ],
            PieceRole::HeadFlashing,
            new CutSize($w + 2 * $side, $in->mm('head_strip')),
            $in->of->plane->headEdges($in->of),
        );
    }

    /** Over the flange at both jambs and the head, joined wet; nothing over the bottom flange. */
    private function coat(Scheme $in): Piece
    {
        [$w, $h, $inner, $out] = [
            $in->mm('width'),
            $in->mm('height'),
            self::inner($in),
            self::onFace($in) + $in->mm('face_return'),
        ];
        $step = $in->at('flange-flashing');

        return Lay::piece('flange-flashing', $in->material('flashing'), PieceKind::Fluid, $step, [
            Lay::patch('flange-flashing.left', 'face', [-$out, 0, $inner, $h - $inner], ['g'], $step),
            Lay::patch('flange-flashing.right', 'face', [$w - $inner, 0, $w + $out, $h - $inner], ['g'], $step),
            Lay::patch('flange-flashing.head', 'face', [-$out, $h - $inner, $w + $out, $h + $out], ['g'], $step),
        ]);
    }

    public function figures(string $does, Scheme $in): ?array
    {
        return match ($does) {
            'unit-in-sealant', 'mullion-covers' => ['clearance_mm' => $in->mm('clearance')],
            'jamb-strips' => ['past_mm' => $in->mm('jamb_strip_past_head')],
            'head-strip', 'head-strip-taped' => ['past_mm' => $in->mm('head_strip_past_jamb')],
            'flange-flashing' => ['past_mm' => $in->mm('face_return')],
            InnerSeal::of($in->of)->step() => [],
            default => null,
        };
    }

    public function demandRoom(Scheme $in): void
    {
        if ($in->mm('clearance') >= $in->mm('flange')) {
            throw new CannotGenerate(
                'clearance_mm',
                $in->mm('clearance'),
                sprintf('less than the flange, %g mm, which must lie on the face', $in->mm('flange')),
            );
        }
        if ($in->mm('clearance') < $in->mm('strip_clear_of_frame')) {
            throw new CannotGenerate(
                'strip_clear_of_frame_mm',
                $in->mm('strip_clear_of_frame'),
                sprintf('no more than the clearance, %g mm', $in->mm('clearance')),
            );
        }
        $in->demandWholeUnits();
        $this->demandHeadRoom($in);
    }

    private function demandHeadRoom(Scheme $in): void
    {
        if (self::behindBoard($in)) {
            $this->demandRoomUnderFlashing($in);

            return;
        }
        $needed = max($this->headCoverTop($in), $this->headCoverSide($in));
        if ($in->mm('margin') <= $needed) {
            throw new CannotGenerate(
                'margin_mm',
                $in->mm('margin'),
                sprintf('more than %g mm, where the strips end', $needed),
            );
        }
        if (
            ! self::coated($in) &&
            $in->of->has('plane', 'fastened-sheet') &&
            $in->of->has('first', 'field') &&
            $in->mm('jamb_strip_past_head') > $in->mm('sheet_cut_above_head')
        ) {
            throw new CannotGenerate(
                'jamb_strip_past_head_mm',
                $in->mm('jamb_strip_past_head'),
                sprintf(
                    'no more than the cut above the head, %g mm, so that the jamb strips lie on sheet',
                    $in->mm('sheet_cut_above_head'),
                ),
            );
        }
    }

    /** The flashing of the head covers the flange and what lies over it, and stays on the wall that is drawn. */
    private function demandRoomUnderFlashing(Scheme $in): void
    {
        $in->demandBelow(
            'jamb_strip_mm',
            $in->mm('margin') + self::inner($in) - $in->mm('head_strip_past_jamb'),
            'so that the head flashing past the jamb strips stays on the wall that is drawn',
        );
        $in->demandBelow(
            'jamb_strip_past_head_mm',
            $in->mm('upstand') - $in->mm('membrane_lap') + 1,
            'the upstand less its lap, so that the head flashing covers the jamb strips',
        );
        $in->demandBelow(
            'flange_mm',
            $in->mm('upstand') + $in->mm('clearance'),
            'so that the head flashing covers the flange',
        );
    }
}
