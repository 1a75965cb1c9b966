import type { Finding } from '../api/types';
import { Mark } from '../ui/Mark';
import { SeverityMark, severityColour, severityWord } from '../ui/severity';

import type { Sheet } from './sheet';
/** What it is, of when and by whom, and how much of which weight was found. */
export function Title({ sheet }: { sheet: Sheet }) {
  const count = (s: Finding['severity']) => sheet.assessment.findings.filter((f) => f.severity === s).length;
  return (
    <header className="border-b border-ink pb-3">
      <p className="flex items-center gap-2 font-bold">
        <Mark /> Apron
      </p>
      <h1 className="mt-3 text-[19pt] leading-tight font-bold">{sheet.file.project.name}</h1>
      <p>
        Control layers: assemblies, sequences and what was seen on site. Draft of {sheet.at.slice(0, 10)}, printed by{' '}
        {sheet.by}. Catalogue {sheet.catalogue}.
      </p>
      <p className="mt-1">
        {(['fail', 'caution', 'note', 'pass'] as const).map((s) => (
          <span key={s} className={`mr-4 ${severityColour(s)}`}>
            <SeverityMark severity={s} /> {count(s)} {severityWord(s).toLowerCase()}
          </span>
        ))}
      </p>
    </header>
  );
}
