import { expect, test } from 'vitest';
import { lengthened, lengthOf, pushed, turning } from './outline';

const box = [
  [0, 0],
  [12000, 0],
  [12000, 8000],
  [0, 8000],
];
const l = [
  [0, 0],
  [10000, 0],
  [10000, 4000],
  [4000, 4000],
  [4000, 9000],
  [0, 9000],
];

test('a side made longer takes the next along: of a box the other end with it', () => {
  expect(lengthened(box, 0, 15000)).toEqual([
    [0, 0],
    [15000, 0],
    [15000, 8000],
    [0, 8000],
  ]);
  // Of an L only the foot grows; every corner stays square.
  expect(lengthened(l, 0, 11000)).toEqual([
    [0, 0],
    [11000, 0],
    [11000, 4000],
    [4000, 4000],
    [4000, 9000],
    [0, 9000],
  ]);
  expect(lengthOf(lengthened(l, 5, 8000), 5)).toBe(8000);
});

test('a side is pushed outward, whichever way the outline is walked', () => {
  expect(pushed(box, 1, 500)[1]).toEqual([12500, 0]);
  const back = [...box].reverse();
  const i = back.findIndex((c, n) => c[0] === 12000 && back[(n + 1) % 4]?.[0] === 12000);
  expect(pushed(back, i, 500).filter((c) => c[0] === 12500)).toHaveLength(2);
  expect(turning(box)).toBeGreaterThan(0);
  expect(turning(back)).toBeLessThan(0);
});

test('the last side is followed by the first', () => {
  expect(lengthened(box, 3, 9000)).toEqual([
    [0, -1000],
    [12000, -1000],
    [12000, 8000],
    [0, 8000],
  ]);
});
