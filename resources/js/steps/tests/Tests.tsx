import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { get, wordsOf } from '../../api/client';
import { createDocument } from '../../api/documents';
import { useDocuments, useProjectId, useSequence } from '../../api/hooks';
import { useLive } from '../../api/live';
import { address } from '../../api/paths';
import type { DerivedTest, Doc, FieldTest, TestKind } from '../../api/types';
import { Dots } from '../../drawing/test/Dots';
import { FanPlot } from '../../drawing/test/FanPlot';
import { WetPlaces, type WaterTest } from '../../drawing/test/WetPlaces';
import { askedOf, linesOf, STAGES, TEST_KINDS, unitOf, VERDICTS } from '../../test/words';
import { FindingList } from '../../ui/FindingList';
import { Frame } from '../../ui/Frame';
import { freeId } from '../../ui/freeId';
import { useKeys } from '../../ui/keys';
import { Old } from '../../ui/Old';
import { SaveState } from '../../ui/SaveState';
import { SeverityMark, severityColour } from '../../ui/severity';
import { useUnits } from '../../ui/units';
import { useDraft } from '../../ui/useDraft';
import { Cards } from './Cards';
import { FanForm } from './FanForm';
import { HeadFields, KindForm } from './KindForm';
import { FORMS } from './kinds';

const SHEET = '9 Tests';

const KINDS = Object.keys(TEST_KINDS) as TestKind[];

/** What there is a simulated instrument for, and what it reads. */
const GAUGES: Partial<Record<TestKind, 'pins' | 'film'>> = { moisture: 'pins', film: 'film' };

/** Tests in the field: readings as they are written down, what they come to, and whether they are a test at all. */
export default function Tests() {
  const project = useProjectId();
  const documents = useDocuments().data;
  const [chosen, setChosen] = useState<string | null>(null);
  const [kind, setKind] = useState<TestKind>('fan');
  const tests = documents?.tests ?? [];
  const mayEdit = documents?.may_edit ?? false;
  const begin = useMutation({
    mutationFn: async (simulated: boolean) => {
      const read = simulated ? await simulatedRun(project, kind) : {};
      return createDocument(
        project,
        tests.map((t) => t.key),
        (ids) => freeId(ids, kind === 'fan' ? 'f' : 't'),
        (id) =>
          Promise.resolve({
            kind: 'test',
            content: {
              id,
              kind,
              title: `${simulated ? 'Simulated' : 'Test'}: ${TEST_KINDS[kind]}`,
              date: new Date().toISOString().slice(0, 10),
              ...(kind === 'fan'
                ? { convention: 'iso-9972', indoor_c: 20, outdoor_c: 10, points: [] }
                : FORMS[kind].begun),
              ...read,
            },
          }),
      );
    },
    onSuccess: setChosen,
  });
  const doc = tests.find((t) => t.key === chosen) ?? tests[0];
  const canSimulate = kind === 'fan' || GAUGES[kind] !== undefined;
  const buttons = mayEdit && (
    <p className="flex flex-wrap items-baseline gap-2 py-2">
      <label className="text-[12px]">
        a test of{' '}
        <select value={kind} onChange={(e) => setKind(e.target.value as TestKind)} data-kind={kind}>
          {KINDS.map((k) => (
            <option key={k} value={k}>
              {TEST_KINDS[k]}
            </option>
          ))}
        </select>
      </label>
      <button className="act" disabled={begin.isPending} onClick={() => begin.mutate(false)}>
        new {kind === 'fan' ? 'fan ' : ''}test <kbd>n</kbd>
      </button>
      {canSimulate && (
        <button className="act" disabled={begin.isPending} onClick={() => begin.mutate(true)}>
          run the simulated {kind === 'fan' ? 'fan' : 'gauge'}
        </button>
      )}
      {begin.isError && (
        <span role="alert" className="text-fail">
          {wordsOf(begin.error)}
        </span>
      )}
    </p>
  );
  useKeys({
    n: {
      says: 'a new test',
      act: () => {
        if (mayEdit && !begin.isPending) begin.mutate(false);
      },
    },
    m: {
      says: 'of the next kind',
      act: () => setKind(KINDS[(KINDS.indexOf(kind) + 1) % KINDS.length] ?? 'fan'),
    },
  });
  const list = tests.length > 0 && (
    <p className="flex flex-wrap gap-2 pb-2 text-[12px]">
      {tests.map((t) => (
        <button
          key={t.key}
          className={`act ${t === doc ? 'bg-ink text-white' : ''}`}
          aria-pressed={t === doc}
          onClick={() => setChosen(t.key)}
        >
          {t.content.title ?? t.key}
          {t.content.simulated ? ' · simulated' : ''}
        </button>
      ))}
    </p>
  );
  const head = (
    <>
      <h1 className="pb-1 text-[17px] font-bold">What tests say</h1>
      {list}
      {buttons}
    </>
  );
  if (!documents || !doc) {
    return (
      <Frame sheet={SHEET} reckoning={null}>
        <div className="px-6 py-3 max-sm:px-4">
          {head}
          {documents && <Cards kind={kind} open />}
        </div>
      </Frame>
    );
  }
  return <Test key={doc.key} {...{ doc, mayEdit, head }} />;
}

