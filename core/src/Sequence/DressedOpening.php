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

/**
 * A unit in an opening, whatever the water plane round it is: its sizes, the pan, the liners of jambs and head, and, as most have
 * one, a nailing flange at the outer face. What is peculiar to a water plane or to a unit without flange is in the classes
 * that extend it.
 */
abstract class DressedOpening implements Generator
{
    /** @var string what the project file calls the method; each says its own */
    public const NAME = '';

    /** @var array<string, string> material parameter => the id it starts at */
    protected const MATERIALS = [];

    /** @var array<string, array{value: float|int, situation: string}> */
    protected array $figures;

    /** @var array<string, float> */
    protected array $least;

    public function __construct(?string $file = null)
    {
        /** @var array{figures: array<string, array{value: float|int, situation: string}>, least: array<string, float>} $data */
        $data = json_decode((string) file_get_contents($file ?? dirname(__DIR__, 2).'/data/figures/flanged-sheet.json'), true, 8, JSON_THROW_ON_ERROR);
        $this->figures = $data['figures'];
        $this->least = $data['least'];
    }

    public function name(): string
    {
        return static::NAME;
    }

    /**
     * @param  array<string, float>  $s  sizes
     * @param  array<string, Material>  $used
     * @return list<Piece>
     */
    abstract protected function pieces(array $s, array $used): array;

    /**
     * @param  array<string, float>  $s
     * @return list<Step>
     */
    abstract protected function steps(array $s): array;

    public function make(string $id, string $title, array $parameters, Materials $materials): Detail
    {
        $size = $this->sizes($parameters);
        $used = $this->materials($parameters, $materials);
        $opening = new Opening(
            width: $size['width_mm'], height: $size['height_mm'], depth: $size['depth_mm'], margin: $size['margin_mm'],
            sillPitch: SillPitch::Out, sillFall: $size['sill_fall_mm'], backDam: $size['back_dam_mm'], headOfWater: $size['head_of_water_mm'],
        );

        return new Detail(
            id: $id, title: $title, opening: $opening, facets: $opening->facets(), folds: [], release: null, tolerant: [],
            unit: $this->set($size),
            pieces: $this->pieces($size, $used), penetrations: [], fasteners: [], framing: [],
            leastLaps: $this->leastLaps(),
            panUpturn: $size['pan_upturn_mm'],
            steps: $this->steps($size),
            generated: new Generated($this->name(), $parameters),
        );
    }

