import { expect, it } from 'vitest';
import { isotherm, levels } from './isotherms';

const slope = {
  x_mm: [0, 10, 20],
  y_mm: [0, 10],
  celsius: [
    [0, 10, 20],
    [0, 10, 20],
  ],
  coldest: null,
};

it('draws a temperature where it is, between the lines of the grid', () => {
  expect(isotherm(slope, 5)).toBe('M5.00 0.00L5.00 10.00');
  expect(isotherm(slope, 15)).toBe('M15.00 0.00L15.00 10.00');
});

it('draws none where there is no material, or no such temperature', () => {
  expect(isotherm({ ...slope, celsius: [[null, null, null], slope.celsius[1] ?? []] }, 5)).toBe('');
  expect(isotherm(slope, 25)).toBe('');
});

it('takes a step that people read', () => {
  expect(levels(0, 20)).toEqual([2, 4, 6, 8, 10, 12, 14, 16, 18]);
  expect(levels(-3, 1)).toEqual([-2.5, -2, -1.5, -1, -0.5, 0, 0.5]);
});
