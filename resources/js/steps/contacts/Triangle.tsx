import type { PairAnswer, Severity } from '../../api/types';
import { SeverityMark } from '../../ui/severity';

interface Props {
  contacts: PairAnswer[];
  chosen: string | null;
  choose: (id: string) => void;
}

const RANK: Record<Severity, number> = { fail: 0, caution: 1, note: 2, pass: 3 };
/** px: a cell, and the names beside the rows */
const CELL = 17;
const NAMES = 150;

/** Only the materials that this job uses, each against each; the worst corner first. A cell is a pair that touches. */
export function Triangle({ contacts, chosen, choose }: Props) {
  const worst = new Map<string, number>();
  const names = new Map<string, string>();
  for (const c of contacts) {
    for (const [id, name] of [
      [c.a, c.a_name],
      [c.b, c.b_name],
    ] as const) {
      names.set(id, name);
      worst.set(id, (worst.get(id) ?? 0) + 10 ** (3 - RANK[c.severity]));
    }
  }
  const order = [...names.keys()].sort((a, b) => (worst.get(b) ?? 0) - (worst.get(a) ?? 0));
  const place = new Map(order.map((id, i) => [id, i]));
  // Of several ways in which two meet the worst is shown, and it comes first in the list.
  const cells = new Map<string, PairAnswer>();
  for (const c of contacts) {
    const [i, j] = [place.get(c.a) ?? 0, place.get(c.b) ?? 0].sort((x, y) => x - y);
    const key = `${j} ${i}`;
    if (!cells.has(key)) cells.set(key, c);
  }
  return (
    <div className="overflow-x-auto" aria-label="Materials against each other">
      <div className="relative" style={{ height: order.length * CELL + 4, minWidth: NAMES + order.length * CELL + 4 }}>
        {order.map((id, row) => (
          <span key={id}>
            <span
              className="absolute truncate pr-1 text-[12px]"
              style={{ left: 0, top: row * CELL, lineHeight: `${CELL}px`, width: NAMES }}
              title={names.get(id)}
            >
              {names.get(id)}
            </span>
            <span
              aria-hidden="true"
              className="absolute text-center text-[10px] text-faint"
              style={{ left: NAMES + row * CELL, top: row * CELL, width: CELL, lineHeight: `${CELL}px` }}
            >
              {row + 1}
            </span>
          </span>
        ))}
        {[...cells].map(([key, c]) => {
          const [row = 0, column = 0] = key.split(' ').map(Number);
          return (
            <button
              key={key}
              aria-label={`${c.a_name} and ${c.b_name}: ${c.verdict}`}
              title={`${c.a_name} and ${c.b_name}: ${c.verdict}`}
              className={`absolute grid place-items-center ${c.id === chosen ? 'border-2 border-ink' : 'border border-hair'}`}
              style={{ left: NAMES + column * CELL, top: row * CELL, width: CELL, height: CELL }}
              onClick={() => choose(c.id)}
            >
              <SeverityMark severity={c.severity} size={9} />
            </button>
          );
        })}
      </div>
    </div>
  );
}
