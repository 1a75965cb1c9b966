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
  const walls = new Map(derived?.parts.filter((p) => p.kind === 'wall').map((p) => [p.id, p]));
  return (
    <svg
      viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
      className="block max-h-[300px] w-full"
      role="img"
      aria-label="The building on plan"
      data-drawing="plan"
    >
      {building.blocks.map((block) => {
        const signed = area(block.outline);
        const [cx, cy] = middle(block.outline);
        return (
          <g key={block.id} data-block={block.id}>
            <path
              d={`M${block.outline.map((c) => `${X(c[0] ?? 0)} ${Y(c[1] ?? 0)}`).join('L')}z`}
              fill={(block.inside ?? 'conditioned') === 'conditioned' ? '#fff' : 'var(--color-board)'}
              stroke="var(--color-hair)"
              strokeDasharray={block.inside === 'open' ? '4 4' : undefined}
            />
            {block.outline.map((from, i) => {
              const to = block.outline[(i + 1) % block.outline.length] ?? from;
              const part = walls.get(`${block.id}.wall.${i}`);
              const [x0, y0, x1, y1] = [X(from[0] ?? 0), Y(from[1] ?? 0), X(to[0] ?? 0), Y(to[1] ?? 0)];
              const length = Math.hypot(x1 - x0, y1 - y0) || 1;
              // Outward on the drawing, whichever way the outline is walked.
              const [nx, ny] = [((y1 - y0) / length) * -Math.sign(signed), ((x1 - x0) / length) * Math.sign(signed)];
              return (
                part &&
                THREADS.map(
                  (thread, n) =>
                    carries(part.assembly, thread.control) && (
                      <line
                        key={`${i}${thread.control}`}
                        x1={x0 + nx * (4 + 6 * n)}
                        y1={y0 + ny * (4 + 6 * n)}
                        x2={x1 + nx * (4 + 6 * n)}
                        y2={y1 + ny * (4 + 6 * n)}
                        stroke={thread.colour}
                        strokeWidth={thread.width - 1}
                        strokeDasharray={thread.dash}
                        strokeLinecap={thread.control === 'vapour' ? 'round' : undefined}
                      />
                    ),
                )
              );
            })}
            <text x={X(cx)} y={Y(cy)} textAnchor="middle" fontSize="13" fill="var(--color-faint)">
              {block.id}
            </text>
          </g>
        );
      })}
      {derived?.corners.map((corner) => {
        const stops = THREADS.filter((thread) =>
          corner.joints.some((id) => {
            const state = derived.joints.find((j) => j.id === id)?.threads[thread.control];
            return state === 'broken';
          }),
        );
        const [x, y, z] = corner.at_mm;
        if (stops.length === 0 && !corner.joints.some(chosen)) return null;
        return (
          <g key={`${x} ${y} ${z}`} data-stops={stops.map((t) => t.letter).join('')}>
            <circle
              cx={X(x ?? 0)}
              cy={Y(y ?? 0)}
              r={11}
              fill="#fff"
              stroke={stops.length > 0 ? 'var(--color-fail)' : 'var(--color-ink)'}
              strokeWidth={corner.joints.some(chosen) ? 3 : 1.6}
            />
            <text x={X(x ?? 0)} y={Y(y ?? 0) + 4} textAnchor="middle" fontSize="10" fontWeight="bold">
              {stops.map((t) => t.letter).join('')}
            </text>
          </g>
        );
      })}
    </svg>
  );
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
