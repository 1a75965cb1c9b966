import { show } from '../../quantity/show';
import { useSheet } from './Sheet';

/** The width and the height of the opening, beside it. */
export function Dimensions() {
  const { sheet, units, X, Y } = useSheet();
  const opening = sheet.detail.opening;
  if (!opening) return null;
  const { width_mm: W, height_mm: H, margin_mm: M } = opening;
  const [below, beside] = [Y(-M / 1.35), X(W + M / 1.25)];
  return (
    <>
      <Dimension from={[X(0), below]} to={[X(W), below]} text={show(W, 'length', units)} />
      <Dimension from={[beside, Y(0)]} to={[beside, Y(H)]} text={show(H, 'length', units)} />
    </>
  );
}

type Point = [x: number, y: number];

function Dimension({ from: [x0, y0], to: [x1, y1], text }: { from: Point; to: Point; text: string }) {
  const { k } = useSheet();
  const upright = x0 === x1;
  const [mx, my] = [(x0 + x1) / 2, (y0 + y1) / 2];
  return (
    <g pointerEvents="none">
      <path
        d={upright ? `M${x0 - 9} ${y0}h18M${x0} ${y0}V${y1}m-9 0h18` : `M${x0} ${y0 - 9}v18M${x0} ${y0}H${x1}m0 -9v18`}
        stroke="var(--color-ink)"
        strokeWidth="1.4"
      />
      <g transform={`translate(${mx} ${my}) ${upright ? 'rotate(-90) ' : ''}scale(${k})`}>
        <rect x={-text.length * 6.5} y="-15" width={text.length * 13} height="30" fill="#fff" />
        <text y="8" textAnchor="middle" fontSize="23">
          {text}
        </text>
      </g>
    </g>
  );
}
