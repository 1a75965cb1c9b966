interface Row {
  name: string;
  /** kg/m² at the end of each month */
  water: number[];
  says: string;
}

const [WIDTH, LEFT, RIGHT, HIGH] = [780, 210, 130, 30];
const MONTHS = 'JFMAMJJASOND';

/** The last year of each layer: as much water as it holds at the end of each month, each to its own most. */
export function WaterYear({ rows }: { rows: Row[] }) {
  const step = (WIDTH - LEFT - RIGHT) / 12;
  const height = rows.length * HIGH + 20;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="block w-full"
      role="img"
      aria-label="water in each layer, month by month"
      data-drawing="water-year"
    >
      {rows.map((row, r) => {
        const most = Math.max(...row.water, 1e-9);
        const foot = (r + 1) * HIGH - 4;
        return (
          <g key={row.name + r}>
            <text x={LEFT - 8} y={foot - 6} textAnchor="end" fontSize="11">
              {row.name}
            </text>
            <line x1={LEFT} x2={WIDTH - RIGHT} y1={foot} y2={foot} stroke="var(--color-ink)" />
            {row.water.map((w, m) => (
              <rect
                key={m}
                x={LEFT + m * step + 1}
                y={foot - (w / most) * (HIGH - 9)}
                width={step - 2}
                height={(w / most) * (HIGH - 9)}
                fill="var(--color-water)"
                fillOpacity="0.55"
              />
            ))}
            <text x={WIDTH - RIGHT + 6} y={foot - 6} fontSize="11" fill="var(--color-faint)">
              {row.says}
            </text>
          </g>
        );
      })}
      {[...MONTHS].map((month, m) => (
        <text
          key={m}
          x={LEFT + (m + 0.5) * step}
          y={height - 6}
          textAnchor="middle"
          fontSize="11"
          fill="var(--color-faint)"
        >
          {month}
        </text>
      ))}
    </svg>
  );
}
