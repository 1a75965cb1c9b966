import { useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { post, wordsOf } from '../../api/client';
import { address } from '../../api/paths';
import { useAssessment, useDocuments, useProjectId, useReports, useRevisions } from '../../api/hooks';
import { Revisions } from '../../revision/Revisions';
import { BringFaults } from './BringFaults';
import { registers } from './registers';
import { Frame } from '../../ui/Frame';
import { useSend } from '../../ui/useSend';

const WHAT = [
  'title, scope, limits, contents; what has changed since it was last issued',
  'a chapter for each step of the work, its sheets numbered, drawings at a stated scale',
  'registers of what is hidden, with photographs, and of seals, with what their failure wets',
  'all findings with their sources, those that were accepted, and cautions',
];

/** Open formats of what other programs take. */
const FILES: [string, string][] = [
  ['faults.bcf', 'faults with photographs, BCF 2.1'],
  ['readings.csv', 'readings with what was asked'],
  ['order.csv', 'what is bought'],
  ['contacts.csv', 'what touches what'],
  ['plan.ics', 'the calendar'],
  ['plan.csv', 'the plan'],
];

export default function Report() {
  const project = useProjectId();
  const reports = useReports();
  const assessment = useAssessment();
  const client = useQueryClient();
  const documents = useDocuments();
  const revisions = useRevisions(project);
  const [why, setWhy] = useState<string | null>(null);
  const [paper, setPaper] = useState('letter');
  const print = async () => {
    try {
      await post(address('/api/projects/{project}/reports', { project }), { paper });
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
          <h2 className="pt-4 pb-1 text-[15px] font-bold">For others</h2>
          <ul className="grid gap-0.5">
            {FILES.map(([file, what]) => (
              <li key={file}>
                <a className="link font-semibold" href={`/api/projects/${project}/${file}`} download>
                  {file}
                </a>{' '}
                {what}
              </li>
            ))}
          </ul>
          <p className="pt-1">
            <button className="link" onClick={() => void registers(project)}>
              registers.xlsx
            </button>{' '}
            materials, readings, faults, findings
          </p>
          <BringFaults project={project} />
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
        </button>{' '}
        <label>
          on{' '}
          <select value={paper} onChange={(e) => setPaper(e.target.value)}>
            <option value="letter">letter</option>
            <option value="a4">A4</option>
          </select>
        </label>
        {why && (
          <p role="alert" className="mt-2 text-fail">
            {why}
          </p>
        )}
        <h2 className="mt-6 border-b border-ink pb-1 font-bold">Issued</h2>
        {documents.data?.may_edit && <Issue project={project} />}
        <Revisions revisions={revisions.data?.revisions ?? []} now />
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

/** The project as it stands kept for good, under a number; its report is printed with it. */
function Issue({ project }: { project: string }) {
  const client = useQueryClient();
  const [title, setTitle] = useState('');
  const [words, setWords] = useState('');
  const [paper, setPaper] = useState('letter');
  const { why, busy, send } = useSend();
  const issue = async (event: FormEvent) => {
    event.preventDefault();
    if (!(await send(() => post(address('/api/projects/{project}/revisions', { project }), { title, words, paper }))))
      return;
    setTitle('');
    setWords('');
    await client.invalidateQueries({ queryKey: ['revisions', project] });
  };
  return (
    <form onSubmit={(e) => void issue(e)} className="grid max-w-[46rem] gap-2 py-2" data-issue>
      <div className="grid grid-cols-[1fr_8rem] gap-3">
        <label className="grid">
          Issued for
          <input
            name="title"
            required
            maxLength={100}
            placeholder="tender"
            value={title}
            onChange={(e) => setTitle(e.target.value)}
          />
        </label>
        <label className="grid">
          Paper
          <select value={paper} onChange={(e) => setPaper(e.target.value)}>
            <option value="letter">letter</option>
            <option value="a4">A4</option>
          </select>
        </label>
      </div>
      <label className="grid">
        Scope, limits, what is new
        <textarea name="words" rows={2} maxLength={4000} value={words} onChange={(e) => setWords(e.target.value)} />
      </label>
      <p className="flex items-baseline gap-3">
        <button className="act" disabled={busy}>
          Issue it as it stands
        </button>
        <span className="text-[11px] text-faint">
          Nobody can change it afterwards. Readers see what is issued only.
        </span>
      </p>
      {why && (
        <p role="alert" className="text-fail">
          {why}
        </p>
      )}
    </form>
  );
}
