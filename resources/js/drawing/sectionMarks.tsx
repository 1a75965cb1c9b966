import type { Assembly, AssemblyFigures, Control, Plane, Severity } from '../api/types';
import { THREADS } from '../ui/threads';
import { Link } from 'react-router';
import { SeverityMark } from '../ui/severity';
import { SECTION, spread } from './scale';

export function Label({ x, name, strong, room }: { x: number; name: string; strong: boolean; room: number }) {
  const most = Math.max(6, Math.floor(room / 5.6));
  const words = name.split(' ');
  const rows = [''];
  for (const word of words) {
    const last = rows[rows.length - 1] ?? '';
    if (last === '' || (last + ' ' + word).length <= most)
      rows[rows.length - 1] = last === '' ? word : `${last} ${word}`;
    else rows.push(word);
  }
  const shown = rows.slice(0, 3);
  return (
    <text x={x} textAnchor="middle" fontSize="11" fontWeight={strong ? 700 : 400} fill="var(--color-ink)">
      {shown.map((row, i) => (
        <tspan key={row + i} x={x} y={36 - (shown.length - 1 - i) * 12}>
          {row.length > most + 2 ? `${row.slice(0, most)}…` : row}
        </tspan>
      ))}
    </text>
  );
}

export function FramingMark({
  x,
  y,
  width,
  height,
  metal,
}: {
  x: number;
  y: number;
  width: number;
  height: number;
  metal: boolean;
}) {
  return metal ? (
    <path
      d={`M${x + width} ${y}H${x}V${y + height}H${x + width}`}
      fill="none"
      stroke="var(--color-ink)"
      strokeWidth="2"
    />
  ) : (
    <g>
      <rect x={x} y={y} width={width} height={height} fill="#fff" stroke="var(--color-ink)" />
      <path
        d={`M${x} ${y}l${width} ${height}m0 ${-height}l${-width} ${height}`}
        stroke="var(--color-ink)"
        strokeWidth="0.8"
      />
    </g>
  );
}

export function AirArrows({ x, y0, y1 }: { x: number; y0: number; y1: number }) {
  let d = '';
  for (let y = y1 - 16; y > y0 + 12; y -= 26) d += `M${x} ${y}v-14m-3 5l3 -5l3 5`;
  return <path d={d} fill="none" stroke="var(--color-faint)" strokeWidth="1" />;
}

/**
 * The way of the water outside of its plane: down each gap and mat, stopped where a level member crosses it, and at the
 * base out to daylight, or not, as far as somebody has said.
 */
