import { useId } from 'react';
import { hatchOf, type HatchName } from '../material/families';

interface Props {
  x: number;
  y: number;
  width: number;
  height: number;
  family: string;
  colour?: string;
}

type Box = { x0: number; y0: number; x1: number; y1: number };

/** Our own set of material hatches, drawn as clipped lines: pattern fills turn into pictures when they are printed. */
export function Hatch({ x, y, width, height, family, colour = 'var(--color-faint)' }: Props) {
  const clip = useId();
  if (width < 3) return null;
  const path = DRAWN[hatchOf(family)]({ x0: x, y0: y, x1: x + width, y1: y + height });
  return (
    <g aria-hidden="true">
      <clipPath id={clip}>
        <rect x={x} y={y} width={width} height={height} />
      </clipPath>
      <path d={path} clipPath={`url(#${clip})`} fill="none" stroke={colour} strokeWidth="0.7" data-hatch />
    </g>
  );
}

export const DRAWN: Record<HatchName, (box: Box) => string> = {
  wool: (box) => loops(box, 13, 9),
  felt: (box) => loops(box, 9, 5),
  beads: (box) => beads(box, 11),
  crossed: (box) => diagonal(box, 10, 1) + diagonal(box, 10, -1),
  leaning: (box) => diagonal(box, 7, 1) + diagonal(box, 21, -1),
  boards: (box) => grain(box, 34) + level(box, 5),
  grain: (box) => grain(box, 7),
  plies: (box) => level(box, 4),
  stipple: (box) => stipple(box, 5),
  stones: (box) => stipple(box, 8) + stones(box, 26),
  masonry: (box) => diagonal(box, 6, 1),
  metal: (box) => diagonal(box, 3, 1),
  sheet: (box) => diagonal(box, 9, 1),
  bitumen: (box) => upright(box, 6),
  tape: (box) => level(box, 6),
  plain: (box) => diagonal(box, 12, -1),
  none: () => '',
};

function diagonal({ x0, y0, x1, y1 }: Box, gap: number, slope: 1 | -1): string {
  let d = '';
  const height = y1 - y0;
  for (let x = x0 - height; x < x1 + height; x += gap)
    d += slope === 1 ? `M${x} ${y1}l${height} ${-height}` : `M${x} ${y0}l${height} ${height}`;
  return d;
}

function level({ x0, y0, x1, y1 }: Box, gap: number): string {
  let d = '';
  for (let y = y0 + gap / 2; y < y1; y += gap) d += `M${x0} ${y}H${x1}`;
  return d;
}

function upright({ x0, y0, x1, y1 }: Box, gap: number): string {
  let d = '';
  for (let x = x0 + gap / 2; x < x1; x += gap) d += `M${x} ${y0}V${y1}`;
  return d;
}

function loops({ x0, y0, x1, y1 }: Box, rise: number, run: number): string {
  let d = '';
  for (let y = y0; y < y1; y += rise * 1.4) {
    d += `M${x0} ${y + rise}`;
    for (let x = x0; x < x1; x += run) d += `q${run * 0.1} ${-rise} ${run / 2} ${-rise}t${run / 2} ${rise}`;
  }
  return d;
}

function beads({ x0, y0, x1, y1 }: Box, gap: number): string {
  let d = '';
  let odd = false;
  for (let y = y0 + gap / 2; y < y1 + gap; y += gap * 0.8, odd = !odd) {
    for (let x = x0 + (odd ? gap / 2 : 0); x < x1 + gap; x += gap)
      d += `M${x - 2.4} ${y}a2.4 2.4 0 1 0 4.8 0a2.4 2.4 0 1 0 -4.8 0`;
  }
  return d;
}

function grain({ x0, y0, x1, y1 }: Box, gap: number): string {
  let d = '';
  for (let x = x0 + gap; x < x1; x += gap) d += `M${x} ${y0}q2 ${(y1 - y0) / 4} 0 ${(y1 - y0) / 2}t0 ${(y1 - y0) / 2}`;
  return d;
}

function stipple({ x0, y0, x1, y1 }: Box, gap: number): string {
  let d = '';
  let odd = 0;
  for (let y = y0 + gap / 2; y < y1; y += gap, odd++)
    for (let x = x0 + ((odd * 7) % gap); x < x1; x += gap) d += `M${x} ${y}h0.8`;
  return d;
}

function stones({ x0, y0, x1, y1 }: Box, gap: number): string {
  let d = '';
  let odd = 0;
  for (let y = y0 + gap / 2; y < y1; y += gap, odd++)
    for (let x = x0 + 6 + ((odd * 11) % gap); x < x1; x += gap) d += `M${x} ${y}l5 -3l1 6z`;
  return d;
}
