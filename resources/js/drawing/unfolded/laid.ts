import type { Detail, Patch, Piece, SequenceSheet } from '../../api/types';
import type { Place } from './Sheet';

export interface Laid {
  piece: Piece;
  patch: Patch;
}

/**
 * Everything that lies at the end of a step: by step, and on each facet in the order that the core found, innermost
 * first.
 */
export function inOrder(sheet: Pick<SequenceSheet, 'detail' | 'order'>, step: number): Laid[] {
  const rank = new Map(sheet.order.map((id, i) => [id, i]));
  const laid = sheet.detail.pieces
    .flatMap((piece) => piece.patches.map((patch) => ({ piece, patch })))
    .filter(({ piece, patch }) => (patch.step ?? piece.step) <= step)
    .sort((a, b) => (a.patch.step ?? a.piece.step) - (b.patch.step ?? b.piece.step));
  // Each facet keeps the places its patches have among all of them; who stands at which follows the core.
  const ofFacet = new Map<string, Laid[]>();
  for (const one of laid) ofFacet.set(one.patch.facet, [...(ofFacet.get(one.patch.facet) ?? []), one]);
  for (const row of ofFacet.values()) row.sort((a, b) => (rank.get(a.patch.id) ?? 0) - (rank.get(b.patch.id) ?? 0));
  return laid.map(({ patch }) => ofFacet.get(patch.facet)?.shift()).filter((one) => one !== undefined);
}

/** Parts of pieces already here that come to rest later: a flap still held up. */
export function upcoming(detail: Detail, step: number): Laid[] {
  return detail.pieces
    .flatMap((piece) => piece.patches.map((patch) => ({ piece, patch })))
    .filter(({ piece, patch }) => piece.step <= step && (patch.step ?? piece.step) > step);
}

type EdgeLine = [u0: number, v0: number, u1: number, v1: number];

/** The edges of a patch less what it shares, in one plane, with the patches it is joined to: there is no edge there. */
export function openEdges(patch: Patch, piece: Piece, step: number): EdgeLine[] {
  const [a, b, c, d] = patch.rect as EdgeLine;
  const siblings = piece.patches.filter(
    (other) =>
      other !== patch &&
      other.facet === patch.facet &&
      (other.step ?? piece.step) <= step &&
      other.joined?.some((label) => patch.joined?.includes(label)),
  );
  const cut = (from: number, to: number, taken: [number, number][]): [number, number][] =>
    taken.reduce<[number, number][]>(
      (left, [x, y]) =>
        left.flatMap(([p, q]): [number, number][] =>
          y <= p || x >= q
            ? [[p, q]]
            : [[p, x] as [number, number], [y, q] as [number, number]].filter(([m, n]) => m < n),
        ),
      [[from, to]],
    );
  const meeting = (where: (r: EdgeLine) => boolean, along: 0 | 1) =>
    siblings
      .map((o) => o.rect as EdgeLine)
      .filter(where)
      .map((r): [number, number] => [r[along], r[along + 2] as number]);
  return [
    ...cut(
      a,
      c,
      meeting((r) => r[3] === b, 0),
    ).map(([p, q]): EdgeLine => [p, b, q, b]),
    ...cut(
      a,
      c,
      meeting((r) => r[1] === d, 0),
    ).map(([p, q]): EdgeLine => [p, d, q, d]),
    ...cut(
      b,
      d,
      meeting((r) => r[2] === a, 1),
    ).map(([p, q]): EdgeLine => [a, p, a, q]),
    ...cut(
      b,
      d,
      meeting((r) => r[0] === c, 1),
    ).map(([p, q]): EdgeLine => [c, p, c, q]),
  ];
}

export function edgePath(edge: EdgeLine, patch: Patch, box: Place['box']): string {
  const e = box({ facet: patch.facet, rect: edge });
  return `M${e.x} ${e.y}l${e.width} ${e.height}`;
}
