import { useState } from 'react';
import type { RunPicture } from '../../api/types';

const [WIDTH, HEIGHT, LEFT, RIGHT, TOP, BOTTOM] = [780, 250, 34, 40, 24, 226];
const DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
const NAMES = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

function dayOf(hour: number): string {
  let day = Math.floor(hour / 24);
  for (const [m, days] of DAYS.entries()) {
    if (day < days) return `${day + 1} ${NAMES[m]}, ${hour % 24} h`;
    day -= days;
  }
  return '';
}

interface Props {
  picture: RunPicture;
  /** names of the layers, inside to outside */
  names: string[];
}

/** Relative humidity and temperature through the wall, at any hour of the last year: drag, or arrow keys. */
export function Film({ picture, names }: Props) {
  const [at, setAt] = useState(0);
  const frame = picture.frames[at] ?? [];
  const thick = picture.boundaries_mm.at(-1) ?? 1;
  const warm = picture.frames.flatMap((f) => f.map(([celsius]) => celsius ?? 0));
  const [low, high] = [Math.floor(Math.min(...warm) / 5) * 5, Math.ceil(Math.max(...warm) / 5) * 5];
  // Thin layers are drawn as wide as they can be told apart.
  const widths = picture.layers.map((_, i) => (picture.boundaries_mm[i + 1] ?? 0) - (picture.boundaries_mm[i] ?? 0));
  const shown = widths.map((w) => Math.max(w, thick / 40));
  const scale = (WIDTH - LEFT - RIGHT) / shown.reduce((sum, w) => sum + w, 0);
  const edges = shown.reduce<number[]>((all, w) => [...all, (all.at(-1) ?? 0) + w * scale], [LEFT]);
  const x = (mm: number) => {
    const i = Math.max(
      0,
      widths.findIndex((_, n) => mm <= (picture.boundaries_mm[n + 1] ?? 0) + 1e-6),
    );
    const share = (mm - (picture.boundaries_mm[i] ?? 0)) / (widths[i] || 1);
    return (edges[i] ?? 0) + Math.min(1, share) * ((edges[i + 1] ?? 0) - (edges[i] ?? 0));
  };
  const humid = (rh: number) => BOTTOM - (Math.min(100, rh) / 100) * (BOTTOM - TOP);
  const celsius = (t: number) => BOTTOM - ((t - low) / (high - low || 1)) * (BOTTOM - TOP);
  const line = (y: (n: [number, number]) => number) =>
    frame.map((n, k) => `${x(picture.depths_mm[k] ?? 0)},${y(n as [number, number])}`).join(' ');
  return (
    <figure data-film={at}>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="block w-full"
        role="img"
        aria-label={`humidity and temperature through the wall, ${dayOf(at * picture.hours)}`}
        data-drawing="film"
      >
        {names.map((name, i) => (
          <g key={i}>
            <rect
              x={edges[i]}
              y={TOP}
              width={(edges[i + 1] ?? 0) - (edges[i] ?? 0)}
              height={BOTTOM - TOP}
              fill={i % 2 === 0 ? 'var(--color-board)' : '#fff'}
              stroke="var(--color-hair)"
            >
              <title>{name}</title>
            </rect>
            {(edges[i + 1] ?? 0) - (edges[i] ?? 0) > 60 && (
              <text
                x={((edges[i] ?? 0) + (edges[i + 1] ?? 0)) / 2}
                y={TOP - 8}
                textAnchor="middle"
                fontSize="11"
                fill="var(--color-faint)"
              >
                {name.length > 24 ? `${name.slice(0, 23)}…` : name}
              </text>
            )}
          </g>
        ))}
        {[0, 50, 80, 100].map((rh) => (
          <g key={rh}>
            <line
              x1={LEFT}
              x2={WIDTH - RIGHT}
              y1={humid(rh)}
              y2={humid(rh)}
              stroke={rh === 80 ? 'var(--color-fail)' : 'var(--color-hair)'}
              strokeDasharray={rh === 80 ? '6 3' : undefined}
            />
            <text x={LEFT - 5} y={humid(rh) + 4} textAnchor="end" fontSize="11" fill="var(--color-water)">
              {rh}
            </text>
          </g>
        ))}
        {[low, (low + high) / 2, high].map((t) => (
          <text key={t} x={WIDTH - RIGHT + 5} y={celsius(t) + 4} fontSize="11">
            {t} °C
          </text>
        ))}
        <polyline points={line(([, rh]) => humid(rh))} fill="none" stroke="var(--color-water)" strokeWidth="2.2" />
        <polyline points={line(([t]) => celsius(t))} fill="none" stroke="var(--color-ink)" strokeWidth="1.4" />
        <text x={LEFT} y={HEIGHT - 6} fontSize="11" fill="var(--color-faint)">
          inside
        </text>
        <text x={WIDTH - RIGHT} y={HEIGHT - 6} textAnchor="end" fontSize="11" fill="var(--color-faint)">
          outside
        </text>
      </svg>
      <label className="flex items-center gap-3 text-[12px]">
        <span className="w-[8.5rem] whitespace-nowrap">{dayOf(at * picture.hours)}</span>
        <input
          type="range"
          className="grow"
          aria-label="hour of the last year"
          min={0}
          max={picture.frames.length - 1}
          value={at}
          onChange={(e) => setAt(Number(e.target.value))}
        />
      </label>
      <figcaption className="text-[12px] text-faint">
        <span className="text-water">Relative humidity, %</span>, and temperature: one still every {picture.hours} hours
        of the last year. Mould grows above the broken line for long.
      </figcaption>
    </figure>
  );
}
