import { useState, type FormEvent } from 'react';
import { useDocuments } from '../../api/hooks';
import type { Building } from '../../api/types';
import { freeId } from '../../ui/freeId';
import { QuantityField } from '../../ui/QuantityField';
import { GROUND, MOVEMENT, OPENINGS, STRETCHES, THROUGH, WALLS } from './lines';
import { TableField } from './TableField';
import { readWalk, walkOf } from './walk';

type Block = Building['blocks'][number];

const ASSEMBLIES = {
  wall: 'walls',
  roof: 'roof',
  slab: 'slab',
  foundation: 'foundation walls',
  soffit: 'soffit',
  floor: 'floor to unheated',
} as const;

interface Props {
  building: Building | undefined;
  pending: boolean;
  save: (building: Building) => Promise<unknown>;
}

/** Blocks as they are said: the plan as a walk round it, levels, what each side is built of. */
export function Blocks({ building, pending, save }: Props) {
  const blocks = building?.blocks ?? [];
  const [walk, setWalk] = useState('');
  const [why, setWhy] = useState<string | null>(null);
  const change = (next: Block[]): Promise<unknown> =>
    next.length > 0 ? save({ ...building, blocks: next }) : Promise.resolve();
  // What is refused is said over the blocks; a table of lines keeps what was typed.
  const quietly = (done: Promise<unknown>) => void done.catch(() => undefined);
  const add = (event: FormEvent) => {
    event.preventDefault();
    const read = readWalk(walk);
    if ('why' in read) return setWhy(read.why);
    setWhy(null);
    const id = freeId(
      blocks.map((b) => b.id),
      'b',
    );
    const [last] = blocks.slice(-1);
    const next: Block = {
      ...(last ? Object.fromEntries(Object.keys(ASSEMBLIES).map((key) => [key, last[key as keyof Block]])) : {}),
      id,
      outline: read.corners,
      base_mm: last?.base_mm ?? 0,
      top_mm: last?.top_mm ?? 3000,
    };
    const kept = Object.fromEntries(Object.entries(next).filter(([, v]) => v !== undefined)) as unknown as Block;
    save({ ...building, blocks: [...blocks, kept] }).then(
      () => setWalk(''),
      () => undefined,
    );
  };
  return (
    <div className="text-[12px]" data-blocks>
      {blocks.map((block) => (
        <BlockRow
          key={block.id}
          block={block}
          pending={pending}
          set={(next) => change(blocks.map((b) => (b.id === block.id ? next : b)))}
          remove={blocks.length > 1 ? () => quietly(change(blocks.filter((b) => b.id !== block.id))) : undefined}
        />
      ))}
      <form className="flex flex-wrap items-baseline gap-2 border-t border-hair py-2" onSubmit={add}>
        <label className="grow">
          {blocks.length === 0 ? 'The plan, as you walk round it' : 'one more block'}{' '}
          <input
            aria-label="The plan, as you walk round it"
            className="w-[26rem] max-w-full"
            placeholder="12000, left 8000, left 12000"
            value={walk}
            onChange={(e) => setWalk(e.target.value)}
          />
        </label>
        <button className="act" disabled={pending}>
          draw it
        </button>
        {why !== null && (
          <span role="alert" className="text-fail">
            {why}
          </span>
        )}
      </form>
      {building && <Standing {...{ building, pending, save }} />}
    </div>
  );
}

type Put = (part: { [K in keyof Block]?: Block[K] | undefined }) => unknown;

interface RowProps {
  block: Block;
  pending: boolean;
  set: (block: Block) => unknown;
  remove: (() => void) | undefined;
}

function BlockRow({ block, pending, set, remove }: RowProps) {
  const assemblies = useDocuments().data?.assemblies ?? [];
  const [walk, setWalk] = useState<string | null>(null);
  const read = walk === null ? null : readWalk(walk);
  const put: Put = (part) =>
    set(
      Object.fromEntries(
        Object.entries({ ...block, ...part }).filter(([, said]) => said !== undefined && said !== ''),
      ) as unknown as Block,
    );
  return (
    <fieldset className="flex flex-wrap items-baseline gap-x-3 gap-y-1 border-t border-hair py-2" data-block={block.id}>
      <legend className="sr-only">Block {block.id}</legend>
      <b>{block.id}</b>
      <input
        aria-label={`Plan of ${block.id}`}
        className="w-[24rem] max-w-full"
        value={walk ?? walkOf(block.outline)}
        onChange={(e) => setWalk(e.target.value)}
        onBlur={() => {
          if (read && 'corners' in read) {
            put({ outline: read.corners });
            setWalk(null);
          }
        }}
      />
      <QuantityField
        label="from"
        dimension="length"
        value={block.base_mm}
        least={-2e6}
        hideLabel={false}
        width="5.5rem"
        onChange={(v) => put({ base_mm: v })}
      />
      <QuantityField
        label="to"
        dimension="length"
        value={block.top_mm}
        width="5.5rem"
        onChange={(v) => put({ top_mm: v })}
      />
      <select
        aria-label={`Inside of ${block.id}`}
        disabled={pending}
        value={block.inside ?? 'conditioned'}
        onChange={(e) => put({ inside: e.target.value as NonNullable<Block['inside']> })}
      >
        <option value="conditioned">heated</option>
        <option value="unconditioned">unheated</option>
        <option value="open">open</option>
      </select>
      {Object.entries(ASSEMBLIES).map(([key, words]) => (
        <label key={key}>
          <span className="text-faint">{words}</span>{' '}
          <select
            className="max-w-[9rem]"
            disabled={pending}
            value={String(block[key as keyof typeof ASSEMBLIES] ?? '')}
            onChange={(e) => put({ [key]: e.target.value })}
          >
            <option value="">none yet</option>
            {assemblies.map((d) => (
              <option key={d.key} value={d.key}>
                {d.content.name}
              </option>
            ))}
          </select>
        </label>
      ))}
      <Roof {...{ block, pending, put }} />
      {remove && (
        <button className="link" onClick={remove} disabled={pending}>
          take {block.id} out
        </button>
      )}
      {read && 'why' in read && (
        <span role="alert" className="w-full text-fail">
          {read.why}
        </span>
      )}
      <details className="w-full" data-sides={block.id}>
        <summary>its sides one by one</summary>
        <p className="text-faint">
          Sides count from 0 as the plan was walked; lengths from their left end seen from outside, in mm.
        </p>
        <TableField
          label={`Sides of ${block.id} of another assembly`}
          table={WALLS}
          rows={Object.entries(block.walls ?? {}).map(([edge, assembly]) => ({ edge: Number(edge), assembly }))}
          {...{ pending }}
          put={(rows) =>
            put({ walls: rows.length > 0 ? Object.fromEntries(rows.map((r) => [r.edge, r.assembly])) : undefined })
          }
        />
        <TableField
          label={`Stretches of the walls of ${block.id}`}
          table={STRETCHES}
          rows={block.stretches ?? []}
          {...{ pending }}
          put={(rows) => put({ stretches: rows.length > 0 ? rows : undefined })}
        />
        <TableField
          label={`Ground along the sides of ${block.id}`}
          table={GROUND}
          rows={Object.entries(block.ground_mm ?? {}).map(([edge, level]) => ({ edge: Number(edge), level }))}
          {...{ pending }}
          put={(rows) =>
            put({ ground_mm: rows.length > 0 ? Object.fromEntries(rows.map((r) => [r.edge, r.level])) : undefined })
          }
        />
      </details>
    </fieldset>
  );
}

