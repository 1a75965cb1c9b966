import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { wordsOf } from '../../api/client';
import { createDocument } from '../../api/documents';
import { useDocuments, useProjectId } from '../../api/hooks';
import { useLive } from '../../api/live';
import { address } from '../../api/paths';
import type { Building, DerivedBuilding, Doc } from '../../api/types';
import { jointName, partName } from '../../building/names';
import { KINDS } from '../../building/words';
import { show } from '../../quantity/show';
import { STOREY_MM } from '../../material/starts';
import { FindingList } from '../../ui/FindingList';
import { Frame } from '../../ui/Frame';
import { useKeys } from '../../ui/keys';
import { Old } from '../../ui/Old';
import { OneSheet } from '../../ui/OneSheet';
import { SaveState } from '../../ui/SaveState';
import { THREADS, useThread } from '../../ui/threads';
import { useUnits } from '../../ui/units';
import { useDraft } from '../../ui/useDraft';
import { Blocks, PlanField } from './Blocks';
import { Deciding } from './Deciding';
import { Drawings } from './Drawings';
import { Heat } from './Heat';
import { Leakage } from './Leakage';
import { Lists } from './Lists';
import { Matrix } from './Matrix';

type Joint = DerivedBuilding['joints'][number];

/** The building: its parts and joints from a few entries, and each control layer followed round it. */
export default function Transitions() {
  return (
    <OneSheet
      sheet="4 Transitions"
      list="building"
      first={(mayEdit) => <First mayEdit={mayEdit} />}
      shown={(doc, mayEdit, project) => <Round key={project} doc={doc} mayEdit={mayEdit} />}
    />
  );
}

