interface Props {
  points: { share: number; index: number }[];
  limit: number;
}

const [WIDTH, HEIGHT, LEFT, BOTTOM] = [380, 190, 34, 150];

/** How the worst mould index goes up with the rain that gets in: where it meets the limit is what the wall bears. */
export function LeakCurve({ points, limit }: Props) {
  const sorted = [...points].sort((a, b) => a.share - b.share);
  const most = Math.max(limit + 0.5, ...sorted.map((p) => p.index));
  const wide = Math.max(0.01, ...sorted.map((p) => p.share));
  const x = (share: number) => LEFT + (share / wide) * (WIDTH - LEFT - 16);
  const y = (index: number) => BOTTOM - (index / most) * (BOTTOM - 10);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="block w-full max-w-[24rem]"
      role="img"
      aria-label="worst mould index by the share of rain that gets in"
      data-drawing="leak-curve"
    >
      <line x1={LEFT} x2={WIDTH - 16} y1={BOTTOM} y2={BOTTOM} stroke="var(--color-ink)" />
      <line x1={LEFT} x2={WIDTH - 16} y1={y(limit)} y2={y(limit)} stroke="var(--color-fail)" strokeDasharray="6 3" />
      <text x={LEFT - 6} y={y(limit) + 4} textAnchor="end" fontSize="11">
        {limit}
      </text>
      <polyline
        points={sorted.map((p) => `${x(p.share)},${y(p.index)}`).join(' ')}
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth="1.6"
      />
      {sorted.map((p) => (
        <g key={p.share}>
          <circle
            cx={x(p.share)}
            cy={y(p.index)}
            r="4"
            fill={p.index >= limit ? 'var(--color-fail)' : '#fff'}
            stroke={p.index >= limit ? 'var(--color-fail)' : 'var(--color-ink)'}
          />
          <text x={x(p.share)} y={BOTTOM + 14} textAnchor="middle" fontSize="11" fill="var(--color-faint)">
            {(100 * p.share).toFixed(1)}
          </text>
        </g>
      ))}
      <text x={WIDTH - 16} y={BOTTOM + 30} textAnchor="end" fontSize="11" fill="var(--color-faint)">
        % of the rain on the wall that gets in
      </text>
    </svg>
  );
}
