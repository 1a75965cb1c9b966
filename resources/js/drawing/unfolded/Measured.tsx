import type { Check } from '../../api/types';
import { useSheet } from './Sheet';

/** Where a check is measured. */
export function Measured({ measured }: { measured: NonNullable<Check['measured']> }) {
  const { box, close } = useSheet();
  const size = close ? 26 : 30;
  const [a, b] = measured.from as [number, number];
  const [c, d] = measured.to as [number, number];
  const at = box({ facet: measured.facet, rect: [Math.min(a, c), Math.min(b, d), Math.max(a, c), Math.max(b, d)] });
  const upright = at.height > at.width;
  const path = upright
    ? `M${at.x - 12} ${at.y}h24M${at.x} ${at.y}v${at.height}m-12 0h24`
    : `M${at.x} ${at.y - 12}v24M${at.x} ${at.y}h${at.width}m0 -12v24`;
  return (
    <g pointerEvents="none">
      <path d={path} fill="none" stroke="#fff" strokeWidth="12" />
      <path d={path} fill="none" stroke="var(--color-fail)" strokeWidth="6" />
      <text
        x={upright ? at.x + 20 : at.x + at.width / 2}
        y={upright ? at.y + at.height / 2 + 9 : at.y - 22}
        fontSize={size + 8}
        fontWeight="700"
        textAnchor={upright ? 'start' : 'middle'}
        fill="var(--color-fail)"
        stroke="#fff"
        strokeWidth="7"
        paintOrder="stroke"
      >
        here
      </text>
    </g>
  );
}
