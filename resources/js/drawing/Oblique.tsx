import type { Detail, Patch, SequenceSheet } from '../api/types';
import { COLOUR } from './unfolded/colours';
import { inOrder } from './unfolded/laid';
import { onBoard } from './unfold';
import { LYING } from '../material/starts';

type Point = [number, number];

/** How a place on a facet stands in space, seen from the left and above: one unit of depth goes up and to the right. */
export function projection(detail: Detail): { facets: string[]; at: (facet: string, u: number, v: number) => Point } {
  const away = (x: number, y: number, z: number): Point => [x + 0.45 * z, -(y + 0.32 * z)];
  if (detail.opening) {
    const { width_mm: W, outer_board_mm: board = 0 } = detail.opening;
    // Head and right return face away from where one stands.
    return {
      facets: ['face', 'sill', 'jamb-left', ...(board ? ['reveal-sill', 'reveal-jamb-left', 'outer-face'] : [])],
      at: (facet, u, v) =>
        facet === 'reveal-sill'
          ? away(u, 0, v - board)
          : facet === 'reveal-jamb-left'
            ? away(0, v, u - board)
            : facet === 'outer-face'
              ? away(u, v, -board)
              : facet === 'sill'
                ? away(u, 0, v)
                : facet === 'jamb-left'
                  ? away(0, v, u)
                  : facet === 'jamb-right'
                    ? away(W, v, u)
                    : away(u, v, 0),
    };
  }
  const foot: Record<string, [y: number, z: number]> = {};
  const put = (name: string, y: number, z: number) => {
    const f = detail.facets?.[name];
    if (!f || foot[name]) return;
    const length = ((f.v as number[])[1] ?? 0) - ((f.v as number[])[0] ?? 0);
    // The upper end is where it was come from; what lies comes out towards the one who looks.
    foot[name] = LYING.has(name) ? [y - 0.15 * length, z - length] : [y - length, z];
    for (const fold of detail.folds?.filter((g) => g.from === name) ?? []) put(fold.to, foot[name][0], foot[name][1]);
  };
  const led = new Set(detail.folds?.map((f) => f.to));
  const names = Object.keys(detail.facets ?? {});
  for (const name of names)
    if (!led.has(name) && (Object.keys(foot).length === 0 || names.length === 1)) put(name, 0, 0);
  return {
    facets: Object.keys(foot),
    at: (facet, u, v) => {
      const [y, z] = foot[facet] ?? [0, 0];
      const up = v - ((detail.facets?.[facet]?.v as number[] | undefined)?.[0] ?? 0);
      return LYING.has(facet) ? away(u, y + 0.15 * up, z + up) : away(u, y + up, z);
    },
  };
}

/** The detail folded back as it stands on the wall, after a step: small, to see which way the sheet turns. */
export function Oblique({ sheet, step }: { sheet: SequenceSheet; step: number }) {
  const { facets, at } = projection(sheet.detail);
  const corners = (facet: string, [a, b, c, d]: number[]): Point[] => [
    at(facet, a ?? 0, b ?? 0),
    at(facet, c ?? 0, b ?? 0),
    at(facet, c ?? 0, d ?? 0),
    at(facet, a ?? 0, d ?? 0),
  ];
  const opening = sheet.detail.opening;
  const extents = facets.map((f): [string, number[]] => {
    const e = sheet.detail.facets?.[f];
    if (e)
      return [
        f,
        [(e.u as number[])[0] ?? 0, (e.v as number[])[0] ?? 0, (e.u as number[])[1] ?? 0, (e.v as number[])[1] ?? 0],
      ];
    const {
      width_mm: W = 0,
      height_mm: H = 0,
      depth_mm: D = 0,
      margin_mm: M = 0,
      outer_board_mm: board = 0,
    } = opening ?? {};
    const deep = f.startsWith('reveal-') ? board : D;
    return [f, f.endsWith('face') ? [-M, -M, W + M, H + M] : f.endsWith('sill') ? [0, 0, W, deep] : [0, 0, deep, H]];
  });
  const all = extents.flatMap(([f, e]) => corners(f, e));
  const [x0, x1] = [Math.min(...all.map((p) => p[0])), Math.max(...all.map((p) => p[0]))];
  const [y0, y1] = [Math.min(...all.map((p) => p[1])), Math.max(...all.map((p) => p[1]))];
  const pen = Math.max(x1 - x0, y1 - y0) / 240;
  const path = (points: Point[]) => `M${points.map((p) => p.join(' ')).join('L')}z`;
  const hole = (facet: string) => (opening ? path(corners(facet, [0, 0, opening.width_mm, opening.height_mm])) : '');
  const draw = ({ piece, patch }: { piece: { id: string; kind: string; step: number }; patch: Patch }) => {
    const colour = COLOUR[piece.kind] ?? 'var(--color-ink)';
    const now = (patch.step ?? piece.step) === step;
    return (
      <path
        key={patch.id}
        d={path(corners(patch.facet, patch.rect as number[]))}
        fill={piece.kind === 'unit' ? '#eef3f5' : '#fff'}
        stroke={colour}
        strokeWidth={now ? pen * 2.4 : pen}
        fillOpacity={piece.kind === 'unit' ? 0.6 : 1}
      />
    );
  };
  const laid = inOrder(sheet, step).filter(({ patch }) => facets.includes(patch.facet));
  const face = opening ? laid.filter(({ patch }) => patch.facet === 'face') : [];
  // The board hides the sheathing once it is up; what is on it and on its cut edges lies before that.
  const boarded =
    opening !== undefined && laid.some(({ piece, patch }) => piece.kind === 'board' && patch.facet === 'outer-face');
  const shown = extents.filter(([f]) => !opening || !onBoard(f));
  return (
    <svg
      viewBox={`${x0 - pen * 4} ${y0 - pen * 4} ${x1 - x0 + pen * 8} ${y1 - y0 + pen * 8}`}
      className="mx-auto block max-h-[150px] w-full"
      role="img"
      aria-label={`${sheet.detail.title}, folded back, after step ${step}`}
      data-drawing="oblique"
    >
      {shown.map(([f, e]) => (
        <path key={f} d={path(corners(f, e))} fill="#fff" stroke="var(--color-ink)" strokeWidth={pen} />
      ))}
      {opening ? (
        <>
          {face.map(draw)}
          {!face.some(({ piece }) => piece.kind === 'unit') && (
            <>
              <path d={hole('face')} fill="var(--color-board)" stroke="var(--color-ink)" strokeWidth={pen} />
              {laid.filter(({ patch }) => patch.facet !== 'face' && !onBoard(patch.facet)).map(draw)}
            </>
          )}
        </>
      ) : (
        laid.map(draw)
      )}
      {boarded && (
        <>
          {extents
            .filter(([f]) => f.startsWith('reveal-'))
            .map(([f, e]) => (
              <path key={f} d={path(corners(f, e))} fill="#fff" stroke="var(--color-ink)" strokeWidth={pen} />
            ))}
          {laid.filter(({ patch }) => patch.facet.startsWith('reveal-')).map(draw)}
          {extents
            .filter(([f]) => f === 'outer-face')
            .map(([f, e]) => (
              <path
                key={f}
                d={path(corners(f, e)) + hole(f)}
                fillRule="evenodd"
                fill="#fff"
                stroke="var(--color-ink)"
                strokeWidth={pen}
              />
            ))}
          {laid.filter(({ piece, patch }) => patch.facet === 'outer-face' && piece.kind !== 'board').map(draw)}
        </>
      )}
    </svg>
  );
}
