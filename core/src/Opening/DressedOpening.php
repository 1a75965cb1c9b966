<?php

declare(strict_types=1);

namespace Apron\Opening;

use Apron\Detail\CutSize;
use Apron\Detail\Detail;
use Apron\Detail\Edge;
use Apron\Detail\FramingMember;
use Apron\Detail\Gap;
use Apron\Detail\Generated;
use Apron\Detail\LeastLap;
use Apron\Detail\OpeningGeometry;
use Apron\Detail\Piece;
use Apron\Detail\PieceKind;
use Apron\Detail\PieceRole;
use Apron\Detail\PlacedFastener;
use Apron\Detail\SillPitch;
use Apron\Detail\Unit;
use Apron\Detail\UnitJoint;
use Apron\Drafting\CannotGenerate;
use Apron\Drafting\Choices;
use Apron\Drafting\DetailGenerator;
use Apron\Drafting\Sizes;
use Apron\Drafting\StepNumbers;
use Apron\Drafting\Used;
use Apron\Json\CoreData;
use Apron\Json\Node;
use Apron\Material\Material;

/**
 * A unit in an opening, whatever the water plane round it is: its sizes, the pan, the liners of jambs and head. What is
 * peculiar to a water plane is in the traits `In…`, to the way the unit is held in `Flanged` and `OnStraps`; a class
 * puts two of them together.
 */
abstract class DressedOpening extends DetailGenerator
{
    protected const EXTENTS = [
        'width_mm' => [300.0, 6000.0],
        'height_mm' => [300.0, 6000.0],
        'depth_mm' => [60.0, 1000.0],
    ];

    /** @var list<string> groups of figures it needs besides those of every opening */
    protected const GROUPS = [];

    /** @var array<string, float> */
    protected readonly array $least;

    public function __construct()
    {
        $data = CoreData::read('figures/openings');
        $own = $data->get('methods')->optional(static::NAME);
        parent::__construct([
            $data->get('figures'),
            ...array_map(fn (string $group): Node => $data->get($group), static::GROUPS),
            ...$own === null ? [] : [$own],
        ]);
        $this->least = array_map(fn (Node $row): float => $row->number(), $data->get('least')->entries());
    }

    /**
     * The codes of its steps, in their order.
     *
     * @return list<string>
     */
    abstract protected function order(Choices $chosen, Sizes $s): array;

    /**
     * @return list<Piece>
     */
    abstract protected function pieces(Sizes $s, Used $used, StepNumbers $at, Choices $chosen): array;

    protected function draw(
        string $id,
        string $title,
        Sizes $s,
        Used $used,
        Choices $chosen,
        Generated $generated,
    ): Detail {
        $opening = new OpeningGeometry(
            width: $s->mm('width'),
            height: $s->mm('height'),
            depth: $s->mm('depth'),
            margin: $s->mm('margin'),
            sillPitch: SillPitch::Out,
            sillFall: $s->mm('sill_fall'),
            backDam: $this->backDam($s),
            headOfWater: $s->mm('head_of_water'),
            outerBoard: $this->outerBoard($s),
        );
        $order = $this->order($chosen, $s);
        $pieces = $this->pieces($s, $used, StepNumbers::inOrder($order), $chosen);

        return new Detail(
            id: $id,
            title: $title,
            opening: $opening,
            facets: $opening->facets(),
            folds: [],
            release: null,
            tolerant: $this->tolerant($chosen),
            unit: $this->set($s, $chosen),
            pieces: $pieces,
            penetrations: [],
            fasteners: $this->fasteners($s, $chosen, $pieces),
            framing: $this->framing($s),
            leastLaps: $this->leastLaps(),
            panUpturn: $s->mm('pan_upturn'),
            steps: $this->numbered(
                array_map(fn (string $does): array => [$does, $this->figuresOf($does, $s)], $order),
            ),
            generated: $generated,
            gaps: $this->gaps($s),
        );
    }

