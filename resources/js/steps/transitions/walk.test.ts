import { expect, test } from 'vitest';
import { readWalk, walkOf } from './walk';

const box = [
  [0, 0],
  [12000, 0],
  [12000, 8000],
  [0, 8000],
];

test.each([
  ['12000, left 8000, left 12000'],
  ['12 000 left 8 000 left 12 000 left 8 000'],
  ['12000mm l 8000 L 12000'],
  ['0 0; 12000 0; 12000 8000; 0 8000'],
  ['0,0;12000,0;12000,8000;0,8000;'],
])('a plan is read from its walk or its corners: %s', (typed) => {
  expect(readWalk(typed)).toEqual({ corners: box });
});

test('an angle is a turn, and what is read comes back as corners', () => {
  const read = readWalk('5000, left 90° 3000, left 45° 1414');
  expect(read).toEqual({
    corners: [
      [0, 0],
      [5000, 0],
      [5000, 3000],
      [4000, 4000],
    ],
  });
  expect(readWalk(walkOf(box))).toEqual({ corners: box });
});

test.each([
  ['12000, up 8000', /neither a length nor a turn/],
  ['12000', /two sides/],
  ['', /two sides/],
  ['12000, left -8000, left 3', /neither/],
  ['0 0; 12000; 3 3', /no corner/],
  ['0 0; 1.5 0; 3 3', /whole millimetres/],
])('what is no plan is told: %s', (typed, why) => {
  const read = readWalk(typed);
  expect('why' in read ? read.why : '').toMatch(why);
});
