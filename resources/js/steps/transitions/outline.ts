import type { Corner } from './walk';

/** Twice the area, positive where it is walked with the inside on the left. */
export const turning = (outline: number[][]): number =>
  outline.reduce((sum, from, i) => {
    const to = outline[(i + 1) % outline.length] ?? from;
    return sum + (from[0] ?? 0) * (to[1] ?? 0) - (to[0] ?? 0) * (from[1] ?? 0);
  }, 0);

function side(outline: number[][], i: number) {
  const [from, to] = [outline[i] ?? [0, 0], outline[(i + 1) % outline.length] ?? [0, 0]];
  const [dx, dy] = [(to[0] ?? 0) - (from[0] ?? 0), (to[1] ?? 0) - (from[1] ?? 0)];
  const length = Math.hypot(dx, dy) || 1;
  return { length, along: [dx / length, dy / length] as const };
}

export const lengthOf = (outline: number[][], i: number): number => side(outline, i).length;

const moved = (outline: number[][], which: number[], by: readonly [number, number]): Corner[] =>
  outline.map((c, i) => {
    const [x = 0, y = 0] = c;
    const n = which.some((w) => (w + outline.length) % outline.length === i) ? 1 : 0;
    return [Math.round(x + n * by[0]), Math.round(y + n * by[1])];
  });

/** One side set out or in by so many mm, outward positive: its neighbours grow or shrink. */
export function pushed(outline: number[][], i: number, mm: number): Corner[] {
  const { along } = side(outline, i);
  const out = turning(outline) > 0 ? [along[1], -along[0]] : [-along[1], along[0]];
  return moved(outline, [i, i + 1], [(out[0] ?? 0) * mm, (out[1] ?? 0) * mm]);
}

/** One side made so long: the side after it goes along with its end. */
export function lengthened(outline: number[][], i: number, length: number): Corner[] {
  const { along, length: was } = side(outline, i);
  const by = length - was;
  return moved(outline, [i + 1, i + 2], [along[0] * by, along[1] * by]);
}
