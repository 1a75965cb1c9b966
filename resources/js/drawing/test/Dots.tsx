interface Props {
  values: number[];
  least?: number | undefined;
  most?: number | undefined;
  unit: string;
}

const [WIDTH, HEIGHT, EDGE] = [780, 74, 44];

/** Readings as dots along their scale, with what is asked of them as a line: those beyond it are filled. */
export function Dots({ values, least, most, unit }: Props) {
  if (values.length === 0) return null;
  const asked = [least, most].filter((v) => v !== undefined);
  const low = Math.min(...values, ...asked, 0);
  const high = Math.max(...values, ...asked) * 1.06 || 1;
  const x = (v: number) => EDGE + ((v - low) / (high - low)) * (WIDTH - 2 * EDGE);
  const isOut = (v: number) => (least !== undefined && v < least) || (most !== undefined && v > most);
  const ticks = [0, 0.25, 0.5, 0.75, 1].map((share) => low + share * (high - low));
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="block w-full"
      role="img"
      aria-label={`${values.length} readings from ${Math.min(...values).toFixed(2)} to ${Math.max(...values).toFixed(2)} ${unit}`}
      data-drawing="dots"
    >
      {least !== undefined && <rect x={x(low)} y="8" width={x(least) - x(low)} height="40" fill="var(--color-board)" />}
      {most !== undefined && <rect x={x(most)} y="8" width={x(high) - x(most)} height="40" fill="var(--color-board)" />}
      <line x1={x(low)} x2={x(high)} y1="48" y2="48" stroke="var(--color-ink)" />
      {ticks.map((tick) => (
        <text key={tick} x={x(tick)} y="62" textAnchor="middle" fontSize="11" fill="var(--color-faint)">
          {tick.toPrecision(3)} {unit}
        </text>
      ))}
      {asked.map((v) => (
        <g key={v}>
          <line x1={x(v)} x2={x(v)} y1="4" y2="52" stroke="var(--color-ink)" strokeDasharray="4 3" />
          <text x={x(v) + 4} y="14" fontSize="11">
            {v === least ? 'at the least' : 'at the most'} {v}
          </text>
        </g>
      ))}
      {values.map((v, i) => (
        <circle
          key={i}
          cx={x(v)}
          cy={40 - (i % 4) * 6}
          r="4"
          fill={isOut(v) ? 'var(--color-fail)' : '#fff'}
          stroke={isOut(v) ? 'var(--color-fail)' : 'var(--color-pass)'}
          strokeWidth="1.5"
        />
      ))}
    </svg>
  );
}
