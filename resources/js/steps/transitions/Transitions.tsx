import { useState } from 'react';
import { useAssessment, useDocuments } from '../../api/hooks';
import type { DerivedBuilding } from '../../api/types';
import { jointName, partName } from '../../building/names';
import { FindingList } from '../../ui/FindingList';
import { Frame } from '../../ui/Frame';
import { KINDS } from '../../building/words';
import { useKeys } from '../../ui/keys';
import { THREADS, useThread } from '../../ui/threads';
import { Blocks } from './Blocks';
import { Deciding } from './Deciding';
import { Drawings } from './Drawings';
import { Heat } from './Heat';
import { Leakage } from './Leakage';
import { Lists } from './Lists';
import { Matrix } from './Matrix';
import { useBuilding } from './useBuilding';

/** The building: its parts and joints from a few entries, and each control layer followed round it. */
export default function Transitions() {
  const { loaded, mayEdit, building, derived, save, pending, why } = useBuilding();
  const documents = useDocuments();
  const findings = (useAssessment().data?.findings ?? []).filter((f) => f.subject === 'building');
  const [kind, setKind] = useState<string | null>(null);
  const [joint, setJoint] = useState<string | null>(null);
  const kinds = [...new Set(derived?.joints.map((j) => j.kind) ?? [])];
  const here = kind !== null && kinds.includes(kind as (typeof kinds)[number]) ? kind : null;
  const walk = (by: number) => {
    const at = kinds.findIndex((k) => k === here);
    const next = kinds[(at + by + kinds.length) % Math.max(1, kinds.length)];
    if (next) {
      setKind(next);
      setJoint(null);
    }
  };
  const among = (by: number) => {
    const joints = derived?.joints.filter((j) => j.kind === here) ?? [];
    const at = joints.findIndex((j) => j.id === joint);
    const next = joints[(at + by + joints.length) % Math.max(1, joints.length)];
    if (next) setJoint(next.id);
  };
  const { thread } = useThread();
  const titles = new Map(
    [...(documents.data?.openings ?? []), ...(documents.data?.details ?? [])].map((d) => [d.key, d.content.title]),
  );
  const parts = new Map(derived?.parts.map((p) => [p.id, p]));
  const joints = new Map(derived?.joints.map((j) => [j.id, j]));
  const name = (part: string) => partName(part, parts.get(part), titles);
  const called = (j: DerivedBuilding['joints'][number]) => `${KINDS[j.kind]}, ${jointName(j, name)}`;
  const chooseJoint = (id: string) => {
    const found = joints.get(id);
    if (!found) return;
    setKind(found.kind);
    setJoint(id);
  };
  // Round the building along one thread, or along all of them: past what is not needed there.
  const round = (derived?.walk ?? []).filter((id) => !thread || joints.get(id)?.threads[thread] !== 'not-needed');
  const at = joint === null ? -1 : round.indexOf(joint);
  const follow = (by: number) => {
    const next = round[at < 0 ? 0 : (at + by + round.length) % Math.max(1, round.length)];
    if (next !== undefined) chooseJoint(next);
  };
  useKeys({
    ArrowRight: { shown: '← →', says: 'walk round the building, joint by joint', act: () => follow(1) },
    ArrowLeft: () => follow(-1),
    ']': { shown: '[ ]', says: 'the kind of joint before, the next', act: () => walk(1) },
    '[': () => walk(-1),
    '.': { shown: ', .', says: 'the joint of that kind before, the next', act: () => among(1) },
    ',': () => among(-1),
  });
  return (
    <Frame
      sheet="4 Transitions"
      reckoning={
        building && derived && here ? (
          <Deciding
            {...{ building, derived, joint, mayEdit, pending, save, name }}
            kind={here}
            choose={setJoint}
            walked={at < 0 ? null : { at: at + 1, of: round.length, thread }}
          />
        ) : (
          <>
            {derived && (
              <p className="pb-2">
                <b>{derived.envelope_m2.toFixed(1)} m²</b> of envelope round <b>{derived.volume_m3.toFixed(1)} m³</b>,{' '}
                {derived.parts.length} parts, {derived.joints.length} joints.
              </p>
            )}
            {derived && <Done done={derived.done} />}
            {derived && <Heat heat={derived.heat} />}
            {derived && (
              <Leakage
                leakage={derived.leakage}
                choose={chooseJoint}
                where={(id) => {
                  const found = joints.get(id);
                  return found ? called(found) : id;
                }}
              />
            )}
            <FindingList findings={findings} />
          </>
        )
      }
    >
      <div className="px-6 py-3 max-sm:px-4">
        <h1 className="pb-1 text-[17px] font-bold">Round the building</h1>
        {loaded && !building && (
          <p className="max-w-[44rem] pb-2 text-[15px]">
            Say the building as blocks: walk round the plan of each, give its levels and what its sides are built of.
            Every part of the envelope and every joint between them follows from that.
          </p>
        )}
        {building && <Drawings {...{ building, derived, called, mayEdit, save }} chosen={joint} choose={chooseJoint} />}
        {why !== null && (
          <p role="alert" className="whitespace-pre-line text-fail">
            {why}
          </p>
        )}
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
        {building && derived && <Lists {...{ building, derived, mayEdit, save, name }} choose={chooseJoint} />}
        {mayEdit && loaded && (
          <section className="pt-3">
            <h2 className="font-bold">Blocks</h2>
            <Blocks building={building} pending={pending} save={save} />
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
