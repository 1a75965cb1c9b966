import { expect, it } from 'vitest';
import type { DerivedBuilding } from '../../api/types';
import { mitre } from './CutDrawing';

type Cut = DerivedBuilding['cuts'][number];

const cut = (lines: { from_mm: number[]; to_mm: number[]; out: number[] }[]): Cut =>
  ({ lines: lines.map((line) => ({ part: 'p', ...line })) }) as unknown as Cut;

it('mitres a corner both ways, and ends square where a wall goes on or stops', () => {
  const plan = cut([
    { from_mm: [0, 0], to_mm: [5, 0], out: [0, -1] },
    { from_mm: [5, 0], to_mm: [5, 4], out: [1, 0] },
    { from_mm: [-5, 0], to_mm: [0, 0], out: [0, -1] },
  ]);
  const [south, east] = plan.lines;
  if (!south || !east) throw new Error('no lines');
  // An outside corner: for each millimetre outward one to the side.
  expect(mitre(plan, south, 'to_mm')).toEqual([1, -1]);
  expect(mitre(plan, east, 'from_mm')).toEqual([1, -1]);
  expect(mitre(plan, south, 'from_mm')).toEqual([0, -1]);
  expect(mitre(plan, east, 'to_mm')).toEqual([1, 0]);
});

it('meets at half the angle of corners that are not square', () => {
  const at = Math.PI / 3;
  const plan = cut([
    { from_mm: [0, 0], to_mm: [5, 0], out: [0, -1] },
    { from_mm: [5, 0], to_mm: [8, 4], out: [Math.sin(at), -Math.cos(at)] },
  ]);
  const [first] = plan.lines;
  if (!first) throw new Error('no line');
  const [x, y] = mitre(plan, first, 'to_mm');
  expect(y).toBeCloseTo(-1, 9);
  expect(x).toBeCloseTo(Math.tan(at / 2), 9);
});
