import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { get, post, wordsOf } from '../../api/client';
import { createDocument } from '../../api/documents';
import { useAssessment, useDocuments, useMaterials, useProjectId, useRuns } from '../../api/hooks';
import { address } from '../../api/paths';
import type { Assembly, DerivedRun, Doc, Run, RunStands } from '../../api/types';
import { Film } from '../../drawing/hours/Film';
import { LeakCurve } from '../../drawing/hours/LeakCurve';
import { MouldLines } from '../../drawing/hours/MouldLines';
import { WaterYear } from '../../drawing/hours/WaterYear';
import { FindingList } from '../../ui/FindingList';
import { Frame } from '../../ui/Frame';
import { freeId } from '../../ui/freeId';
import { SaveState } from '../../ui/SaveState';
import { useDraft } from '../../ui/useDraft';
import { useKeys } from '../../ui/keys';
import starts from '../../../../core/data/starts.json';
import { RunCures } from './RunCures';
import { RunForm } from './RunForm';
import {
  MOULD_LIMIT,
  faceRows,
  layerNames,
  leakCurves,
  leakPlane,
  mouldRows,
  runTitle,
  waterRows,
  weatherWords,
  type LeakPoint,
} from '../../run/words';

const UNDER_WAY = ['queued', 'running'];

/** An assembly hour by hour through years of weather: what is run, how far it has come, and what it came to. */
export default function Hours() {
  const project = useProjectId();
  const { key = '' } = useParams();
  const documents = useDocuments().data;
  const materials = useMaterials().data ?? [];
  const assessment = useAssessment().data;
  const stands = useRuns().data;
  const client = useQueryClient();
  const [chosen, setChosen] = useState<string | null>(null);
  const assembly = documents?.assemblies.find((d) => d.key === key)?.content;
  const all = documents?.runs ?? [];
  const runs = all.filter((d) => d.content.assembly === key && d.broken === null);
  const mayEdit = documents?.may_edit ?? false;
  const told = new Map(
    (assessment?.runs ?? []).filter((r): r is DerivedRun => 'interfaces' in r).map((r) => [r.id, r]),
  );
  const standOf = (id: string) => stands?.find((s) => s.key === id);
  const done = (stands ?? []).filter((s) => s.state === 'done').length;
  // What the worker has finished is in the figures and findings of the project.
  useEffect(() => {
    if (done > 0) void client.invalidateQueries({ queryKey: ['assessment', project] });
  }, [client, done, project]);
  const start = useMutation({
    mutationFn: (id: string) => post(address('/api/projects/{project}/runs/{key}/start', { project, key: id })),
    onSettled: () => client.invalidateQueries({ queryKey: ['runs', project] }),
  });
  const begin = useMutation({
    mutationFn: async (contents: Partial<Run>[]) => {
      const taken = all.map((d) => d.key);
      let last = '';
      for (const content of contents) {
        last = await createDocument(
          project,
          taken,
          (ids) => freeId(ids, 'run'),
          (id) => Promise.resolve({ kind: 'run', content: { id, assembly: key, years: 3, ...content } }),
        );
        taken.push(last);
        if (contents.length > 1) await start.mutateAsync(last);
      }
      return last;
    },
    onSuccess: setChosen,
  });
  useKeys({
    n: {
      says: 'a new run',
      act: () => {
        if (mayEdit && !begin.isPending) begin.mutate([{}]);
      },
    },
  });
  const run = runs.find((d) => d.key === chosen) ?? runs.at(-1);
  const plane = leakPlane(assembly);
  const curves = leakCurves(
    assembly,
    runs.flatMap((d) => {
      const r = told.get(d.key);
      return r ? [{ run: d.content, told: r }] : [];
    }),
  );
  const head = (
    <>
      <p className="text-[12px]">
        <Link className="link text-faint" to={`/p/${project}/assemblies/${key}`}>
          ← {assembly?.name ?? key}
        </Link>
      </p>
      <h1 className="pb-1 text-[17px] font-bold">Hour by hour</h1>
      {runs.length > 0 && (
        <ul className="flex flex-wrap gap-2 pb-2 text-[12px]" data-runs={runs.length}>
          {runs.map((d) => (
            <li key={d.key}>
              <button
                className={`act ${d === run ? 'bg-ink text-white' : ''}`}
                aria-pressed={d === run}
                onClick={() => setChosen(d.key)}
              >
                {runTitle(d.content, assembly, materials)} · {standWords(standOf(d.key))}
              </button>
            </li>
          ))}
        </ul>
      )}
      {mayEdit && (
        <p className="flex flex-wrap gap-2 pb-3">
          <button className="act" disabled={begin.isPending} onClick={() => begin.mutate([{}])}>
            new run <kbd>n</kbd>
          </button>
          {plane && (
            <button
              className="act"
              disabled={begin.isPending}
              onClick={() =>
                begin.mutate(starts.leaks.map((share) => ({ leak: { share, layer: plane.id ?? '' }, years: 2 })))
              }
            >
              how much rain it bears
            </button>
          )}
        </p>
      )}
      {begin.isError && (
        <p role="alert" className="text-fail">
          {wordsOf(begin.error)}
        </p>
      )}
    </>
  );
  if (!assembly || !run) {
    return (
      <Frame sheet="2 Hour by hour" reckoning={null}>
        <div className="px-6 py-3 max-sm:px-4">
          {head}
          {documents && (
            <p className="max-w-[40rem] text-faint">
              Nothing has been run of this assembly. A run takes it through years of hours: sun, night sky and driving
              rain on its face, a share of it past the cladding if you say so, the room inside. It takes some seconds a
              year, on the worker; you can go on meanwhile.
            </p>
          )}
        </div>
      </Frame>
    );
  }
  return (
    <OneRun
      key={run.key}
      {...{ run, assembly, mayEdit, head, curves, start: (id: string) => start.mutate(id) }}
      stand={standOf(run.key)}
      why={start.isError ? wordsOf(start.error) : null}
      derived={told.get(run.key)}
    />
  );
}

