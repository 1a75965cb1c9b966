import type { Climate, Units } from '../api/types';
import { show } from '../quantity/show';
import { MONTHS } from './YearChart';

const [WIDTH, TOP, BOTTOM] = [180, 16, 84];
/** All small years to one scale, so that a cold one looks cold beside a hot one. °C */
const [COLDEST, WARMEST] = [-30, 36];
const x = (m: number) => 4 + ((m + 0.5) * (WIDTH - 8)) / 12;
const y = (c: number) =>
  BOTTOM - ((Math.max(COLDEST, Math.min(WARMEST, c)) - COLDEST) / (WARMEST - COLDEST)) * (BOTTOM - TOP);

/** A climate at a glance: its twelve temperatures with freezing drawn through, and its rain standing under them. */
export function SmallYear({ climate, units }: { climate: Climate; units: Units }) {
  const { months } = climate;
  const most = Math.max(1, ...months.map((m) => m.rain_mm ?? 0));
  const means = months.map((m) => m.mean_c);
  const shown = (c: number) => show(c, 'temperature', units);
  return (
    <svg viewBox={`0 0 ${WIDTH} 118`} className="block w-full" aria-hidden="true">
      <path d={`M4 ${y(0)}H${WIDTH - 4}`} stroke="var(--color-hair)" strokeWidth="1" />
      {months.map((m, i) => {
        const h = (18 * (m.rain_mm ?? 0)) / most;
        return (
          <rect
            key={i}
            x={x(i) - 4}
            y={BOTTOM + 2 + 18 - h}
            width="8"
            height={h}
            fill="none"
            stroke="var(--color-water)"
            strokeWidth="1"
          />
        );
      })}
      <polyline
        points={means.map((c, i) => `${x(i)},${y(c)}`).join(' ')}
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth="2"
      />
      <text x={x(0)} y={y(means[0] ?? 0) - 5} fontSize="11">
        {shown(Math.min(...means))}
      </text>
      <text x={x(6)} y={y(Math.max(...means)) - 5} fontSize="11" textAnchor="middle">
        {shown(Math.max(...means))}
      </text>
      <text x={4} y={BOTTOM + 31} fontSize="9" fill="var(--color-faint)">
        {MONTHS[0]}
      </text>
      <text x={WIDTH - 4} y={BOTTOM + 31} fontSize="9" textAnchor="end" fill="var(--color-faint)">
        {MONTHS[11]}
      </text>
    </svg>
  );
}
