import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { post, wordsOf } from '../../api/client';
import { address } from '../../api/paths';
import { useAssessment, useProjectId, useReports } from '../../api/hooks';
import { Frame } from '../../ui/Frame';

const WHAT = [
  'the brief, with its climate',
  'each assembly: section, figures, the year, its findings',
  'each sequence: drawing, cut list, steps with their cautions',
  'the site record: checks, readings, faults, photographs',
  'all findings with their sources',
  'cautions',
];

export default function Report() {
  const project = useProjectId();
  const reports = useReports();
  const assessment = useAssessment();
  const client = useQueryClient();
  const [why, setWhy] = useState<string | null>(null);
  const print = async () => {
    try {
      await post(address('/api/projects/{project}/reports', { project }));
      setWhy(null);
    } catch (error) {
      setWhy(error instanceof Error ? error.message : 'The server does not answer.');
    }
    await client.invalidateQueries({ queryKey: ['reports', project] });
  };
  const cancel = async (id: string) => {
    try {
      await post(address('/api/reports/{report}/cancel', { report: id }));
    } catch (error) {
      setWhy(wordsOf(error));
    }
    await client.invalidateQueries({ queryKey: ['reports', project] });
  };
  return (
    <Frame
      sheet="0 Report"
      reckoning={
        <>
          <h2 className="pb-1 text-[15px] font-bold">The project as a file</h2>
          <p>
            <a className="link font-semibold" href={`/api/projects/${project}/export.zip`} download>
              project.zip
            </a>{' '}
            with its photographs
          </p>
          <p>
            <a className="link font-semibold" href={`/api/projects/${project}/export.json`} download>
              project.json
            </a>{' '}
            alone, for <code>./apron check</code>
          </p>
          <p className="mt-1 text-faint">
            Bring either in again on the page of all projects. Nothing is lost, and a second export is the same to the
            byte.
          </p>
          <p className="mt-4 border-t border-hair pt-2 text-[11px] text-faint">
            A report says what was computed, from which figures, and what was seen. It approves nothing.
          </p>
        </>
      }
    >
      <div className="px-14 py-6">
        <h1 className="mb-2 text-lg font-bold">Report</h1>
        <p>Prints, as it stands now:</p>
        <ul className="mb-4 list-disc pl-5">
          {WHAT.map((w) => (
            <li key={w}>{w}</li>
          ))}
        </ul>
        <button className="act" onClick={() => void print()} disabled={!assessment.data}>
          Print the report
        </button>
        {why && (
          <p role="alert" className="mt-2 text-fail">
            {why}
          </p>
        )}
        <h2 className="mt-6 border-b border-ink pb-1 font-bold">Printed before</h2>
        {reports.data?.length === 0 && <p className="py-2 text-faint">None yet.</p>}
        <ul>
          {reports.data?.map((r) => (
            <li
              key={r.id}
              className="flex items-center gap-4 border-b border-hair py-2"
              data-report={r.id}
              data-state={r.state}
            >
              <span className="w-[11rem]">{r.at.slice(0, 16).replace('T', ' ')} UTC</span>
              <span className="w-[9rem] truncate">{r.by}</span>
              {r.state === 'done' ? (
                <a className="link font-semibold" href={`/api/reports/${r.id}/file`}>
                  report.pdf
                </a>
              ) : r.state === 'failed' || r.state === 'cancelled' ? (
                <span className={r.state === 'failed' ? 'text-fail' : 'text-faint'}>{r.doing}</span>
              ) : (
                <>
                  <progress max={100} value={r.percent} aria-label="progress" />
                  <span role="status">{r.doing}</span>
                  <button className="act" onClick={() => void cancel(r.id)}>
                    cancel
                  </button>
                </>
              )}
            </li>
          ))}
        </ul>
      </div>
    </Frame>
  );
}
