import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { get } from '../api/client';
import { address } from '../api/paths';
import type { IssuedRevision } from '../api/types';
import { Differences } from './Differences';

interface Props {
  revisions: IssuedRevision[];
  /** whether the project as it stands may be set beside them */
  now: boolean;
}

/** What was issued, newest first: the report, the file, the seal, and what is another in a later one. */
export function Revisions({ revisions, now }: Props) {
  const [beside, setBeside] = useState<{ from: string; to: string } | null>(null);
  return (
    <>
      <ul data-revisions={revisions.length}>
        {revisions.map((r, i) => (
          <li key={r.id} className="border-b border-hair py-2" data-revision={r.number}>
            <p className="flex flex-wrap items-baseline gap-x-4">
              <b>
                {r.number} · {r.title}
              </b>
              <span>
                {r.at.slice(0, 10)}, {r.by}
              </span>
              {r.reports.map((report) =>
                report.state === 'done' ? (
                  <a key={report.id} className="link font-semibold" href={`/api/reports/${report.id}/file`}>
                    report.pdf
                  </a>
                ) : (
                  <span key={report.id} className="text-faint" data-state={report.state}>
                    report: {report.doing}
                  </span>
                ),
              )}
              <a className="link" href={address('/api/revisions/{revision}/file', { revision: r.id })}>
                project.json
              </a>
              {(now || i > 0) && (
                <button
                  className="link"
                  aria-expanded={beside?.from === r.id}
                  onClick={() =>
                    setBeside(
                      beside?.from === r.id ? null : { from: r.id, to: now ? '' : (revisions[i - 1]?.id ?? '') },
                    )
                  }
                >
                  what is another since
                </button>
              )}
            </p>
            {r.words && <p className="max-w-[46rem] whitespace-pre-line">{r.words}</p>}
            <p className="text-[11px] text-faint">
              by {r.core}; seal {r.sha256.slice(0, 16)}
            </p>
            {beside?.from === r.id && (
              <Beside
                from={r}
                to={beside.to}
                others={revisions.filter((o) => o.number > r.number)}
                now={now}
                change={(to) => setBeside({ from: r.id, to })}
              />
            )}
          </li>
        ))}
      </ul>
      {revisions.length === 0 && <p className="py-2 text-faint">Nothing has been issued yet.</p>}
    </>
  );
}

interface BesideProps {
  from: IssuedRevision;
  to: string;
  others: IssuedRevision[];
  now: boolean;
  change: (to: string) => void;
}

function Beside({ from, to, others, now, change }: BesideProps) {
  const told = useQuery({
    queryKey: ['compared', from.id, to],
    queryFn: () =>
      get(address('/api/revisions/{revision}/compared', { revision: from.id }, to === '' ? {} : { with: to })),
    staleTime: to === '' ? 0 : Infinity,
  });
  return (
    <div className="mt-2 border-l-2 border-ink pl-3" data-compared={told.isSuccess ? 'told' : 'asked'}>
      <label>
        from {from.number} to{' '}
        <select value={to} onChange={(e) => change(e.target.value)}>
          {now && <option value="">the project as it stands</option>}
          {others.map((o) => (
            <option key={o.id} value={o.id}>
              {o.number} · {o.title}
            </option>
          ))}
        </select>
      </label>
      {told.isError && <p className="text-fail">It cannot be compared now.</p>}
      {told.data && <Differences told={told.data} />}
    </div>
  );
}
