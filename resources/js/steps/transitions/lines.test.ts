import { expect, test } from 'vitest';
import { readLines, writeLines } from '../../ui/lines';
import { GROUND, MOVEMENT, OPENINGS, STRETCHES, THROUGH, WALLS } from './lines';

test('openings are read with a head or without, of a sheet or a file, on a side or on something level', () => {
  const read = readLines(
    '\uFEFFopening;block;edge;x;z;u\r\n"o1";hall;0;3000;900\r\n\r\no2\thall\troof\t500\t700\t1.2',
    OPENINGS,
  );
  expect(read).toEqual({
    rows: [
      { opening: 'o1', block: 'hall', edge: 0, x_mm: 3000, z_mm: 900 },
      { opening: 'o2', block: 'hall', on: 'roof', at_mm: [500, 700], u_w_m2k: 1.2 },
    ],
  });
});

test.each([
  ['o1, hall, 0, 3000', OPENINGS],
  ['o1, hall, north, 3000, 900', OPENINGS],
  ['o1, hall, 0, 3000, 900, -1', OPENINGS],
  ['o1, hall, 0, , 900', OPENINGS],
  ['d1, hall, 0, 100, 200, 1.5', THROUGH],
  ['m1, hall, 0', MOVEMENT],
  ['0, 100, 200, w3, 900', STRETCHES],
  ['0', GROUND],
  ['a, w3', WALLS],
] as const)('what is no row is told with its line: %s', (typed, table) => {
  const read = readLines(`\n${typed}`, table as never);
  expect('why' in read ? read.why : '').toMatch(/^line 2, “.+”: .+, as .+/);
});

test('rows come back as they were typed', () => {
  for (const [typed, table] of [
    ['o1, hall, 0, 3000, 900\no2, hall, slab, 1, 2, 1.2', OPENINGS],
    ['d1, hall, 1, 1500, 2500, 3', THROUGH],
    ['m1, hall, 0, 6000', MOVEMENT],
    ['0, 2000, 5000, w3\n1, 0, 900, w2, 0, 1200', STRETCHES],
    ['2, -1800', GROUND],
    ['2, w3', WALLS],
  ] as const) {
    const read = readLines(typed, table as never);
    expect('rows' in read ? writeLines(read.rows, table as never) : read).toBe(typed);
  }
});
