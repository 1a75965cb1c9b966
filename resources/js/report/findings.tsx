import { type ReactNode } from 'react';
import type { Finding } from '../api/types';
import { causes } from '../ui/causes';
import { together } from '../ui/together';
import { SeverityMark, severityColour, severityWord } from '../ui/severity';

export function Findings({ findings }: { findings: Finding[] }): ReactNode {
  const { stand, under } = causes(findings);
  return stand.map((f) => (
    <article key={f.key} className="together border-t border-hair py-1">
      <b className={severityColour(f.severity)}>
        <SeverityMark severity={f.severity} /> {severityWord(f.severity)} · {f.title}
      </b>{' '}
      {f.reason} {f.remedy && `→ ${f.remedy}`} <span className="text-faint">[{f.source.name}]</span>
      {under(f).map((g) => (
        <p key={g.key} className="ml-4">
          From this: <SeverityMark severity={g.severity} /> {g.title}. {g.reason}
        </p>
      ))}
    </article>
  ));
}

/** The same said of several things is said once, with their names. */
export function Together({ findings }: { findings: Finding[] }): ReactNode {
  return together(causes(findings).stand).map((all) => {
    const f = all[0] as Finding;
    const key = f.key;
    if (all.length === 1) return <Findings key={key} findings={all} />;
    const same = all.every((g) => g.reason === f.reason);
    return (
      <article key={key} className="border-t border-hair py-1">
        <b className={severityColour(f.severity)}>
          <SeverityMark severity={f.severity} /> {severityWord(f.severity)} · {f.title}
        </b>{' '}
        {same && f.reason} {f.remedy && `→ ${f.remedy}`}{' '}
        <i>
          {all.length} places: {[...new Set(all.map((g) => g.subject.split('/').slice(1).join(' ')))].join(', ')}.
        </i>{' '}
        <span className="text-faint">[{f.source.name}]</span>
      </article>
    );
  });
}