    protected function demandRoom(Sizes $s): void
    {
        if ($s->mm('height') < $s->mm('pan_upturn') + $s->mm('membrane_lap')) {
            throw new CannotGenerate(
                'height_mm',
                $s->mm('height'),
                'an opening taller than the pan upturn and its lap',
            );
        }
        if ($s->mm('margin') <= $s->mm('face_return')) {
            throw new CannotGenerate(
                'margin_mm',
                $s->mm('margin'),
                sprintf('more than the return on the face, %g mm', $s->mm('face_return')),
            );
        }
    }

    /**
     * What stands behind the face, where a method's joints must lie on it.
     *
     * @return list<FramingMember>
     */
    protected function framing(Sizes $s): array
    {
        return [];
    }

    /**
     * Fasteners through the plane that are not made for it.
     *
     * @param  list<Piece>  $pieces
     * @return list<PlacedFastener>
     */
    protected function fasteners(Sizes $s, Choices $chosen, array $pieces): array
    {
        return [];
    }

    /**
     * Volumes of air between the layers.
     *
     * @return list<Gap>
     */
    protected function gaps(Sizes $s): array
    {
        return [];
    }

    /**
     * @return list<string> facets whose substrate bears water
     */
    protected function tolerant(Choices $chosen): array
    {
        return [];
    }

    /** Coupled units side by side, each wide enough to be one. */
    protected function demandWholeUnits(Sizes $s): void
    {
        if ($s->figure('mullions') !== floor($s->figure('mullions'))) {
            throw new CannotGenerate('mullions', $s->figure('mullions'), 'a whole number');
        }
        if ($s->mm('width') / ($s->figure('mullions') + 1) < 300) {
            throw new CannotGenerate('mullions', $s->figure('mullions'), 'units of 300 mm or more each');
        }
    }

    /**
     * What the words of a step speak of.
     *
     * @return array<string, float>
     */
    protected function figuresOf(string $does, Sizes $s): array
    {
        return match ($does) {
            'sill-pan', 'sill-tape', 'threshold-pan' => [
                'upturn_mm' => $s->mm('pan_upturn'),
                'face_mm' => $s->mm('face_return'),
                'dam_mm' => $this->backDam($s),
            ],
            'jamb-liners', 'head-liner' => ['lap_mm' => $s->mm('membrane_lap'), 'face_mm' => $s->mm('face_return')],
            'course-to-arris' => ['lap_mm' => $s->mm('membrane_lap')],
            'unit-in-sealant' => ['clearance_mm' => $s->mm('clearance')],
            'detail-coat' => ['face_mm' => $s->mm('face_return')],
            default => [],
        };
    }

    protected function backDam(Sizes $s): float
    {
        return $s->mm('back_dam');
    }

    /** Thickness of the board over the face, where the opening has a second plane. */
    protected function outerBoard(Sizes $s): float
    {
        return 0.0;
    }

    /**
     * Where the unit sits and how its joints are closed: its outer face on the face of the wall, its frame reaching in
     * by what such units commonly do.
     */
    protected function set(Sizes $s, Choices $chosen): Unit
    {
        return new Unit(0.0, min($s->mm('frame_depth'), $s->mm('depth')), 'unit', $this->joints());
    }

    /** @return array<string, UnitJoint> the sill drained, the others sealed; an air seal inside on all four */
    protected function joints(): array
    {
        $closed = new UnitJoint(Edge::Sealed, true, true);

        return [
            'sill' => new UnitJoint(Edge::Open, true, true),
            'head' => $closed,
            'jamb-left' => $closed,
            'jamb-right' => $closed,
        ];
    }

    /** @return list<LeastLap> */
    protected function leastLaps(): array
    {
        $lap = $this->least['membrane_lap_mm'];

        return [
            ...$this->lapping(['membrane', 'formable', 'corner'], $lap),
            new LeastLap('membrane', 'sheet', $lap, $lap),
            new LeastLap('sheet', 'membrane', $this->least['flap_over_head_strip_mm'], $lap),
            new LeastLap('tape', 'sheet', $this->least['slit_tape_side_mm'], $this->least['slit_tape_side_mm']),
        ];
    }

    /**
     * How far above the opening the water plane is cut level, so that the head can be dressed before it comes down
     * again.
     */
    protected function cutAbove(Sizes $s): float
    {
        return 0.0;
    }

