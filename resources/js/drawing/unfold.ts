import type { Detail } from '../api/types';

export type Box = [u0: number, v0: number, u1: number, v1: number];

/** Where a facet lies on the drawing: its axes laid along those of the sheet, in mm. */
interface Place {
  u: number;
  v: number;
  /** mm of the sheet for a mm along the facet's own axes; below nothing where they run the other way */
  du: number;
  dv: number;
  extent: Box;
}

export interface Unfolding {
  bounds: Box;
  facets: Record<string, Place>;
  /** a rectangle of a facet on the sheet, mm */
  onSheet: (facet: string, rect: Box) => Box;
  /** a step along the sheet as one along the facet */
  along: (facet: string, du: number, dv: number) => [number, number];
}

const GAP = 60;

/** Whether a facet belongs to the outer of two planes. */
export const onBoard = (facet: string) => facet === 'outer-face' || facet.startsWith('reveal-');

/**
 * A detail laid flat: an opening with its returns turned into the hole, any other with its facets one under the other
 * as the water passes them.
 */
export function unfold(detail: Detail): Unfolding {
  const facets = detail.opening ? ofOpening(detail.opening) : inARow(detail);
  const onSheet = (facet: string, [a, b, c, d]: Box): Box => {
    const f = facets[facet];
    if (!f) return [0, 0, 0, 0];
    const x = [f.u + a * f.du, f.u + c * f.du];
    const y = [f.v + b * f.dv, f.v + d * f.dv];
    return [Math.min(...x), Math.min(...y), Math.max(...x), Math.max(...y)];
  };
  const placed = Object.entries(facets).map(([name, f]) => onSheet(name, f.extent));
  const bounds: Box = [
    Math.min(...placed.map((b) => b[0])),
    Math.min(...placed.map((b) => b[1])),
    Math.max(...placed.map((b) => b[2])),
    Math.max(...placed.map((b) => b[3])),
  ];
  return {
    bounds,
    facets,
    onSheet,
    along: (facet, du, dv) => {
      const f = facets[facet];
      return f ? [du / f.du, dv / f.dv] : [0, 0];
    },
  };
}

type Opening = NonNullable<Detail['opening']>;

/** One plane of an opening: the face with its hole, and the returns laid back into it. */
export interface Plane {
  face: string;
  /** of the names of its returns */
  prefix: string;
  depth: number;
  /** where the lower left corner of its hole lies on the sheet, mm along */
  at: number;
}

/** The sheathing, and beside it, where a thick board lies over that, the board's outer face. */
export function planes({ width_mm: W, depth_mm, margin_mm: M, outer_board_mm }: Opening): Plane[] {
  const inner = { face: 'face', prefix: '', depth: depth_mm, at: 0 };
  return outer_board_mm
    ? [inner, { face: 'outer-face', prefix: 'reveal-', depth: outer_board_mm, at: W + 2 * M + GAP }]
    : [inner];
}

/** Returns deeper than half the hole would lie over each other, so they are drawn short. */
export const drawnDepth = ({ width_mm: W, height_mm: H }: Opening, depth: number) => Math.min(depth, W / 2.2, H / 2.2);

function ofOpening(opening: Opening): Record<string, Place> {
  const { width_mm: W, height_mm: H, margin_mm: M } = opening;
  const facets: Record<string, Place> = {};
  for (const { face, prefix, depth: D, at } of planes(opening)) {
    const deep = drawnDepth(opening, D) / D;
    facets[face] = { u: at, v: 0, du: 1, dv: 1, extent: [-M, -M, W + M, H + M] };
    facets[`${prefix}sill`] = { u: at, v: 0, du: 1, dv: deep, extent: [0, 0, W, D] };
    facets[`${prefix}head`] = { u: at, v: H, du: 1, dv: -deep, extent: [0, 0, W, D] };
    facets[`${prefix}jamb-left`] = { u: at, v: 0, du: deep, dv: 1, extent: [0, 0, D, H] };
    facets[`${prefix}jamb-right`] = { u: at + W, v: 0, du: -deep, dv: 1, extent: [0, 0, D, H] };
  }
  return facets;
}

/**
 * Facets under the one their water comes from, touching where nothing of them lies above the arris; those no fold leads
 * to stand below, or beside where that is already the taller.
 */
function inARow(detail: Detail): Record<string, Place> {
  const placed: Record<string, Place> = {};
  let [lowest, left, right] = [0, 0, 0];
  const put = (name: string, top: number, at: number) => {
    const f = detail.facets?.[name];
    if (!f || placed[name]) return;
    const [u0, u1] = f.u as [number, number];
    const [v0, v1] = f.v as [number, number];
    placed[name] = { u: at, v: top - v1, du: 1, dv: 1, extent: [u0, v0, u1, v1] };
    lowest = Math.min(lowest, top - (v1 - v0));
    [left, right] = [Math.min(left, at + u0), Math.max(right, at + u1)];
    for (const fold of detail.folds?.filter((g) => g.from === name) ?? []) {
      const to = detail.facets?.[fold.to];
      if (to) put(fold.to, top - (v1 - v0) - ((to.v as number[])[1] === fold.at_v ? 0 : GAP), at);
    }
  };
  const names = Object.keys(detail.facets ?? {});
  const led = new Set(detail.folds?.map((f) => f.to));
  for (const name of [...names.filter((n) => !led.has(n)), ...names]) {
    if (placed[name]) continue;
    const u0 = (detail.facets?.[name]?.u as number[] | undefined)?.[0] ?? 0;
    if (-lowest > 1.5 * (right - left) && right > left) put(name, 0, right + GAP - u0);
    else put(name, Object.keys(placed).length === 0 ? 0 : lowest - GAP, 0);
  }
  return placed;
}
