import { expect, test } from 'vitest';
import type { SiteCheck } from '../../api/types';
import { judge, raisesFault } from './judge';

const read = (...severities: string[]) =>
  severities.map((severity_of) => ({ severity_of })) as unknown as SiteCheck['readings'];

test.each([
  [100, 100, null, 'pass'],
  [99.9, 100, null, 'caution'],
  [50, 100, null, 'caution'],
  [49.9, 100, null, 'fail'],
  [3, null, 3, 'pass'],
  [4.5, null, 3, 'caution'],
  [4.6, null, 3, 'fail'],
  [1, 2, 6, 'caution'],
  [4, 2, 6, 'pass'],
  [9.1, 2, 6, 'fail'],
] as const)('a reading of %d where %s to %s is asked is a %s', (value, least_mm, most_mm, verdict) => {
  expect(judge(value, { least_mm, most_mm })).toBe(verdict);
});

test('the first reading that does not pass raises a fault, and the next does not raise it again', () => {
  expect(raisesFault('caution', read())).toBe(true);
  expect(raisesFault('fail', read('pass', 'pass'))).toBe(true);
  expect(raisesFault('fail', read('pass', 'caution'))).toBe(false);
  expect(raisesFault('pass', read())).toBe(false);
  expect(raisesFault(null, read())).toBe(false);
});