function standWords(stand: RunStands | undefined): string {
  if (!stand || stand.state === 'none') return 'not run';
  if (UNDER_WAY.includes(stand.state)) return `${stand.years_done} of ${stand.years} years`;
  return stand.state === 'done' ? 'run' : stand.state;
}

interface OneProps {
  run: Doc<Run>;
  assembly: Assembly;
  mayEdit: boolean;
  head: React.ReactNode;
  curves: LeakPoint[][];
  stand: RunStands | undefined;
  why: string | null;
  derived: DerivedRun | undefined;
  start: (id: string) => void;
}

function OneRun({ run, assembly, mayEdit, head, curves, stand, why, derived, start }: OneProps) {
  const project = useProjectId();
  const client = useQueryClient();
  const materials = useMaterials().data ?? [];
  const draft = useDraft(run, mayEdit);
  const findings = useAssessment().data?.findings.filter((f) => f.subject === `runs/${run.key}`) ?? [];
  const isDone = stand?.state === 'done';
  const picture = useQuery({
    queryKey: ['run', project, run.key, run.revision],
    queryFn: () => get(address('/api/projects/{project}/runs/{key}', { project, key: run.key })),
    enabled: isDone,
  });
  const cancel = async () => {
    await post(address('/api/projects/{project}/runs/{key}/cancel', { project, key: run.key }));
    await client.invalidateQueries({ queryKey: ['runs', project] });
  };
  const isUnderWay = stand !== undefined && UNDER_WAY.includes(stand.state);
  const mayStart = mayEdit && draft.state === 'saved' && !isUnderWay && !isDone;
  useKeys({
    undo: { shown: 'Ctrl+Z, Ctrl+Shift+Z', says: 'undo, redo', act: draft.undo },
    redo: draft.redo,
    g: {
      says: 'run it',
      act: () => {
        if (mayStart) start(run.key);
      },
    },
  });
  const names = layerNames(assembly, materials);
  const has = derived !== undefined && derived.interfaces.length > 0;
  return (
    <Frame
      sheet="2 Hour by hour"
      reckoning={
        <>
          <section data-run-state={stand?.state ?? 'none'}>
            <p className="font-bold">{stand?.doing ?? 'not run yet'}</p>
            {isUnderWay && (
              <>
                <progress className="w-full" max={stand.years} value={stand.years_done} />
                {mayEdit && (
                  <button className="act" onClick={() => void cancel()}>
                    cancel
                  </button>
                )}
              </>
            )}
            {mayEdit && !isUnderWay && !isDone && (
              <button className="act" disabled={!mayStart} onClick={() => start(run.key)}>
                run it <kbd>g</kbd>
              </button>
            )}
            {why && (
              <p role="alert" className="text-fail">
                {why}
              </p>
            )}
          </section>
          {has && (
            <dl className="py-2">
              {[
                [
                  'repeats itself after',
                  derived.steady_after_years === null ? 'not yet' : `${derived.steady_after_years} y`,
                ],
                ['rain that strikes it', `${Math.round(derived.rain_kg_m2 ?? 0)} kg/m² a year`],
                ['month by month', derived.by_months ?? '–'],
                ['facing', derived.facing_deg == null ? '–' : `${Math.round(derived.facing_deg)}° from north`],
                ['not accounted for', `${(derived.balance_error_pct ?? 0).toFixed(4)} %`],
              ].map(([term, value]) => (
                <div key={term} className="flex justify-between gap-3 py-[2px]">
                  <dt className="text-faint">{term}</dt>
                  <dd className="text-right font-semibold">{value}</dd>
                </div>
              ))}
            </dl>
          )}
          <FindingList findings={findings} />
          <SaveState {...draft} mayEdit={mayEdit} />
          <p className="mt-2 border-t border-hair pt-2 text-[11px] text-faint">
            {weatherWords(derived)} One dimension: no studs, no corners. Computed, not approved.
          </p>
        </>
      }
    >
      <div className="px-6 py-3 max-sm:px-4">
        {head}
        {mayEdit && <RunForm run={draft.content} layers={assembly.layers} names={names} change={draft.change} />}
        {has && (
          <>
            <h2 className="pt-3 pb-1 font-bold">Mould index of each face</h2>
            <MouldLines lines={mouldRows(assembly, derived, materials)} limit={MOULD_LIMIT} />
            <FaceTable rows={faceRows(assembly, derived, materials)} />
            <h2 className="pt-3 pb-1 font-bold">Water in each layer, the last year</h2>
            <WaterYear rows={waterRows(derived, names)} />
          </>
        )}
        {picture.data && (
          <>
            <h2 className="pt-3 pb-1 font-bold">Through the wall, any day of the last year</h2>
            <Film picture={picture.data} names={names} />
          </>
        )}
        {isDone && findings.some((f) => f.severity === 'fail' || f.severity === 'caution') && (
          <RunCures key={run.key} run={run.key} assembly={run.content.assembly ?? ''} mayEdit={mayEdit} />
        )}
        {curves.length > 0 && <h2 className="pt-3 pb-1 font-bold">How much rain it bears</h2>}
        {curves.map((points, i) => (
          <LeakCurve key={i} points={points} limit={MOULD_LIMIT} />
        ))}
      </div>
    </Frame>
  );
}

/** Each face in figures: what mould thinks of it, how long it was damp, and damp above freezing, which metal minds. */
function FaceTable({ rows }: { rows: ReturnType<typeof faceRows> }) {
  return (
    <table className="my-2 w-full max-w-[52rem] text-[12px] [&_td]:pr-3 [&_th]:pr-3" data-faces={rows.length}>
      <thead>
        <tr className="border-b border-ink text-left">
          <th>face, the last year</th>
          <th>feeds mould</th>
          <th className="text-right">most index</th>
          <th className="text-right">h above 80 %</th>
          <th className="text-right">of them above 0 °C</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.at} className="border-b border-hair">
            <td>{row.name}</td>
            <td className="whitespace-nowrap">{row.feeds}</td>
            <td className="text-right">{row.most.toFixed(2)}</td>
            <td className="text-right">{row.damp}</td>
            <td className="text-right">{row.rusting}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
