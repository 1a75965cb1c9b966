import { expect, test } from 'vitest';
import type { SiteCheck } from '../../api/types';
import { judge, raisesFault } from './judge';

const read = (...severities: string[]) =>
  severities.map((severity_of) => ({ severity_of })) as unknown as SiteCheck['readings'];

test.each([
  [100, 'pass'],
  [99.9, 'caution'],
  [50, 'caution'],
  [49.9, 'fail'],
] as const)('a reading of %d where 100 is asked is a %s', (value, verdict) => {
  expect(judge(value, 100)).toBe(verdict);
});

test('the first reading that does not pass raises a fault, and the next does not raise it again', () => {
  expect(raisesFault('caution', read())).toBe(true);
  expect(raisesFault('fail', read('pass', 'pass'))).toBe(true);
  expect(raisesFault('fail', read('pass', 'caution'))).toBe(false);
  expect(raisesFault('pass', read())).toBe(false);
  expect(raisesFault(null, read())).toBe(false);
});
