import type { PlanePicture } from '../api/types';

/** One line of a temperature: pieces from edge to edge of the cells it goes through, as an SVG path in mm. */
export function isotherm({ x_mm, y_mm, celsius }: PlanePicture, level: number): string {
  const pieces: string[] = [];
  for (let j = 0; j + 1 < y_mm.length; j++) {
    for (let i = 0; i + 1 < x_mm.length; i++) {
      const corners = [celsius[j]?.[i], celsius[j]?.[i + 1], celsius[j + 1]?.[i + 1], celsius[j + 1]?.[i]];
      if (corners.some((c) => c === null || c === undefined)) continue;
      const [x0, x1, y0, y1] = [x_mm[i] ?? 0, x_mm[i + 1] ?? 0, y_mm[j] ?? 0, y_mm[j + 1] ?? 0];
      const at: [number, number][] = [
        [x0, y0],
        [x1, y0],
        [x1, y1],
        [x0, y1],
      ];
      const crossed: string[] = [];
      for (let k = 0; k < 4; k++) {
        const [a, b] = [corners[k] as number, corners[(k + 1) % 4] as number];
        if (a < level === b < level) continue;
        const share = (level - a) / (b - a);
        const [p, q] = [at[k] as [number, number], at[(k + 1) % 4] as [number, number]];
        crossed.push(`${(p[0] + share * (q[0] - p[0])).toFixed(2)} ${(p[1] + share * (q[1] - p[1])).toFixed(2)}`);
      }
      for (let k = 0; k + 1 < crossed.length; k += 2) pieces.push(`M${crossed[k]}L${crossed[k + 1]}`);
    }
  }
  return pieces.join('');
}

/** The first, second … number with a step that gives about so many lines. */
export function levels(low: number, high: number, count = 10): number[] {
  const step = [0.5, 1, 2, 5, 10].find((s) => (high - low) / s <= count) ?? 20;
  const from = Math.ceil(low / step + 1e-9);
  return Array.from({ length: Math.max(0, Math.floor(high / step - 1e-9) - from + 1) }, (_, n) => (from + n) * step);
}
