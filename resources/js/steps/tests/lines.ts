import type { FanTest } from '../../api/types';
import { numbers, type Table } from '../../ui/lines';

type Reading = FanTest['points'][number];
type Leak = NonNullable<FanTest['leaks']>[number];

export const READINGS: Table<Reading> = {
  head: ['pressure', 'pressure_pa', 'pa'],
  columns: 'Pa with its sign, building less outdoors; m³/h at the fan; a weight where readings have one',
  example: '-50.1, 487',
  row: ([pressure, flow, weight, ...more]) => {
    const read = numbers([pressure, flow]);
    const weighs = weight === undefined || weight === '' ? null : numbers([weight]);
    if (!read || more.length > 0 || (read[1] ?? -1) < 0) return null;
    if (weight !== undefined && weight !== '' && (!weighs || (weighs[0] ?? 0) <= 0)) return null;
    return { pressure_pa: read[0] ?? 0, flow_m3_h: read[1] ?? 0, ...(weighs ? { weight: weighs[0] ?? 1 } : {}) };
  },
  cells: (row) => [row.pressure_pa, row.flow_m3_h, row.weight],
};

export const LEAKS: Table<Leak> = {
  head: ['joint', 'part'],
  columns: 'the joint or part it is at, or nothing; what was seen',
  example: 'head:reading.opening.o11, smoke at the left corner',
  row: ([joint, ...seen]) => {
    const words = seen.filter((cell) => cell !== '').join(', ');
    return words === '' ? null : { words, ...(joint ? { joint } : {}) };
  },
  cells: (row) => [row.joint ?? '', row.words],
};

/** `-1.9, -1.7`; null where one of them is no number. */
export function readPressures(typed: string): number[] | null {
  const cells = typed
    .trim()
    .split(/[\s,;]+/)
    .filter((cell) => cell !== '');
  return cells.length === 0 ? [] : numbers(cells);
}
