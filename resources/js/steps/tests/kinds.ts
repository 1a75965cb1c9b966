import type { FieldTest, TestKind } from '../../api/types';
import { numbers, type Table } from '../../ui/lines';
import { LEAKS } from './lines';

type Of<K extends TestKind> = Extract<FieldTest, { kind: K }>;
type Run = Of<'water'>['runs'][number];
type Pull = Of<'adhesion'>['readings'][number];

/** A number of a test, by its key. */
export interface NumberField {
  key: string;
  label: string;
  least: number;
  most: number;
  /** shown only where the test is made so */
  by?: string[];
}

/** What is filled in of a kind of test, besides what all have. */
export interface KindForm {
  /** as it begins */
  begun: Record<string, unknown>;
  by?: { value: string; words: string }[];
  numbers: NumberField[];
}

export const FORMS: Record<Exclude<TestKind, 'fan'>, KindForm> = {
  water: {
    begun: { by: 'spray', runs: [] },
    by: [
      { value: 'spray', words: 'spray grid' },
      { value: 'nozzle', words: 'hose with a calibrated nozzle' },
    ],
    numbers: [
      { key: 'area_m2', label: 'under the spray, m²', least: 0.01, most: 10000, by: ['spray'] },
      { key: 'flow_l_min', label: 'flow, L/min', least: 0.01, most: 10000, by: ['spray'] },
      { key: 'pressure_pa', label: 'pressure, Pa', least: 0, most: 5000, by: ['spray'] },
      { key: 'grid_mm', label: 'grid to wall, mm', least: 50, most: 3000, by: ['spray'] },
      { key: 'nozzle_kpa', label: 'at the nozzle, kPa', least: 1, most: 2000, by: ['nozzle'] },
      { key: 'distance_mm', label: 'to the joint, mm', least: 10, most: 5000, by: ['nozzle'] },
    ],
  },
  smoke: {
    begun: { by: 'smoke', pressure_pa: 20 },
    by: [
      { value: 'smoke', words: 'smoke' },
      { value: 'infrared', words: 'infrared' },
    ],
    numbers: [
      { key: 'pressure_pa', label: 'pressure, Pa', least: -500, most: 500 },
      { key: 'indoor_c', label: 'inside, °C', least: -60, most: 60, by: ['infrared'] },
      { key: 'outdoor_c', label: 'outside, °C', least: -60, most: 60, by: ['infrared'] },
    ],
  },
  adhesion: {
    begun: { by: 'pull-off', dolly_mm: 20, least_mpa: 0.7, readings: [] },
    by: [
      { value: 'pull-off', words: 'dolly pulled off' },
      { value: 'peel', words: 'strip peeled by hand' },
      { value: 'tail', words: 'tail of a sealant' },
    ],
    numbers: [
      { key: 'dolly_mm', label: 'dolly, mm', least: 1, most: 1000, by: ['pull-off'] },
      { key: 'least_mpa', label: 'at the least, MPa', least: 0.001, most: 10000, by: ['pull-off'] },
      { key: 'width_mm', label: 'strip, mm', least: 1, most: 1000, by: ['peel'] },
      { key: 'least_n_mm', label: 'at the least, N/mm', least: 0.001, most: 10000, by: ['peel'] },
      { key: 'gauge_mm', label: 'tail unpulled, mm', least: 1, most: 1000, by: ['tail'] },
      { key: 'least_pct', label: 'longer by at least, %', least: 0.001, most: 10000, by: ['tail'] },
    ],
  },
  film: {
    begun: { least_um: 400, area_m2: 10, spots: [] },
    numbers: [
      { key: 'least_um', label: 'at the least, µm dry', least: 1, most: 100000 },
      { key: 'area_m2', label: 'of surface, m²', least: 0.01, most: 1e6 },
      { key: 'used_l', label: 'used, L', least: 0.01, most: 1e6 },
      { key: 'solids_pct', label: 'solids, %', least: 1, most: 100 },
    ],
  },
  moisture: {
    begun: { of: 'lumber', wood_c: 15, readings: [] },
    numbers: [
      { key: 'wood_c', label: 'of the wood, °C', least: -40, most: 80 },
      { key: 'most_pct', label: 'at the most, %', least: 1, most: 100 },
      { key: 'species_add_pct', label: 'the meter’s book adds, %', least: -20, most: 20 },
    ],
  },
};

