import type { ReactNode } from 'react';
import type { Finding } from '../api/types';
import { causes } from './causes';
import { FindingText } from './findings';
import { SeverityMark, severityColour } from './severity';

interface Props {
  findings: Finding[];
  sources?: boolean;
  /** asks what would clear a finding; undefined where nothing can be asked */
  cure?: (finding: Finding) => (() => void) | undefined;
}

/** One error, one finding: what follows from a cause stands under it, folded. */
export function FindingList({ findings, sources = false, cure }: Props): ReactNode {
  const { stand, under } = causes(findings);
  return stand.map((finding) => (
    <FindingText
      key={finding.key}
      finding={finding}
      sources={sources}
      cure={cure?.(finding)}
      below={<Followers findings={under(finding)} />}
    />
  ));
}

/** What follows from a finding, folded. */
export function Followers({ findings }: { findings: Finding[] }) {
  if (findings.length === 0) return null;
  return (
    <details className="mt-1 border-l-2 border-hair pl-2" data-follows={findings.length}>
      <summary className="cursor-pointer text-faint">
        {findings.length === 1 ? 'one thing follows' : `${findings.length} things follow`} from it
      </summary>
      {findings.map((f) => (
        <div key={f.key} className="pt-1" data-finding={f.code}>
          <p className={`flex gap-2 ${severityColour(f.severity)}`}>
            <span className="pt-[3px]">
              <SeverityMark severity={f.severity} />
            </span>
            {f.title}
          </p>
          <p>{f.reason}</p>
          {f.remedy !== '' && <p>→ {f.remedy}</p>}
        </div>
      ))}
    </details>
  );
}
