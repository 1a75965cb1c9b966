import type { Building, DerivedBuilding } from '../../api/types';
import { THREADS } from '../../ui/threads';

const SIZE = { width: 780, height: 300, edge: 46 };

interface Props {
  building: Building;
  derived: DerivedBuilding | undefined;
  /** which controls an assembly has a layer for */
  carries: (assembly: string | null, control: string) => boolean;
  chosen: (joint: string) => boolean;
}

/** The outlines on plan, with the four threads along every wall that has the layer, and the corners where one stops. */
export function Plan({ building, derived, carries, chosen }: Props) {
  const corners = building.blocks.flatMap((block) => block.outline);
  const [xs, ys] = [corners.map((c) => c[0] ?? 0), corners.map((c) => c[1] ?? 0)];
  const [west, east, south, north] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(
    (SIZE.width - 2 * SIZE.edge) / Math.max(1, east - west),
    (SIZE.height - 2 * SIZE.edge) / Math.max(1, north - south),
  );
  const X = (x: number) => SIZE.edge + (x - west) * scale;
  const Y = (y: number) => SIZE.height - SIZE.edge - (y - south) * scale;
  const walls = new Map(derived?.parts.map((p) => [p.id, p]));
  const stops = derived ? stopsOf(derived, chosen) : [];
  return (
    <svg
      viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
      className="block max-h-[300px] w-full"
      role="img"
      aria-label="The building on plan"
      data-drawing="plan"
    >
      {building.blocks.map((block) => {
        const [cx, cy] = middle(block.outline);
        return (
          <g key={block.id} data-block={block.id}>
            <path
              d={`M${block.outline.map((c) => `${X(c[0] ?? 0)} ${Y(c[1] ?? 0)}`).join('L')}z`}
              fill={(block.inside ?? 'conditioned') === 'conditioned' ? '#fff' : 'var(--color-board)'}
              stroke="var(--color-hair)"
              strokeDasharray={block.inside === 'open' ? '4 4' : undefined}
            />
            <text x={X(cx)} y={Y(cy)} textAnchor="middle" fontSize="13" fill="var(--color-faint)">
              {block.id}
            </text>
          </g>
        );
      })}
      {building.blocks.flatMap((block) =>
        block.outline.flatMap((from, i) => {
          const to = block.outline[(i + 1) % block.outline.length] ?? from;
          const part = walls.get(`${block.id}.wall.${i}`) ?? walls.get(`${block.id}.foundation.${i}`);
          const [x0, y0, x1, y1] = [X(from[0] ?? 0), Y(from[1] ?? 0), X(to[0] ?? 0), Y(to[1] ?? 0)];
          const length = Math.hypot(x1 - x0, y1 - y0) || 1;
          // Outward on the drawing, whichever way the outline is walked.
          const turn = Math.sign(area(block.outline));
          const [nx, ny] = [((y1 - y0) / length) * -turn, ((x1 - x0) / length) * turn];
          return THREADS.filter((thread) => part && carries(part.assembly, thread.control)).map((thread) => {
            const off = 4 + 6 * THREADS.indexOf(thread);
            return (
              <line
                key={`${block.id} ${i} ${thread.control}`}
                x1={x0 + nx * off}
                y1={y0 + ny * off}
                x2={x1 + nx * off}
                y2={y1 + ny * off}
                stroke={thread.colour}
                strokeWidth={thread.width - 1}
                strokeDasharray={thread.dash}
                strokeLinecap={thread.control === 'vapour' ? 'round' : undefined}
              />
            );
          });
        }),
      )}
      {stops.map(({ x, y, letters, isChosen }) => {
        const width = 14 + 8 * Math.max(1, letters.length);
        return (
          <g key={`${x} ${y}`} data-stops={letters} transform={`translate(${X(x)} ${Y(y)})`}>
            <rect
              x={-width / 2}
              y={-11}
              width={width}
              height={22}
              rx={11}
              fill="#fff"
              stroke={letters === '' ? 'var(--color-ink)' : 'var(--color-fail)'}
              strokeWidth={isChosen ? 3 : 1.6}
            />
            <text y={4} textAnchor="middle" fontSize="10" fontWeight="bold">
              {letters}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/** Corners on plan at which a thread breaks, at any height, with the letters of those that do. */
function stopsOf(derived: DerivedBuilding, chosen: Props['chosen']) {
  const joints = new Map(derived.joints.map((j) => [j.id, j]));
  const stops = new Map<string, { x: number; y: number; letters: string; isChosen: boolean }>();
  for (const corner of derived.corners) {
    const [x = 0, y = 0] = corner.at_mm;
    const key = `${x} ${y}`;
    const there = stops.get(key) ?? { x, y, letters: '', isChosen: false };
    const broken = THREADS.filter((t) => corner.joints.some((id) => joints.get(id)?.threads[t.control] === 'broken'));
    const all = new Set([...there.letters, ...broken.map((t) => t.letter)]);
    stops.set(key, {
      x,
      y,
      letters: THREADS.map((t) => t.letter)
        .filter((letter) => all.has(letter))
        .join(''),
      isChosen: there.isChosen || corner.joints.some(chosen),
    });
  }
  return [...stops.values()].filter((stop) => stop.letters !== '' || stop.isChosen);
}

/** Twice the area, positive where it is walked with the inside on the left. */
const area = (outline: number[][]): number =>
  outline.reduce((sum, from, i) => {
    const to = outline[(i + 1) % outline.length] ?? from;
    return sum + (from[0] ?? 0) * (to[1] ?? 0) - (to[0] ?? 0) * (from[1] ?? 0);
  }, 0);

const middle = (outline: number[][]): [number, number] => [
  outline.reduce((sum, c) => sum + (c[0] ?? 0), 0) / outline.length,
  outline.reduce((sum, c) => sum + (c[1] ?? 0), 0) / outline.length,
];
