import type { Drawn } from './Sheet';

/** The head of a fastener: filled where every piece it goes through closes round it. */
export function Head({ b, tight }: { b: Pick<Drawn, 'x' | 'y'>; tight: boolean }) {
  return (
    <g pointerEvents="none" data-fastener={tight ? 'tight' : 'leaks'} stroke="var(--color-ink)" strokeWidth="1.6">
      <circle cx={b.x} cy={b.y} r="4.5" fill={tight ? 'var(--color-ink)' : '#fff'} />
      <path d={`M${b.x - 4.5} ${b.y}h9M${b.x} ${b.y - 4.5}v9`} />
    </g>
  );
}

export function Pipe({ b, round }: { b: Drawn; round: boolean }) {
  const [cx, cy] = [b.x + b.width / 2, b.y + b.height / 2];
  return (
    <g pointerEvents="none">
      {round ? (
        <ellipse
          cx={cx}
          cy={cy}
          rx={b.width / 2}
          ry={b.height / 2}
          fill="#fff"
          stroke="var(--color-ink)"
          strokeWidth="2.4"
        />
      ) : (
        <rect {...b} fill="#fff" stroke="var(--color-ink)" strokeWidth="2.4" />
      )}
      <path d={`M${cx - 9} ${cy}h18M${cx} ${cy - 9}v18`} stroke="var(--color-ink)" strokeWidth="1.4" />
    </g>
  );
}

export function Frame({ b, flange }: { b: Drawn; flange: number }) {
  const inset = (by: number) => ({ x: b.x + by, y: b.y + by, width: b.width - 2 * by, height: b.height - 2 * by });
  return (
    <>
      <rect {...inset(flange)} fill="none" stroke="var(--color-ink)" strokeWidth="2" />
      <rect {...inset(flange + 26)} fill="none" stroke="var(--color-ink)" strokeWidth="1" />
    </>
  );
}

/** Facets that lie apart are named in their upper left corner. */
export function FacetName({ b, k, name }: { b: Pick<Drawn, 'x' | 'y'>; k: number; name: string }) {
  return (
    <text
      transform={`translate(${b.x + 8} ${b.y}) scale(${k})`}
      y="26"
      fontSize="20"
      fill="var(--color-faint)"
      stroke="#fff"
      strokeWidth="5"
      paintOrder="stroke"
      pointerEvents="none"
    >
      {name}
    </text>
  );
}
