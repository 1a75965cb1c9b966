import type { Units } from '../api/types';
import { asked, type Asks } from '../quantity/asked';
import { show } from '../quantity/show';

/** A reading that stands. */
export interface Read {
  id: string;
  value_mm: number;
}

interface Props {
  asks: Asks;
  /** what stands: corrected ones left out */
  readings: Read[];
  /** the one that is being typed */
  value?: number | null;
  units: Units;
}

/** Width, and the room at each end for half a figure. */
const WIDE = 354;
const END = 10;
/** So wide is a reading; others of the same place stand on it, up to so many. */
const DOT = 7;
const MOST_HIGH = 5;

/** The readings of one check against its tolerance: the band that passes, each reading over it, and their mean. */
export function ReadingStrip({ asks, readings, value = null, units }: Props) {
  const from = asks.least_mm ?? 0;
  const furthest = Math.max(0, ...readings.map((r) => r.value_mm));
  // Where nothing is asked but nothing, a scale is still needed.
  const base = (asks.most_mm ?? from) * 2 || furthest || 1;
  // One reading far out must not make a line of the band: what is further stands at the end.
  const high = Math.min(Math.max(base, furthest * 1.05), base * 2);
  const to = asks.most_mm ?? high;
  const x = (mm: number) => END + (Math.max(0, Math.min(high, mm)) / high) * (WIDE - 2 * END);
  const isOut = (mm: number) => mm < from || mm > to;
  const dots = stacked(readings, x);
  const rise = Math.max(0, ...dots.map((d) => d.level + 1)) * DOT;
  const top = Math.max(value === null ? 0 : 14, rise + 4);
  const mean = readings.length < 2 ? null : readings.reduce((sum, r) => sum + r.value_mm, 0) / readings.length;
  const marks = asks.least_mm === null ? [to] : asks.most_mm === null ? [from / 2, from] : [from, to];
  const colour = (mm: number) => (isOut(mm) ? 'var(--color-fail)' : 'currentColor');
  return (
    <svg
      viewBox={`0 ${-top} ${WIDE} ${top + 40}`}
      className="block w-full"
      role="img"
      data-strip={readings.length}
      aria-label={`passes: ${asked(asks, units)}${told(readings, isOut)}`}
    >
      <path d={`M${END} 10H${WIDE - END}`} stroke="currentColor" strokeWidth="2" />
      <rect
        x={x(from)}
        y="0"
        width={x(to) - x(from)}
        height="20"
        fill="#fff"
        stroke="var(--color-pass)"
        strokeWidth="3"
      />
      <path d={`M${x(from)} 6H${x(to)}M${x(from)} 14H${x(to)}`} stroke="var(--color-pass)" strokeWidth="1" />
      {dots.map((d) => (
        <circle
          key={d.id}
          cx={d.x}
          cy={-4 - d.level * DOT}
          r={DOT / 2 - 0.4}
          fill={isOut(d.value_mm) ? '#fff' : 'currentColor'}
          stroke={isOut(d.value_mm) ? 'var(--color-fail)' : 'currentColor'}
          strokeWidth="1.6"
        />
      ))}
      {mean !== null && <path d={`M${x(mean)} 20V1`} stroke="currentColor" strokeWidth="2" data-mean />}
      {value !== null && (
        <path d={`M${x(value)} 20V-6m-9 -8h18l-9 10z`} fill={colour(value)} stroke={colour(value)} strokeWidth="3" />
      )}
      {marks.map((mm) => (
        <text
          key={mm}
          x={x(mm)}
          y="35"
          textAnchor="middle"
          fontSize="14"
          fill="currentColor"
          fontWeight={mm === from || mm === to ? 700 : 400}
        >
          {show(mm, 'length', units)}
        </text>
      ))}
    </svg>
  );
}

/** In words what the dots show, for those who do not see them. */
function told(readings: Read[], isOut: (mm: number) => boolean): string {
  if (readings.length === 0) return '';
  const out = readings.filter((r) => isOut(r.value_mm)).length;
  return `; ${readings.length} read, ${out === 0 ? 'all within' : `${out} out of it`}`;
}

/** Each reading at its place on the strip, on top of those that stand there. */
export function stacked(readings: Read[], x: (mm: number) => number): (Read & { x: number; level: number })[] {
  const standing = new Map<number, number>();
  return readings.map((reading) => {
    const slot = Math.round(x(reading.value_mm) / DOT);
    const level = Math.min(standing.get(slot) ?? 0, MOST_HIGH - 1);
    standing.set(slot, level + 1);
    return { ...reading, x: slot * DOT, level };
  });
}
