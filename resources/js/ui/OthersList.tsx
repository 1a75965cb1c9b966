import type { ForOthers } from '../api/types';

/** What others frame before the wall is closed, and what of theirs goes through its plane for a while. */
export function OthersList({ others }: { others: ForOthers }) {
  return (
    <>
      {others.framer.length > 0 && (
        <>
          <h3 className="mt-2 font-bold">To be framed before the wall is closed</h3>
          <ul>
            {others.framer.map((row) => (
              <li key={`${row.title} ${row.for.join()}`} className="together border-t border-hair py-1">
                <b>□ {row.title}.</b> {row.reason}{' '}
                <span className="text-faint">
                  {row.for.slice(0, MANY).join('; ')}
                  {row.for.length > MANY ? ` and ${row.for.length - MANY} more` : ''}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
      {others.temporary.length > 0 && (
        <>
          <h3 className="mt-3 font-bold">Through the plane for a while, to be closed again</h3>
          <ul>
            {others.temporary.map((row) => (
              <li key={row.id} className="together border-t border-hair py-1">
                <b>
                  {row.closed === true ? '■' : '□'} {row.number} × {row.thing}.
                </b>{' '}
                {row.title}
                {row.walls.length > 0 ? `, ${row.walls.join(' and ')}` : ''}:{' '}
                {row.closed === null ? 'nobody has looked yet' : row.closed ? 'out and closed' : 'not closed'}.
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}

/** So many openings are named; of more, how many. */
const MANY = 6;
