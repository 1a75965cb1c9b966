<?php

declare(strict_types=1);

namespace Apron\Detail;

use Apron\Json\FileRefused;
use Apron\Json\Node;
use Apron\Material\Materials;

/** Reads a detail of `apron-project/1`; DetailWriter writes it. */
final class DetailFormat
{
    public const LONGEST_MM = 30000.0;

    public const SHORTEST_MM = 0.1;

    private const KEYS = [
        'id',
        'title',
        'opening',
        'facets',
        'folds',
        'release',
        'tolerant',
        'unit',
        'pieces',
        'penetrations',
        'fasteners',
        'framing',
        'gaps',
        'least_laps',
        'pan_upturn_mm',
        'steps',
        'generated',
        'between',
    ];

    private Facets $facets;

    private function __construct(private readonly Materials $materials)
    {
    }

    /** @throws FileRefused */
    public static function read(Node $node, Materials $materials): Detail
    {
        return (new self($materials))->detail($node->object(self::KEYS, ['id', 'title', 'pieces']));
    }

    private function detail(Node $node): Detail
    {
        if ($node->has('opening') === $node->has('facets')) {
            $node->refuse('either “opening” or “facets”', $node->has('opening') ? 'both' : 'neither');
        }
        $opening = $this->opening($node->optional('opening'));
        $this->facets = $opening === null ? Facets::read($node->get('facets')) : new Facets($opening->facets());
        $pieces = (new PieceFormat($this->facets, $this->materials))->pieces($node->get('pieces'));
        $unit = $this->unit($node->optional('unit'), $pieces);
        $detail = new Detail(
            id: $node->get('id')->id(),
            title: $node->get('title')->text(),
            opening: $opening,
            facets: $this->facets->all,
            folds: $this->folds($node->optional('folds')?->items() ?? []),
            release: $node->has('release') ? $this->facets->facet($node->get('release')) : null,
            tolerant: array_map($this->facets->facet(...), $node->optional('tolerant')?->items() ?? []),
            unit: $unit,
            pieces: $pieces,
            penetrations: array_map(
                fn (Node $n): Penetration => $this->penetration($n, $pieces),
                $node->optional('penetrations')?->items() ?? [],
            ),
            fasteners: array_map(
                fn (Node $n): PlacedFastener => $this->fastener($n, $pieces),
                $node->optional('fasteners')?->items() ?? [],
            ),
            framing: array_map($this->framing(...), $node->optional('framing')?->items() ?? []),
            leastLaps: array_map(
                fn (Node $n): LeastLap => $this->leastLap($n, $pieces),
                $node->optional('least_laps')?->items() ?? [],
            ),
            panUpturn: $node->optional('pan_upturn_mm')?->positive(self::LONGEST_MM, 'mm', self::SHORTEST_MM),
            steps: array_map($this->step(...), $node->optional('steps')?->items() ?? []),
            generated: $this->generated($node->optional('generated')),
            gaps: $this->gaps($node->optional('gaps')),
            between: self::between($node->optional('between')),
        );
        try {
            new Layout($detail);
        } catch (CannotLay $e) {
            $this->place($node->get('pieces'), $e->patch)->refuse($e->expected, "$e->patch $e->found");
        }

        return $detail;
    }

    /** Where in the file a patch stands. */
    private function place(Node $pieces, string $patch): Node
    {
        foreach ($pieces->items() as $piece) {
            foreach ($piece->get('patches')->items() as $node) {
                if ($node->get('id')->text() === $patch) {
                    return $node;
                }
            }
        }

        return $pieces;
    }

    /**
     * @return list<string> ids of the assemblies that a detail or an opening stands in or between: one, or two
     *
     * @throws FileRefused
     */
    public static function between(?Node $node): array
    {
        $ids = [];
        foreach ($node?->items(1, 2) ?? [] as $row) {
            $ids[] = in_array($row->id(), $ids, true) ? $row->refuse('another assembly than the first') : $row->id();
        }

        return $ids;
    }

