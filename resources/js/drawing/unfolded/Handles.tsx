import type { Box } from '../unfold';
import type { Drawn } from './Sheet';

/** A rectangle with one of its edges, or all of it, moved. */
export function dragged(rect: Box, side: number | null, [du, dv]: [number, number]): Box {
  const moved: Box = [rect[0] + du, rect[1] + dv, rect[2] + du, rect[3] + dv];
  return side === null ? moved : (rect.map((v, i) => (i === side ? moved[i] : v)) as Box);
}

/** Round the chosen piece: a knob at the middle of each edge to pull it by. */
export function Handles({
  b,
  moving,
  sides,
  onTake,
}: {
  b: Drawn;
  moving: boolean;
  sides: { du: number; dv: number } | undefined;
  onTake: (e: React.PointerEvent, side: number) => void;
}) {
  // On a facet that is drawn turned round, its first edge lies at the other end.
  const [left, right] = (sides?.du ?? 1) > 0 ? [0, 2] : [2, 0];
  const [bottom, top] = (sides?.dv ?? 1) > 0 ? [1, 3] : [3, 1];
  const knobs: [number, number, number, string][] = [
    [left, b.x, b.y + b.height / 2, 'ew-resize'],
    [right, b.x + b.width, b.y + b.height / 2, 'ew-resize'],
    [top, b.x + b.width / 2, b.y, 'ns-resize'],
    [bottom, b.x + b.width / 2, b.y + b.height, 'ns-resize'],
  ];
  return (
    <g>
      {moving && (
        <rect {...b} fill="none" stroke="var(--color-ink)" strokeWidth="3" strokeDasharray="9 6" pointerEvents="none" />
      )}
      {knobs.map(([side, x, y, cursor]) => (
        <rect
          key={side}
          data-knob={side}
          x={x - 9}
          y={y - 9}
          width="18"
          height="18"
          fill="#fff"
          stroke="var(--color-ink)"
          strokeWidth="3"
          style={{ cursor, touchAction: 'none' }}
          onPointerDown={(e) => onTake(e, side)}
        />
      ))}
    </g>
  );
}
