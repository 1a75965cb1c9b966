import { useState, type FormEvent } from 'react';
import { useDocuments } from '../../api/hooks';
import type { Building } from '../../api/types';
import { freeId } from '../../ui/freeId';
import { QuantityField } from '../../ui/QuantityField';
import { readPlaces, readWalk, walkOf } from './walk';

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
  const change = (next: Block[]) => {
    if (next.length > 0) void save({ ...building, blocks: next }).catch(() => undefined);
  };
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
          remove={blocks.length > 1 ? () => change(blocks.filter((b) => b.id !== block.id)) : undefined}
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
      {building && <Places building={building} pending={pending} save={save} />}
    </div>
  );
}

interface RowProps {
  block: Block;
  pending: boolean;
  set: (block: Block) => void;
  remove: (() => void) | undefined;
}

function BlockRow({ block, pending, set, remove }: RowProps) {
  const assemblies = useDocuments().data?.assemblies ?? [];
  const [walk, setWalk] = useState<string | null>(null);
  const read = walk === null ? null : readWalk(walk);
  const put = (part: Partial<Block>) =>
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
    </fieldset>
  );
}

/** Openings in their places, as a table is pasted. */
function Places({ building, pending, save }: { building: Building } & Omit<Props, 'building'>) {
  const upright = (building.placed ?? []).filter((p) => p.opening !== undefined && p.edge !== undefined);
  const others = (building.placed ?? []).filter((p) => !upright.includes(p));
  const lines = upright.map((p) => [p.opening, p.block, p.edge, p.x_mm, p.z_mm].join(', ')).join('\n');
  const [text, setText] = useState<string | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  return (
    <details className="border-t border-hair py-2" data-places>
      <summary>openings in their places: {upright.length}</summary>
      <p className="text-faint">
        One to a line: opening, block, edge, x of its left jamb, z of its sill, mm. Edges count from 0 as the plan is
        walked; x from the left end seen from outside.
      </p>
      <textarea
        aria-label="Openings in their places"
        className="h-[7rem] w-full max-w-[34rem]"
        value={text ?? lines}
        placeholder="o4, hall, 0, 3000, 900"
        onChange={(e) => setText(e.target.value)}
      />
      <p>
        <button
          className="act"
          disabled={pending || text === null}
          onClick={() => {
            const read = readPlaces(text ?? '');
            if ('why' in read) return setWhy(read.why);
            setWhy(null);
            save({ ...building, placed: [...read.placed, ...others] }).then(
              () => setText(null),
              () => undefined,
            );
          }}
        >
          put them there
        </button>{' '}
        {why !== null && (
          <span role="alert" className="text-fail">
            {why}
          </span>
        )}
      </p>
    </details>
  );
}
