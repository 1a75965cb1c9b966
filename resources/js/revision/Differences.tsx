import type { ComparedRevisions } from '../api/types';

/** Documents that came, went or changed and in what; findings that came, went or weigh another. */
export function Differences({ told }: { told: ComparedRevisions }) {
  const { came, went, changed } = told.findings;
  const isSame = told.documents.length + came.length + went.length + changed.length === 0;
  return (
    <div className="text-[12px]">
      {isSame && <p>Nothing is another.</p>}
      {told.documents.map((d) => (
        <div key={`${d.section} ${d.id}`} className="py-0.5">
          <p>
            <b>{d.change}</b> {d.section} {d.title}
          </p>
          {d.fields.map((f) => (
            <p key={f.at} className="pl-4 break-words text-faint">
              {f.at.replace(/^\//, '').replaceAll('/', ' › ')}: {f.was ?? 'nothing'} → {f.now ?? 'nothing'}
            </p>
          ))}
          {d.more > 0 && <p className="pl-4 text-faint">and {d.more} more</p>}
        </div>
      ))}
      <Lines title="Findings that came" rows={came} />
      <Lines title="Findings that went" rows={went} />
      <Lines title="Findings that weigh another" rows={changed} />
    </div>
  );
}

function Lines({ title, rows }: { title: string; rows: ComparedRevisions['findings']['came'] }) {
  if (rows.length === 0) return null;
  return (
    <div className="pt-1">
      <p>
        <b>{title}</b>
      </p>
      {rows.map((row) => (
        <p key={row.key} className="pl-4">
          {row.was ? `${row.was} → ${row.severity}` : row.severity}: {row.title}{' '}
          <span className="text-faint">{row.subject}</span>
        </p>
      ))}
    </div>
  );
}
