<?php

namespace Apron\Sequence;

use Apron\Detail\CutSize;
use Apron\Detail\Detail;
use Apron\Detail\Edge;
use Apron\Detail\Edges;
use Apron\Detail\Generated;
use Apron\Detail\LeastLap;
use Apron\Detail\Opening;
use Apron\Detail\Patch;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\Rect;
use Apron\Detail\SillPitch;
use Apron\Detail\Step;
use Apron\Detail\Unit;
use Apron\Detail\UnitJoint;
use Apron\Material\Material;
use Apron\Material\Materials;
use Apron\Trace\Outcome;

/**
 * A unit with a nailing flange in a mechanically fastened sheet: sheet cut and turned in, head flap held up, sill pan,
 * jamb liners over the pan's upturns, unit, jamb strips over the flange, head strip, flap down, slits taped.
 *
 * Every lap sheds but the two slit tapes beside the flap, which rely on their bond. The sheet is cut straight across above
 * the head, as high as the jamb strips reach, and slit upward where the head strip ends: so the flap is as wide as the head
 * strip and its whole top edge lies under sheet. The jamb strips stop level with the sill, so that no bonded edge closes
 * the drain under the bottom flange.
 */
final class FlangedUnitInFastenedSheet implements Generator
{
    /** The worst that its school permits: over the slits of the flap the tapes rely on their bond. */
    public const WORST = Outcome::ReliesOnBond;

    public const NAME = 'flanged-unit-in-fastened-sheet';

    /** What each material parameter starts at. */
    private const MATERIALS = [
        'sheet_material' => 'polyolefin-wrap', 'pan_material' => 'flashing-formable', 'strip_material' => 'flashing-strip',
        'tape_material' => 'seam-tape', 'unit_material' => 'window-unit',
    ];

    /** @var array<string, array{value: float|int, situation: string}> */
    private array $figures;

    /** @var array<string, float> */
    private array $least;

    public function __construct(?string $file = null)
    {
        /** @var array{figures: array<string, array{value: float|int, situation: string}>, least: array<string, float>} $data */
        $data = json_decode((string) file_get_contents($file ?? dirname(__DIR__, 2).'/data/figures/flanged-sheet.json'), true, 8, JSON_THROW_ON_ERROR);
        $this->figures = $data['figures'];
        $this->least = $data['least'];
    }

    public function name(): string
    {
        return self::NAME;
    }

    public function make(string $id, string $title, array $parameters, Materials $materials): Detail
    {
        $size = $this->sizes($parameters);
        $used = $this->materials($parameters, $materials);
        $opening = new Opening(
            width: $size['width_mm'], height: $size['height_mm'], depth: $size['depth_mm'], margin: $size['margin_mm'],
            sillPitch: SillPitch::Out, sillFall: $size['sill_fall_mm'], backDam: $size['back_dam_mm'], headOfWater: $size['head_of_water_mm'],
        );
        $pieces = [
            $this->sheet($size, $used['sheet_material']),
            $this->pan($size, $used['pan_material']),
            ...$this->jambLiners($size, $used['strip_material']),
            $this->headLiner($size, $used['pan_material']),
            $this->unit($size, $used['unit_material']),
            ...$this->jambStrips($size, $used['strip_material']),
            $this->headStrip($size, $used['strip_material']),
            ...$this->slitTapes($size, $used['tape_material']),
        ];
        // The flange sits on the face; its frame reaches in by what such units commonly do.
        $closed = new UnitJoint(Edge::Sealed, true, true);

        return new Detail(
            id: $id, title: $title, opening: $opening, facets: $opening->facets(), folds: [], release: null, tolerant: [],
            unit: new Unit(0.0, min($size['frame_depth_mm'], $size['depth_mm']), 'unit', [
                'sill' => new UnitJoint(Edge::Open, true, true), 'head' => $closed, 'jamb-left' => $closed, 'jamb-right' => $closed,
            ]),
            pieces: $pieces, penetrations: [], fasteners: [], framing: [],
            leastLaps: [
                new LeastLap('membrane', 'membrane', $this->least['membrane_lap_mm'], $this->least['membrane_lap_mm']),
                new LeastLap('formable', 'membrane', $this->least['membrane_lap_mm'], $this->least['membrane_lap_mm']),
                new LeastLap('membrane', 'formable', $this->least['membrane_lap_mm'], $this->least['membrane_lap_mm']),
                new LeastLap('membrane', 'sheet', $this->least['membrane_lap_mm'], $this->least['membrane_lap_mm']),
                new LeastLap('sheet', 'membrane', $this->least['flap_over_head_strip_mm'], $this->least['membrane_lap_mm']),
                new LeastLap('tape', 'sheet', $this->least['slit_tape_side_mm'], $this->least['slit_tape_side_mm']),
            ],
            panUpturn: $size['pan_upturn_mm'],
            steps: $this->steps($size),
            generated: new Generated(self::NAME, $parameters),
        );
    }

