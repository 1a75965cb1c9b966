import { useState } from 'react';
import { Link } from 'react-router';
import { useAssessment, useDocuments, useMaterials, useProjectId } from '../../api/hooks';
import type { Building, Control, DerivedBuilding } from '../../api/types';
import { saidOf, sidesOf, withSaid, type Connection, type Joint, type Of, type Said } from '../../building/connections';
import { jointName } from '../../building/names';
import { show } from '../../quantity/show';
import { THREADS } from '../../ui/threads';
import { TypedNumber } from '../../ui/Typed';
import { useUnits } from '../../ui/units';
import { BY, KINDS, STATES } from '../../building/words';

type Threads = NonNullable<Connection['threads']>;

interface Props {
  building: Building;
  derived: DerivedBuilding;
  kind: Joint['kind'];
  joint: string | null;
  choose: (joint: string | null) => void;
  mayEdit: boolean;
  change: (building: Building) => void;
  name: (part: string) => string;
  /** where on the way round it is */
  walked: { at: number; of: number; thread: Control | null } | null;
}

/** What hands each layer over, at one joint or at all of a kind; the joints of that kind, each with its four states. */
export function Deciding({ building, derived, kind, joint, choose, mayEdit, change, name, walked }: Props) {
  const project = useProjectId();
  const { units } = useUnits();
  const documents = useDocuments().data;
  const materials = useMaterials().data;
  const [pair, setPair] = useState('');
  const joints = derived.joints.filter((j) => j.kind === kind);
  const parts = new Map(derived.parts.map((p) => [p.id, p]));
  const pairs = [...new Map(joints.map((j) => [sidesOf(j).join(' and '), sidesOf(j)]))].filter(
    ([, p]) => !p.includes(''),
  );
  const between = joint === null ? (pairs.find(([key]) => key === pair)?.[1] ?? null) : null;
  const isSaidOfPair = pairs.some(([, p]) => saidOf(building, { kind, joint: null, between: p }));
  const of: Of = { kind, joint, between };
  const said = saidOf(building, of);
  const one = joints.find((j) => j.id === joint);
  const meant = between ? joints.filter((j) => sidesOf(j).join() === between.join()) : joints;
  const decide = (by: Said) => change(withSaid(building, of, by));
  /** The layers of both sides, that one may be named where not the one that has the control is meant. */
  const layers = (one ? sidesOf(one) : (between ?? [])).flatMap((of) =>
    (documents?.assemblies.find((d) => d.key === of)?.content.layers ?? []).flatMap((layer) =>
      layer.id === undefined
        ? []
        : [{ of, id: layer.id, name: materials?.find((m) => m.id === layer.material)?.name ?? layer.material }],
    ),
  );
  const handOver = (control: Control, end: 'from' | 'to', layer: string) => {
    const claim = said?.threads?.[control];
    if (!claim) return;
    const named = layer === '' ? undefined : layer;
    const [from, to] = end === 'from' ? [named, claim.to] : [claim.from, named];
    const next = { by: claim.by, ...(from === undefined ? {} : { from }), ...(to === undefined ? {} : { to }) };
    decide({ threads: { ...said?.threads, [control]: next } });
  };
  /** What carries a control on either side. */
  const carriers = (j: Joint, control: Control): string =>
    j.parts
      .map((id) => {
        const part = parts.get(id);
        if (part?.kind === 'opening') return 'the unit';
        const layers = documents?.assemblies.find((d) => d.key === part?.assembly)?.content.layers ?? [];
        const layer = layers.find((l) => l.controls?.includes(control));
        return layer ? (materials?.find((m) => m.id === layer.material)?.name ?? layer.material) : 'nothing';
      })
      .join(' → ');
  const details = [...(documents?.openings ?? []), ...(documents?.details ?? [])];
  return (
    <section data-deciding={joint ?? kind}>
      <h2 className="text-[15px] font-bold">{KINDS[kind as keyof typeof KINDS]}</h2>
      {walked && (
        <p className="text-[12px]" data-walked={walked.at}>
          {walked.at} of {walked.of} round the building{walked.thread ? `, along ${walked.thread}` : ''} <kbd>← →</kbd>
        </p>
      )}
      <p className="pb-2 text-[12px] text-faint">
        {one
          ? `${show(one.length_m, 'run', units)}: ${jointName(one, name)}`
          : `all ${meant.length}, ${show(
              meant.reduce((sum, j) => sum + j.length_m, 0),
              'run',
              units,
            )}, but where one says otherwise`}
      </p>
      {joint === null && (pairs.length > 1 || isSaidOfPair) && (
        <label className="flex items-baseline justify-between gap-2 pb-2">
          said for{' '}
          <select aria-label="Said for" value={between ? pair : ''} onChange={(e) => setPair(e.target.value)}>
            <option value="">all of this kind</option>
            {pairs.map(([key]) => (
              <option key={key} value={key}>
                {key}
              </option>
            ))}
          </select>
        </label>
      )}
      {THREADS.map((t) => (
        <div key={t.control} className="flex flex-wrap items-baseline justify-between gap-x-2 py-[2px]">
          <span className="min-w-0">
            <b>{t.letter}</b> {t.name}
          </span>
          <span className="flex items-baseline gap-2">
            {one && (
              <span className={`text-[11px] ${STATES[one.threads[t.control]].colour}`}>
                {STATES[one.threads[t.control]].words}
                {one.threads[t.control] === 'carried' ? `, ${handed(one, t.control)}` : ''}
              </span>
            )}
            <select
              aria-label={`What hands ${t.name} over`}
              disabled={!mayEdit}
              value={said?.threads?.[t.control]?.by ?? ''}
              onChange={(e) => {
                const left = Object.fromEntries(
                  Object.entries(said?.threads ?? {}).filter(([control]) => control !== t.control),
                ) as Threads;
                const by = e.target.value as keyof typeof BY | '';
                decide({ threads: by === '' ? left : { ...left, [t.control]: { by } } });
              }}
            >
              <option value="">{one || between ? 'as for its kind' : 'nobody has said'}</option>
              {Object.entries(BY).map(([by, words]) => (
                <option key={by} value={by}>
                  {words}
                </option>
              ))}
            </select>
          </span>
          {one && <span className="w-full text-[11px] text-faint">{carriers(one, t.control)}</span>}
          {(one || between) && said?.threads?.[t.control] && (
            <span className="flex w-full gap-2 text-[11px]">
              {(['from', 'to'] as const).map((end) => (
                <label key={end} className="min-w-0 grow">
                  {end}{' '}
                  <select
                    aria-label={`Layer that hands ${t.name} over, ${end}`}
                    className="w-[6.5rem]"
                    disabled={!mayEdit}
                    value={said.threads?.[t.control]?.[end] ?? ''}
                    onChange={(e) => handOver(t.control, end, e.target.value)}
                  >
                    <option value="">which has it</option>
                    {layers.map((layer) => (
                      <option key={`${layer.of} ${layer.id}`} value={layer.id}>
                        {layer.name}
                      </option>
                    ))}
                  </select>
                </label>
              ))}
            </span>
          )}
        </div>
      ))}
      <label className="flex items-baseline justify-between gap-2 py-1">
        detail
        <select
          className="max-w-[11rem]"
          disabled={!mayEdit}
          value={said?.detail ?? ''}
          onChange={(e) => decide({ detail: e.target.value === '' ? undefined : e.target.value })}
        >
          <option value="">none yet</option>
          {details.map((d) => (
            <option key={d.key} value={d.key}>
              {d.content.title}
            </option>
          ))}
        </select>
      </label>
      <Lost {...{ joints: one ? [one] : meant, said, decide, mayEdit }} />
      {(one?.detail ?? said?.detail) && (
        <p>
          <Link className="link" to={`/p/${project}/sequences/${one?.detail ?? said?.detail ?? ''}`}>
            open its sequence
          </Link>
        </p>
      )}
      <h3 className="mt-3 border-t border-hair pt-2 font-semibold">
        {joint === null ? (
          'Each of them'
        ) : (
          <button className="link" onClick={() => choose(null)}>
            all of this kind
          </button>
        )}
      </h3>
      <ul className="text-[12px]">
        {joints.map((j) => (
          <li key={j.id}>
            <button
              aria-pressed={j.id === joint}
              data-joint={j.id}
              className={`flex w-full justify-between gap-2 py-[2px] text-left ${j.id === joint ? 'bg-hair' : ''}`}
              onClick={() => choose(j.id)}
            >
              <span className="min-w-0">{jointName(j, name)}</span>
              <span className="whitespace-nowrap">
                {show(j.length_m, 'run', units)}{' '}
                {THREADS.map((t) => (
                  <span key={t.control} className={STATES[j.threads[t.control]].colour}>
                    {t.letter}
                    {STATES[j.threads[t.control]].mark}{' '}
                  </span>
                ))}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {THREADS.map((t) => {
        const breaks = derived.threads[t.control].breaks.filter((b) =>
          joint === null ? joints.some((j) => j.id === b.joint) : b.joint === joint,
        );
        const [first] = breaks;
        return (
          first && (
            <p key={t.control} className="pt-1 text-fail">
              {t.name}: {first.why}
              {breaks.length > 1 ? `, and ${breaks.length - 1} more` : ''}.
            </p>
          )
        );
      })}
    </section>
  );
}

/** By what a thread is handed over: what was said, or what its sequence proves. */
const handed = (joint: Joint, control: Control): string =>
  BY[(joint.by[control] ?? '') as keyof typeof BY] ?? 'by its sequence';

/** What a joint loses: as computed in a section that was kept, as somebody states it, or by its class. */
function Lost({ joints, said, decide, mayEdit }: LostProps) {
  const sections = (useDocuments().data?.plane_sections ?? []).filter((d) => d.broken === null);
  const told = useAssessment().data?.plane_sections ?? [];
  const psi = joints.map((j) => j.psi_w_mk);
  const [least, most] = [Math.min(...psi), Math.max(...psi)];
  if (joints.length === 0) return null;
  return (
    <div className="py-1" data-lost>
      <p className="flex justify-between gap-2">
        <span>
          ψ {least.toFixed(3)}
          {most - least > 5e-4 ? ` to ${most.toFixed(3)}` : ''} W/(m·K)
        </span>
        <span className="text-faint">
          {[...new Set(joints.map((j) => BY_WHAT[j.psi_by] ?? 'computed'))].join(', ')}
        </span>
      </p>
      <label className="flex items-baseline justify-between gap-2 py-[2px]">
        section
        <select
          aria-label="Section that shows it"
          className="max-w-[11rem]"
          disabled={!mayEdit}
          value={said?.section ?? ''}
          onChange={(e) =>
            decide(e.target.value === '' ? { section: undefined } : { section: e.target.value, psi_w_mk: undefined })
          }
        >
          <option value="">none kept</option>
          {said?.section !== undefined && sections.every((d) => d.key !== said.section) && (
            <option value={said.section}>{said.section}, which is gone</option>
          )}
          {sections.map((d) => (
            <option key={d.key} value={d.key}>
              {told.find((t) => t.id === d.key)?.psi_w_mk?.toFixed(3) ?? '–'} · {d.content.title ?? d.key}
            </option>
          ))}
        </select>
      </label>
      {mayEdit && said?.section === undefined && (
        <TypedNumber
          label="or ψ as stated, W/(m·K)"
          value={said?.psi_w_mk}
          least={-20}
          most={20}
          put={(psi_w_mk) => decide({ psi_w_mk })}
        />
      )}
    </div>
  );
}

interface LostProps {
  joints: Joint[];
  said: Connection | undefined;
  decide: (by: Said) => void;
  mayEdit: boolean;
}

const BY_WHAT: Record<string, string> = { class: 'by class', stated: 'stated' };
