import { useState } from 'react';
import { useAssessment, useDocuments } from '../../api/hooks';
import { FindingList } from '../../ui/FindingList';
import { Frame } from '../../ui/Frame';
import { useKeys } from '../../ui/keys';
import { Blocks } from './Blocks';
import { Deciding } from './Deciding';
import { Heat } from './Heat';
import { Matrix } from './Matrix';
import { Plan } from './Plan';
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
  useKeys({
    ']': { shown: '[ ]', says: 'the kind of joint before, the next', act: () => walk(1) },
    '[': () => walk(-1),
    '.': { shown: ', .', says: 'the joint of that kind before, the next', act: () => among(1) },
    ',': () => among(-1),
  });
  const carries = (assembly: string | null, control: string) =>
    documents.data?.assemblies
      .find((d) => d.key === assembly)
      ?.content.layers.some((layer) => layer.controls?.some((c) => c === control)) ?? false;
  return (
    <Frame
      sheet="4 Transitions"
      reckoning={
        building && derived && here ? (
          <Deciding {...{ building, derived, joint, mayEdit, pending, save }} kind={here} choose={setJoint} />
        ) : (
          <>
            {derived && (
              <p className="pb-2">
                <b>{derived.envelope_m2.toFixed(1)} m²</b> of envelope round <b>{derived.volume_m3.toFixed(1)} m³</b>,{' '}
                {derived.parts.length} parts, {derived.joints.length} joints.
              </p>
            )}
            {derived && <Heat heat={derived.heat} />}
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
        {building && <Plan {...{ building, derived, carries }} chosen={(id) => id === joint} />}
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
