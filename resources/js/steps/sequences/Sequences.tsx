import { useMutation } from '@tanstack/react-query';
import { useMemo, useRef, useState, type FormEvent } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { post, wordsOf } from '../../api/client';
import { address } from '../../api/paths';
import { createDocument } from '../../api/documents';
import { useDocuments, useMaterials, useMethods, useProjectId } from '../../api/hooks';
import { newestOnly, useLive, type Question } from '../../api/live';
import type { Detail, Doc, Method, Patch, RainStrip, ScheduledOpening, SequenceSheet } from '../../api/types';
import { InsertPiece } from './InsertPiece';
import { firstSizes, MethodFields, MethodOptions } from './MethodFields';
import { nudged, PieceEditor, withPiece } from './PieceEditor';
import { save, standAlone } from '../../drawing/standAlone';
import { Oblique } from '../../drawing/Oblique';
import { coverWords } from '../../drawing/StepCard';
import type { Box } from '../../drawing/unfold';
import { dragged, Unfolded } from '../../drawing/Unfolded';
import { show } from '../../quantity/show';
import { freeId } from '../../ui/freeId';
import { BrokenDocument } from '../../ui/BrokenDocument';
import { Chooser } from '../../ui/Chooser';
import { Frame } from '../../ui/Frame';
import { useKeys } from '../../ui/keys';
import { RemoveDocument } from '../../ui/RemoveDocument';
import { SeverityMark, severityColour } from '../../ui/severity';
import { SaveState } from '../../ui/SaveState';
import { useDraft, type DraftOf } from '../../ui/useDraft';
import { useUnits } from '../../ui/units';
import { told } from '../../drawing/reasons';

/** Where a sheet is made: of sizes by a method, or of pieces drawn by hand. */
type SheetPath = '/api/projects/{project}/generate' | '/api/projects/{project}/sheet';

/** An opening of the schedule, made from its sizes; or a detail that stands piece by piece. */
type Sequence = ScheduledOpening | Detail;
const scheduled = (content: Sequence): content is ScheduledOpening => 'generator' in content;
const kindOf = (content: Sequence) => (scheduled(content) ? 'opening' : 'detail');

export default function Sequences() {
  const documents = useDocuments();
  const { key } = useParams();
  const project = useProjectId();
  const navigate = useNavigate();
  const [wanted, setWanted] = useState('');
  const methods = useMethods().data ?? [];
  const all: Doc<Sequence>[] | undefined =
    documents.data && [...documents.data.details, ...documents.data.openings].sort(byKey);
  const doc =
    all?.find((d) => d.key === key) ??
    (key === undefined ? (all?.find((d) => scheduled(d.content) || d.content.opening) ?? all?.[0]) : undefined);
  const mayEdit = documents.data?.may_edit ?? false;
  const place = (id: string) => `/p/${project}/sequences/${encodeURIComponent(id)}`;

  const begin = useMutation({
    mutationFn: (method: Method) => {
      const taken = all?.map((d) => d.key) ?? [];
      return createDocument(
        project,
        taken,
        (ids) => freeId(ids, 'o', ids.length + 1),
        async (id) => {
          const title = `${method.opening ? 'Opening' : 'Detail'} ${id.slice(1)}, ${method.title}`;
          const row: ScheduledOpening = { id, title, generator: method.name, parameters: firstSizes(method) };
          const content = method.opening
            ? row
            : (await post(address('/api/projects/{project}/generate', { project }), row)).detail;
          return { kind: kindOf(content), content };
        },
      );
    },
    onSuccess: (id) => void navigate(place(id)),
  });
  const make = (event: FormEvent) => {
    event.preventDefault();
    const method = methods.find((m) => m.name === wanted);
    if (method && !begin.isPending) begin.mutate(method);
    setWanted('');
  };
  const methodOf = (content: Sequence) =>
    methods.find((m) => m.name === (scheduled(content) ? content.generator : content.generated?.generator))?.title;
  const list = (
    <div className="flex flex-wrap items-baseline gap-x-4 text-[12px]">
      <Chooser
        choices={
          all?.map((d) => ({ key: d.key, name: d.content.title, kind: methodOf(d.content) ?? 'drawn by hand' })) ?? []
        }
        current={doc?.key}
        section="details"
        what="sequences"
        to={place}
      />
      {/* Chosen first and made then: the arrow keys walk through the methods. */}
      {mayEdit && (
        <form className="flex gap-1" onSubmit={make}>
          <select
            aria-label="New detail"
            className="max-w-[16rem]"
            value={wanted}
            onChange={(e) => setWanted(e.target.value)}
          >
            <option value="" disabled>
              new …
            </option>
            <MethodOptions methods={methods} />
          </select>
          {wanted !== '' && (
            <button className="act" disabled={begin.isPending}>
              make it
            </button>
          )}
        </form>
      )}
      {begin.isError && (
        <p role="alert" className="w-full text-fail">
          {wordsOf(begin.error)}
        </p>
      )}
    </div>
  );
  if (!doc) {
    return (
      <Frame sheet="5 Sequences" reckoning={null}>
        <div className="px-14 py-6 max-sm:px-4">
          {list}
          <h1 className="my-3 text-lg font-bold">Sequences</h1>
          {documents.isError && (
            <p role="alert" className="text-fail">
              {wordsOf(documents.error)}
            </p>
          )}
          {documents.data && (
            <p className="max-w-[40rem] text-[15px]">
              {key ? `There is no sequence “${key}” in this project.` : NO_DETAIL}
            </p>
          )}
        </div>
      </Frame>
    );
  }
  if (doc.broken)
    return (
      <Frame sheet={`5 Sequence ${doc.key}`} reckoning={null}>
        <BrokenDocument {...{ doc, mayEdit }}>{list}</BrokenDocument>
      </Frame>
    );
  return <SequenceView key={doc.key} doc={doc} list={list} mayEdit={mayEdit} />;
}

