import { useState } from 'react';
import { useDocuments } from '../../api/hooks';
import type { Building } from '../../api/types';
import { freeId } from '../../ui/freeId';
import { QuantityField } from '../../ui/QuantityField';
import { GROUND, MOVEMENT, OPENINGS, STRETCHES, THROUGH, WALLS } from './lines';
import { PITCH_DEG, STOREY_MM } from '../../material/starts';
import { TableField } from '../../ui/TableField';
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
  building: Building;
  change: (building: Building, run?: string) => void;
}

/** Blocks as they are said: the plan as a walk round it, levels, what each side is built of. */
export function Blocks({ building, change }: Props) {
  const { blocks } = building;
  const add = (outline: number[][]) => {
    const id = freeId(
      blocks.map((b) => b.id),
      'b',
    );
    const [last] = blocks.slice(-1);
    // As the last one, until it is said otherwise.
    const alike = Object.keys(ASSEMBLIES)
      .map((key) => [key, last?.[key as keyof Block]] as const)
      .filter(([, said]) => said !== undefined);
    const next: Block = {
      ...(Object.fromEntries(alike) as Partial<Block>),
      id,
      outline,
      base_mm: last?.base_mm ?? 0,
      top_mm: last?.top_mm ?? STOREY_MM,
    };
    change({ ...building, blocks: [...blocks, next] });
  };
  return (
    <div className="text-[12px]" data-blocks>
      {blocks.map((block) => (
        <BlockRow
          key={block.id}
          block={block}
          set={(next, run) => change({ ...building, blocks: blocks.map((b) => (b.id === block.id ? next : b)) }, run)}
          remove={
            blocks.length > 1
              ? () => change({ ...building, blocks: blocks.filter((b) => b.id !== block.id) })
              : undefined
          }
        />
      ))}
      <PlanField add={add} />
      <Standing {...{ building, change }} />
    </div>
  );
}

/** The plan of one block, typed as the walk round it. */
export function PlanField({ add, first = false }: { add: (outline: number[][]) => void; first?: boolean }) {
  const [walk, setWalk] = useState('');
  const [why, setWhy] = useState<string | null>(null);
  return (
    <form
      className="flex flex-wrap items-baseline gap-2 border-t border-hair py-2"
      onSubmit={(event) => {
        event.preventDefault();
        const read = readWalk(walk);
        if ('why' in read) return setWhy(read.why);
        setWhy(null);
        setWalk('');
        add(read.corners);
      }}
    >
      <label className="grow">
        {first ? 'The plan, as you walk round it' : 'one more block'}{' '}
        <input
          aria-label="The plan, as you walk round it"
          className="w-[26rem] max-w-full"
          placeholder="12000, left 8000, left 12000"
          value={walk}
          onChange={(e) => setWalk(e.target.value)}
        />
      </label>
      <button className="act">draw it</button>
      {why !== null && (
        <span role="alert" className="text-fail">
          {why}
        </span>
      )}
    </form>
  );
}

type Put = (part: { [K in keyof Block]?: Block[K] | undefined }, run?: string) => void;

interface RowProps {
  block: Block;
  set: (block: Block, run?: string) => void;
  remove: (() => void) | undefined;
}

function BlockRow({ block, set, remove }: RowProps) {
  const assemblies = useDocuments().data?.assemblies ?? [];
  const [walk, setWalk] = useState<string | null>(null);
  const read = walk === null ? null : readWalk(walk);
  const put: Put = (part, run) =>
    set(
      Object.fromEntries(
        Object.entries({ ...block, ...part }).filter(([, said]) => said !== undefined && said !== ''),
      ) as unknown as Block,
      run,
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
        onChange={(v) => put({ base_mm: v }, `base of ${block.id}`)}
      />
      <QuantityField
        label="to"
        dimension="length"
        value={block.top_mm}
        width="5.5rem"
        onChange={(v) => put({ top_mm: v }, `top of ${block.id}`)}
      />
      <select
        aria-label={`Inside of ${block.id}`}
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
      <Roof {...{ block, put }} />
      {remove && (
        <button className="link" onClick={remove}>
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
          put={(rows) =>
            put({ walls: rows.length > 0 ? Object.fromEntries(rows.map((r) => [r.edge, r.assembly])) : undefined })
          }
        />
        <TableField
          label={`Stretches of the walls of ${block.id}`}
          table={STRETCHES}
          rows={block.stretches ?? []}
          put={(rows) => put({ stretches: rows.length > 0 ? rows : undefined })}
        />
        <TableField
          label={`Ground along the sides of ${block.id}`}
          table={GROUND}
          rows={Object.entries(block.ground_mm ?? {}).map(([edge, level]) => ({ edge: Number(edge), level }))}
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
function Roof({ block, put }: { block: Block; put: Put }) {
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
  const [pitch, side] = [form?.pitch_deg ?? PITCH_DEG, form?.low_edge ?? form?.ridge_along ?? 0];
  return (
    <>
      <label>
        <span className="text-faint">it ends</span>{' '}
        <select
          aria-label={`Roof of ${block.id}`}
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
function Standing({ building, change }: Props) {
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
        put={(rows) => change({ ...building, placed: [...rows, ...through] })}
      />
      <TableField
        label="Things through the envelope"
        table={THROUGH}
        rows={through}
        put={(rows) => change({ ...building, placed: [...openings, ...rows] })}
      />
      <TableField
        label="Movement joints"
        table={MOVEMENT}
        rows={movement}
        put={(rows) => change({ ...building, movement: rows })}
      />
    </details>
  );
}