    /** @return list<string> the parameters it takes, sizes first */
    public function parameters(): array
    {
        return ['width_mm', 'height_mm', 'depth_mm', 'head_of_water_mm', ...array_keys($this->figures), ...array_keys(self::MATERIALS)];
    }

    /**
     * @param  array<string, float|string>  $parameters
     * @return array<string, float>
     */
    private function sizes(array $parameters): array
    {
        $size = array_map(fn (array $figure): float => (float) $figure['value'], $this->figures) + ['head_of_water_mm' => 0.0];
        foreach ($parameters as $name => $value) {
            if (! in_array($name, $this->parameters(), true)) {
                throw new CannotGenerate($name, $value, 'one of '.implode(', ', $this->parameters()));
            }
            if (! isset(self::MATERIALS[$name])) {
                $size[$name] = is_string($value) ? throw new CannotGenerate($name, $value, 'a number of mm') : $value;
            }
        }
        foreach (['width_mm' => [300, 6000], 'height_mm' => [300, 6000], 'depth_mm' => [60, 1000]] as $name => [$least, $most]) {
            $value = $size[$name] ?? throw new CannotGenerate($name, 'nothing', "a size from $least to $most mm");
            if ($value < $least || $value > $most) {
                throw new CannotGenerate($name, $value, "$least to $most mm");
            }
        }
        foreach ($this->figures as $name => $figure) {
            if ($size[$name] <= 0) {
                throw new CannotGenerate($name, $size[$name], "a length above 0 mm: {$figure['situation']}");
            }
        }
        $this->demandRoom($size);

        return $size;
    }

    /**
     * @param  array<string, float>  $s
     */
    private function demandRoom(array $s): void
    {
        $needed = max(
            $this->flapSide($s) + $s['slit_tape_mm'] / 2,
            $this->flapTop($s) + $s['slit_tape_mm'] / 2 - $s['height_mm'],
            $s['face_return_mm'],
        );
        if ($s['margin_mm'] <= $needed) {
            throw new CannotGenerate('margin_mm', $s['margin_mm'], sprintf('more than %g mm, where the slit tapes end', $needed));
        }
        if ($s['clearance_mm'] >= $s['flange_mm']) {
            throw new CannotGenerate('clearance_mm', $s['clearance_mm'], sprintf('less than the flange, %g mm, which must lie on the face', $s['flange_mm']));
        }
        if ($s['jamb_strip_past_head_mm'] > $s['sheet_cut_above_head_mm']) {
            throw new CannotGenerate('jamb_strip_past_head_mm', $s['jamb_strip_past_head_mm'], sprintf('no more than the cut above the head, %g mm, so that the jamb strips lie on sheet', $s['sheet_cut_above_head_mm']));
        }
        $headStripTop = $s['head_strip_mm'] - $this->headStripBelow($s);
        if ($headStripTop - $s['sheet_cut_above_head_mm'] < $this->least['flap_over_head_strip_mm']) {
            throw new CannotGenerate('head_strip_mm', $s['head_strip_mm'], sprintf('enough for the flap to lap it by %g mm', $this->least['flap_over_head_strip_mm']));
        }
        if ($headStripTop >= $s['sheet_cut_above_head_mm'] + $s['flap_mm']) {
            throw new CannotGenerate('flap_mm', $s['flap_mm'], 'a flap that reaches above the head strip');
        }
        if ($s['height_mm'] < $s['pan_upturn_mm'] + $s['membrane_lap_mm']) {
            throw new CannotGenerate('height_mm', $s['height_mm'], 'an opening taller than the pan upturn and its lap');
        }
    }

