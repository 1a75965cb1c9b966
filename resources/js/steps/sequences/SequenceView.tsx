import { useMemo, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { post, wordsOf } from '../../api/client';
import { address } from '../../api/paths';
import { useDocuments, useMaterials, useMethods, useProjectId } from '../../api/hooks';
import { newestOnly, useLive, type Question } from '../../api/live';
import type { Detail, Doc, Patch, ScheduledOpening, SequenceSheet } from '../../api/types';
import { InsertPiece } from './InsertPiece';
import { MethodFields } from './MethodFields';
import { nudged, withPiece } from './PieceEditor';
import { save, standAlone } from '../../drawing/standAlone';
import type { Box } from '../../drawing/unfold';
import { Dimensions } from '../../drawing/unfolded/Dimensions';
import { dragged } from '../../drawing/unfolded/Handles';
import { Numbers } from '../../drawing/unfolded/Numbers';
import { TouchMarks } from '../../drawing/unfolded/TouchMarks';
import { Unfolded } from '../../drawing/unfolded/Unfolded';
import { Water } from '../../drawing/unfolded/Water';
import { Frame } from '../../ui/Frame';
import { useKeys } from '../../ui/keys';
import { RemoveDocument } from '../../ui/RemoveDocument';
import { useDraft } from '../../ui/useDraft';
import { useUnits } from '../../ui/units';

import { kindOf, scheduled, type Sequence } from './sequence';
import { StepPanel } from './StepPanel';

/** Where a sheet is made: of sizes by a method, or of pieces drawn by hand. */
type SheetPath = '/api/projects/{project}/generate' | '/api/projects/{project}/sheet';

/** One sequence: drawn, walked through, rained on and changed. */
export function SequenceView({ doc, list, mayEdit }: { doc: Doc<Sequence>; list: React.ReactNode; mayEdit: boolean }) {
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
  const documents = useDocuments();
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
  /** The wall as it stands is what the opening is looked at with: a later change of it can then be said. */
  const between = (wall: string | undefined) =>
    wall === undefined ? (draft.content.between ?? []) : [wall, ...(draft.content.between ?? []).slice(1)];
  const make = (generator: string, parameters: Record<string, number | string>, run?: string, wall?: string) => {
    const walls = between(wall).filter((id) => id !== '');
    const row: ScheduledOpening = {
      id: doc.key,
      title: draft.content.title,
      generator,
      parameters,
      ...(walls.length > 0 ? { between: walls } : {}),
    };
    return offer(row, run, (answer) => ({ ...row, ...(answer.wall ? { seen: answer.wall.seen } : {}) }));
  };
  const walls = (documents.data?.assemblies ?? []).map((d) => d.content);
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
          <StepPanel
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
              sheet={sheet}
              own={row?.parameters}
              {...{ methods, materials, walls, mayEdit }}
              make={(generator, parameters, run, wall) => void make(generator, parameters, run, wall)}
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
              hand={{
                selected: piece,
                onSelect: (id) => {
                  setPiece(id);
                  setStrip(null);
                },
                onDrag: mayEdit ? dragPatch : undefined,
              }}
            >
              {raining && (
                <Water
                  strips={strips}
                  chosen={chosen}
                  onChoose={(r) => {
                    setStrip(strips.indexOf(r));
                    setPiece(null);
                  }}
                  running
                />
              )}
              <Numbers />
              <Dimensions />
              {!raining && <TouchMarks to={(pair) => `/p/${project}/contacts?pair=${encodeURIComponent(pair)}`} />}
            </Unfolded>
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
                {s.number} <span className={s.number === at ? '' : 'max-sm:hidden'}>{s.short}</span>
                {sheet.rain.find((state) => state.step === s.number)?.safe && (
                  <span
                    className={`block font-normal text-pass ${s.number === at ? '' : 'max-sm:hidden'}`}
                    data-stop={s.number}
                  >
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