    /** From the side of the opening to the slit of a head flap. */
    protected function flapSide(Sizes $s): float
    {
        return $s->mm('face_return') + $this->least['slit_tape_side_mm'];
    }

    protected function pan(Sizes $s, Material $material, int $step, PieceKind $kind = PieceKind::Formable): Piece
    {
        [$w, $d, $up, $face] = [$s->mm('width'), $s->mm('depth'), $s->mm('pan_upturn'), $s->mm('face_return')];

        return $this->laid(
            'pan',
            $material,
            $kind,
            $step,
            [
                $this->patch('pan.sill', 'sill', [0, 0, $w, $d], ['p'], $step),
                $this->patch('pan.jamb-left', 'jamb-left', [0, 0, $d, $up], ['p'], $step),
                $this->patch('pan.jamb-right', 'jamb-right', [0, 0, $d, $up], ['p'], $step),
                $this->patch('pan.face', 'face', [-$face, -$face, $w + $face, 0], ['p'], $step),
                $this->patch('pan.ear-left', 'face', [-$face, 0, 0, $up], ['p'], $step),
                $this->patch('pan.ear-right', 'face', [$w, 0, $w + $face, $up], ['p'], $step),
            ],
            PieceRole::Pan,
            new CutSize($w + 2 * $up, $d + $face),
        );
    }

    /**
     * @param  float|null  $foot  where they start above the sill; by the lap over the pan's upturn where nothing is
     *   said
     * @return list<Piece>
     */
    protected function jambLiners(Sizes $s, Material $material, int $step, ?float $foot = null): array
    {
        [$w, $h, $d, $face] = [$s->mm('width'), $s->mm('height'), $s->mm('depth'), $s->mm('face_return')];
        $foot ??= $s->mm('pan_upturn') - $s->mm('membrane_lap');
        $cut = new CutSize($h - $foot, $d + $face);

        return [
            $this->laid(
                'liner-left',
                $material,
                PieceKind::Membrane,
                $step,
                [
                    $this->patch('liner-left.jamb', 'jamb-left', [0, $foot, $d, $h], ['l'], $step),
                    $this->patch('liner-left.face', 'face', [-$face, $foot, 0, $h], ['l'], $step),
                ],
                null,
                $cut,
            ),
            $this->laid(
                'liner-right',
                $material,
                PieceKind::Membrane,
                $step,
                [
                    $this->patch('liner-right.jamb', 'jamb-right', [0, $foot, $d, $h], ['r'], $step),
                    $this->patch('liner-right.face', 'face', [$w, $foot, $w + $face, $h], ['r'], $step),
                ],
                null,
                $cut,
            ),
        ];
    }

    /**
     * Without it the inner seal at the head would lie on bare wood, and the wall's air layer would stop short of the
     * unit.
     */
    protected function headLiner(Sizes $s, Material $material, int $step): Piece
    {
        [$w, $h, $d, $face, $leg] = [
            $s->mm('width'),
            $s->mm('height'),
            $s->mm('depth'),
            $s->mm('face_return'),
            $s->mm('membrane_lap'),
        ];

        return $this->laid(
            'head-liner',
            $material,
            PieceKind::Formable,
            $step,
            [
                $this->patch('head-liner.head', 'head', [0, 0, $w, $d], ['t'], $step),
                $this->patch('head-liner.jamb-left', 'jamb-left', [0, $h - $leg, $d, $h], ['t'], $step),
                $this->patch('head-liner.jamb-right', 'jamb-right', [0, $h - $leg, $d, $h], ['t'], $step),
                $this->patch('head-liner.face', 'face', [-$face, $h, $w + $face, $h + $face], ['t'], $step),
                $this->patch('head-liner.ear-left', 'face', [-$face, $h - $leg, 0, $h], ['t'], $step),
                $this->patch('head-liner.ear-right', 'face', [$w, $h - $leg, $w + $face, $h], ['t'], $step),
            ],
            null,
            new CutSize($w + 2 * $leg, $d + $face),
        );
    }
}
