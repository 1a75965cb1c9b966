import { describe, expect, it } from 'vitest';
import type { Detail } from '../api/types';
import { inOrder } from './unfolded/laid';
import { projection } from './Oblique';
import { unfold } from './unfold';

const opening = {
  id: 'o',
  title: 'O',
  pieces: [],
  opening: { width_mm: 900, height_mm: 1200, depth_mm: 140, margin_mm: 500 },
} as unknown as Detail;
const roof = {
  id: 'd',
  title: 'D',
  pieces: [],
  facets: {
    roof: { u: [0, 1000], v: [0, 500] },
    wall: { u: [0, 1000], v: [0, 800] },
    plate: { u: [0, 1000], v: [0, 140] },
  },
  folds: [{ from: 'roof', to: 'wall', at_v: 800 }],
} as unknown as Detail;

describe('an opening', () => {
  const flat = unfold(opening);
  it('lays its returns back into the hole', () => {
    expect(flat.bounds).toEqual([-500, -500, 1400, 1700]);
    expect(flat.onSheet('face', [0, 0, 900, 1200])).toEqual([0, 0, 900, 1200]);
    expect(flat.onSheet('sill', [0, 0, 900, 140])).toEqual([0, 0, 900, 140]);
    expect(flat.onSheet('head', [0, 0, 900, 140])).toEqual([0, 1060, 900, 1200]);
    expect(flat.onSheet('jamb-left', [0, 100, 40, 300])).toEqual([0, 100, 40, 300]);
    expect(flat.onSheet('jamb-right', [0, 100, 40, 300])).toEqual([860, 100, 900, 300]);
  });
  it('turns a step on the sheet into one along the facet', () => {
    expect(flat.along('face', 5, -5)).toEqual([5, -5]);
    expect(flat.along('jamb-right', 5, 10)).toEqual([-5, 10]);
    expect(flat.along('head', 5, 10)).toEqual([5, -10]);
    expect(flat.along('nowhere', 5, 10)).toEqual([0, 0]);
  });
  it('draws deep returns short of the middle', () => {
    const deep = unfold({ ...opening, opening: { ...opening.opening, depth_mm: 1000 } } as Detail);
    expect(deep.onSheet('jamb-left', [0, 0, 1000, 1200])[2]).toBeCloseTo(900 / 2.2);
    expect(deep.along('jamb-left', 409.0909, 0)[0]).toBeCloseTo(1000, 1);
  });
});

describe('an opening behind thick insulation', () => {
  const flat = unfold({ ...opening, opening: { ...opening.opening, outer_board_mm: 150 } } as Detail);
  it('stands its second plane beside the first, its cut edges laid back into the hole of that', () => {
    expect(flat.bounds).toEqual([-500, -500, 1400 + 1900 + 60, 1700]);
    expect(flat.onSheet('outer-face', [0, 0, 900, 1200])).toEqual([1960, 0, 2860, 1200]);
    expect(flat.onSheet('reveal-sill', [0, 0, 900, 150])).toEqual([1960, 0, 2860, 150]);
    expect(flat.onSheet('reveal-jamb-right', [0, 0, 150, 75])).toEqual([2710, 0, 2860, 75]);
    expect(flat.onSheet('sill', [0, 0, 900, 140])).toEqual([0, 0, 900, 140]);
    expect(flat.along('reveal-head', 5, 10)).toEqual([5, -10]);
  });
});

describe('any other detail', () => {
  const flat = unfold(roof);
  it('puts each facet under the one its water comes from, and the rest below', () => {
    expect(flat.onSheet('roof', [0, 0, 1000, 500])).toEqual([0, -500, 1000, 0]);
    expect(flat.onSheet('wall', [0, 0, 1000, 800])).toEqual([0, -1300, 1000, -500]);
    expect(flat.onSheet('plate', [0, 0, 1000, 140])).toEqual([0, -1500, 1000, -1360]);
    expect(flat.bounds).toEqual([0, -1500, 1000, 0]);
  });
  it('puts a facet that no fold leads to below, and beside once the others stand the taller', () => {
    const alone = (width: number) =>
      unfold({
        facets: { one: { u: [0, width], v: [0, 1000] }, other: { u: [-50, 150], v: [0, 400] } },
        folds: [],
      } as unknown as Detail);
    expect(alone(800).onSheet('other', [-50, 0, 150, 400])).toEqual([-50, -1460, 150, -1060]);
    expect(alone(300).onSheet('other', [-50, 0, 150, 400])).toEqual([360, -400, 560, 0]);
  });
  it('leaves a gap where a part of the lower facet lies above the arris', () => {
    const tall = unfold({ ...roof, folds: [{ from: 'roof', to: 'wall', at_v: 700 }] } as unknown as Detail);
    expect(tall.onSheet('wall', [0, 0, 1000, 800])).toEqual([0, -1360, 1000, -560]);
  });
});

it('draws what is tucked under a piece beneath it, and the rest by its step', () => {
  const piece = (id: string, step: number, more: object = {}) => ({
    id,
    kind: 'sheet',
    material: 'x',
    step,
    patches: [{ id: `${id}.1`, facet: 'wall', rect: [0, 0, 1, 1] }],
    ...more,
  });
  const detail = {
    ...roof,
    pieces: [
      piece('a', 1),
      piece('roof', 2),
      piece('b', 4),
      piece('c', 3, { under: 'roof' }),
      piece('d', 5, { under: 'elsewhere' }),
    ],
  } as unknown as Detail;
  const sheet = { detail, order: ['a.1', 'c.1', 'roof.1', 'b.1', 'd.1'] };
  expect(inOrder(sheet, 9).map((l) => l.piece.id)).toEqual(['a', 'c', 'roof', 'b', 'd']);
  expect(inOrder(sheet, 2).map((l) => l.piece.id)).toEqual(['a', 'roof']);
});

describe('a detail folded back', () => {
  const ends = ([x, y]: [number, number]) => [Math.round(x), Math.round(y)];
  it('stands an opening upright, its sill going away up and to the right', () => {
    const { facets, at } = projection(opening);
    expect(facets).toEqual(['face', 'sill', 'jamb-left']);
    expect(ends(at('face', 0, 0))).toEqual(ends(at('sill', 0, 0)));
    expect(ends(at('sill', 0, 140))).toEqual([63, -45]);
    expect(ends(at('jamb-left', 140, 0))).toEqual(ends(at('sill', 0, 140)));
    expect(ends(at('jamb-right', 0, 300))).toEqual(ends(at('face', 900, 300)));
  });
  it('brings the board of a second plane out towards the one who looks, its cut edges ending at the sheathing', () => {
    const { facets, at } = projection({ ...opening, opening: { ...opening.opening, outer_board_mm: 150 } } as Detail);
    expect(facets).toContain('outer-face');
    expect(ends(at('reveal-sill', 300, 150))).toEqual(ends(at('sill', 300, 0)));
    expect(ends(at('reveal-sill', 300, 0))).toEqual(ends(at('outer-face', 300, 0)));
    expect(ends(at('reveal-jamb-left', 150, 500))).toEqual(ends(at('jamb-left', 0, 500)));
    expect(at('outer-face', 0, 0)[0]).toBeLessThan(at('face', 0, 0)[0]);
  });
  it('hangs the wall under the roof it is come to from', () => {
    const { facets, at } = projection(roof);
    expect(facets).toEqual(['roof', 'wall']);
    expect(ends(at('roof', 0, 0))).toEqual(ends(at('wall', 0, 800)));
    expect(at('roof', 0, 500)[1]).toBeLessThan(at('roof', 0, 0)[1]);
  });
});
