import { useRef } from 'react';
import type { Control, DerivedBuilding, Units } from '../../api/types';
import { show } from '../../quantity/show';
import { THREADS } from '../../ui/threads';
import { useDrawnWidth } from '../useDrawnWidth';

interface Props {
  derived: DerivedBuilding;
  /** of one block */
  block: string;
  thread: Control | null;
  units: Units;
}

const APART = 26;

/** What is level of a block seen from above, side by side: its roof, its slab, what hangs over the open. */
export function Flats({ derived, block, thread, units }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const width = useDrawnWidth(svg, 780, 380);
  const flats = derived.flats.filter((flat) => flat.block === block);
  const parts = new Map(derived.parts.map((p) => [p.id, p]));
  const boxes = flats.map((flat) => {
    const xs = flat.corners_mm.map((c) => c[0] ?? 0);
    const ys = flat.corners_mm.map((c) => c[1] ?? 0);
    return { west: Math.min(...xs), east: Math.max(...xs), south: Math.min(...ys), north: Math.max(...ys) };
  });
  if (flats.length === 0) return null;
  const long = boxes.reduce((sum, box) => sum + box.east - box.west, 0);
  const tall = Math.max(...boxes.map((box) => box.north - box.south));
  const k = Math.min((width - 20 - APART * (flats.length - 1)) / long, 130 / tall);
  const height = tall * k + 34;
  const follow = THREADS.find((t) => t.control === thread);
  const lefts = boxes.map(
    (_, i) => 10 + boxes.slice(0, i).reduce((sum, box) => sum + (box.east - box.west) * k + APART, 0),
  );
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${width} ${height.toFixed(1)}`}
      className="block w-full"
      role="group"
      aria-label={`What is level of ${block}, from above`}
      data-drawing="flats"
      data-mm={1 / k}
      data-block={block}
    >
      {flats.map((flat, i) => {
        const box = boxes[i] ?? { west: 0, east: 0, south: 0, north: 0 };
        const left = lefts[i] ?? 10;
        const part = parts.get(flat.part);
        const carries = thread === null || (part?.carries.includes(thread) ?? false);
        const at = (c: number[]) =>
          `${(left + ((c[0] ?? 0) - box.west) * k).toFixed(1)} ${(8 + (box.north - (c[1] ?? 0)) * k).toFixed(1)}`;
        const path = (corners: number[][]) => `M${corners.map(at).join('L')}z`;
        return (
          <g key={flat.part} data-flat={flat.part} data-carries={carries}>
            <path
              d={path(flat.corners_mm)}
              fill={!carries ? 'var(--color-fail)' : (follow?.colour ?? '#fff')}
              fillOpacity={!carries ? 0.16 : follow ? 0.13 : 1}
              stroke="var(--color-ink)"
            />
            {flat.covered_mm.map((over, n) => (
              <path key={n} d={path(over)} fill="var(--color-board)" stroke="var(--color-hair)" data-covered />
            ))}
            {flat.openings_mm.map(([x0 = 0, y0 = 0, x1 = 0, y1 = 0], n) => (
              <path
                key={n}
                d={path([
                  [x0, y0],
                  [x1, y0],
                  [x1, y1],
                  [x0, y1],
                ])}
                fill="var(--color-paper)"
                stroke="var(--color-ink)"
                strokeWidth="1.4"
                data-open
              />
            ))}
            <text
              x={left + ((box.east - box.west) * k) / 2}
              y={height - 12}
              textAnchor="middle"
              fontSize="11"
              fill="var(--color-faint)"
            >
              {part?.name ?? flat.part}
              {part?.assembly == null ? '' : ` · ${part.assembly}`}
              {part ? `, ${show(part.gross_m2, 'area', units)}` : ''}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