    /**
     * @param  array<string, float|string>  $parameters
     * @return array<string, Material>
     */
    private function materials(array $parameters, Materials $materials): array
    {
        $used = [];
        foreach (self::MATERIALS as $name => $usual) {
            $id = $parameters[$name] ?? $usual;
            $used[$name] = $materials->find((string) $id) ?? throw new CannotGenerate($name, $id, 'the id of a material of the project or the catalogue');
        }

        return $used;
    }

    /**
     * How far the flange lies on the face beyond the opening.
     *
     * @param  array<string, float>  $s
     */
    private function flangeOnFace(array $s): float
    {
        return $s['flange_mm'] - $s['clearance_mm'];
    }

    /**
     * The jamb strip's inner edge stops at the frame of the unit, clear of it.
     *
     * @param  array<string, float>  $s
     */
    private function jambStripInner(array $s): float
    {
        return $s['clearance_mm'] - $s['strip_clear_of_frame_mm'];
    }

    /**
     * The head strip starts just above the frame.
     *
     * @param  array<string, float>  $s
     */
    private function headStripBelow(array $s): float
    {
        return $s['clearance_mm'] - $s['strip_clear_of_frame_mm'];
    }

    /**
     * From the side of the opening to the end of the head strip, and so to the slit.
     *
     * @param  array<string, float>  $s
     */
    private function flapSide(array $s): float
    {
        return $s['jamb_strip_mm'] - $this->jambStripInner($s) + $s['head_strip_past_jamb_mm'];
    }

    /**
     * @param  array<string, float>  $s
     */
    private function flapTop(array $s): float
    {
        return $s['height_mm'] + $s['sheet_cut_above_head_mm'] + $s['flap_mm'];
    }

    /**
     * @param  array<string, float>  $s
     */
    private function sheet(array $s, Material $material): Piece
    {
        [$w, $h, $m, $d] = [$s['width_mm'], $s['height_mm'], $s['margin_mm'], $s['depth_mm']];
        $cut = $h + $s['sheet_cut_above_head_mm'];
        [$side, $top] = [$this->flapSide($s), $this->flapTop($s)];
        $field = ['field'];

        return new Piece('sheet', $material, PieceKind::Sheet, PieceRole::Plane, true, true, 1, null, new Edges, [
            $this->patch('sheet.below', 'face', [-$m, -$m, $w + $m, 0], ['field', 'in-sill'], 1),
            $this->patch('sheet.left', 'face', [-$m, 0, 0, $cut], ['field', 'in-left'], 1),
            $this->patch('sheet.right', 'face', [$w, 0, $w + $m, $cut], ['field', 'in-right'], 1),
            $this->patch('sheet.above-left', 'face', [-$m, $cut, -$side, $top], $field, 1),
            $this->patch('sheet.above-right', 'face', [$w + $side, $cut, $w + $m, $top], $field, 1),
            $this->patch('sheet.above', 'face', [-$m, $top, $w + $m, $h + $m], ['field', 'flap'], 1),
            $this->patch('sheet.flap', 'face', [-$side, $cut, $w + $side, $top], ['flap'], 8),
            $this->patch('sheet.in-sill', 'sill', [0, 0, $w, $d], ['in-sill'], 1),
            $this->patch('sheet.in-left', 'jamb-left', [0, 0, $d, $h], ['in-left'], 1),
            $this->patch('sheet.in-right', 'jamb-right', [0, 0, $d, $h], ['in-right'], 1),
        ], null);
    }

