import { describe, expect, it } from 'vitest';
import { numbersOf } from '../steps/site/visit';
import { stacked } from './ReadingStrip';

describe('the strip of readings', () => {
  const at = (mm: number) => mm * 7;

  it('sets readings of one place on each other and others beside them', () => {
    const dots = stacked(
      [
        { id: 'a', value_mm: 3 },
        { id: 'b', value_mm: 3.2 },
        { id: 'c', value_mm: 5 },
      ],
      at,
    );
    expect(dots.map((d) => d.level)).toEqual([0, 1, 0]);
    expect(dots[0]?.x).toBe(dots[1]?.x);
    expect(dots[2]?.x).toBeGreaterThan(dots[0]?.x ?? 0);
  });

  it('grows no higher than its room', () => {
    const many = Array.from({ length: 40 }, (_, i) => ({ id: String(i), value_mm: 4 }));
    expect(Math.max(...stacked(many, at).map((d) => d.level))).toBe(4);
  });

  it('leaves out what was corrected, and looks', () => {
    const readings = [
      { id: 'a', value_mm: 4 },
      { id: 'b', value_mm: 8, supersedes: 'a' },
      { id: 'c', holds: true },
    ];
    expect(numbersOf(readings)).toEqual([{ id: 'b', value_mm: 8 }]);
  });
});
