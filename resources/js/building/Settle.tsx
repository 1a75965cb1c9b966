import type { DerivedBuilding, Units } from '../api/types';
import { show } from '../quantity/show';
import { THREADS } from '../ui/threads';
import { KINDS } from './words';

/** What the meeting before the work has to settle, thread by thread: what breaks first, then what nobody has said. */
export function Settle({ rows, units }: { rows: DerivedBuilding['to_settle']; units: Units }) {
  return (
    <ol className="list-none">
      {rows.map((row) => (
        <li
          key={`${row.control} ${row.state} ${row.kind} ${row.why}`}
          className="together border-t border-hair py-[2px]"
          data-settle={row.state}
        >
          <b>
            {THREADS.find((t) => t.control === row.control)?.letter} {row.control}
          </b>{' '}
          at {KINDS[row.kind]}, {row.count}, {show(row.length_m, 'run', units)}:{' '}
          <span className={row.state === 'broken' ? 'text-fail' : 'text-caution'}>
            {row.state === 'broken' ? row.why : 'who hands it over, and by what?'}
          </span>
        </li>
      ))}
    </ol>
  );
}
