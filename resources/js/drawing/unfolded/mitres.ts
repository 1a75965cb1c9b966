import type { Detail } from '../../api/types';
import { drawnDepth, planes } from '../unfold';

/** Lines along the arrises of an opening: where its returns are laid back into the hole, each mitred at its ends. */
export function mitres(opening: NonNullable<Detail['opening']>): Record<string, [number, number][]> {
  const { width_mm: W, height_mm: H } = opening;
  return Object.fromEntries(
    planes(opening).flatMap(({ prefix, depth, at }) => {
      const e = drawnDepth(opening, depth);
      const shapes: [string, [number, number][]][] = [
        [
          'sill',
          [
            [0, 0],
            [e, e],
            [W - e, e],
            [W, 0],
          ],
        ],
        [
          'head',
          [
            [0, H],
            [e, H - e],
            [W - e, H - e],
            [W, H],
          ],
        ],
        [
          'jamb-left',
          [
            [0, 0],
            [e, e],
            [e, H - e],
            [0, H],
          ],
        ],
        [
          'jamb-right',
          [
            [W, 0],
            [W - e, e],
            [W - e, H - e],
            [W, H],
          ],
        ],
      ];
      return shapes.map(([name, points]): [string, [number, number][]] => [
        prefix + name,
        points.map(([u, v]) => [u + at, v]),
      ]);
    }),
  );
}