const NO_DETAIL =
  'No detail yet. “new …” makes one by the method you choose, with its pieces, cut sizes and order; then type your own sizes.';
const byKey = (a: Doc<Sequence>, b: Doc<Sequence>) => a.key.localeCompare(b.key, 'en', { numeric: true });

function SequenceView({ doc, list, mayEdit }: { doc: Doc<Sequence>; list: React.ReactNode; mayEdit: boolean }) {
  const draft = useDraft(doc, mayEdit, kindOf);
  const project = useProjectId();
  const { units } = useUnits();
  const navigate = useNavigate();
  const question = (of: Sequence): Question<SheetPath> =>
    scheduled(of)
      ? { path: address('/api/projects/{project}/generate', { project }), body: { ...of, units } }
      : { path: address('/api/projects/{project}/sheet', { project }), body: { content: of, units } };
  const live = useLive<SheetPath>(question(draft.content));
  const [step, setStep] = useState<number>();
  const [piece, setPiece] = useState<string | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const [raining, setRaining] = useState(false);
  const [strip, setStrip] = useState<number | null>(null);
  const row = scheduled(draft.content) ? draft.content : null;
  // A sheet of before is drawn as it was; only on that of now can a piece be taken hold of.
  const content = draft.content;
  const sheet = useMemo(
    () => (live.answer && !live.old && !scheduled(content) ? { ...live.answer, detail: content } : live.answer),
    [live.answer, live.old, content],
  );
  const detail = live.old ? undefined : sheet?.detail;
  const last = sheet?.steps.at(-1)?.number ?? 1;
  const at = Math.min(step ?? last, last);
  const go = (to: number) => {
    setStep(Math.max(1, Math.min(last, to)));
    setPiece(null);
    setStrip(null);
  };
  const rain = sheet?.rain.find((state) => state.step === at);
  // The same water let go lower down is not drawn again unless it fares worse.
  const strips = rain?.strips.filter((s) => s.source !== 'face' || s.severity === 'fail') ?? [];
  const chosen = strip === null ? null : (strips[strip] ?? null);
  const walk = (by: number) => {
    setRaining(true);
    setPiece(null);
    setStrip((i) => (i === null ? 0 : (i + by + strips.length) % Math.max(1, strips.length)));
  };
  const paper = useRef<HTMLDivElement>(null);
  const saveDrawing = () => {
    const drawing = paper.current?.querySelector<SVGSVGElement>('svg[data-drawing]');
    if (drawing) save(`${doc.key}-step-${at}.svg`, standAlone(drawing, `${draft.content.title}, after step ${at}`));
  };
  useKeys({
    d: { says: 'the drawing after this step as an SVG file, 1:10', act: saveDrawing },
    ArrowRight: { shown: '← →', says: 'a step back, a step on', act: () => go(at + 1) },
    ArrowLeft: () => go(at - 1),
    Home: { shown: 'Home End', says: 'the first step, the last', act: () => go(1) },
    End: () => go(last),
    r: {
      says: 'run the rain on it as it stands after this step; again to stop',
      act: () => {
        setRaining((on) => !on);
        setStrip(null);
      },
    },
    ']': { shown: '[ ]', says: 'the strip of rain before, the next', act: () => walk(1) },
    '[': () => walk(-1),
    undo: { shown: 'Ctrl+Z, Ctrl+Shift+Z', says: 'undo, redo', act: draft.undo },
    redo: draft.redo,
  });
  const methods = useMethods().data ?? [];
  const materials = useMaterials().data ?? [];
  const [inserting, setInserting] = useState(false);
  /** What was proposed last and is not yet answered: a further change goes on from it. */
  const proposed = useRef<Sequence | null>(null);
  const [propose] = useState(() => newestOnly<() => Promise<void>>((ask) => ask()));
  /** A change is drawn by the server first, and taken over if it can be built. */
  const offer = (given: Sequence, run: string | undefined, made: (sheet: SequenceSheet) => Sequence = () => given) => {
    proposed.current = given;
    return propose(async () => {
      try {
        const { path, body } = question(given);
        const answer = await post(path, body);
        const next = made(answer);
        live.prime(question(next), answer);
        if (proposed.current !== given) return;
        setWhy(null);
        draft.change(next, run);
      } catch (error) {
        if (proposed.current === given) setWhy(wordsOf(error));
      } finally {
        if (proposed.current === given) proposed.current = null;
      }
    });
  };
  const make = (generator: string, parameters: Record<string, number | string>, run?: string) => {
    const row: ScheduledOpening = { id: doc.key, title: draft.content.title, generator, parameters };
    return offer(row, run, (answer) => (methods.find((m) => m.name === generator)?.opening ? row : answer.detail));
  };
  const edit = (next: Detail, run?: string) => offer(next, run);
  const nudge = (du: number, dv: number) => {
    const of = proposed.current && !scheduled(proposed.current) ? proposed.current : detail;
    const chosenPiece = of?.pieces.find((p) => p.id === piece);
    if (mayEdit && of && chosenPiece) void edit(withPiece(of, nudged(chosenPiece, du, dv)), `nudge ${chosenPiece.id}`);
  };
  /** Step `at` changes places with its neighbour, unless a reason ties them. */
  const moveStep = (by: 1 | -1) => {
    const [first, second] = by === 1 ? [at, at + 1] : [at - 1, at];
    if (!mayEdit || !sheet || !detail || first < 1 || second > last) return;
    const tie = sheet.reasons.find((r) => r.before === first && r.after === second);
    if (tie) {
      setWhy(`Step ${second} stays after step ${first}: ${tie.why}.`);
      return;
    }
    const swap = (n: number) => (n === first ? second : n === second ? first : n);
    const content: Detail = {
      ...detail,
      pieces: detail.pieces.map((p) => ({
        ...p,
        step: swap(p.step),
        patches: p.patches.map((q) => (q.step === undefined ? q : { ...q, step: swap(q.step) })),
      })),
      ...(detail.steps
        ? { steps: detail.steps.map((s) => ({ ...s, number: swap(s.number) })).sort((a, b) => a.number - b.number) }
        : {}),
    };
    delete content.generated;
    void edit(content, 'order');
    setStep(swap(at));
  };
  const walkPieces = (by: number) => {
    const ids = (detail?.pieces ?? []).filter((p) => p.step <= at).map((p) => p.id);
    setStrip(null);
    setPiece((id) => ids[(ids.indexOf(id ?? '') + by + ids.length) % Math.max(1, ids.length)] ?? null);
  };
  useKeys({
    n: {
      says: 'a piece of one’s own, inserted on the drawing',
      act: () => {
        if (mayEdit) setInserting(!inserting);
      },
    },
    c: { says: 'step cards for the crew, to print', act: () => navigate(`/p/${project}/sequences/${doc.key}/cards`) },
    j: {
      says: 'the joint: pieces round the unit, and its depth',
      act: () => navigate(`/p/${project}/sequences/${doc.key}/joint`),
    },
    t: {
      says: 'try it: put the steps in order, run the rain',
      act: () => navigate(`/p/${project}/sequences/${doc.key}/try`),
    },
    p: { shown: 'p P', says: 'the next piece, the one before', act: () => walkPieces(1) },
    P: () => walkPieces(-1),
    'Alt+ArrowLeft': {
      shown: 'Alt+arrows',
      says: 'nudge the chosen piece by 5 mm; with none chosen, Alt+← → moves the step',
      act: () => {
        if (piece) nudge(-5, 0);
        else moveStep(-1);
      },
    },
    'Alt+ArrowRight': () => {
      if (piece) nudge(5, 0);
      else moveStep(1);
    },
    'Alt+ArrowUp': () => nudge(0, 5),
    'Alt+ArrowDown': () => nudge(0, -5),
  });
  const dragPatch = (patch: Patch, side: number | null, by: [number, number]) => {
    const of = detail?.pieces.find((p) => p.patches.includes(patch));
    if (!detail || !of) return;
    // Pulled as a whole, all of the piece on that facet goes along; by an edge, only that patch.
    const patches = of.patches.map((q) =>
      q === patch || (side === null && q.facet === patch.facet)
        ? { ...q, rect: dragged(q.rect as Box, side, by) as Patch['rect'] }
        : q,
    );
    void edit(withPiece(detail, { ...of, patches }));
  };
  return (
    <Frame
      sheet={`5 Sequence ${doc.key}`}

      reckoning={
        sheet && (
          <StepCard
            {...{ sheet, step: at, piece, draft, mayEdit, chosen }}
            edit={(content, run) => void edit(content, run)}
          />
        )
      }
    >
      <div className="flex h-full min-h-[600px] flex-col px-6 py-3">
        {list}
        <label className="sr-only" htmlFor="detail-title">
          Title
        </label>
        <input
          id="detail-title"
          className="mt-1 w-full border-transparent bg-transparent text-[17px] font-bold"
          value={draft.content.title}
          disabled={!mayEdit}
          maxLength={200}
          onChange={(e) => {
            if (e.target.value.trim() !== '') draft.change({ ...draft.content, title: e.target.value }, 'title');
          }}
        />
        <div className="flex flex-wrap items-start gap-x-4 pt-1">
          <button
            className="act"
            aria-pressed={raining}
            onClick={() => {
              setRaining(!raining);
              setStrip(null);
            }}
          >
            {raining ? 'stop the rain' : 'run the rain'} <span className="key">r</span>
          </button>
          <button className="act" onClick={saveDrawing}>
            SVG <span className="key">d</span>
          </button>
          {mayEdit && (
            <button className="act" aria-pressed={inserting} onClick={() => setInserting(!inserting)}>
              insert <span className="key">n</span>
            </button>
          )}
          <Link className="act" to={`/p/${project}/sequences/${doc.key}/cards`}>
            step cards <span className="key">c</span>
          </Link>
          <Link className="act" to={`/p/${project}/sequences/${doc.key}/joint`}>
            the joint <span className="key">j</span>
          </Link>
          <Link className="act" to={`/p/${project}/sequences/${doc.key}/try`}>
            try it <span className="key">t</span>
          </Link>
          {mayEdit && (
            <span className="ml-auto">
              <RemoveDocument
                kind={kindOf(doc.content)}
                id={doc.key}
                revision={doc.revision}
                name={draft.content.title}
                lost="Its checks go with it; what was read on site stays in the record."
                after={`/p/${project}/sequences`}
              />
            </span>
          )}
        </div>
        <div className="flex flex-wrap items-baseline gap-x-4 pt-1">
          {sheet && (
            <MethodFields
              detail={sheet.detail}
              own={row?.parameters}
              {...{ methods, materials, mayEdit }}
              make={(generator, parameters, run) => void make(generator, parameters, run)}
              onMethod={() => setStep(undefined)}
            />
          )}
        </div>
        {inserting && detail && (
          <InsertPiece
            detail={detail}
            materials={materials}
            apply={(next, id) => {
              setStep(undefined);
              void edit(next).then(() => setPiece(id));
            }}
            onDone={() => setInserting(false)}
          />
        )}
        {why && (
          <p role="alert" className="whitespace-pre-line text-fail">
            {why}
          </p>
        )}
        {live.why !== null && (
          <p role="alert" className="whitespace-pre-line text-fail">
            {live.why} The drawing is that of before.
          </p>
        )}
        <div ref={paper} data-old={live.old} className="min-h-0 grow py-1">
          {sheet && (
            <Unfolded
              sheet={sheet}
              step={at}
              units={units}
              selected={piece}
              onSelect={(id) => {
                setPiece(id);
                setStrip(null);
              }}
              onDrag={mayEdit ? dragPatch : undefined}
              {...(raining
                ? {
                    rain: strips,
                    strip: chosen,
                    onStrip: (r) => {
                      setStrip(strips.indexOf(r));
                      setPiece(null);
                    },
                    running: true,
                  }
                : {})}
            />
          )}
        </div>
        <ol className="flex gap-[6px] pb-1" aria-label="Steps of the work">
          {sheet?.steps.map((s) => (
            <li key={s.number} className="min-w-0 flex-1">
              <button
                aria-current={s.number === at ? 'step' : undefined}
                data-step={s.number}
                className={`block w-full pt-1 text-[11px] leading-tight ${s.number === at ? 'border-t-[5px] border-ink font-bold' : s.number < at ? 'border-t-2 border-ink' : 'border-t-2 border-hair text-faint'}`}
                onClick={() => go(s.number)}
              >
                {s.number} {s.short}
                {sheet.rain.find((state) => state.step === s.number)?.safe && (
                  <span className="block font-normal text-pass" data-stop={s.number}>
                    may stop here
                  </span>
                )}
              </button>
            </li>
          ))}
        </ol>
      </div>
    </Frame>
  );
}