    /**
     * @param  array<string, float>  $s
     */
    private function pan(array $s, Material $material): Piece
    {
        [$w, $d, $up, $face] = [$s['width_mm'], $s['depth_mm'], $s['pan_upturn_mm'], $s['face_return_mm']];

        return new Piece('pan', $material, PieceKind::Formable, PieceRole::Pan, true, false, 2, null, new Edges, [
            $this->patch('pan.sill', 'sill', [0, 0, $w, $d], ['p'], 2),
            $this->patch('pan.jamb-left', 'jamb-left', [0, 0, $d, $up], ['p'], 2),
            $this->patch('pan.jamb-right', 'jamb-right', [0, 0, $d, $up], ['p'], 2),
            $this->patch('pan.face', 'face', [-$face, -$face, $w + $face, 0], ['p'], 2),
            $this->patch('pan.ear-left', 'face', [-$face, 0, 0, $up], ['p'], 2),
            $this->patch('pan.ear-right', 'face', [$w, 0, $w + $face, $up], ['p'], 2),
        ], new CutSize($w + 2 * $up, $d + $face));
    }

    /**
     * @param  array<string, float>  $s
     * @return list<Piece>
     */
    private function jambLiners(array $s, Material $material): array
    {
        [$w, $h, $d, $face] = [$s['width_mm'], $s['height_mm'], $s['depth_mm'], $s['face_return_mm']];
        $foot = $s['pan_upturn_mm'] - $s['membrane_lap_mm'];
        $cut = new CutSize($h - $foot, $d + $face);

        return [
            new Piece('liner-left', $material, PieceKind::Membrane, null, true, false, 3, null, new Edges, [
                $this->patch('liner-left.jamb', 'jamb-left', [0, $foot, $d, $h], ['l'], 3),
                $this->patch('liner-left.face', 'face', [-$face, $foot, 0, $h], ['l'], 3),
            ], $cut),
            new Piece('liner-right', $material, PieceKind::Membrane, null, true, false, 3, null, new Edges, [
                $this->patch('liner-right.jamb', 'jamb-right', [0, $foot, $d, $h], ['r'], 3),
                $this->patch('liner-right.face', 'face', [$w, $foot, $w + $face, $h], ['r'], 3),
            ], $cut),
        ];
    }

    /**
     * Without it the inner seal at the head would lie on bare wood, and the wall's air layer would stop short of the unit.
     *
     * @param  array<string, float>  $s
     */
    private function headLiner(array $s, Material $material): Piece
    {
        [$w, $h, $d, $face, $leg] = [$s['width_mm'], $s['height_mm'], $s['depth_mm'], $s['face_return_mm'], $s['membrane_lap_mm']];

        return new Piece('head-liner', $material, PieceKind::Formable, null, true, false, 4, null, new Edges, [
            $this->patch('head-liner.head', 'head', [0, 0, $w, $d], ['t'], 4),
            $this->patch('head-liner.jamb-left', 'jamb-left', [0, $h - $leg, $d, $h], ['t'], 4),
            $this->patch('head-liner.jamb-right', 'jamb-right', [0, $h - $leg, $d, $h], ['t'], 4),
            $this->patch('head-liner.face', 'face', [-$face, $h, $w + $face, $h + $face], ['t'], 4),
            $this->patch('head-liner.ear-left', 'face', [-$face, $h - $leg, 0, $h], ['t'], 4),
            $this->patch('head-liner.ear-right', 'face', [$w, $h - $leg, $w + $face, $h], ['t'], 4),
        ], new CutSize($w + 2 * $leg, $d + $face));
    }

    /**
     * @param  array<string, float>  $s
     */
    private function unit(array $s, Material $material): Piece
    {
        $f = $this->flangeOnFace($s);
        // Bedded in sealant at the jambs and the head; the bottom flange stays open, or the pan would be a bath.
        $edges = new Edges(['left' => Edge::Sealed, 'right' => Edge::Sealed, 'top' => Edge::Sealed, 'bottom' => Edge::Open]);

        return new Piece('unit', $material, PieceKind::Unit, null, true, false, 5, null, $edges, [
            $this->patch('unit.flange', 'face', [-$f, -$f, $s['width_mm'] + $f, $s['height_mm'] + $f], [], 5),
        ], null);
    }

