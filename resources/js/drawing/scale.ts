/** What is thinner than this at scale is drawn at its true place and thickened, with a break mark. */
export const THINNEST = 8;

/** Places layers of `sizes` (mm) along `width` px to one scale, none thinner than THINNEST. */
export function placeLayers(sizes: number[], width: number): { edges: number[]; thickened: boolean[] } {
  const thickened = sizes.map(() => false);
  let perMm = 0;
  for (let turn = 0; turn <= sizes.length; turn++) {
    const room = width - THINNEST * thickened.filter(Boolean).length;
    const total = sizes.reduce((sum, size, i) => sum + (thickened[i] ? 0 : size), 0);
    perMm = total > 0 ? room / total : 0;
    const more = sizes.findIndex((size, i) => !thickened[i] && size * perMm < THINNEST);
    if (more < 0) break;
    sizes.forEach((size, i) => {
      if (size * perMm < THINNEST) thickened[i] = true;
    });
  }
  const edges = [0];
  sizes.forEach((size, i) => edges.push((edges[i] ?? 0) + (thickened[i] ? THINNEST : size * perMm)));
  return { edges, thickened };
}

/** Moves labels apart to `gap`, keeping their order and staying near where they belong. */
export function spread(wanted: number[], gap: number, least: number, most: number): number[] {
  const at = [...wanted];
  for (let i = 0; i < at.length; i++) at[i] = Math.max(at[i] ?? 0, i === 0 ? least : (at[i - 1] ?? 0) + gap);
  for (let i = at.length - 1; i >= 0; i--)
    at[i] = Math.min(at[i] ?? 0, i === at.length - 1 ? most : (at[i + 1] ?? 0) - gap);
  return at;
}

/** Steps of 1, 2 or 5 for an axis with about `count` of them. */
export function niceStep(span: number, count: number): number {
  const raw = span / count;
  const power = 10 ** Math.floor(Math.log10(raw));
  return [1, 2, 5, 10].map((m) => m * power).find((s) => s >= raw) ?? raw;
}

/** The frame of a drawn section, in its own units: the air inside and outside, the layers between. */
export const SECTION = { width: 800, left: 46, right: 16, top: 66, bottom: 300, height: 384 };
