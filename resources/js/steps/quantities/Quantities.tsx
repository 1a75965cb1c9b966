import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { wordsOf } from '../../api/client';
import { createDocument } from '../../api/documents';
import { useDocuments, useMaterials, useProjectId } from '../../api/hooks';
import { useLive } from '../../api/live';
import { address } from '../../api/paths';
import type { Doc, Layout, Takeoff } from '../../api/types';
import { Lying } from '../../drawing/takeoff/Lying';
import { show } from '../../quantity/show';
import { jointsOf, onMember, sameJoint, type LaidJoint } from '../../takeoff/joints';
import { FindingList } from '../../ui/FindingList';
import { Frame } from '../../ui/Frame';
import { useKeys } from '../../ui/keys';
import { Old } from '../../ui/Old';
import { OneSheet } from '../../ui/OneSheet';
import { SaveState } from '../../ui/SaveState';
import { useUnits } from '../../ui/units';
import { useDraft } from '../../ui/useDraft';
import { Cutting } from './Cutting';
import { Fixings } from './Fixings';
import { LayerForm } from './LayerForm';
import { OrderList, OrderNotes } from './OrderList';
import { PlaneForm, marksOf } from './PlaneForm';
import { without } from '../../ui/without';

const SHEET = '6 Quantities';

/** How sheets and boards lie on every wall, and all that is bought for the building. */
export default function Quantities() {
  return (
    <OneSheet
      sheet={SHEET}
      list="takeoff"
      first={(mayEdit) => <First mayEdit={mayEdit} />}
      shown={(doc, mayEdit, project) => <TakenOff key={project} doc={doc} mayEdit={mayEdit} />}
    />
  );
}

/** Nobody has asked yet: it is all derived, and one document keeps what is settled otherwise. */
function First({ mayEdit }: { mayEdit: boolean }) {
  const project = useProjectId();
  const hasBuilding = (useDocuments().data?.building.length ?? 0) > 0;
  const begin = useMutation({
    mutationFn: () =>
      createDocument(
        project,
        [],
        () => 'takeoff',
        () => Promise.resolve({ kind: 'takeoff', content: { layers: [] } }),
      ),
  });
  return (
    <Frame sheet={SHEET} reckoning={null}>
      <div className="px-6 py-3 max-sm:px-4">
        <h1 className="pb-1 text-[17px] font-bold">What to order, and how it lies</h1>
        <p className="max-w-[44rem] pb-3 text-[15px]">
          Every wall is laid out layer by layer in courses and boards, and all that is bought is counted from the parts,
          openings and details of the building.
        </p>
        {!hasBuilding && (
          <p>
            It begins with a building: <Link to={`/p/${project}/transitions`}>draw one by walking round it</Link>.
          </p>
        )}
        {hasBuilding && mayEdit && (
          <button className="act" disabled={begin.isPending} onClick={() => begin.mutate()}>
            lay the walls out
          </button>
        )}
        {begin.isError && (
          <p role="alert" className="whitespace-pre-line text-fail">
            {wordsOf(begin.error)}
          </p>
        )}
      </div>
    </Frame>
  );
}

const VIEWS = [
  { view: 'lie', words: 'as it lies', key: 'l' },
  { view: 'order', words: 'to order', key: 'o' },
  { view: 'strapping', words: 'strapping', key: 's' },
  { view: 'cuts', words: 'to cut', key: 'c' },
  { view: 'fixings', words: 'fasteners', key: 'k' },
  { view: 'plane', words: 'plane and holes', key: 'p' },
] as const;

type View = (typeof VIEWS)[number]['view'];