const RELEASED: Record<string, string> = {
  top: 'at the top of the face',
  face: 'behind the cladding',
  unit: 'at the unit',
  penetration: 'at the pipe',
  fastener: 'at the fastener',
};

function StepCard({
  sheet,
  step,
  piece,
  draft,
  mayEdit,
  chosen: strip,
  edit,
}: {
  edit: (detail: Detail, run?: string) => void;
  sheet: SequenceSheet;
  step: number;
  piece: string | null;
  draft: DraftOf<Sequence>;
  mayEdit: boolean;
  chosen: RainStrip | null;
}) {
  const { units } = useUnits();
  const other = units === 'si' ? 'us' : 'si';
  const now = sheet.steps.find((s) => s.number === step);
  const chosen = piece ? sheet.detail.pieces.find((p) => p.id === piece) : undefined;
  const cuts = chosen
    ? sheet.cut_list.filter((row) => row.pieces.includes(chosen.id))
    : sheet.cut_list.filter((row) => row.step === step);
  const checks = sheet.checks.filter((c) => c.step === step);
  const rain = sheet.rain.find((state) => state.step === step);
  const last = step === sheet.steps.at(-1)?.number;
  if (strip) {
    return (
      <section data-strip={strip.outcome}>
        <h2 className={`flex gap-2 pb-1 text-[15px] font-bold ${severityColour(strip.severity)}`}>
          <span className="pt-[4px]">
            <SeverityMark severity={strip.severity} />
          </span>
          {strip.outcome}
        </h2>
        <p className="text-faint">
          released {RELEASED[strip.source]}, {show(strip.u[0], 'length', units)} to {show(strip.u[1], 'length', units)}
          {(strip.lines ?? 0) > 0 ? ` · lines of defence: ${strip.lines}` : ''}
        </p>
        <ol className="list-decimal py-2 pl-5">
          {strip.path.map((words, i) => (
            <li key={i} className="py-[2px]">
              It {words}.
            </li>
          ))}
        </ol>
        <p className="border-t border-hair py-2 text-[11px] text-faint">
          Followed straight down. Wind, wicking and water that runs sideways are outside of it.
        </p>
      </section>
    );
  }
  return (
    <>
      <h2 className="pb-1 text-[15px] font-bold">
        {chosen ? sheet.names[chosen.id] : `${step} · ${now?.title ?? ''}`}
      </h2>
      {chosen && (
        <p className="text-faint">
          {sheet.materials[chosen.id]} · laid in step {chosen.step}
        </p>
      )}
      {cuts.map((row) => (
        <dl key={row.pieces.join()} className="border-t border-hair py-1">
          <div className="flex justify-between">
            <dt className="text-faint">{row.pieces.map((id) => sheet.names[id]).join(' and ')}</dt>
          </div>
          <div className="flex justify-between">
            <dt className="text-faint">cut {row.count > 1 ? `${row.count} of` : ''}</dt>
            <dd className="font-semibold" data-cut={row.pieces[0]}>
              {show(row.length_mm, 'length', units)} × {show(row.width_mm, 'length', units)}
            </dd>
          </div>
          <div className="text-right text-[11px] text-faint">
            {show(row.length_mm, 'length', other)} × {show(row.width_mm, 'length', other)}
          </div>
          <p className="text-[11px] text-faint">{sheet.materials[row.pieces[0] ?? '']}</p>
        </dl>
      ))}
      {!chosen && <Oblique sheet={sheet} step={step} />}
      {chosen && (
        <PieceEditor
          detail={sheet.detail}
          piece={chosen}
          usualEdges={sheet.usual_edges}
          mayEdit={mayEdit}
          apply={edit}
        />
      )}
      {!chosen && now && <p className="border-t border-hair py-2">{now.how}</p>}
      {!chosen && now?.caution && <p className="border-t border-hair py-2 text-caution">{now.caution}</p>}
      {!chosen && sheet.reasons.some((r) => r.after === step) && (
        <section className="border-t border-hair py-2" data-reasons={step}>
          <h3 className="font-semibold">Why not earlier</h3>
          <ul>
            {told(sheet.reasons.filter((r) => r.after === step)).map((line) => (
              <li key={line}>after {line}</li>
            ))}
          </ul>
        </section>
      )}
      {!chosen && checks.length > 0 && (
        <section className="border-t border-hair py-2">
          <h3 className="font-semibold">Checked on site</h3>
          <ul>
            {checks.map((c) => (
              <li key={c.id} className="flex justify-between gap-2">
                <span>{c.title}</span>
                <span className="whitespace-nowrap font-semibold">
                  {c.least_mm === null ? 'look' : `≥ ${show(c.least_mm, 'length', units)}`}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {!chosen && rain && (
        <p className="border-t border-hair py-2" data-tonight={rain.safe}>
          <span className="font-semibold">{rain.safe ? 'Work may stop here.' : 'Not to be left so overnight.'}</span>{' '}
          {rain.safe
            ? 'A shower tonight wets nothing and is trapped nowhere.'
            : `A shower tonight ${rain.worst === 'trapped' ? 'is trapped at' : 'wets'} ${rain.wets.join(', ')}; ${coverWords(rain, units)}.`}
        </p>
      )}
      {!chosen &&
        last &&
        sheet.findings.map((f) => (
          <article key={f.key} className="border-t border-hair py-2" data-finding={f.key.split('@')[0]}>
            <h3 className={`flex gap-2 font-semibold ${severityColour(f.severity)}`}>
              <span className="pt-[3px]">
                <SeverityMark severity={f.severity} />
              </span>
              {f.title}
            </h3>
            <p>{f.reason}</p>
            {f.remedy && <p className="mt-1">→ {f.remedy}</p>}
          </article>
        ))}
      <p className="border-t border-hair py-2 text-[11px] text-faint">
        Figures of common practice; a maker’s data sheet wins. The rain is followed straight down: wind, wicking and
        what runs sideways are outside of it.
      </p>
      <SaveState {...draft} mayEdit={mayEdit} />
    </>
  );
}
