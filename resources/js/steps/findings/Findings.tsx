import { useMemo, useState } from 'react';
import { useAssessment } from '../../api/hooks';
import type { Finding, Severity } from '../../api/types';
import { causes, isOpen } from '../../ui/causes';
import { Followers } from '../../ui/FindingList';
import { FindingText, stepOf } from '../../ui/findings';
import { found, MOST_SHOWN } from '../../ui/pick';
import { SeverityMark, severityWord } from '../../ui/severity';
import { Frame } from '../../ui/Frame';
import { STEPS } from '../../ui/steps';

const ORDER: Severity[] = ['fail', 'caution', 'note', 'pass'];

const GROUPS = { severity: 'worst first', step: 'by step', subject: 'by what they are about' } as const;
type Grouped = keyof typeof GROUPS;

/** What a finding is found by; what was accepted, by that word as well, and by who and why. */
const wordsOfFinding = (f: Finding) =>
  `${f.severity} ${f.title} ${f.subject} ${f.reason} ${f.accepted ? `accepted ${f.accepted.by} ${f.accepted.reason}` : ''}`;

/** The group a finding stands in, where they are not simply worst first. */
function groupOf(finding: Finding, by: Grouped): string {
  if (by === 'step') return STEPS.find((s) => s.path === stepOf(finding.subject))?.title ?? 'Brief';
  return by === 'subject' ? finding.subject.split('/').slice(0, 2).join(' ') : '';
}

/** Everything that was concluded, in one list, worst first, each leading to its place. */
export default function Findings() {
  const assessment = useAssessment();
  const { stand: findings, under } = useMemo(() => causes(assessment.data?.findings ?? []), [assessment.data]);
  const [words, setWords] = useState('');
  const [by, setBy] = useState<Grouped>('severity');
  const [all, setAll] = useState(false);
  const rows = useMemo(
    () =>
      found(
        findings.map((f) => ({
          id: f.key,
          text: [f, ...under(f)].map(wordsOfFinding).join(' '),
          group: groupOf(f, by),
          finding: f,
        })),
        words,
      ),
    [findings, under, words, by],
  );
  const shown = all ? rows : rows.slice(0, MOST_SHOWN);
  const count = (holds: (f: Finding) => boolean) => findings.filter(holds).length;
  const reckoning = (
    <>
      <h2 className="pb-1 text-[15px] font-bold">In all</h2>
      <dl>
        {ORDER.map((s) => (
          <div key={s} className="flex items-center justify-between py-[2px]">
            <dt className="flex items-center gap-2">
              <SeverityMark severity={s} />
              {severityWord(s)}
            </dt>
            <dd className="font-semibold">{count((f) => f.severity === s)}</dd>
          </div>
        ))}
      </dl>
      {count((f) => f.accepted !== null) > 0 && (
        <p className="flex justify-between py-[2px]">
          <button className="link" onClick={() => setWords('accepted')}>
            accepted
          </button>
          <span className="font-semibold">{count((f) => f.accepted !== null)}</span>
        </p>
      )}
      <h2 className="mt-3 border-t border-hair pt-2 pb-1 text-[15px] font-bold">By step, open</h2>
      <dl>
        {STEPS.map((s) => (
          <div key={s.path} className="flex justify-between py-[2px]">
            <dt>{s.title}</dt>
            <dd>{count((f) => isOpen(f) && stepOf(f.subject) === s.path) || '–'}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-3 border-t border-hair pt-2 text-[11px] text-faint">
        A finding says what was computed and against what. It approves nothing: local code, the makers’ instructions and
        licensed practice decide.
      </p>
    </>
  );
  return (
    <Frame sheet="Findings" reckoning={reckoning}>
      <div className="px-14 py-6 max-sm:px-4">
        <h1 className="mb-2 text-lg font-bold">Findings</h1>
        <p className="flex flex-wrap items-center gap-x-4 gap-y-1 pb-2">
          <input
            aria-label="Find among the findings"
            className="w-[20rem] max-w-full"
            placeholder="fail, mould, w2, lap …"
            value={words}
            onChange={(e) => setWords(e.target.value)}
          />
          {(Object.keys(GROUPS) as Grouped[]).map((how) => (
            <label key={how}>
              <input type="radio" name="grouped" checked={by === how} onChange={() => setBy(how)} /> {GROUPS[how]}
            </label>
          ))}
          {words !== '' && (
            <span role="status" className="text-faint">
              {rows.length} of {findings.length}
            </span>
          )}
        </p>
        {assessment.isPending && <p className="text-faint">assessing …</p>}
        {assessment.isError && (
          <p role="alert" className="text-fail">
            {assessment.error.message}
          </p>
        )}
        <div className="max-w-[46rem]">
          {shown.map((row, i) => (
            <div key={row.id}>
              {row.group !== '' && row.group !== shown[i - 1]?.group && (
                <h2 className="pt-4 pb-1 font-bold">{row.group}</h2>
              )}
              <FindingText finding={row.finding} lead below={<Followers findings={under(row.finding)} />} />
            </div>
          ))}
          {shown.length < rows.length && (
            <button className="act mt-2" onClick={() => setAll(true)}>
              show the other {rows.length - shown.length}
            </button>
          )}
        </div>
        {assessment.data && findings.length === 0 && (
          <p>Nothing to assess yet: begin with the brief, an assembly or a sequence.</p>
        )}
      </div>
    </Frame>
  );
}
