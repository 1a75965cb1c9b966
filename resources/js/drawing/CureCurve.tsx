import type { Cure, Cures, Units } from '../api/types';
import { show } from '../quantity/show';
import { niceStep } from './scale';

const BOX = { width: 480, left: 52, right: 14, top: 14, bottom: 136, height: 172 };

/**
 * One change along, what the finding turns on up: hollow where it stays, filled where it is cleared, the limit across,
 * the project's own point ringed.
 */
export function CureCurve({ cure, measure, units }: { cure: Cure; measure: Cures['measure']; units: Units }) {
  const { width, left, right, top, bottom, height } = BOX;
  if (cure.curve.length === 0) return null;
  // Without a figure of its own a finding is there or it is not.
  const value = (p: Cure['curve'][number]) => (measure ? p.y : p.clears ? 1 : 0);
  const limit = measure?.limit ?? 0.5;
  const log = cure.kind === 'retarder';
  const at = (x: number) => (log ? Math.log10(x) : x);
  const xs = cure.curve.map((p) => at(p.x));
  const [x0, x1] = [Math.min(...xs), Math.max(...xs)];
  const ys = [...cure.curve.map(value), limit];
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  const span = Math.max(high - low, 1e-9);
  const px = (x: number) => left + ((at(x) - x0) / (x1 - x0)) * (width - left - right);
  const py = (y: number) => bottom - ((y - low + 0.08 * span) / (1.16 * span)) * (bottom - top);
  const shownY = (y: number) => figure(measure?.figure ?? '', y, units);
  const step = niceStep(span, 3);
  const ticks = measure
    ? Array.from(
        { length: Math.max(0, Math.floor(high / step) - Math.ceil(low / step) + 1) },
        (_, i) => (Math.ceil(low / step) + i) * step,
      )
    : [];
  const along = log
    ? [1, 10, 100, 1000, 10000].filter((x) => at(x) >= x0 && at(x) <= x1)
    : Array.from({ length: Math.floor(x1 / 100) + 1 }, (_, i) => i * 100).filter((x) => x >= x0);
  const own = cure.from === null ? undefined : between(cure.curve, cure.from, value);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="block w-full"
      role="img"
      aria-label={`${measure?.title ?? 'the finding'} against ${log ? 'permeance' : 'thickness'}`}
      data-drawing="cure"
    >
      <path d={`M${left} ${top}V${bottom}H${width - right}`} fill="none" stroke="var(--color-ink)" strokeWidth="0.8" />
      {ticks.map((t) => (
        <g key={t}>
          <path d={`M${left - 4} ${py(t)}h4`} stroke="var(--color-ink)" strokeWidth="0.8" />
          <text x={left - 7} y={py(t) + 4} fontSize="10" textAnchor="end">
            {shownY(t).split(' ')[0]}
          </text>
        </g>
      ))}
      {along.map((x) => (
        <g key={x}>
          <path d={`M${px(x)} ${bottom}v4`} stroke="var(--color-ink)" strokeWidth="0.8" />
          <text x={px(x)} y={bottom + 15} fontSize="10" textAnchor="middle">
            {show(x, log ? 'permeance' : 'thickness', units).replace(/ (mm|ng)$/, '')}
          </text>
        </g>
      ))}
      <path
        d={`M${left} ${py(limit)}H${width - right}`}
        stroke="var(--color-fail)"
        strokeWidth="1"
        strokeDasharray="6 4"
      />
      <text
        x={width - right}
        y={py(limit) + (py(limit) < top + 24 ? 13 : -5)}
        fontSize="11"
        textAnchor="end"
        fill="var(--color-fail)"
      >
        {measure ? `limit ${measure.limit_shown}` : 'cleared above, there below'}
      </text>
      <polyline
        points={cure.curve.map((p) => `${px(p.x)},${py(value(p))}`).join(' ')}
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth="1.6"
      />
      {cure.curve.map((p, i) => (
        <circle
          key={i}
          cx={px(p.x)}
          cy={py(value(p))}
          r="2.8"
          fill={p.clears ? 'var(--color-pass)' : '#fff'}
          stroke={p.clears ? 'var(--color-pass)' : 'var(--color-ink)'}
        />
      ))}
      {cure.from !== null && own !== undefined && cure.from <= 10 ** 5 && (
        <g>
          <circle cx={px(cure.from)} cy={py(own)} r="7" fill="none" stroke="var(--color-ink)" strokeWidth="2" />
          <text
            x={px(cure.from) + 10}
            y={py(own) + (py(own) > bottom - 24 ? -9 : 15)}
            fontSize="11"
            fontWeight="700"
            stroke="var(--color-paper)"
            strokeWidth="3"
            paintOrder="stroke"
          >
            now
          </text>
        </g>
      )}
      {cure.to !== null && (
        <path
          d={`M${px(cure.to)} ${bottom}V${top}`}
          stroke="var(--color-pass)"
          strokeWidth="1.4"
          strokeDasharray="2 3"
        />
      )}
      <text x={(left + width - right) / 2} y={height - 6} fontSize="11" textAnchor="middle" fill="var(--color-faint)">
        {log
          ? `permeance inside, ${units === 'si' ? 'ng/Pa·s·m²' : 'perm'}`
          : `thickness, ${units === 'si' ? 'mm' : 'in'}`}
      </text>
      <text x={left} y={top - 4} fontSize="11" fill="var(--color-faint)">
        {measure ? `${measure.title}, ${shownY(limit).split(' ').slice(1).join(' ') || 'ratio'}` : ''}
      </text>
    </svg>
  );
}

function between(curve: Cure['curve'], x: number, value: (p: Cure['curve'][number]) => number): number | undefined {
  for (let i = 1; i < curve.length; i++) {
    const [a, b] = [curve[i - 1], curve[i]];
    if (a && b && x >= a.x && x <= b.x) return value(a) + ((value(b) - value(a)) * (x - a.x)) / (b.x - a.x);
  }
  return undefined;
}

/** A figure by the unit at the end of its key, as findings show theirs. */
export function figure(key: string, value: number, units: Units): string {
  if (key.endsWith('_g_m2_h')) return show(value, 'rate', units);
  if (key.endsWith('_g_m2')) return show(value, 'water', units);
  if (key.endsWith('_m2k_w')) return show(value, 'resistance', units);
  if (key.endsWith('_c')) return show(value, 'temperature', units);
  return value.toFixed(2);
}
