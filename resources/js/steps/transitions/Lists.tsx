import { useMutation } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { post, wordsOf } from '../../api/client';
import { createDocument } from '../../api/documents';
import { useDocuments, useMethods, useOthers, useProjectId } from '../../api/hooks';
import { address } from '../../api/paths';
import type { Building, DerivedBuilding, ScheduledOpening } from '../../api/types';
import { DRAINED, KINDS } from '../../building/words';
import { Settle } from '../../building/Settle';
import { show } from '../../quantity/show';
import { freeId } from '../../ui/freeId';
import { THREADS } from '../../ui/threads';
import { useUnits } from '../../ui/units';

interface Props {
  building: Building;
  derived: DerivedBuilding;
  mayEdit: boolean;
  change: (building: Building) => void;
  choose: (joint: string) => void;
  name: (part: string) => string;
}

type Proposal = DerivedBuilding['proposals'][number];

/** What has to be drawn, built and agreed before the work, and what runs behind the cladding. */
export function Lists(props: Props) {
  const { derived, choose, name } = props;
  const { units } = useUnits();
  const temporary = useOthers().data?.temporary ?? [];
  return (
    <div className="pt-3 text-[12px]" data-lists>
      <Undetailed {...props} />
      <Part title="Mock-up" count={derived.mock_ups.joints.length + derived.mock_ups.corners.length} of="mock-ups">
        <p className="text-faint">
          Of each kind of joint the one with the most to lose, and of each sort of corner one.
        </p>
        <ul>
          {derived.mock_ups.joints.map((row) => (
            <li key={row.kind} className="flex justify-between gap-3 border-t border-hair py-[2px]">
              <button className="text-left" onClick={() => choose(row.joint)}>
                <b>{KINDS[row.kind]}</b>: {where(row.joint, derived, name)}
              </button>
              <span>{open(row.states)}</span>
            </li>
          ))}
          {derived.mock_ups.corners.map((row) => (
            <li key={row.kinds.join()} className="flex justify-between gap-3 border-t border-hair py-[2px]">
              <button className="text-left" onClick={() => choose(row.worst)}>
                <b>corner</b>: {row.kinds.map((kind) => KINDS[kind]).join(', ')}
              </button>
              <span>
                {row.count} such, one at {row.at_mm.map((mm) => Math.round(mm)).join(' ')}
              </span>
            </li>
          ))}
        </ul>
      </Part>
      <Part title="For the meeting before the work" count={derived.to_settle.length} of="meeting">
        <Settle rows={derived.to_settle} units={units} />
      </Part>
      <Part title="Framed before the walls are closed" count={derived.framer.length} of="framer">
        <ul>
          {derived.framer.map((row) => (
            <li key={`${row.title} ${row.for.join()}`} className="border-t border-hair py-[2px]">
              <b>
                {row.times > 1 ? `${row.times} × ` : ''}
                {row.title}
              </b>{' '}
              <span className="text-faint">{row.for.join('; ')}</span>
            </li>
          ))}
        </ul>
      </Part>
      <Part title="Through the plane for a while" count={temporary.length} of="temporary">
        <ul>
          {temporary.map((row) => (
            <li key={row.id} className="flex justify-between gap-3 border-t border-hair py-[2px]">
              <span>
                <b>
                  {row.number} × {row.thing}
                </b>{' '}
                {row.title}
              </span>
              <span className={row.closed ? 'text-pass' : 'text-caution'}>
                {row.closed === null ? 'nobody has looked yet' : row.closed ? 'out and closed' : 'not closed'}
              </span>
            </li>
          ))}
        </ul>
      </Part>
      <Part title="What runs behind the cladding" count={derived.drained.length} of="drained">
        <ul>
          {derived.drained.map((face) => (
            <li key={face.part} className="flex justify-between gap-3 border-t border-hair py-[2px]">
              <span>
                <b>{name(face.part)}</b>: from {face.from ? KINDS[face.from as keyof typeof KINDS] : 'its top'}
                {face.over.length > 0 ? `, over ${face.over.map(name).join(' and ')}` : ''}
                {face.past.length > 0 ? `, past ${face.past.join(' and ')}` : ''} to{' '}
                {face.to ? KINDS[face.to as keyof typeof KINDS] : 'its foot'}
                {face.onto ? `, on behind ${name(face.onto)}` : ''}
              </span>
              <span className={face.out === false ? 'text-fail' : face.out ? 'text-pass' : 'text-caution'}>
                {DRAINED[face.why]}
              </span>
            </li>
          ))}
        </ul>
      </Part>
    </div>
  );
}