    private function opening(?Node $node): ?OpeningGeometry
    {
        if ($node === null) {
            return null;
        }
        $node->object(
            [
                'width_mm',
                'height_mm',
                'depth_mm',
                'margin_mm',
                'sill_pitch',
                'sill_fall_mm',
                'back_dam_mm',
                'head_of_water_mm',
                'outer_board_mm',
            ],
            ['width_mm', 'height_mm', 'depth_mm', 'margin_mm'],
        );

        return new OpeningGeometry(
            width: $node->get('width_mm')->positive(self::LONGEST_MM, 'mm', self::SHORTEST_MM),
            height: $node->get('height_mm')->positive(self::LONGEST_MM, 'mm', self::SHORTEST_MM),
            depth: $node->get('depth_mm')->positive(self::LONGEST_MM, 'mm', self::SHORTEST_MM),
            margin: $node->get('margin_mm')->positive(self::LONGEST_MM, 'mm', self::SHORTEST_MM),
            sillPitch: $node->optional('sill_pitch')?->oneOf(SillPitch::class) ?? SillPitch::Out,
            sillFall: $node->optional('sill_fall_mm')?->between(0, 500, 'mm') ?? 0.0,
            backDam: $node->optional('back_dam_mm')?->between(0, 500, 'mm') ?? 0.0,
            headOfWater: $node->optional('head_of_water_mm')?->between(0, 500, 'mm') ?? 0.0,
            outerBoard: $node->optional('outer_board_mm')?->positive(1000, 'mm', self::SHORTEST_MM) ?? 0.0,
        );
    }

    /**
     * @param  list<Node>  $rows
     * @return list<Fold> none of which leads water back to where it came from
     */
    private function folds(array $rows): array
    {
        $folds = [];
        $leads = [];
        foreach ($rows as $row) {
            $fold = $this->fold($row);
            if ($fold->from === $fold->to || self::comesBy($leads, $fold->to, $fold->from)) {
                $row->get('to')->refuse(
                    "a facet that water does not come to “{$fold->from}” from: folds in a ring have no foot",
                    "a fold back to “{$fold->to}”",
                );
            }
            $leads[$fold->from][] = $fold->to;
            $folds[] = $fold;
        }

        return $folds;
    }

    /** @param  array<string, list<string>>  $leads facets that each facet leads to, in no ring */
    private static function comesBy(array $leads, string $from, string $to): bool
    {
        foreach ($leads[$from] ?? [] as $next) {
            if ($next === $to || self::comesBy($leads, $next, $to)) {
                return true;
            }
        }

        return false;
    }

    private function fold(Node $node): Fold
    {
        $node->object(['from', 'to', 'at_v'], ['from', 'to', 'at_v']);

        return new Fold(
            $this->facets->facet($node->get('from')),
            $this->facets->facet($node->get('to')),
            $node->get('at_v')->number(),
        );
    }

    /** @param  list<Piece>  $pieces */
    private function unit(?Node $node, array $pieces): ?Unit
    {
        if ($node === null) {
            return null;
        }
        $node->object(['z', 'flange', 'joints'], ['z']);
        [$outer, $inner] = $node->get('z')->numbers(2);
        if ($outer >= $inner) {
            $node->get('z')->refuse('[outer, inner] with outer < inner');
        }
        $joints = [];
        foreach (
            $node
                ->optional('joints')
                ?->object(['sill', 'head', 'jamb-left', 'jamb-right'])
                ->entries() ?? [] as $side => $joint
        ) {
            $joint->object(['outer', 'insulation', 'inner'], ['outer']);
            $joints[$side] = new UnitJoint(
                $joint->get('outer')->oneOf(Edge::class),
                $joint->optional('insulation')?->boolean() ?? false,
                $joint->optional('inner')?->boolean() ?? false,
            );
        }

        return new Unit(
            $outer,
            $inner,
            $node->has('flange') ? $this->pieceNamed($node->get('flange'), $pieces) : null,
            $joints,
        );
    }

    /** @param  list<Piece>  $pieces */
    private function pieceNamed(Node $node, array $pieces): string
    {
        return in_array($node->id(), array_map(fn (Piece $p): string => $p->id, $pieces), true)
            ? $node->id()
            : $node->refuse('the id of a piece of this detail');
    }

    /**
     * @param  list<Piece>  $pieces
     * @return list<string>
     */
    private function piecesNamed(?Node $node, array $pieces): array
    {
        return array_map(fn (Node $n): string => $this->pieceNamed($n, $pieces), $node?->items() ?? []);
    }

