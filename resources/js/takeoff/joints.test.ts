import { expect, it } from 'vitest';
import type { Layout } from '../api/types';
import { jointsOf, onMember } from './joints';

const piece = (course: number, rect: number[]): Layout['pieces'][number] => ({
  rect,
  course,
  from: 'board 1',
  cut_mm: [0, 0],
});

it('numbers joints as the core does: courses from below, upright ones from the left', () => {
  const layout = {
    upright: false,
    pieces: [
      piece(-1, [0, 0, 5000, 150]),
      piece(0, [0, 0, 2400, 1200]),
      piece(0, [2400, 0, 4800, 1200]),
      piece(1, [0, 1200, 1200, 2400]),
      // An opening lies between these two.
      piece(1, [2600, 1200, 3600, 2400]),
      piece(1, [3600, 1200, 4800, 2400]),
    ],
  } as Layout;
  expect(jointsOf(layout).map((j) => [j.course, j.joint, j.at])).toEqual([
    [1, null, 1200],
    [0, 0, 2400],
    [1, 0, 3600],
  ]);
});

it('finds the nearest member, and rests on tens where there are none', () => {
  expect(onMember(1010, 406)).toBe(812);
  expect(onMember(1020, 406)).toBe(1218);
  expect(onMember(1014, null)).toBe(1010);
});
