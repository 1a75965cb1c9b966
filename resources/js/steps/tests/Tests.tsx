import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { get, wordsOf } from '../../api/client';
import { createDocument } from '../../api/documents';
import { useDocuments, useProjectId } from '../../api/hooks';
import { useLive } from '../../api/live';
import { address } from '../../api/paths';
import type { Doc, FieldTest } from '../../api/types';
import { FanPlot } from '../../drawing/test/FanPlot';
import { STAGES, VERDICTS, worth } from '../../test/words';
import { FindingList } from '../../ui/FindingList';
import { Frame } from '../../ui/Frame';
import { freeId } from '../../ui/freeId';
import { useKeys } from '../../ui/keys';
import { Old } from '../../ui/Old';
import { SaveState } from '../../ui/SaveState';
import { SeverityMark, severityColour } from '../../ui/severity';
import { useUnits } from '../../ui/units';
import { useDraft } from '../../ui/useDraft';
import { TestForm } from './TestForm';

const SHEET = '9 Tests';

/** Fan tests: readings as they are written down, what they come to, and whether they are a test at all. */
export default function Tests() {
  const project = useProjectId();
  const documents = useDocuments().data;
  const [chosen, setChosen] = useState<string | null>(null);
  const tests = documents?.tests ?? [];
  const mayEdit = documents?.may_edit ?? false;
  const begin = useMutation({
    mutationFn: async (simulated: boolean) => {
      const run = simulated ? await get(address('/api/projects/{project}/tests/run', { project })) : { points: [] };
      return createDocument(
        project,
        tests.map((t) => t.key),
        (ids) => freeId(ids, 'f'),
        (id) =>
          Promise.resolve({
            kind: 'test',
            content: {
              id,
              kind: 'fan',
              title: simulated ? 'Simulated run' : 'Fan test',
              date: new Date().toISOString().slice(0, 10),
              convention: 'iso-9972',
              indoor_c: 20,
              outdoor_c: 10,
              ...run,
            },
          }),
      );
    },
    onSuccess: setChosen,
  });
  const doc = tests.find((t) => t.key === chosen) ?? tests[0];
  const buttons = mayEdit && (
    <p className="flex flex-wrap gap-2 py-2">
      <button className="act" disabled={begin.isPending} onClick={() => begin.mutate(false)}>
        new fan test <kbd>n</kbd>
      </button>
      <button className="act" disabled={begin.isPending} onClick={() => begin.mutate(true)}>
        run the simulated fan
      </button>
      {begin.isError && (
        <span role="alert" className="text-fail">
          {wordsOf(begin.error)}
        </span>
      )}
    </p>
  );
  useKeys({
    n: {
      says: 'a new fan test',
      act: () => {
        if (mayEdit && !begin.isPending) begin.mutate(false);
      },
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
      <h1 className="pb-1 text-[17px] font-bold">What the fan says</h1>
      {list}
      {buttons}
    </>
  );
  if (!documents || !doc) {
    return (
      <Frame sheet={SHEET} reckoning={null}>
        <div className="px-6 py-3 max-sm:px-4">
          {head}
          {documents && <Procedure />}
        </div>
      </Frame>
    );
  }
  return <Test key={doc.key} {...{ doc, mayEdit, head }} />;
}

function Test({ doc, mayEdit, head }: { doc: Doc<FieldTest>; mayEdit: boolean; head: React.ReactNode }) {
  const project = useProjectId();
  const { units } = useUnits();
  const draft = useDraft(doc, mayEdit);
  const test = draft.content;
  const live = useLive({
    path: address('/api/projects/{project}/assess', { project }),
    body: { kind: 'test', content: test, units },
  });
  const derived = live.answer?.tests?.find((t) => t.id === test.id);
  const verdict = derived && VERDICTS[derived.verdict];
  useKeys({ undo: { shown: 'Ctrl+Z, Ctrl+Shift+Z', says: 'undo, redo', act: draft.undo }, redo: draft.redo });
  const row = (words: string, value: string) => (
    <p className="flex justify-between gap-2 border-b border-hair py-[2px]">
      <span>{words}</span>
      <span className="whitespace-nowrap">{value}</span>
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
              {row('exponent n', worth(derived.n, 3, ''))}
              {row('r²', worth(derived.r2, 4, ''))}
              {row('at 50 Pa', worth(derived.q50_m3_h, 0, 'm³/h'))}
              {derived.q50_95_m3_h &&
                row('in 95 of 100', derived.q50_95_m3_h.map((q) => q.toFixed(0)).join(' to ') + ' m³/h')}
              {row('air changes at 50 Pa', worth(derived.n50_1_h, 2, '1/h'))}
              {row('by area at 50 Pa', worth(derived.q50_m3_h_m2, 2, 'm³/(h·m²)'))}
              {row('by area at 75 Pa', worth(derived.q75_l_s_m2, 2, 'L/(s·m²)'))}
              {row(
                'leakage area at 4 Pa',
                worth(derived.leakage_area_4pa_m2 === null ? null : derived.leakage_area_4pa_m2 * 1e4, 0, 'cm²'),
              )}
            </section>
          )}
          <FindingList findings={(live.answer?.findings ?? []).filter((f) => f.subject === `tests/${test.id}`)} />
          <SaveState {...draft} mayEdit={mayEdit} />
        </>
      }
    >
      <div className="px-6 py-3 max-sm:px-4">
        {head}
        <FanPlot {...{ test, derived }} />
        {test.stage && <p className="text-[12px] text-faint">{STAGES[test.stage]}</p>}
        {mayEdit && <TestForm {...{ test }} change={draft.change} />}
        <Procedure />
      </div>
    </Frame>
  );
}

/** How it is done, in short; the standard itself rules. */
function Procedure() {
  return (
    <details className="pt-3 text-[12px]">
      <summary className="cursor-pointer">how it is done</summary>
      <ol className="list-decimal pl-5">
        <li>Before the insulation covers the air layer, while leaks can still be reached; and again at the end.</li>
        <li>Inner doors open, outer ones shut; fires out, traps filled; close or seal what the standard says.</li>
        <li>Fan covered: read the pressure with no flow for half a minute, with its sign. More than 5 Pa: wait.</li>
        <li>At least five pressures from 10 to 60 Pa, in and out as two tests; both sides’ temperatures.</li>
        <li>With smoke or infrared at 20 Pa: every leak by its joint, sealed, and the test again.</li>
        <li>Fan covered: the pressure with no flow once more.</li>
      </ol>
      <p className="pt-1 text-faint">
        After ISO 9972 and ASTM E779, from memory; the standard, its edition and who is accredited decide. Nothing here
        is a certificate.
      </p>
    </details>
  );
}