    /** @param  list<Piece>  $pieces */
    private function penetration(Node $node, array $pieces): Penetration
    {
        $node->object(['id', 'facet', 'rect', 'sealed_to'], ['id', 'facet', 'rect']);
        $facet = $this->facets->facet($node->get('facet'));

        return new Penetration(
            $node->get('id')->id(),
            $facet,
            $this->facets->rect($node->get('rect'), $facet),
            $this->piecesNamed($node->optional('sealed_to'), $pieces),
        );
    }

    /** @param  list<Piece>  $pieces */
    private function fastener(Node $node, array $pieces): PlacedFastener
    {
        $node->object(['id', 'facet', 'at', 'through', 'made_for', 'material'], ['id', 'facet', 'at']);
        [$u, $v] = $node->get('at')->numbers(2);

        return new PlacedFastener(
            $node->get('id')->id(),
            $this->facets->facet($node->get('facet')),
            $u,
            $v,
            $this->piecesNamed($node->optional('through'), $pieces),
            $this->piecesNamed($node->optional('made_for'), $pieces),
            $node->has('material') ? $this->materials->named($node->get('material')) : null,
        );
    }

    private function framing(Node $node): FramingMember
    {
        $node->object(['facet', 'rect'], ['facet', 'rect']);
        $facet = $this->facets->facet($node->get('facet'));

        return new FramingMember($facet, $this->facets->rect($node->get('rect'), $facet));
    }

    /** @return list<Gap> */
    private function gaps(?Node $node): array
    {
        $rows = $node?->items() ?? [];
        $known = [Gap::OUTDOORS, Gap::INDOORS];
        foreach ($rows as $row) {
            $row->object(['id', 'mouths', 'joins'], ['id']);
            in_array($row->get('id')->id(), $known, true)
                ? $row->get('id')->refuse('an id that no other gap has, and neither outdoors nor indoors')
                : ($known[] = $row->get('id')->id());
        }

        return array_map(
            fn (Node $row): Gap => new Gap(
                $row->get('id')->id(),
                array_map($this->mouth(...), $row->optional('mouths')?->items() ?? []),
                array_map(
                    fn (Node $join): string => $join->id() === $row->get('id')->id()
                        ? $join->refuse('another gap than itself')
                        : $join->word($known),
                    $row->optional('joins')?->items() ?? [],
                ),
            ),
            $rows,
        );
    }

    private function mouth(Node $node): Mouth
    {
        $node->object(['facet', 'rect', 'to'], ['facet', 'rect']);
        $facet = $this->facets->facet($node->get('facet'));

        return new Mouth(
            $facet,
            $this->facets->rect($node->get('rect'), $facet),
            $node->has('to') ? $node->get('to')->word([Gap::OUTDOORS, Gap::INDOORS]) : null,
        );
    }

    /** @param  list<Piece>  $pieces */
    private function leastLap(Node $node, array $pieces): LeastLap
    {
        $node->object(['outer', 'inner', 'horizontal_mm', 'end_mm'], ['outer', 'inner']);
        $names = [
            ...array_map(fn (PieceKind $k): string => $k->value, PieceKind::cases()),
            ...array_map(fn (Piece $p): string => $p->id, $pieces),
        ];

        return new LeastLap(
            $node->get('outer')->word($names),
            $node->get('inner')->word($names),
            $node->optional('horizontal_mm')?->positive(5000, 'mm', self::SHORTEST_MM),
            $node->optional('end_mm')?->positive(5000, 'mm', self::SHORTEST_MM),
        );
    }

    private function step(Node $node): Step
    {
        $node->object(['number', 'does', 'figures'], ['number', 'does']);

        return new Step(
            $node->get('number')->integer(1, 999),
            $node->get('does')->id(),
            self::figures($node->optional('figures')),
        );
    }

    private function generated(?Node $node): ?Generated
    {
        $node?->object(['generator', 'parameters'], ['generator', 'parameters']);

        return $node === null
            ? null
            : new Generated($node->get('generator')->id(), self::figures($node->get('parameters')));
    }

    /** @return array<string, float|string> */
    public static function figures(?Node $node): array
    {
        return array_map(
            fn (Node $n): float|string => $n->isText() ? $n->text() : $n->number(),
            $node?->entries() ?? [],
        );
    }
}
