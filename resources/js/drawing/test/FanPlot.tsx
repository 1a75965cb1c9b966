import { useRef } from 'react';
import type { DerivedFan, FanTest } from '../../api/types';
import { useDrawnWidth } from '../useDrawnWidth';

interface Props {
  test: FanTest;
  derived: DerivedFan | undefined;
}

const EDGE = { left: 56, right: 16, top: 14, foot: 38 };
const TICKS_PA = [4, 10, 20, 30, 50, 75, 100];

/** Flow against pressure, both by their logarithm: a leak is a straight line, its slope the exponent. */
export function FanPlot({ test, derived }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const width = useDrawnWidth(svg, 780, 360);
  const height = 300;
  const mean = (read: number[] | undefined) =>
    read && read.length > 0 ? read.reduce((a, b) => a + b, 0) / read.length : undefined;
  const zeros = [mean(test.zero_flow_before_pa), mean(test.zero_flow_after_pa)].filter((z) => z !== undefined);
  const offset = mean(zeros) ?? 0;
  const points = test.points
    .map((p) => ({ pressure: Math.abs(p.pressure_pa - offset), flow: p.flow_m3_h }))
    .filter((p) => p.pressure > 0.1 && p.flow > 0);
  const flows = points.map((p) => p.flow);
  const [low, high] = [Math.min(...flows, 100) * 0.6, Math.max(...flows, 101) * 1.5];
  const X = (pa: number) =>
    EDGE.left + ((Math.log(pa) - Math.log(4)) / (Math.log(110) - Math.log(4))) * (width - EDGE.left - EDGE.right);
  const Y = (flow: number) =>
    height -
    EDGE.foot -
    ((Math.log(flow) - Math.log(low)) / (Math.log(high) - Math.log(low))) * (height - EDGE.top - EDGE.foot);
  const decades = [1, 2, 5].flatMap((m) => [1, 10, 100, 1000, 10000, 100000].map((d) => m * d));
  const at = (pa: number) => {
    const [c, n] = [derived?.c_m3_h_pan, derived?.n];
    return c == null || n == null ? null : Math.min(high, Math.max(low, c * pa ** n));
  };
  const [from, to] = [at(4), at(110)];
  const q50 = derived?.q50_m3_h ?? null;
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${width} ${height}`}
      className="block w-full"
      role="img"
      aria-label="Flow against pressure"
      data-drawing="fan"
    >
      {TICKS_PA.map((pa) => (
        <g key={pa}>
          <path d={`M${X(pa)} ${EDGE.top}V${height - EDGE.foot}`} stroke="var(--color-hair)" />
          <text x={X(pa)} y={height - EDGE.foot + 15} textAnchor="middle" fontSize="11" fill="var(--color-faint)">
            {pa}
          </text>
        </g>
      ))}
      {decades
        .filter((flow) => flow > low && flow < high)
        .map((flow) => (
          <g key={flow}>
            <path d={`M${EDGE.left} ${Y(flow)}H${width - EDGE.right}`} stroke="var(--color-hair)" />
            <text x={EDGE.left - 6} y={Y(flow) + 4} textAnchor="end" fontSize="11" fill="var(--color-faint)">
              {flow}
            </text>
          </g>
        ))}
      {from !== null && to !== null && (
        <path
          d={`M${X(4)} ${Y(from)}L${X(110)} ${Y(to)}`}
          stroke="var(--color-ink)"
          strokeWidth="1.6"
          strokeDasharray={derived?.verdict === 'not valid' ? '5 4' : undefined}
          data-line
        />
      )}
      {points.map((p, i) => (
        <circle
          key={i}
          cx={X(p.pressure)}
          cy={Y(p.flow)}
          r="4"
          fill={test.simulated ? '#fff' : 'var(--color-ink)'}
          stroke="var(--color-ink)"
          strokeWidth="1.5"
          data-reading
        />
      ))}
      {q50 !== null && q50 > low && q50 < high && (
        <g data-q50>
          <path
            d={`M${X(50)} ${height - EDGE.foot}V${Y(q50)}H${EDGE.left}`}
            fill="none"
            stroke="var(--color-ink)"
            strokeDasharray="2 3"
          />
          <text x={X(50) - 6} y={Y(q50) - 7} textAnchor="end" fontSize="11" fontWeight="700">
            {q50.toFixed(0)} m³/h at 50 Pa
          </text>
        </g>
      )}
      <text x={(EDGE.left + width) / 2} y={height - 6} textAnchor="middle" fontSize="11" fill="var(--color-faint)">
        Pa, less what the gauge read with the fan off; circles as the fan read, the line in air of 20 °C
      </text>
      {test.simulated && (
        <text x={width - EDGE.right - 6} y={height - EDGE.foot - 8} textAnchor="end" fontSize="12" fontWeight="700">
          simulated, not measured
        </text>
      )}
    </svg>
  );
}