const FORMS = {
  parapet: 'flat, with a parapet',
  eaves: 'flat, with eaves',
  mono: 'sloped one way',
  gable: 'gable',
} as const;
type Form = keyof typeof FORMS;

/** How a block ends at the top: flat, or rising from its low side, or to a ridge along one. */
function Roof({ block, pending, put }: { block: Block; pending: boolean; put: Put }) {
  const form = block.roof_form;
  const is: Form = form === undefined || form.kind === 'flat' ? (form?.edge ?? 'parapet') : form.kind;
  const of = (kind: Form, pitch: number, side: number): Block['roof_form'] =>
    kind === 'mono'
      ? { kind, pitch_deg: pitch, low_edge: side }
      : kind === 'gable'
        ? { kind, pitch_deg: pitch, ridge_along: side }
        : kind === 'eaves'
          ? { kind: 'flat', edge: kind }
          : undefined;
  const [pitch, side] = [form?.pitch_deg ?? 30, form?.low_edge ?? form?.ridge_along ?? 0];
  return (
    <>
      <label>
        <span className="text-faint">it ends</span>{' '}
        <select
          aria-label={`Roof of ${block.id}`}
          disabled={pending}
          value={is}
          onChange={(e) => put({ roof_form: of(e.target.value as Form, pitch, side) })}
        >
          {Object.entries(FORMS).map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </select>
      </label>
      {(is === 'mono' || is === 'gable') && (
        <>
          <label>
            <span className="text-faint">at</span>{' '}
            <select
              aria-label={`Pitch of ${block.id}`}
              disabled={pending}
              value={pitch}
              onChange={(e) => put({ roof_form: of(is, Number(e.target.value), side) })}
            >
              {[...new Set([...PITCHES, pitch])]
                .sort((a, b) => a - b)
                .map((deg) => (
                  <option key={deg} value={deg}>
                    {deg}°
                  </option>
                ))}
            </select>
          </label>
          <label>
            <span className="text-faint">{is === 'mono' ? 'low along side' : 'its ridge along side'}</span>{' '}
            <select
              aria-label={`Side that the roof of ${block.id} goes by`}
              disabled={pending}
              value={side}
              onChange={(e) => put({ roof_form: of(is, pitch, Number(e.target.value)) })}
            >
              {block.outline.map((_, i) => (
                <option key={i} value={i}>
                  {i}
                </option>
              ))}
            </select>
          </label>
        </>
      )}
    </>
  );
}

const PITCHES = [2, 5, 10, 15, 18, 20, 25, 30, 35, 40, 45, 50, 55, 60];

/** What stands in the building: openings, things through it, movement joints; each as a table. */
function Standing({ building, pending, save }: { building: Building } & Omit<Props, 'building'>) {
  const placed = building.placed ?? [];
  const openings = placed.filter((p) => p.opening !== undefined);
  const through = placed.filter((p) => p.opening === undefined);
  const movement = building.movement ?? [];
  return (
    <details className="border-t border-hair py-2" data-places>
      <summary>
        openings in their places: {openings.length}; things through: {through.length}; movement joints:{' '}
        {movement.length}
      </summary>
      <p className="text-faint">
        One to a line, mm: sides count from 0 as the plan is walked, x from the left end seen from outside, z a level.
        In place of a side: roof, slab or soffit, with x and y on plan.
      </p>
      <TableField
        label="Openings in their places"
        table={OPENINGS}
        rows={openings}
        {...{ pending }}
        put={(rows) => save({ ...building, placed: [...rows, ...through] })}
      />
      <TableField
        label="Things through the envelope"
        table={THROUGH}
        rows={through}
        {...{ pending }}
        put={(rows) => save({ ...building, placed: [...openings, ...rows] })}
      />
      <TableField
        label="Movement joints"
        table={MOVEMENT}
        rows={movement}
        {...{ pending }}
        put={(rows) => save({ ...building, movement: rows })}
      />
    </details>
  );
}
