import type { Building } from '../../api/types';
import { numbers, type Table } from '../../ui/lines';

type Placed = NonNullable<Building['placed']>[number];
type Movement = NonNullable<Building['movement']>[number];
type Stretch = NonNullable<Building['blocks'][number]['stretches']>[number];

const ON = ['roof', 'slab', 'soffit'] as const;

/** Where a thing stands: block and edge, or a block and what of it is level; two lengths. */
function place(cells: string[]): Omit<Placed, 'opening' | 'detail'> | null {
  const [block, edge, a, b] = cells;
  const at = numbers([a, b]);
  if (!block || !at) return null;
  const on = ON.find((kind) => kind === edge);
  if (on) return { block, on, at_mm: [at[0] ?? 0, at[1] ?? 0] };
  const side = numbers([edge]);
  if (!side || !Number.isInteger(side[0]) || (side[0] ?? -1) < 0) return null;
  return { block, edge: side[0] ?? 0, x_mm: at[0] ?? 0, z_mm: at[1] ?? 0 };
}

const placed = (row: Placed): (string | number | undefined)[] =>
  row.on === undefined
    ? [row.block, row.edge, row.x_mm, row.z_mm]
    : [row.block, row.on, row.at_mm?.[0], row.at_mm?.[1]];

export const OPENINGS: Table<Placed> = {
  head: ['opening'],
  columns: 'opening, block, side, x, z, and its U where it is stated',
  example: 'o4, hall, 0, 3000, 900',
  row: ([opening, ...cells]) => {
    const at = place(cells);
    if (!opening || !at || cells.length > 5) return null;
    const u = cells[4];
    const stated = u === undefined || u === '' ? null : numbers([u]);
    if (u !== undefined && u !== '' && (!stated || (stated[0] ?? 0) <= 0)) return null;
    return { opening, ...at, ...(stated ? { u_w_m2k: stated[0] ?? 0 } : {}) };
  },
  cells: (row) => [row.opening, ...placed(row), row.u_w_m2k],
};

export const THROUGH: Table<Placed> = {
  head: ['detail', 'thing'],
  columns: 'detail, block, side, x, z, and how many of them',
  example: 'd2, hall, 1, 1500, 2500, 3',
  row: ([detail, ...cells]) => {
    const at = place(cells);
    if (!detail || !at || cells.length > 5) return null;
    const count = cells[4];
    const said = count === undefined || count === '' ? [1] : numbers([count]);
    if (!said || !Number.isInteger(said[0]) || (said[0] ?? 0) < 1) return null;
    return { detail, ...at, ...(said[0] === 1 ? {} : { count: said[0] ?? 1 }) };
  },
  cells: (row) => [row.detail, ...placed(row), row.count],
};

export const MOVEMENT: Table<Movement> = {
  head: ['movement', 'name'],
  columns: 'a name, block, side, x',
  example: 'm1, hall, 0, 6000',
  row: ([id, block, ...cells]) => {
    const at = numbers(cells);
    return id && block && at?.length === 2 && Number.isInteger(at[0])
      ? { id, block, edge: at[0] ?? 0, x_mm: at[1] ?? 0 }
      : null;
  },
  cells: (row) => [row.id, row.block, row.edge, row.x_mm],
};

export const STRETCHES: Table<Stretch> = {
  head: ['edge', 'side'],
  columns: 'side, from, to, its assembly, and its two levels where it is not as high as the wall',
  example: '0, 2000, 5000, w3',
  row: ([edge, from, to, assembly, ...levels]) => {
    const at = numbers([edge, from, to]);
    const heights = levels.filter((cell) => cell !== '').length === 0 ? [] : numbers(levels);
    if (!at || !assembly || heights === null || ![0, 2].includes(heights.length)) return null;
    return {
      edge: at[0] ?? 0,
      from_mm: at[1] ?? 0,
      to_mm: at[2] ?? 0,
      assembly,
      ...(heights.length === 2 ? { base_mm: heights[0] ?? 0, top_mm: heights[1] ?? 0 } : {}),
    };
  },
  cells: (row) => [row.edge, row.from_mm, row.to_mm, row.assembly, row.base_mm, row.top_mm],
};

export const GROUND: Table<{ edge: number; level: number }> = {
  head: ['edge', 'side'],
  columns: 'side, level of the ground along it',
  example: '2, -1800',
  row: (cells) => {
    const at = numbers(cells);
    return at?.length === 2 && Number.isInteger(at[0]) ? { edge: at[0] ?? 0, level: at[1] ?? 0 } : null;
  },
  cells: (row) => [row.edge, row.level],
};

export const WALLS: Table<{ edge: number; assembly: string }> = {
  head: ['edge', 'side'],
  columns: 'side, what it is built of',
  example: '2, w3',
  row: ([edge, assembly, ...more]) => {
    const at = numbers([edge]);
    return at && Number.isInteger(at[0]) && assembly && more.length === 0 ? { edge: at[0] ?? 0, assembly } : null;
  },
  cells: (row) => [row.edge, row.assembly],
};
