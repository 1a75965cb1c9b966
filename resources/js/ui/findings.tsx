import { useState } from 'react';
import { Link } from 'react-router';
import { useProjectId } from '../api/hooks';
import type { Finding } from '../api/types';
import { SeverityMark, severityColour, severityWord } from './severity';

/** The screen on which what a finding speaks of is cured. */
export function placeOf(project: string, subject: string): string {
  const [section, id, kind, part] = subject.split('/');
  if (section === 'assemblies')
    return `/p/${project}/assemblies/${id}${kind === 'layers' ? `?layer=${encodeURIComponent(part ?? '')}` : ''}`;
  if (section === 'details') return `/p/${project}/sequences/${id}`;
  if (section === 'site') return `/p/${project}/site/${id === 'faults' ? 'faults' : `check/${kind}`}`;
  return `/p/${project}/brief`;
}

export const stepOf = (subject: string) =>
  ({ assemblies: 'assemblies', details: 'sequences', site: 'site' })[subject.split('/')[0] ?? ''] ?? 'brief';

export function FindingText({
  finding,
  lead = false,
  sources = false,
  cure,
}: {
  finding: Finding;
  lead?: boolean;
  sources?: boolean;
  cure?: (() => void) | undefined;
}) {
  const project = useProjectId();
  const [open, setOpen] = useState(false);
  const heading = `${severityWord(finding.severity)} · ${finding.title}`;
  return (
    <article className="border-t border-hair py-2" data-finding={finding.code}>
      <h3 className={`flex gap-2 font-semibold ${severityColour(finding.severity)}`}>
        <span className="pt-[3px]">
          <SeverityMark severity={finding.severity} />
        </span>
        {lead ? (
          <Link className="link" to={placeOf(project, finding.subject)}>
            {heading}
          </Link>
        ) : (
          heading
        )}
      </h3>
      {lead && <p className="text-[11px] text-faint">{finding.subject.split('/').slice(0, 2).join(' ')}</p>}
      <p>{finding.reason}</p>
      {finding.remedy !== '' && <p className="mt-1">→ {finding.remedy}</p>}
      {cure && (
        <p className="mt-1">
          <button className="act py-0" onClick={cure}>
            what would clear it
          </button>
        </p>
      )}
      {open || sources ? (
        <p className="text-faint">
          {finding.source.name} <span>({finding.source.kind.replace('-', ' ')})</span>
        </p>
      ) : (
        <button className="link text-[11px] text-faint" onClick={() => setOpen(true)}>
          source
        </button>
      )}
    </article>
  );
}