    /**
     * @param  array<string, float>  $s
     * @return list<Piece>
     */
    private function jambStrips(array $s, Material $material): array
    {
        [$w, $inner, $strip] = [$s['width_mm'], $this->jambStripInner($s), $s['jamb_strip_mm']];
        $top = $s['height_mm'] + $s['jamb_strip_past_head_mm'];
        $cut = new CutSize($top, $strip);

        return [
            new Piece('jamb-strip-left', $material, PieceKind::Membrane, null, true, false, 6, null, new Edges, [
                $this->patch('jamb-strip-left.face', 'face', [$inner - $strip, 0, $inner, $top], [], 6),
            ], $cut),
            new Piece('jamb-strip-right', $material, PieceKind::Membrane, null, true, false, 6, null, new Edges, [
                $this->patch('jamb-strip-right.face', 'face', [$w - $inner, 0, $w - $inner + $strip, $top], [], 6),
            ], $cut),
        ];
    }

    /**
     * @param  array<string, float>  $s
     */
    private function headStrip(array $s, Material $material): Piece
    {
        [$w, $side] = [$s['width_mm'], $this->flapSide($s)];
        $foot = $s['height_mm'] - $this->headStripBelow($s);

        return new Piece('head-strip', $material, PieceKind::Membrane, PieceRole::HeadFlashing, true, false, 7, null, new Edges, [
            $this->patch('head-strip.face', 'face', [-$side, $foot, $w + $side, $foot + $s['head_strip_mm']], [], 7),
        ], new CutSize($w + 2 * $side, $s['head_strip_mm']));
    }

    /**
     * @param  array<string, float>  $s
     * @return list<Piece>
     */
    private function slitTapes(array $s, Material $material): array
    {
        $half = $s['slit_tape_mm'] / 2;
        $foot = $s['height_mm'] + $s['sheet_cut_above_head_mm'] - $half;
        $top = $this->flapTop($s) + $half;
        $cut = new CutSize($top - $foot, $s['slit_tape_mm']);
        $tapes = [];
        foreach (['left' => -$this->flapSide($s), 'right' => $s['width_mm'] + $this->flapSide($s)] as $hand => $slit) {
            $tapes[] = new Piece("slit-tape-$hand", $material, PieceKind::Tape, null, true, false, 9, null, new Edges, [
                $this->patch("slit-tape-$hand.face", 'face', [$slit - $half, $foot, $slit + $half, $top], [], 9),
            ], $cut);
        }

        return $tapes;
    }

    /**
     * @param  array<string, float>  $s
     * @return list<Step>
     */
    private function steps(array $s): array
    {
        return [
            new Step(1, 'sheet-cut-and-turned-in', ['cut_above_mm' => $s['sheet_cut_above_head_mm'], 'cut_past_mm' => $this->flapSide($s), 'slit_mm' => $s['flap_mm']]),
            new Step(2, 'sill-pan', ['upturn_mm' => $s['pan_upturn_mm'], 'face_mm' => $s['face_return_mm'], 'dam_mm' => $s['back_dam_mm']]),
            new Step(3, 'jamb-liners', ['lap_mm' => $s['membrane_lap_mm'], 'face_mm' => $s['face_return_mm']]),
            new Step(4, 'head-liner', ['lap_mm' => $s['membrane_lap_mm'], 'face_mm' => $s['face_return_mm']]),
            new Step(5, 'unit-in-sealant', ['clearance_mm' => $s['clearance_mm']]),
            new Step(6, 'jamb-strips', ['past_mm' => $s['jamb_strip_past_head_mm']]),
            new Step(7, 'head-strip', ['past_mm' => $s['head_strip_past_jamb_mm']]),
            new Step(8, 'flap-down', ['lap_mm' => $s['head_strip_mm'] - $this->headStripBelow($s) - $s['sheet_cut_above_head_mm']]),
            new Step(9, 'slit-tapes', ['side_mm' => $s['slit_tape_mm'] / 2]),
            new Step(10, 'inner-air-seal', []),
        ];
    }

    /**
     * @param  array{float, float, float, float}  $rect
     * @param  list<string>  $joined
     */
    private function patch(string $id, string $facet, array $rect, array $joined, int $step): Patch
    {
        return new Patch($id, $facet, new Rect(...$rect), $joined, $step, null, new Edges, false);
    }
}
