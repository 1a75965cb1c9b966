interface Line {
  name: string;
  /** at the end of each month since the beginning */
  index: number[];
}

interface Props {
  lines: Line[];
  limit: number;
}

const [WIDTH, HEIGHT, LEFT, RIGHT, TOP, BOTTOM] = [780, 210, 30, 190, 10, 182];

/** The mould index of each face, month by month since the beginning, with the limit that is asked for. */
export function MouldLines({ lines, limit }: Props) {
  const months = Math.max(1, ...lines.map((l) => l.index.length));
  const most = Math.max(limit + 0.5, ...lines.flatMap((l) => l.index));
  const x = (month: number) => LEFT + (month / months) * (WIDTH - LEFT - RIGHT);
  const y = (index: number) => BOTTOM - (index / most) * (BOTTOM - TOP);
  const ends = lines
    .map((l) => ({ ...l, at: y(l.index.at(-1) ?? 0) }))
    .sort((a, b) => a.at - b.at)
    .reduce<(Line & { at: number; label: number })[]>((placed, l) => {
      const above = placed.at(-1)?.label ?? -Infinity;
      return [...placed, { ...l, label: Math.max(l.at + 4, above + 13) }];
    }, []);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="block w-full"
      role="img"
      aria-label={`mould index over ${months} months, the limit at ${limit}`}
      data-drawing="mould"
    >
      <rect x={LEFT} y={TOP} width={WIDTH - LEFT - RIGHT} height={y(limit) - TOP} fill="var(--color-board)" />
      {Array.from({ length: Math.floor(most) + 1 }, (_, i) => (
        <g key={i}>
          <line x1={LEFT} x2={WIDTH - RIGHT} y1={y(i)} y2={y(i)} stroke="var(--color-hair)" />
          <text x={LEFT - 6} y={y(i) + 4} textAnchor="end" fontSize="11" fill="var(--color-faint)">
            {i}
          </text>
        </g>
      ))}
      {Array.from({ length: Math.floor(months / 12) + 1 }, (_, year) => (
        <g key={year}>
          <line x1={x(12 * year)} x2={x(12 * year)} y1={TOP} y2={BOTTOM + 4} stroke="var(--color-hair)" />
          {12 * year < months && (
            <text x={x(12 * year) + 4} y={BOTTOM + 16} fontSize="11" fill="var(--color-faint)">
              year {year + 1}
            </text>
          )}
        </g>
      ))}
      <line
        x1={LEFT}
        x2={WIDTH - RIGHT}
        y1={y(limit)}
        y2={y(limit)}
        stroke="var(--color-fail)"
        strokeDasharray="6 3"
        strokeWidth="1.5"
      />
      {ends.map((l) => (
        <g key={l.name}>
          <polyline
            points={[`${x(0)},${y(0)}`, ...l.index.map((m, i) => `${x(i + 1)},${y(m)}`)].join(' ')}
            fill="none"
            stroke={Math.max(...l.index) >= limit ? 'var(--color-fail)' : 'var(--color-ink)'}
            strokeWidth="1.6"
          />
          <text x={WIDTH - RIGHT + 6} y={l.label} fontSize="11">
            {l.name}
          </text>
        </g>
      ))}
    </svg>
  );
}
