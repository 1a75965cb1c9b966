import { useRef } from 'react';
import type { Assembly, AssemblyFigures, Drying, Material, Plane, Units } from '../api/types';
import { show } from '../quantity/show';
import { useDrawnWidth } from './useDrawnWidth';

const LETTERS = ['J', 'F', 'M', 'A', 'M', 'J', 'J', 'A', 'S', 'O', 'N', 'D'];

const WAYS: Record<Drying['way'], string> = {
  both: 'dries both ways',
  outward: 'dries outward only',
  inward: 'dries inward only',
  hardly: 'hardly dries',
};

/**
 * The year at each place that gets wet, twelve cells from January: filled where water gathers, hollow where it dries.
 * Below, each layer that can hold water: what it could dry outward (up) and inward (down) if it were wet.
 */
export function MonthStrips({
  assembly,
  figures,
  materials,
  units,
  most = 2,
}: {
  assembly: Assembly;
  figures: AssemblyFigures;
  materials: Map<string, Material>;
  units: Units;
  most?: number;
}) {
  const drawing = useRef<SVGSVGElement>(null);
  const width = useDrawnWidth(drawing, 800, 300);
  const year = figures.year;
  if (!year) return null;
  const wets = [...(figures.drying ?? [])].sort((a, b) => a.year_g_m2 - b.year_g_m2).slice(0, 4);
  const planes = [...year.planes].sort((a, b) => b.peak_g_m2 - a.peak_g_m2).slice(0, most);
  // On a phone the names stand over their months and the figures at the end of them, so that nothing is drawn smaller.
  const narrow = width < 600;
  const row = narrow ? 66 : 34;
  const top = narrow ? 46 : 20;
  const height = top + (narrow ? -16 : 6) + (Math.max(1, planes.length) + wets.length) * row;
  const first = top + Math.max(1, planes.length) * row;
  const greatest = Math.max(1e-9, ...planes.flatMap((p) => p.months.map((m) => Math.abs(m.condensation_g_m2))));
  const [x0, cell] = narrow ? [26, (width - 34) / 12] : [300, 32];
  const [left, end] = narrow ? [2, width - 8] : [46, x0 + 12 * cell + 8];
  const anchor = narrow ? 'end' : 'start';
  const up = narrow ? -22 : 0;
  return (
    <svg
      ref={drawing}
      viewBox={`0 0 ${narrow ? width : 800} ${height}`}
      className="block w-full"
      role="img"
      aria-label={`The year: ${year.verdict}`}
      data-drawing="year"
    >
      {planes.length === 0 && (
        <text x={left} y="20" fontSize="12">
          The year: nothing condenses in any month.
        </text>
      )}
      {planes.map((plane, p) => {
        const base = top + p * row;
        return (
          <g key={p}>
            <text x={left} y={base + 4 + up} fontSize="12">
              {placeName(plane, assembly, materials, units)}
            </text>
            <path d={`M${x0} ${base}h${12 * cell}`} stroke="var(--color-ink)" strokeWidth="0.8" />
            {plane.months.map((m) => {
              const h = (Math.abs(m.condensation_g_m2) / greatest) * 14;
              const x = x0 + (m.month - 1) * cell;
              return (
                <g key={m.month}>
                  <path d={`M${x} ${base - 14}v28`} stroke="var(--color-hair)" strokeWidth="0.6" />
                  {h > 0.2 &&
                    (m.condensation_g_m2 > 0 ? (
                      <rect x={x + 4} y={base - h} width={cell - 8} height={h} fill="var(--color-water)" />
                    ) : (
                      <rect x={x + 4} y={base} width={cell - 8} height={h} fill="#fff" stroke="var(--color-water)" />
                    ))}
                  {m.accumulated_g_m2 > 0.05 && (
                    <path d={`M${x + 2} ${base + 16}h${cell - 4}`} stroke="var(--color-water)" strokeWidth="1.6" />
                  )}
                </g>
              );
            })}
            <text x={end} y={base + 4 + up} fontSize="11" textAnchor={anchor}>
              peak {show(plane.peak_g_m2, 'water', units)}
            </text>
          </g>
        );
      })}
      {wets.map((dry, d) => {
        const base = first + d * row;
        // Each layer to its own scale: what matters is which way and when, and the figure beside says how much.
        const best = Math.max(1e-9, ...dry.months.flatMap((m) => [m.inward_g_m2, m.outward_g_m2]));
        return (
          <g key={dry.layer} data-drying={dry.layer}>
            <text x={left} y={base + (narrow ? -34 : 0)} fontSize="12">
              {short(
                materials.get(assembly.layers.find((l) => l.id === dry.layer)?.material ?? '')?.name ?? dry.layer,
                36,
              )}
            </text>
            <text x={left} y={base + (narrow ? -20 : 13)} fontSize="11" fill="var(--color-faint)">
              {WAYS[dry.way]}, if it is wet
            </text>
            <path d={`M${x0} ${base}h${12 * cell}`} stroke="var(--color-ink)" strokeWidth="0.8" />
            <text x={x0 - 6} y={base - 3} fontSize="10" textAnchor="end" fill="var(--color-faint)">
              out
            </text>
            <text x={x0 - 6} y={base + 10} fontSize="10" textAnchor="end" fill="var(--color-faint)">
              in
            </text>
            {dry.months.map((m, i) => (
              <g key={i} stroke="var(--color-heat)" fill="#fff">
                <path d={`M${x0 + i * cell} ${base - 14}v28`} stroke="var(--color-hair)" strokeWidth="0.6" />
                {m.outward_g_m2 / best > 0.02 && (
                  <rect
                    x={x0 + i * cell + 7}
                    y={base - (m.outward_g_m2 / best) * 13}
                    width={cell - 14}
                    height={(m.outward_g_m2 / best) * 13}
                  />
                )}
                {m.inward_g_m2 / best > 0.02 && (
                  <rect x={x0 + i * cell + 7} y={base} width={cell - 14} height={(m.inward_g_m2 / best) * 13} />
                )}
              </g>
            ))}
            <text x={end} y={base + (narrow ? -34 : 0)} fontSize="11" textAnchor={anchor}>
              {show(dry.year_g_m2, 'water', units)} a year
            </text>
            <text x={end} y={base + (narrow ? -20 : 13)} fontSize="11" textAnchor={anchor} fill="var(--color-faint)">
              {show(dry.reserve_g_m2, 'water', units)} spare
            </text>
          </g>
        );
      })}
      {planes.length + wets.length > 0 &&
        LETTERS.map((letter, i) => (
          <text
            key={i}
            x={x0 + (i + 0.5) * cell}
            y={height - 4}
            textAnchor="middle"
            fontSize="11"
            fill="var(--color-faint)"
          >
            {letter}
          </text>
        ))}
    </svg>
  );
}

export function placeName(
  plane: Pick<Plane, 'interface' | 'layer' | 'depth_mm'>,
  assembly: Assembly,
  materials: Map<string, Material>,
  units: Units,
): string {
  const name = (i: number) => short(materials.get(assembly.layers[i]?.material ?? '')?.name ?? '');
  return plane.interface !== undefined
    ? `${name(plane.interface - 1)} | ${name(plane.interface)}`
    : `in ${name(plane.layer ?? 0)}, ${show(plane.depth_mm, 'length', units)}`;
}

const short = (name: string, most = 18) => (name.length > most ? `${name.slice(0, most - 1)}…` : name);
