import type { Assessment, Climate, Units } from '../api/types';
import { niceStep } from './scale';

export const YEAR = { width: 800, left: 46, right: 16, top: 16, bottom: 410, height: 432 };
export const monthX = (m: number) => YEAR.left + ((m + 0.5) * (YEAR.width - YEAR.left - YEAR.right)) / 12;

export const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** The climate's year: outdoor air and its dew point, with the indoor air and the indoor dew point over it. */
export function YearChart({
  climate,
  months,
  units,
}: {
  climate: Climate;
  months: NonNullable<Assessment['climate']>['months'] | undefined;
  units: Units;
}) {
  const { width, left, right, top, bottom, height } = YEAR;
  const outdoor = climate.months.map((m) => m.mean_c);
  const all = [
    ...outdoor,
    ...(months?.flatMap((m) => [m.indoor_c, m.indoor_dew_point_c, m.outdoor_dew_point_c]) ?? []),
  ];
  const [low, high] = [Math.min(...all) - 3, Math.max(...all) + 3];
  const y = (c: number) => bottom - ((c - low) / (high - low)) * (bottom - top);
  const step = niceStep(high - low, 6);
  const first = Math.ceil(low / step);
  const line = (values: number[]) => values.map((v, i) => `${monthX(i)},${y(v)}`).join(' ');
  const dew = months?.map((m) => m.indoor_dew_point_c);
  const apart = dew ? Math.abs(y(dew[6] ?? 0) - y(outdoor[6] ?? 0)) : 0;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="block w-full"
      role="img"
      aria-label={`The year of ${climate.name}`}
      data-drawing="climate"
    >
      {Array.from({ length: Math.max(0, Math.floor(high / step) - first + 1) }, (_, i) => (first + i) * step).map(
        (t) => (
          <g key={t}>
            <path
              d={`M${left} ${y(t)}H${width - right}`}
              stroke={Math.abs(t) < 1e-9 ? 'var(--color-ink)' : 'var(--color-hair)'}
              strokeWidth="0.7"
            />
            <text x={left - 8} y={y(t) + 4} textAnchor="end" fontSize="11">
              {units === 'si' ? t : Math.round(t * 1.8 + 32)}
            </text>
          </g>
        ),
      )}
      {climate.months.map((_, i) => (
        <g key={i}>
          <path d={`M${monthX(i)} ${bottom}v5`} stroke="var(--color-ink)" strokeWidth="0.7" />
          <text x={monthX(i)} y={bottom + 18} textAnchor="middle" fontSize="11" fill="var(--color-faint)">
            {MONTHS[i]}
          </text>
        </g>
      ))}
      {dew &&
        outdoor.map((t, i) => {
          const d = dew[i] ?? t;
          // Where the outdoor air is colder than the indoor dew point, something in the wall is too.
          return t < d ? (
            <path
              key={i}
              d={`M${monthX(i)} ${y(t)}V${y(d)}`}
              stroke="var(--color-water)"
              strokeWidth="1"
              strokeDasharray="2 3"
            />
          ) : null;
        })}
      <polyline points={line(outdoor)} fill="none" stroke="var(--color-ink)" strokeWidth="2.4" />
      {outdoor.map((t, i) => (
        <circle key={i} cx={monthX(i)} cy={y(t)} r="3" fill="#fff" stroke="var(--color-ink)" strokeWidth="1.6" />
      ))}
      {months && (
        <polyline
          points={line(months.map((m) => m.indoor_c))}
          fill="none"
          stroke="var(--color-heat)"
          strokeWidth="1.6"
        />
      )}
      {dew && (
        <polyline
          points={line(dew)}
          fill="none"
          stroke="var(--color-vapour)"
          strokeWidth="3"
          strokeDasharray="0.1 6"
          strokeLinecap="round"
          data-line="indoor dew point"
        />
      )}
      <g fontSize="11">
        <text x={monthX(0) + 10} y={y(outdoor[0] ?? 0) + 16}>
          outdoor air
        </text>
        {months && (
          <text x={monthX(0)} y={y(months[0]?.indoor_c ?? 0) - 6} fill="var(--color-heat)">
            indoor air
          </text>
        )}
        {dew && (
          <text x={monthX(apart < 18 ? 0 : 5)} y={y(dew[apart < 18 ? 0 : 5] ?? 0) + 18} fill="var(--color-vapour)">
            indoor dew point
          </text>
        )}
        <text x={left - 8} y={top - 4} textAnchor="end">
          {units === 'si' ? '°C' : '°F'}
        </text>
      </g>
    </svg>
  );
}