    /** @return list<string> the parameters it takes, sizes first */
    public function parameters(): array
    {
        return ['width_mm', 'height_mm', 'depth_mm', 'head_of_water_mm', ...array_keys($this->figures), ...array_keys(static::MATERIALS)];
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
            if (! isset(static::MATERIALS[$name])) {
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
    protected function demandRoom(array $s): void
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
        foreach (static::MATERIALS as $name => $usual) {
            $id = $parameters[$name] ?? $usual;
            $used[$name] = $materials->find((string) $id) ?? throw new CannotGenerate($name, $id, 'the id of a material of the project or the catalogue');
        }

        return $used;
    }

    /**
     * Where the unit sits and how its joints are closed: the flange on the face, its frame reaching in by what such units commonly do.
     *
     * @param  array<string, float>  $s
     */
    protected function set(array $s): Unit
    {
        $closed = new UnitJoint(Edge::Sealed, true, true);

        return new Unit(0.0, min($s['frame_depth_mm'], $s['depth_mm']), 'unit', [
            'sill' => new UnitJoint(Edge::Open, true, true), 'head' => $closed, 'jamb-left' => $closed, 'jamb-right' => $closed,
        ]);
    }

    /** @return list<LeastLap> */
    protected function leastLaps(): array
    {
        $lap = $this->least['membrane_lap_mm'];

        return [
            new LeastLap('membrane', 'membrane', $lap, $lap),
            new LeastLap('formable', 'membrane', $lap, $lap),
            new LeastLap('membrane', 'formable', $lap, $lap),
            new LeastLap('membrane', 'sheet', $lap, $lap),
            new LeastLap('sheet', 'membrane', $this->least['flap_over_head_strip_mm'], $lap),
            new LeastLap('tape', 'sheet', $this->least['slit_tape_side_mm'], $this->least['slit_tape_side_mm']),
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
     * The jamb strip's inner edge stops at the frame of the unit, clear of it.
     *
     * @param  array<string, float>  $s
     */
    protected function jambStripInner(array $s): float
    {
        return $s['clearance_mm'] - $s['strip_clear_of_frame_mm'];
    }

    /**
     * The head strip starts just above the frame.
     *
     * @param  array<string, float>  $s
     */
    protected function headStripBelow(array $s): float
    {
        return $s['clearance_mm'] - $s['strip_clear_of_frame_mm'];
    }

    /**
     * From the side of the opening to the end of the head strip, and so to the slit.
     *
     * @param  array<string, float>  $s
     */
    protected function flapSide(array $s): float
    {
        return $s['jamb_strip_mm'] - $this->jambStripInner($s) + $s['head_strip_past_jamb_mm'];
    }

    /**
     * @param  array<string, float>  $s
     */
    protected function flapTop(array $s): float
    {
        return $s['height_mm'] + $s['sheet_cut_above_head_mm'] + $s['flap_mm'];
    }

    /**
     * @param  array<string, float>  $s
     */
    protected function pan(array $s, Material $material, int $step): Piece
    {
        [$w, $d, $up, $face] = [$s['width_mm'], $s['depth_mm'], $s['pan_upturn_mm'], $s['face_return_mm']];

        return new Piece('pan', $material, PieceKind::Formable, PieceRole::Pan, true, false, $step, null, new Edges, [
            $this->patch('pan.sill', 'sill', [0, 0, $w, $d], ['p'], $step),
            $this->patch('pan.jamb-left', 'jamb-left', [0, 0, $d, $up], ['p'], $step),
            $this->patch('pan.jamb-right', 'jamb-right', [0, 0, $d, $up], ['p'], $step),
            $this->patch('pan.face', 'face', [-$face, -$face, $w + $face, 0], ['p'], $step),
            $this->patch('pan.ear-left', 'face', [-$face, 0, 0, $up], ['p'], $step),
            $this->patch('pan.ear-right', 'face', [$w, 0, $w + $face, $up], ['p'], $step),
        ], new CutSize($w + 2 * $up, $d + $face));
    }

    /**
     * @param  array<string, float>  $s
     * @return list<Piece>
     */
    protected function jambLiners(array $s, Material $material, int $step): array
    {
        [$w, $h, $d, $face] = [$s['width_mm'], $s['height_mm'], $s['depth_mm'], $s['face_return_mm']];
        $foot = $s['pan_upturn_mm'] - $s['membrane_lap_mm'];
        $cut = new CutSize($h - $foot, $d + $face);

        return [
            new Piece('liner-left', $material, PieceKind::Membrane, null, true, false, $step, null, new Edges, [
                $this->patch('liner-left.jamb', 'jamb-left', [0, $foot, $d, $h], ['l'], $step),
                $this->patch('liner-left.face', 'face', [-$face, $foot, 0, $h], ['l'], $step),
            ], $cut),
            new Piece('liner-right', $material, PieceKind::Membrane, null, true, false, $step, null, new Edges, [
                $this->patch('liner-right.jamb', 'jamb-right', [0, $foot, $d, $h], ['r'], $step),
                $this->patch('liner-right.face', 'face', [$w, $foot, $w + $face, $h], ['r'], $step),
            ], $cut),
        ];
    }

    /**
     * Without it the inner seal at the head would lie on bare wood, and the wall's air layer would stop short of the unit.
     *
     * @param  array<string, float>  $s
     */
    protected function headLiner(array $s, Material $material, int $step): Piece
    {
        [$w, $h, $d, $face, $leg] = [$s['width_mm'], $s['height_mm'], $s['depth_mm'], $s['face_return_mm'], $s['membrane_lap_mm']];

        return new Piece('head-liner', $material, PieceKind::Formable, null, true, false, $step, null, new Edges, [
            $this->patch('head-liner.head', 'head', [0, 0, $w, $d], ['t'], $step),
            $this->patch('head-liner.jamb-left', 'jamb-left', [0, $h - $leg, $d, $h], ['t'], $step),
            $this->patch('head-liner.jamb-right', 'jamb-right', [0, $h - $leg, $d, $h], ['t'], $step),
            $this->patch('head-liner.face', 'face', [-$face, $h, $w + $face, $h + $face], ['t'], $step),
            $this->patch('head-liner.ear-left', 'face', [-$face, $h - $leg, 0, $h], ['t'], $step),
            $this->patch('head-liner.ear-right', 'face', [$w, $h - $leg, $w + $face, $h], ['t'], $step),
        ], new CutSize($w + 2 * $leg, $d + $face));
    }

    /**
     * @param  array<string, float>  $s
     */
    protected function unit(array $s, Material $material, int $step): Piece
    {
        $f = $this->flangeOnFace($s);
        // Bedded in sealant at the jambs and the head; the bottom flange stays open, or the pan would be a bath.
        $edges = new Edges(['left' => Edge::Sealed, 'right' => Edge::Sealed, 'top' => Edge::Sealed, 'bottom' => Edge::Open]);

        return new Piece('unit', $material, PieceKind::Unit, null, true, false, $step, null, $edges, [
            $this->patch('unit.flange', 'face', [-$f, -$f, $s['width_mm'] + $f, $s['height_mm'] + $f], [], $step),
        ], null);
    }

    /**
     * @param  array<string, float>  $s
     * @return list<Piece>
     */
    protected function jambStrips(array $s, Material $material, int $step): array
    {
        [$w, $inner, $strip] = [$s['width_mm'], $this->jambStripInner($s), $s['jamb_strip_mm']];
        $top = $s['height_mm'] + $s['jamb_strip_past_head_mm'];
        $cut = new CutSize($top, $strip);

        return [
            new Piece('jamb-strip-left', $material, PieceKind::Membrane, null, true, false, $step, null, new Edges, [
                $this->patch('jamb-strip-left.face', 'face', [$inner - $strip, 0, $inner, $top], [], $step),
            ], $cut),
            new Piece('jamb-strip-right', $material, PieceKind::Membrane, null, true, false, $step, null, new Edges, [
                $this->patch('jamb-strip-right.face', 'face', [$w - $inner, 0, $w - $inner + $strip, $top], [], $step),
            ], $cut),
        ];
    }

    /**
     * @param  array<string, float>  $s
     */
    protected function headStrip(array $s, Material $material, int $step): Piece
    {
        [$w, $side] = [$s['width_mm'], $this->flapSide($s)];
        $foot = $s['height_mm'] - $this->headStripBelow($s);

        return new Piece('head-strip', $material, PieceKind::Membrane, PieceRole::HeadFlashing, true, false, $step, null, new Edges, [
            $this->patch('head-strip.face', 'face', [-$side, $foot, $w + $side, $foot + $s['head_strip_mm']], [], $step),
        ], new CutSize($w + 2 * $side, $s['head_strip_mm']));
    }

    /**
     * @param  array{float, float, float, float}  $rect
     * @param  list<string>  $joined
     */
    protected function patch(string $id, string $facet, array $rect, array $joined, int $step): Patch
    {
        return new Patch($id, $facet, new Rect(...$rect), $joined, $step, null, new Edges, false);
    }
}
