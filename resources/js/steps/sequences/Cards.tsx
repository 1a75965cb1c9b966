import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { post } from '../../api/client';
import { address } from '../../api/paths';
import { useProjectId, useReports, useSequence } from '../../api/hooks';
import { CrewCard, RollList } from '../../drawing/StepCard';
import { Frame } from '../../ui/Frame';
import { useKeys } from '../../ui/keys';
import { useUnits } from '../../ui/units';

/** The step cards of a detail, one page a step, as they are printed. */
export default function Cards() {
  const { key = '' } = useParams();
  const project = useProjectId();
  const navigate = useNavigate();
  const { units } = useUnits();
  const sheet = useSequence(key).data;
  const reports = useReports();
  const [asked, setAsked] = useState<string>();
  const [why, setWhy] = useState<string | null>(null);
  const report = reports.data?.find((r) => r.id === asked);
  const print = async () => {
    try {
      const made = await post(address('/api/projects/{project}/reports', { project }), { cards: key });
      setAsked(made.id);
      setWhy(null);
      await reports.refetch();
    } catch (error) {
      setWhy(error instanceof Error ? error.message : 'The server does not answer.');
    }
  };
  useKeys({
    Escape: { shown: 'Esc', says: 'back to the drawing', act: () => navigate(`/p/${project}/sequences/${key}`) },
    p: { says: 'a PDF of the cards', act: () => void print() },
  });
  const panel = (
    <>
      <h2 className="pb-1 text-[15px] font-bold">Step cards</h2>
      <p className="py-1">One page a step for the crew, and what to take from the store. Sizes in both systems.</p>
      <p className="py-1">
        <button
          className="act"
          disabled={report?.state === 'queued' || report?.state === 'printing'}
          onClick={() => void print()}
        >
          make a PDF <span className="key">p</span>
        </button>
      </p>
      {report && (
        <p role="status" data-print={report.state}>
          {report.state === 'done' ? (
            <a className="link" href={`/api/reports/${report.id}/file`}>
              the PDF of the cards
            </a>
          ) : (
            `${report.doing} · ${report.percent} %`
          )}
        </p>
      )}
      {why && (
        <p role="alert" className="text-fail">
          {why}
        </p>
      )}
      <p className="py-2">
        <Link className="link" to={`/p/${project}/sequences/${key}`}>
          back to the drawing
        </Link>{' '}
        <span className="key">Esc</span>
      </p>
    </>
  );
  return (
    <Frame sheet={`5 Step cards ${key}`} reckoning={panel}>
      <div className="px-6 py-4" data-cards={sheet ? sheet.steps.length : undefined}>
        {sheet?.steps.map((s) => (
          <div key={s.number} className="mb-6 border border-ink bg-white p-6">
            <CrewCard sheet={sheet} step={s.number} units={units} />
          </div>
        ))}
        {sheet && (
          <div className="mb-6 border border-ink bg-white p-6">
            <RollList sheet={sheet} units={units} />
          </div>
        )}
      </div>
    </Frame>
  );
}
