<?php

declare(strict_types=1);

namespace Apron\Detail;

use Apron\Assembly\Control;
use Apron\Json\Node;
use Apron\Material\Materials;

/** Reads the pieces of a detail, each with its patches and their edges. */
final readonly class PieceFormat
{
    private const MOST_PIECES = 400;

    public function __construct(private Facets $facets, private Materials $materials)
    {
    }

    /** @return list<Piece> */
    public function pieces(Node $node): array
    {
        $ids = $patchIds = [];
        foreach ($node->items(1, self::MOST_PIECES) as $row) {
            $id = $row->get('id');
            if (isset($ids[$id->id()])) {
                $id->refuse('an id that no other piece of this detail has');
            }
            $ids[$id->id()] = true;
        }
        $pieces = [];
        foreach ($node->items() as $row) {
            $piece = $this->piece($row, $ids);
            foreach ($piece->patches as $i => $patch) {
                if (isset($patchIds[$patch->id])) {
                    $row->get('patches')
                        ->items()[$i]->get('id')
                        ->refuse('an id that no other patch of this detail has');
                }
                $patchIds[$patch->id] = true;
            }
            $pieces[] = $piece;
        }

        return $pieces;
    }

    /** @param  array<string, true>  $ids of all pieces */
    private function piece(Node $node, array $ids): Piece
    {
        $node->object(
            [
                'id',
                'material',
                'kind',
                'role',
                'air',
                'air_layer',
                'step',
                'under',
                'edges',
                'patches',
                'cut',
                'controls',
            ],
            ['id', 'material', 'kind', 'step', 'patches'],
        );
        $step = $node->get('step')->integer(1, 999);

        return new Piece(
            id: $node->get('id')->id(),
            material: $this->materials->named($node->get('material')),
            kind: $node->get('kind')->oneOf(PieceKind::class),
            role: $node->optional('role')?->oneOf(PieceRole::class),
            air: $node->optional('air')?->boolean() ?? false,
            airLayer: $node->optional('air_layer')?->boolean() ?? false,
            step: $step,
            under: $this->other($node->optional('under'), $ids, $node->get('id')->id()),
            edges: $this->edges($node->optional('edges')),
            patches: array_map(
                fn (Node $n): Patch => $this->patch($n, $step, $ids, $node->get('id')->id()),
                $node->get('patches')->items(1, self::MOST_PIECES),
            ),
            cut: $this->cut($node->optional('cut')),
            states: array_map(
                fn (Node $n): Control => $n->oneOf(Control::class),
                $node->optional('controls')?->items(0, 4) ?? [],
            ),
        );
    }

    /** @param  array<string, true>  $ids */
    private function patch(Node $node, int $step, array $ids, string $piece): Patch
    {
        $node->object(['id', 'facet', 'rect', 'joined', 'step', 'under', 'edges', 'drain'], ['id', 'facet', 'rect']);
        $facet = $this->facets->facet($node->get('facet'));

        return new Patch(
            id: $node->get('id')->id(),
            facet: $facet,
            rect: $this->facets->rect($node->get('rect'), $facet),
            joined: array_map(fn (Node $n): string => $n->id(), $node->optional('joined')?->items() ?? []),
            step: $node->optional('step')?->integer(1, 999) ?? $step,
            under: $this->other($node->optional('under'), $ids, $piece),
            edges: $this->edges($node->optional('edges')),
            drain: $node->optional('drain')?->boolean() ?? false,
        );
    }

    /** @param  array<string, true>  $ids */
    private function other(?Node $node, array $ids, string $self): ?string
    {
        if ($node !== null && (! isset($ids[$node->id()]) || $node->id() === $self)) {
            $node->refuse('the id of another piece of this detail');
        }

        return $node?->id();
    }

    private function edges(?Node $node): Edges
    {
        if ($node === null) {
            return new Edges;
        }
        $node->object(array_map(fn (Side $side): string => $side->value, Side::cases()));
        $stated = [];
        foreach ($node->entries() as $side => $value) {
            $stated[$side] = $value->isText()
                ? $value->oneOf(Edge::class)
                : array_map($this->edgeRun(...), $value->items(1));
        }

        return new Edges($stated);
    }

    private function edgeRun(Node $node): EdgeRun
    {
        $node->object(['from', 'to', 'edge'], ['from', 'to', 'edge']);
        [$from, $to] = [$node->get('from')->number(), $node->get('to')->number()];
        if ($from >= $to) {
            $node->get('to')->refuse('a place beyond “from”');
        }

        return new EdgeRun($from, $to, $node->get('edge')->oneOf(Edge::class));
    }

    private function cut(?Node $node): ?CutSize
    {
        $node?->object(['length_mm', 'width_mm'], ['length_mm', 'width_mm']);

        return $node === null
            ? null
            : new CutSize(
                $node->get('length_mm')->positive(DetailFormat::LONGEST_MM * 4, 'mm', DetailFormat::SHORTEST_MM),
                $node->get('width_mm')->positive(DetailFormat::LONGEST_MM, 'mm', DetailFormat::SHORTEST_MM),
            );
    }
}