async function simulatedRun(project: string, kind: TestKind): Promise<Record<string, unknown>> {
  if (kind === 'fan') return get(address('/api/projects/{project}/tests/run', { project }));
  const gauge = GAUGES[kind] ?? 'pins';
  const read = await get(
    address('/api/projects/{project}/tests/read', { project }, { gauge, count: gauge === 'film' ? '15' : '12' }),
  );
  const { readings, instrument, simulated } = read;
  const spots = Array.from({ length: readings.length / 3 }, (_, i) => readings.slice(3 * i, 3 * i + 3));
  return { ...(gauge === 'film' ? { spots } : { readings }), instrument, simulated };
}

function Test({ doc, mayEdit, head }: { doc: Doc<FieldTest>; mayEdit: boolean; head: React.ReactNode }) {
  const project = useProjectId();
  const { units } = useUnits();
  const draft = useDraft(doc, mayEdit);
  const test = draft.content;
  const others = (useDocuments().data?.tests ?? []).map((t) => t.content).filter((t) => t.id !== test.id);
  const live = useLive({
    path: address('/api/projects/{project}/assess', { project }),
    body: { kind: 'test', content: test, units },
  });
  const derived = live.answer?.tests?.find((t) => t.id === test.id);
  const verdict = derived && VERDICTS[derived.verdict];
  useKeys({ undo: { shown: 'Ctrl+Z, Ctrl+Shift+Z', says: 'undo, redo', act: draft.undo }, redo: draft.redo });
  const row = (words: string, value: string) => (
    <p key={words} className="flex justify-between gap-2 border-b border-hair py-[2px]">
      <span>{words}</span>
      <span className="text-right">{value}</span>
    </p>
  );
  return (
    <Frame
      sheet={SHEET}
      reckoning={
        <>
          <Old old={live.old} why={live.why} />
          {derived && verdict && (
            <section data-verdict={derived.verdict}>
              <p className={`flex gap-2 font-bold ${severityColour(verdict.severity)}`}>
                <SeverityMark severity={verdict.severity} /> {verdict.words}
              </p>
              {derived.simulated && <p className="font-bold">Simulated: it tells nothing of the building.</p>}
              {linesOf(test, derived).map(([words, value]) => row(words, value))}
            </section>
          )}
          <FindingList findings={(live.answer?.findings ?? []).filter((f) => f.subject === `tests/${test.id}`)} />
          <SaveState {...draft} mayEdit={mayEdit} />
        </>
      }
    >
      <div className="px-6 py-3 max-sm:px-4">
        {head}
        <Plot {...{ test, derived }} />
        {test.stage && <p className="text-[12px] text-faint">{STAGES[test.stage]}</p>}
        {mayEdit && (
          <>
            <HeadFields test={test} change={draft.change} />
            {test.kind === 'fan' ? (
              <FanForm test={test} others={others.filter((t) => t.kind === 'fan')} change={draft.change} />
            ) : (
              <KindForm test={test} change={draft.change} />
            )}
          </>
        )}
        <Cards key={test.kind} kind={test.kind} open={derived?.verdict === 'not valid'} />
      </div>
    </Frame>
  );
}

/** What was read, drawn: the line of a fan, readings against what is asked of them. */
function Plot({ test, derived }: { test: FieldTest; derived: DerivedTest | undefined }) {
  if (test.kind === 'fan') return <FanPlot test={test} derived={derived?.kind === 'fan' ? derived : undefined} />;
  if (test.kind === 'water') return <WaterOn test={test} />;
  const values = derived && 'values' in derived ? derived.values : [];
  return <Dots values={values} unit={unitOf(test)} {...askedOf(test)} />;
}

/** Where it is of an opening or a joint of the project. */
function WaterOn({ test }: { test: WaterTest }) {
  const { units } = useUnits();
  const documents = useDocuments().data;
  const isKnown = [...(documents?.details ?? []), ...(documents?.openings ?? [])].some((d) => d.key === test.place);
  const sheet = useSequence(isKnown ? test.place : undefined).data;
  return sheet ? <WetPlaces test={test} sheet={sheet} units={units} /> : null;
}