/** What another way of making it asks for, with what it usually is; what the way before asked goes. */
export const WAYS: Record<string, Record<string, number>> = {
  'pull-off': { dolly_mm: 20, least_mpa: 0.7 },
  peel: { width_mm: 100, least_n_mm: 0.44 },
  tail: { gauge_mm: 25, least_pct: 250 },
};

export const RUNS: Table<Run> = {
  head: ['where'],
  columns:
    'where; minutes; m of joint; mm over the sill; masked or not; then, where water came: after min, facet, what',
  example: 'sill, 5, 1.5, 0, masked',
  row: ([where, minutes, length, up, masked, after, facet, ...seen]) => {
    const read = numbers([minutes]);
    if (!where || !read || (read[0] ?? 0) <= 0) return null;
    const one = (cell: string | undefined) => (cell === undefined || cell === '' ? undefined : numbers([cell])?.[0]);
    const [m, mm, min] = [one(length), one(up), one(after)];
    const given = [length, up, after].filter((cell) => cell !== undefined && cell !== '').length;
    if (given !== [m, mm, min].filter((v) => v !== undefined).length) return null;
    const words = seen.filter((cell) => cell !== '').join(', ');
    return {
      where,
      minutes: read[0] ?? 0,
      ...(m === undefined ? {} : { length_m: m }),
      ...(mm === undefined ? {} : { up_mm: mm }),
      ...(masked === 'masked' ? { masked: true } : {}),
      ...(min === undefined ? {} : { seen: { after_min: min, words: words || 'water', ...(facet ? { facet } : {}) } }),
    };
  },
  cells: (run) => [
    run.where,
    run.minutes,
    run.length_m ?? '',
    run.up_mm ?? '',
    run.masked ? 'masked' : '',
    ...(run.seen ? [run.seen.after_min, run.seen.facet ?? '', run.seen.words] : []),
  ],
};

const MODES = ['substrate', 'cohesive', 'adhesive', 'glue'] as const;

/** Forces in newton; of a tail, its length in mm as it was pulled. */
export const pulls = (tail: boolean): Table<Pull> => ({
  head: ['force', 'pulled', 'n'],
  columns: `${tail ? 'mm that it was pulled to' : 'N'}; where it let go: ${MODES.join(', ')}`,
  example: tail ? '100, cohesive' : '500, substrate',
  row: ([value, mode, ...more]) => {
    const read = numbers([value]);
    const went = MODES.find((m) => m === mode?.trim());
    if (!read || !went || more.length > 0 || (read[0] ?? -1) < 0) return null;
    return tail ? { pulled_mm: read[0] ?? 0, mode: went } : { force_n: read[0] ?? 0, mode: went };
  },
  cells: (pull) => [pull.force_n ?? pull.pulled_mm ?? '', pull.mode],
});

export const SPOTS: Table<number[]> = {
  head: ['spot'],
  columns: 'µm, three readings or more of one spot in a line',
  example: '410, 405, 420',
  row: (cells) => {
    const read = numbers(cells.filter((cell) => cell !== ''));
    return read && read.length > 0 && read.every((v) => v >= 0) ? read : null;
  },
  cells: (spot) => spot,
};

export const PLACES: Table<string> = {
  head: ['joint', 'part'],
  columns: 'the joints and parts that were looked at, one in a line',
  example: 'parapet:hall.roof|hall.wall.0',
  row: (cells) => cells.join(', ').trim() || null,
  cells: (place) => [place],
};

export { LEAKS };
