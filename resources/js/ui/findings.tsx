import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useProjectId } from '../api/hooks';
import type { Finding, ProjectFile } from '../api/types';
import { Accepting } from './Accepting';
import { SeverityMark, severityColour, severityWord } from './severity';

interface Screen {
  /** the step whose sheet it is */
  step:
    'brief' | 'assemblies' | 'contacts' | 'transitions' | 'calendar' | 'quantities' | 'tests' | 'sequences' | 'site';
  /** the address of one row, and of what stands in it, below the project's */
  row?: (id: string, kind?: string, part?: string) => string;
}

/** On which screen what a finding speaks of is cured, by the section of the file; the brief where it is not said. */
const SCREENS: Partial<Record<keyof ProjectFile, Screen>> = {
  assemblies: {
    step: 'assemblies',
    row: (id, kind, part) => `assemblies/${id}${kind === 'layers' ? `?layer=${encodeURIComponent(part ?? '')}` : ''}`,
  },
  asked: { step: 'contacts', row: () => 'contacts' },
  systems: { step: 'contacts', row: () => 'contacts' },
  building: { step: 'transitions', row: () => 'transitions' },
  plan: { step: 'calendar', row: () => 'calendar' },
  tests: { step: 'tests', row: () => 'tests' },
  runs: { step: 'assemblies', row: (id) => `runs/${id}` },
  plane_sections: { step: 'assemblies', row: (id) => `sections/${id}` },
  takeoff: { step: 'quantities', row: () => 'quantities' },
  details: { step: 'sequences', row: (id) => `sequences/${id}` },
  site: { step: 'site', row: (id, kind) => `site/${id === 'faults' ? 'faults' : `check/${kind}`}` },
};
const BRIEF: Screen = { step: 'brief' };
const screenOf = (section: string): Screen => SCREENS[section as keyof ProjectFile] ?? BRIEF;

/** The address of the screen on which what a finding speaks of is cured. */
export function placeOf(project: string, subject: string): string {
  const [section = '', id = '', kind, part] = subject.split('/');
  return `/p/${project}/${screenOf(section).row?.(id, kind, part) ?? 'brief'}`;
}

export const stepOf = (subject: string) => screenOf(subject.split('/')[0] ?? '').step;

export function FindingText({
  finding,
  lead = false,
  sources = false,
  cure,
  below,
}: {
  finding: Finding;
  lead?: boolean;
  sources?: boolean;
  cure?: (() => void) | undefined;
  /** what follows from it */
  below?: ReactNode;
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
      <Accepting finding={finding} />
      {below}
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