export function DrainWay({
  assembly,
  figures,
  x,
}: {
  assembly: Assembly;
  figures: AssemblyFigures;
  x: (edge: number) => number;
}) {
  const { top, bottom } = SECTION;
  const outside = x(assembly.layers.length);
  const ways = (figures.drain?.ways ?? []).flatMap((way) => {
    const i = assembly.layers.findIndex((layer) => layer.id === way.layer);
    // It runs down the face that it came onto, the inner one.
    return i < 0 ? [] : [{ at: x(i) + Math.min(6, (x(i + 1) - x(i)) / 3), blocked: way.blocked }];
  });
  const ends = figures.drain?.out ?? null;
  return (
    <g
      pointerEvents="none"
      fill="none"
      stroke="var(--color-water)"
      strokeWidth="2"
      data-drawing="drain path"
      data-out={String(ends)}
    >
      {ways.map(({ at, blocked }, i) => {
        const foot = blocked ? (top + bottom) / 2 : bottom + 5;
        return (
          <g key={i}>
            <path d={`M${at} ${top + 4}V${foot}`} stroke="#fff" strokeWidth="5" />
            <path d={`M${at} ${top + 4}V${foot}`} strokeDasharray="7 3" />
            {blocked && <path d={`M${at - 6} ${foot}h12`} stroke="var(--color-fail)" strokeWidth="3" />}
            {!blocked && ends === true && (
              <path d={`M${at} ${foot}H${outside + 12}m-5 -4l5 4l-5 4`} strokeDasharray="none" />
            )}
            {!blocked && ends === false && (
              <path d={`M${at - 6} ${foot}h12`} stroke="var(--color-fail)" strokeWidth="3" />
            )}
            {!blocked && ends === null && (
              <text x={at} y={foot + 10} fontSize="12" fontWeight="700" stroke="none" fill="var(--color-caution)">
                ?
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

/**
 * The year on the layers themselves: at each place that gets wet twelve cells from January, up where it gathers, down
 * where it dries.
 */
export function WetMonths({ planes, at, opacity }: { planes: Plane[]; at: (plane: Plane) => number; opacity: number }) {
  const { top, left, right, width } = SECTION;
  const worst = [...planes].sort((a, b) => b.peak_g_m2 - a.peak_g_m2).slice(0, 3);
  const most = Math.max(1e-9, ...worst.flatMap((p) => p.months.map((m) => Math.abs(m.condensation_g_m2))));
  const cell = 8;
  return (
    <g pointerEvents="none" opacity={opacity} data-drawing="wet months">
      {worst.map((plane, k) => {
        const px = at(plane);
        const x0 = Math.max(left, Math.min(width - right - 12 * cell, px - 6 * cell));
        const base = top + 46 + k * 34;
        return (
          <g key={k}>
            <rect
              x={x0 - 2}
              y={base - 15}
              width={12 * cell + 4}
              height="30"
              fill="#fff"
              stroke="var(--color-water)"
              strokeWidth="0.8"
            />
            <path d={`M${px} ${base - 15}v-5M${px} ${base + 15}v5`} stroke="var(--color-water)" strokeWidth="1.6" />
            <path d={`M${x0} ${base}h${12 * cell}`} stroke="var(--color-ink)" strokeWidth="0.6" />
            {plane.months.map((m) => {
              const h = (Math.abs(m.condensation_g_m2) / most) * 12;
              const x = x0 + (m.month - 1) * cell;
              return (
                h > 0.3 &&
                (m.condensation_g_m2 > 0 ? (
                  <rect key={m.month} x={x + 1} y={base - h} width={cell - 2} height={h} fill="var(--color-water)" />
                ) : (
                  <rect
                    key={m.month}
                    x={x + 1.5}
                    y={base}
                    width={cell - 3}
                    height={h}
                    fill="#fff"
                    stroke="var(--color-water)"
                    strokeWidth="0.9"
                  />
                ))
              );
            })}
          </g>
        );
      })}
    </g>
  );
}

/** Threads run down through the layer that carries them into lanes below, each with its letter; heat lies as a band. */
export function Threads({
  layers,
  x,
  thread,
}: {
  layers: Assembly['layers'];
  x: (edge: number) => number;
  thread: Control | null;
}) {
  const { top, bottom } = SECTION;
  const lane = bottom + 56;
  const marks: { control: Control; at: number; from?: number; to?: number }[] = [];
  layers.forEach((layer, i) => {
    const carried = THREADS.filter((t) => layer.controls?.includes(t.control));
    const lines = carried.filter((t) => t.control !== 'heat');
    lines.forEach((t, k) =>
      marks.push({ control: t.control, at: (x(i) + x(i + 1)) / 2 + (k - (lines.length - 1) / 2) * 6 }),
    );
    if (carried.some((t) => t.control === 'heat'))
      marks.push({ control: 'heat', at: (x(i) + x(i + 1)) / 2, from: x(i) + 2, to: x(i + 1) - 2 });
  });
  marks.sort((a, b) => a.at - b.at);
  const at = spread(
    marks.map((m) => m.at),
    24,
    20,
    SECTION.width - 20,
  );
  return (
    <g pointerEvents="none">
      {marks.map((mark, i) => {
        const t = THREADS.find((row) => row.control === mark.control);
        if (!t) return null;
        const bx = at[i] ?? 0;
        return (
          <g
            key={`${mark.control}${i}`}
            opacity={thread === null || thread === mark.control ? 1 : 0.2}
            data-thread={mark.control}
          >
            {mark.from !== undefined ? (
              <path
                d={`M${mark.from} ${lane - 2}H${mark.to}`}
                stroke={t.colour}
                strokeWidth={t.width}
                strokeDasharray={t.dash}
              />
            ) : (
              <path
                d={`M${mark.at} ${top - 4}V${lane - 6}L${bx} ${lane + 4}`}
                fill="none"
                stroke={t.colour}
                strokeWidth={t.width}
                strokeDasharray={t.dash}
                strokeLinecap={t.control === 'vapour' ? 'round' : 'butt'}
              />
            )}
            <path d={`M${bx} ${lane + 2}l12 12l-12 12l-12 -12z`} fill="#fff" stroke={t.colour} strokeWidth="1.6" />
            <text x={bx} y={lane + 18} textAnchor="middle" fontSize="11" fontWeight="700" fill={t.colour}>
              {t.letter}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** What the two layers at an edge want of each other, at the foot of it: a way to the pair. */
export function Touching({ at, severity, says, to }: { at: number; severity: Severity; says: string; to: string }) {
  const { bottom } = SECTION;
  return (
    <Link to={to} aria-label={says} data-touching={severity}>
      <title>{says}</title>
      <rect x={at - 8} y={bottom - 20} width="16" height="16" fill="#fff" stroke="var(--color-ink)" strokeWidth="0.8" />
      <g transform={`translate(${at - 5} ${bottom - 17})`}>
        <SeverityMark severity={severity} size={10} />
      </g>
    </Link>
  );
}
