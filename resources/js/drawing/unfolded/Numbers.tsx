import { planes } from '../unfold';
import { inOrder } from './laid';
import { useSheet, type Drawn } from './Sheet';

/** In which step each piece comes to rest, on the piece. */
export function Numbers() {
  const { sheet, step, box, k } = useSheet();
  const opening = sheet.detail.opening;
  const walls = opening ? planes(opening) : [];
  const laid = inOrder(sheet, step);
  const numbered = new Set<string>();
  return laid.map(({ piece, patch }) => {
    const number = patch.step ?? piece.step;
    const lies = walls.some((w) => w.face === patch.facet || (w.prefix === 'reveal-' && patch.facet === 'reveal-sill'));
    if ((opening !== undefined && !lies) || numbered.has(`${piece.id}${number}`)) return null;
    numbered.add(`${piece.id}${number}`);
    const b = box(patch);
    // A number under a later piece says nothing.
    const hidden = laid.some(
      (l) =>
        l.patch.facet === patch.facet &&
        (l.patch.step ?? l.piece.step) > number &&
        l.piece.kind !== 'unit' &&
        contains(box(l.patch), b.x + b.width / 2, b.y + b.height * 0.42),
    );
    if (hidden && number !== 1) return null;
    const at =
      number === 1
        ? { x: b.x + 24 + 16 * k, y: b.y + b.height - 24 - 16 * k }
        : piece.kind === 'unit'
          ? { x: b.x + b.width / 2, y: b.y + b.height / 2 }
          : { x: b.x + b.width / 2, y: b.y + b.height * (piece.role === 'pan' ? 0.5 : 0.42) };
    return (
      <g key={patch.id} pointerEvents="none" transform={`translate(${at.x} ${at.y}) scale(${k})`}>
        <circle r="17" fill={number === step ? 'var(--color-ink)' : '#fff'} stroke="var(--color-ink)" strokeWidth="2" />
        <text
          y="7"
          textAnchor="middle"
          fontSize="20"
          fontWeight="700"
          fill={number === step ? '#fff' : 'var(--color-ink)'}
        >
          {number}
        </text>
      </g>
    );
  });
}

const contains = (b: Drawn, x: number, y: number) => x >= b.x && x <= b.x + b.width && y >= b.y && y <= b.y + b.height;
