import { expect, it } from 'vitest';
import { told } from './reasons';

it('puts the steps of one reason together, in the order in which they came', () => {
  expect(
    told([
      { before: 2, why: 'seen first' },
      { before: 5, why: 'needs the unit' },
      { before: 8, why: 'seen first' },
    ]),
  ).toEqual(['2, 8: seen first', '5: needs the unit']);
  expect(told([])).toEqual([]);
});