/** Nobody has said a building yet: the plan of its first block. */
function First({ mayEdit }: { mayEdit: boolean }) {
  const project = useProjectId();
  const begin = useMutation({
    mutationFn: (outline: number[][]) =>
      createDocument(
        project,
        [],
        () => 'building',
        () =>
          Promise.resolve({
            kind: 'building',
            content: { blocks: [{ id: 'b1', outline, base_mm: 0, top_mm: STOREY_MM }] },
          }),
      ),
  });
  return (
    <Frame sheet="4 Transitions" reckoning={null}>
      <div className="px-6 py-3 max-sm:px-4">
        <h1 className="pb-1 text-[17px] font-bold">Round the building</h1>
        <p className="max-w-[44rem] pb-2 text-[15px]">
          Say the building as blocks: walk round the plan of each, give its levels and what its sides are built of.
          Every part of the envelope and every joint between them follows from that.
        </p>
        {mayEdit && (
          <div data-blocks>
            <PlanField first add={(outline) => begin.mutate(outline)} />
          </div>
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

function Round({ doc, mayEdit }: { doc: Doc<Building>; mayEdit: boolean }) {
  const draft = useDraft(doc, mayEdit);
  const project = useProjectId();
  const { units } = useUnits();
  const { thread } = useThread();
  const documents = useDocuments().data;
  const building = draft.content;
  const live = useLive({
    path: address('/api/projects/{project}/assess', { project }),
    body: { kind: 'building', content: building, units },
  });
  const derived = live.answer?.building;
  const [kind, setKind] = useState<Joint['kind'] | null>(null);
  const [joint, setJoint] = useState<string | null>(null);
  const titles = new Map(
    [...(documents?.openings ?? []), ...(documents?.details ?? [])].map((d) => [d.key, d.content.title]),
  );
  const parts = new Map(derived?.parts.map((p) => [p.id, p]));
  const joints = new Map(derived?.joints.map((j) => [j.id, j]));
  const name = (part: string) => partName(part, parts.get(part), titles);
  const called = (j: Joint) => `${KINDS[j.kind]}, ${jointName(j, name)}`;
  const kinds = [...new Set(derived?.joints.map((j) => j.kind) ?? [])];
  const here = kind !== null && kinds.includes(kind) ? kind : null;
  const chosen = joint !== null && joints.has(joint) ? joint : null;
  const choose = (id: string) => {
    const found = joints.get(id);
    if (!found) return;
    setKind(found.kind);
    setJoint(id);
  };
  /** The one before or after in a list that goes round. */
  const step = <T,>(list: T[], at: number, by: number): T | undefined =>
    list[at < 0 ? (by > 0 ? 0 : list.length - 1) : (at + by + list.length) % Math.max(1, list.length)];
  const ofKind = (by: number) => {
    const next = step(kinds, here === null ? -1 : kinds.indexOf(here), by);
    if (next === undefined) return;
    setKind(next);
    setJoint(null);
  };
  const among = (by: number) => {
    const list = derived?.joints.filter((j) => j.kind === here).map((j) => j.id) ?? [];
    const next = step(list, list.indexOf(chosen ?? ''), by);
    if (next !== undefined) setJoint(next);
  };
  // Round the building along one thread, or along all of them: past what is not needed there.
  const round = (derived?.walk ?? []).filter((id) => !thread || joints.get(id)?.threads[thread] !== 'not-needed');
  const at = chosen === null ? -1 : round.indexOf(chosen);
  const follow = (by: number) => {
    const next = step(round, at, by);
    if (next !== undefined) choose(next);
  };
  useKeys({
    ArrowRight: { shown: '← →', says: 'walk round the building, joint by joint', act: () => follow(1) },
    ArrowLeft: () => follow(-1),
    ']': { shown: '[ ]', says: 'the kind of joint before, the next', act: () => ofKind(1) },
    '[': () => ofKind(-1),
    '.': { shown: ', .', says: 'the joint of that kind before, the next', act: () => among(1) },
    ',': () => among(-1),
    undo: { shown: 'Ctrl+Z, Ctrl+Shift+Z', says: 'undo, redo', act: draft.undo },
    redo: draft.redo,
  });
  const shared = { building, mayEdit, change: draft.change };
  return (
    <Frame
      sheet="4 Transitions"
      reckoning={
        <>
          <Old old={live.old} why={live.why} />
          {derived && here ? (
            <Deciding
              {...shared}
              {...{ derived, name }}
              joint={chosen}
              kind={here}
              choose={setJoint}
              walked={at < 0 ? null : { at: at + 1, of: round.length, thread }}
            />
          ) : (
            <>
              {derived && (
                <p className="pb-2">
                  <b>{show(derived.envelope_m2, 'area', units)}</b> of envelope round{' '}
                  <b>{show(derived.volume_m3, 'volume', units)}</b>, {derived.parts.length} parts,{' '}
                  {derived.joints.length} joints.
                </p>
              )}
              {derived && <Done done={derived.done} />}
              {derived && <Heat heat={derived.heat} />}
              {derived && (
                <Leakage
                  leakage={derived.leakage}
                  choose={choose}
                  where={(id) => {
                    const found = joints.get(id);
                    return found ? called(found) : id;
                  }}
                />
              )}
              <FindingList findings={live.answer?.findings ?? []} />
            </>
          )}
          <SaveState {...draft} mayEdit={mayEdit} />
        </>
      }
    >
      <div className="px-6 py-3 max-sm:px-4">
        <h1 className="pb-1 text-[17px] font-bold">Round the building</h1>
        <Drawings {...shared} {...{ derived, called, choose, chosen }} />
        {derived && (
          <Matrix
            derived={derived}
            chosen={here}
            choose={(next) => {
              setKind(next === here ? null : next);
              setJoint(null);
            }}
          />
        )}
        {derived && <Lists {...shared} {...{ derived, name, choose }} />}
        {mayEdit && (
          <section className="pt-3">
            <h2 className="font-bold">Blocks</h2>
            <Blocks building={building} change={draft.change} />
          </section>
        )}
        {derived && (
          <p className="pt-3 text-[11px] text-faint">
            The outline is the plane of the air control layer; areas and lengths are of that plane. What is carried is
            what was said or what a sequence proves: common practice, to be judged by who signs it.
          </p>
        )}
      </div>
    </Frame>
  );
}

/** How much of the length of all joints somebody has decided, thread by thread. */
function Done({ done }: { done: DerivedBuilding['done'] }) {
  return (
    <p data-done>
      decided:{' '}
      {THREADS.map((t) => (
        <span key={t.control} className={done[t.control] < 1 ? 'text-caution' : ''}>
          {t.letter} {Math.floor(100 * done[t.control])} %{' '}
        </span>
      ))}
    </p>
  );
}
