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
  const placed: Spot[] = [];
  return laid.map(({ piece, patch }) => {
    const number = patch.step ?? piece.step;
    const lies = walls.some((w) => w.face === patch.facet || (w.prefix === 'reveal-' && patch.facet === 'reveal-sill'));
    if ((opening !== undefined && !lies) || numbered.has(`${piece.id}${number}`)) return null;
    numbered.add(`${piece.id}${number}`);
    const b = box(patch);
    // A number under a later piece says nothing.
    const hidden = (at: Spot) =>
      laid.some(
        (l) =>
          l.patch.facet === patch.facet &&
          (l.patch.step ?? l.piece.step) > number &&
          l.piece.kind !== 'unit' &&
          contains(box(l.patch), at.x, at.y),
      );
    const usual = piece.kind === 'unit' || piece.role === 'pan' ? 0.5 : 0.42;
    const at =
      number === 1
        ? { x: b.x + 24 + 16 * k, y: b.y + b.height - 24 - 16 * k }
        : clearOf(along(b, usual), placed, 36 * k, hidden);
    if (at === null) return null;
    placed.push(at);
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

interface Spot {
  x: number;
  y: number;
}

/** Where on a piece its number may stand: as usual first, then to either side along the piece. */
function along(b: Drawn, usual: number): Spot[] {
  const lies = b.width >= b.height;
  return [0, -0.18, 0.18, -0.34, 0.34].map((off) => ({
    x: b.x + b.width * (0.5 + (lies ? off : 0)),
    y: b.y + b.height * (usual + (lies ? 0 : off)),
  }));
}

/** The first spot in sight that touches no other number; the first in sight where all do, none where none is. */
export function clearOf(spots: Spot[], placed: Spot[], apart: number, hidden: (at: Spot) => boolean): Spot | null {
  const usual = spots[0];
  if (!usual || hidden(usual)) return null;
  const inSight = spots.filter((at) => !hidden(at));
  return inSight.find((at) => placed.every((p) => Math.hypot(p.x - at.x, p.y - at.y) >= apart)) ?? usual;
}

const contains = (b: Drawn, x: number, y: number) => x >= b.x && x <= b.x + b.width && y >= b.y && y <= b.y + b.height;
