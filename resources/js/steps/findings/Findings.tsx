import { useAssessment } from '../../api/hooks';
import type { Severity } from '../../api/types';
import { FindingText, stepOf } from '../../ui/findings';
import { SeverityMark, severityWord } from '../../ui/severity';
import { Frame } from '../../ui/Frame';
import { STEPS } from '../../ui/steps';

const ORDER: Severity[] = ['fail', 'caution', 'note', 'pass'];

/** Everything that was concluded, in one list, worst first, each leading to its place. */
export default function Findings() {
  const assessment = useAssessment();
  const findings = assessment.data?.findings ?? [];
  return (
    <Frame
      sheet="Findings"
      reckoning={
        <>
          <h2 className="pb-1 text-[15px] font-bold">In all</h2>
          <dl>{ORDER.map((s) => <div key={s} className="flex items-center justify-between py-[2px]"><dt className="flex items-center gap-2"><SeverityMark severity={s} />{severityWord(s)}</dt><dd className="font-semibold">{findings.filter((f) => f.severity === s).length}</dd></div>)}</dl>
          <h2 className="mt-3 border-t border-hair pt-2 pb-1 text-[15px] font-bold">By step, open</h2>
          <dl>{STEPS.filter((s) => !s.later).map((s) => <div key={s.path} className="flex justify-between py-[2px]"><dt>{s.title}</dt><dd>{findings.filter((f) => stepOf(f.subject) === s.path && (f.severity === 'fail' || f.severity === 'caution')).length || '–'}</dd></div>)}</dl>
          <p className="mt-3 border-t border-hair pt-2 text-[11px] text-faint">A finding says what was computed and against what. It approves nothing: local code, the makers’ instructions and licensed practice decide.</p>
        </>
      }
    >
      <div className="px-14 py-6">
        <h1 className="mb-2 text-lg font-bold">Findings</h1>
        {assessment.isPending && <p className="text-faint">assessing …</p>}
        {assessment.isError && <p role="alert" className="text-fail">{assessment.error.message}</p>}
        <div className="max-w-[46rem]">{findings.map((finding) => <FindingText key={finding.key} finding={finding} lead />)}</div>
        {assessment.data && findings.length === 0 && <p>Nothing to assess yet: begin with the brief, an assembly or a sequence.</p>}
      </div>
    </Frame>
  );
}
