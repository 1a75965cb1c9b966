import { expect, it } from 'vitest';
import type { Assembly, DerivedRun, Run } from '../api/types';
import { leakCurves } from './words';

const assembly = {
  layers: [
    { id: 'a', material: 'x' },
    { id: 'b', material: 'y', controls: ['water'] },
  ],
} as unknown as Assembly;
const told = (most: number) =>
  ({ interfaces: [{ interface: 1, mould_index: [], mould_index_max: most }] }) as unknown as DerivedRun;
const run = (share: number, more: Partial<Run> = {}): Run =>
  ({ id: 'r', assembly: 'w', years: 2, leak: { share, layer: 'b' }, ...more }) as Run;

it('puts the runs on one curve that differ in their leak and in nothing else', () => {
  const rows = [
    { run: run(0), told: told(0.1) },
    { run: run(0.01), told: told(2) },
    { run: run(0.01, { facing_deg: 90 }), told: told(3) },
    { run: run(0.02, { leak: { share: 0.02, layer: 'a' } }), told: told(4) },
  ];
  expect(leakCurves(assembly, rows)).toEqual([
    [
      { share: 0, index: 0.1 },
      { share: 0.01, index: 2 },
    ],
  ]);
});