function Part({ title, count, of, children }: { title: string; count: number; of: string; children: ReactNode }) {
  return (
    <details className="border-t border-hair py-1" data-list={of}>
      <summary className="text-[13px]">
        {title}: {count}
      </summary>
      {count > 0 && children}
    </details>
  );
}

const where = (id: string, derived: DerivedBuilding, name: (part: string) => string): string =>
  [...new Set(derived.joints.find((j) => j.id === id)?.parts.map(name) ?? [])].join(' · ');

const open = (states: Record<string, string>): string =>
  THREADS.filter((t) => states[t.control] === 'broken' || states[t.control] === 'undecided')
    .map((t) => `${t.name} ${states[t.control] ?? ''}`)
    .join(', ');

/** Joints that no detail is named for, with the method that fits and how far apart what it joins lies. */
function Undetailed({ building, derived, mayEdit, change }: Props) {
  const project = useProjectId();
  const documents = useDocuments().data;
  const methods = useMethods().data ?? [];
  const { units } = useUnits();
  const [why, setWhy] = useState<string | null>(null);
  const taken = [...(documents?.openings ?? []), ...(documents?.details ?? [])].map((d) => d.key);
  const walls = new Map((documents?.assemblies ?? []).map((d) => [d.key, d.content.name]));
  const make = useMutation({
    mutationFn: async (row: Proposal) => {
      if (row.method === null || row.wall === null) return;
      const { method, wall } = row;
      const id = await createDocument(
        project,
        taken,
        (ids) => freeId(ids, 'j', 1),
        async (key) => {
          const made: ScheduledOpening = {
            id: key,
            title: `${KINDS[row.kind]}, ${row.between.map((b) => walls.get(b) ?? b).join(' and ')}`,
            generator: method,
            parameters: row.parameters,
            between: [wall, ...row.between.filter((b) => b !== wall && walls.has(b))].slice(0, 1),
          };
          const drawn = await post(address('/api/projects/{project}/generate', { project }), made);
          return { kind: 'opening', content: { ...made, ...(drawn.wall ? { seen: drawn.wall.seen } : {}) } };
        },
      );
      const joint = { kind: row.kind, between: row.between };
      const said = building.connections?.find(
        (c) =>
          typeof c.joint !== 'string' &&
          c.joint.kind === row.kind &&
          [...(c.joint.between ?? [])].sort().join() === [...row.between].sort().join(),
      );
      const rest = (building.connections ?? []).filter((c) => c !== said);
      change({ ...building, connections: [...rest, { ...said, joint, detail: id }] });
    },
    onSuccess: () => setWhy(null),
    onError: (error) => setWhy(wordsOf(error)),
  });
  const rows = derived.undetailed.map((row) => ({
    row,
    proposal: derived.proposals.find(
      (p) => p.kind === row.kind && p.upright === row.upright && p.between.join() === row.between.join(),
    ),
  }));
  return (
    <Part title="No detail yet" count={rows.length} of="undetailed">
      {why !== null && (
        <p role="alert" className="whitespace-pre-line text-fail">
          {why}
        </p>
      )}
      <ul>
        {rows.map(({ row, proposal }) => (
          <li
            key={`${row.kind} ${row.between.join()} ${String(row.upright)}`}
            className="flex flex-wrap justify-between gap-x-3 border-t border-hair py-[3px]"
            data-undetailed={row.kind}
          >
            <span>
              <b>{KINDS[row.kind]}</b> {row.between.filter((b) => b !== '').join(' and ')}: {row.count},{' '}
              {show(row.length_m, 'run', units)}
              {proposal && proposal.folded.length > 0 && (
                <span className="text-faint">
                  {' '}
                  ·{' '}
                  {proposal.folded
                    .map((c) => `${c} lies ${show(proposal.offsets_mm[c] ?? 0, 'length', units)} apart`)
                    .join(', ')}
                  : folded round the edge between
                </span>
              )}
            </span>
            {proposal?.method && mayEdit ? (
              <button className="link" disabled={make.isPending} onClick={() => make.mutate(proposal)}>
                make it: {methods.find((m) => m.name === proposal.method)?.title ?? proposal.method}
              </button>
            ) : (
              <span className="text-faint">to be drawn by hand</span>
            )}
          </li>
        ))}
      </ul>
    </Part>
  );
}
