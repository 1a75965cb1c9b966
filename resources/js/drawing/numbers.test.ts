import { describe, expect, it } from 'vitest';
import { clearOf } from './unfolded/Numbers';

const spots = [
  { x: 0, y: 0 },
  { x: -20, y: 0 },
  { x: 20, y: 0 },
];

describe('a number on a piece', () => {
  it('stands where it usually does while nothing else does', () => {
    expect(clearOf(spots, [{ x: 0, y: 40 }], 30, () => false)).toEqual(spots[0]);
  });
  it('moves along its piece off a number that is there, past what hides it', () => {
    expect(clearOf(spots, [{ x: 5, y: 5 }], 10, () => false)).toEqual(spots[1]);
    expect(clearOf(spots, [{ x: 5, y: 5 }], 10, (at) => at.x < 0)).toEqual(spots[2]);
  });
  it('stays where all touch, and away where the piece itself is hidden', () => {
    expect(clearOf(spots, [{ x: 0, y: 0 }], 50, () => false)).toEqual(spots[0]);
    expect(clearOf(spots, [], 50, (at) => at.x === 0)).toBeNull();
  });
});