function TakenOff({ doc, mayEdit }: { doc: Doc<Takeoff>; mayEdit: boolean }) {
  const draft = useDraft(doc, mayEdit);
  const project = useProjectId();
  const { units } = useUnits();
  const documents = useDocuments().data;
  const materials = new Map(useMaterials().data?.map((m) => [m.id, m.name]));
  const takeoff = draft.content;
  const live = useLive({
    path: address('/api/projects/{project}/assess', { project }),
    body: { kind: 'takeoff', content: takeoff, units },
  });
  const [view, setView] = useState<View>('lie');
  const [at, setAt] = useState<{ part: string; layer: string } | null>(null);
  const [joint, setJoint] = useState<LaidJoint | null>(null);
  const [fastened, setFastened] = useState(false);
  const isLying = view === 'lie';
  const layouts = live.answer?.layouts ?? [];
  const told = live.answer?.takeoff;
  const layout = layouts.find((l) => l.part === at?.part && l.layer === at.layer) ?? firstShown(layouts);
  const faces = told?.faces ?? [];
  const upright = faces.filter((f) => f.upright);
  const face = isLying
    ? faces.find((f) => f.part === layout?.part)
    : (upright.find((f) => f.part === (at?.part ?? layout?.part)) ?? upright[0]);
  const productOf = (of: Layout) =>
    documents?.assemblies.find((a) => a.key === of.assembly)?.content.layers.find((l) => l.id === of.layer)?.material ??
    of.layer;
  const nameOf = (material: string) => materials.get(material) ?? material;
  const show1 = (of: Layout) => {
    setAt({ part: of.part, layer: of.layer });
    setJoint(null);
  };
  const here = layouts.filter((l) => l.part === layout?.part);
  const along = layouts.filter((l) => layout && productOf(l) === productOf(layout));
  const step = (list: Layout[], by: number) => {
    const now = layout ? list.indexOf(layout) : -1;
    const next = list[(now + by + list.length) % list.length];
    if (next) show1(next);
  };
  /** Put a course or a joint somewhere else, or back to where it was laid. */
  const put = (which: LaidJoint, to: number | null) => {
    if (!layout || !mayEdit) return;
    const others = (takeoff.moved ?? []).filter(
      (m) => !(m.part === layout.part && m.layer === layout.layer && sameJoint(which, m)),
    );
    const moved =
      to === null
        ? others
        : [
            ...others,
            {
              part: layout.part,
              layer: layout.layer,
              course: which.course,
              ...(which.joint === null ? {} : { joint: which.joint }),
              at_mm: Math.max(0, Math.round(to * 10) / 10),
            },
          ];
    draft.change(
      moved.length > 0 ? { ...takeoff, moved } : without(takeoff, 'moved'),
      `joint ${which.course} ${which.joint ?? 'foot'}`,
    );
  };
  const joints = layout ? jointsOf(layout) : [];
  const chosen = joints.find((j) => sameJoint(joint, j)) ?? null;
  const nudge = (by: number, upright: boolean) => {
    if (!chosen || (chosen.joint !== null) !== upright) return;
    const asked = (takeoff.moved ?? []).find(
      (m) => m.part === layout?.part && m.layer === layout.layer && sameJoint(chosen, m),
    )?.at_mm;
    const from = asked ?? chosen.at;
    if (!upright) return put(chosen, from + by * 10);
    const spacing = layout?.spacing_mm ?? null;
    put(chosen, spacing === null ? from + by * 10 : onMember(from, spacing) + by * spacing);
  };
  useKeys({
    ...Object.fromEntries(VIEWS.map((v) => [v.key, { says: v.words, act: () => setView(v.view) }])),
    ArrowRight: { shown: '← →', says: 'the part before, the next', act: () => step(along, 1) },
    ArrowLeft: () => step(along, -1),
    ArrowDown: { shown: '↑ ↓', says: 'the layer inside, the layer outside', act: () => step(here, 1) },
    ArrowUp: () => step(here, -1),
    x: { says: 'fasteners on the drawing, and off', act: () => setFastened(!fastened) },
    j: {
      shown: 'j',
      says: 'the next joint of the layout',
      act: () => {
        const now = chosen ? joints.indexOf(chosen) : -1;
        setJoint(joints[(now + 1) % Math.max(1, joints.length)] ?? null);
      },
    },
    'Alt+ArrowUp': { shown: 'Alt+↑ ↓ ← →', says: 'move the joint', act: () => nudge(1, false) },
    'Alt+ArrowDown': () => nudge(-1, false),
    'Alt+ArrowRight': () => nudge(1, true),
    'Alt+ArrowLeft': () => nudge(-1, true),
    Delete: {
      says: 'put the joint back to where it was laid',
      act: () => {
        if (chosen) put(chosen, null);
      },
    },
    undo: { shown: 'Ctrl+Z, Ctrl+Shift+Z', says: 'undo, redo', act: draft.undo },
    redo: draft.redo,
  });
  return (
    <Frame
      sheet={SHEET}
      reckoning={
        <>
          <Old old={live.old} why={live.why} />
          {isLying && layout && (
            <LayerForm
              key={`${layout.assembly} ${layout.layer}`}
              {...{ layout, takeoff, mayEdit, units, chosen }}
              name={nameOf(productOf(layout))}
              line={live.answer?.quantities?.find(
                (q) => q.material === productOf(layout) && q.what === 'area' && q.from.includes(layout.part),
              )}
              change={draft.change}
              back={chosen && (takeoff.moved ?? []).some((m) => sameJoint(chosen, m)) ? () => put(chosen, null) : null}
            />
          )}
          {view === 'plane' && face && (
            <PlaneForm key={face.part} {...{ face, takeoff, told, mayEdit, units }} change={draft.change} />
          )}
          {view === 'order' && told && (
            <OrderNotes
              {...{ takeoff, told, mayEdit, units, nameOf }}
              lines={live.answer?.quantities ?? []}
              change={draft.change}
            />
          )}
          <FindingList findings={(live.answer?.findings ?? []).filter((f) => f.subject === 'takeoff')} />
          <SaveState {...draft} mayEdit={mayEdit} />
        </>
      }
    >
      <div className="px-6 py-3 max-sm:px-4">
        <div className="flex flex-wrap items-baseline justify-between gap-2 pb-2">
          <h1 className="text-[17px] font-bold">What to order, and how it lies</h1>
          <p className="flex flex-wrap gap-1 text-[12px]">
            {VIEWS.map((v) => (
              <button
                key={v.view}
                className={`act ${view === v.view ? 'bg-ink text-white' : ''}`}
                aria-pressed={view === v.view}
                onClick={() => setView(v.view)}
              >
                {v.words} <kbd>{v.key}</kbd>
              </button>
            ))}
          </p>
        </div>
        {live.answer && layouts.length === 0 && <p>No part of the building has a layer that is laid out.</p>}
        {(isLying || view === 'plane' || view === 'strapping') && face && (
          <Lying
            {...{ face, units }}
            layout={
              isLying
                ? layout
                : view === 'plane'
                  ? layouts.find((l) => l.part === face.part && l.kind === 'board')
                  : undefined
            }
            lines={
              view === 'strapping'
                ? (told?.strapping.filter((s) => s.part === face.part) ?? []).flatMap((s) => s.lines_mm)
                : []
            }
            chosen={isLying ? chosen : null}
            {...(isLying ? { choose: setJoint, move: mayEdit ? put : undefined } : {})}
            screens={
              view === 'strapping'
                ? (told?.screens.filter((s) => s.part === face.part) ?? []).flatMap((s) => s.lines_mm)
                : []
            }
            fasteners={
              isLying && fastened
                ? told?.fasteners.find((f) => f.part === layout?.part && f.layer === layout.layer)?.rows
                : []
            }
            marks={view !== 'plane' ? [] : marksOf(face, takeoff, told, units)}
          />
        )}
        {isLying && layout && (
          <table className="mt-2 w-full border-collapse text-[12px]" data-layouts>
            <thead>
              <tr className="border-b border-ink text-left">
                <th>{nameOf(productOf(layout))}, on</th>
                <th className="pl-3 text-right">courses</th>
                <th className="pl-3 text-right">drawn</th>
                <th className="pl-3 text-right">cut</th>
                <th className="pl-3 text-right">lost</th>
              </tr>
            </thead>
            <tbody>
              {along.map((l) => (
                <tr
                  key={`${l.part} ${l.layer}`}
                  data-row={`${l.part} ${l.layer}`}
                  className={`border-b border-hair ${l === layout ? 'bg-hair' : ''}`}
                >
                  <th className="text-left font-normal">
                    <button className="w-full text-left" aria-pressed={l === layout} onClick={() => show1(l)}>
                      {faces.find((f) => f.part === l.part)?.name ?? l.part}
                    </button>
                  </th>
                  <td className="pl-3 text-right">{l.courses}</td>
                  <td className="pl-3 text-right whitespace-nowrap">{show(l.net_m2, 'area', units)}</td>
                  <td className="pl-3 text-right whitespace-nowrap">{show(l.gross_m2, 'area', units)}</td>
                  <td className="pl-3 text-right whitespace-nowrap">{show(l.loss_pct, 'percent', units)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {isLying && layout && (
          <p className="flex flex-wrap items-baseline gap-2 pt-2 text-[12px]">
            <button
              className={`act ${fastened ? 'bg-ink text-white' : ''}`}
              aria-pressed={fastened}
              onClick={() => setFastened(!fastened)}
            >
              fasteners <kbd>x</kbd>
            </button>
            {face?.upright === false ? 'on this part, seen from above' : 'on this wall'}, from inside:
            {here.map((l) => (
              <button
                key={l.layer}
                className={`act ${l === layout ? 'bg-ink text-white' : ''}`}
                aria-pressed={l === layout}
                onClick={() => show1(l)}
              >
                {nameOf(productOf(l))}
              </button>
            ))}
          </p>
        )}
        {(view === 'plane' || view === 'strapping') && (
          <p className="flex flex-wrap items-baseline gap-2 pt-2 text-[12px]">
            {upright.map((f) => (
              <button
                key={f.part}
                className={`act ${f === face ? 'bg-ink text-white' : ''}`}
                aria-pressed={f === face}
                onClick={() => setAt({ part: f.part, layer: '' })}
              >
                {f.name}
              </button>
            ))}
          </p>
        )}
        {view === 'strapping' && told && !told.strapping.some((s) => s.part === face?.part) && (
          <p className="pt-2">
            Nothing is said to stand in a space of this wall: give that layer its battens or girts.
          </p>
        )}
        {view === 'order' && live.answer?.quantities && told && (
          <OrderList
            {...{ takeoff, told, mayEdit, units, nameOf, project }}
            lines={live.answer.quantities}
            change={draft.change}
          />
        )}
        {view === 'cuts' && told && <Cutting {...{ told, units, nameOf }} />}
        {view === 'fixings' && told && <Fixings {...{ told, units, layouts, nameOf, productOf }} />}
        <p className="pt-3 text-[11px] text-faint">
          Sizes, laps and patterns are common practice where no data sheet says otherwise. Fastening against wind, and
          every screw through thick insulation, is for the engineer; the maker’s own layout rules and local code win.
        </p>
      </div>
    </Frame>
  );
}

/** The water plane's layer says most: a sheet or a membrane before boards. */
const firstShown = (layouts: Layout[]): Layout | undefined =>
  layouts.find((l) => l.kind === 'sheet' && l.part.includes('.wall.')) ?? layouts[0];
