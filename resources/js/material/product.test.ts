import { expect, test } from 'vitest';
import { FACTS, productOf, readFact, saidOf, typedOf, type Product } from './product';

const fact = (key: string) => {
  const found = FACTS.find((f) => f.key === key);
  if (!found) throw new Error(key);
  return found;
};

test('a data sheet that says nothing of laying it leaves nothing', () => {
  expect(productOf({}, 'si')).toBeUndefined();
  expect(productOf({ sun_days: ' ' }, 'si')).toBeUndefined();
});

test('what a sheet says is typed as it is printed, in either system', () => {
  expect(productOf({ application_c: '-18 to 50 C', damp_face: 'yes', sun_days: '120 days' }, 'si')).toEqual({
    application_c: [-18, 50],
    damp_face: true,
    sun_days: 120,
  });
  expect(readFact(fact('application_c'), '14 F to 122 F', 'si')).toEqual([-10, 50]);
  expect(readFact(fact('roll_m'), '1.5 m × 30 m', 'us')).toEqual([1.5, 30]);
  expect(readFact(fact('working_range_mm'), '10 to 18 mm', 'si')).toEqual([10, 18]);
  expect(readFact(fact('primer_on'), 'none', 'si')).toEqual([]);
  expect(readFact(fact('primer_on'), 'Concrete, glass-mat gypsum', 'si')).toEqual(['concrete', 'glass-mat-gypsum']);
  expect(readFact(fact('cure_at'), '5 C: 72 h, 23 C: 24', 'si')).toEqual([
    [5, 72],
    [23, 24],
  ]);
});

test('everything that can be said comes back as it was, shown and typed again', () => {
  const all: Product = {
    application_c: [-18, 50],
    service_c: [-40, 80],
    damp_face: false,
    sun_days: 120,
    open_min: 60,
    tack_free_min: 30,
    recoat_h: 4,
    cure_h: 24,
    primer_on: ['concrete'],
    roll: true,
    working_range_mm: [10, 18],
    tested_with: ['osb', 'x-1'],
    coverage_m2_l: 1.2,
    solids_pct: 50,
    roll_m: [1.5, 30],
    board_mm: [1220, 2440],
    pack_l: 19,
    lap_mm: [150, 100],
    cure: 'neutral',
    coating: 'hot-dip',
    fasteners: ['stainless'],
    primed_c: -4,
    nail_seal: 'two-layers',
    storage: 'dry, under cover',
    cure_at: [
      [5, 72],
      [23, 24],
    ],
  };
  expect(FACTS.map((f) => f.key).sort()).toEqual(Object.keys(all).sort());
  expect(productOf(typedOf(all, 'si'), 'si')).toEqual(all);
  expect(saidOf(fact('application_c'), all, 'us')).toBe('0 °F to 122 °F');
  // What nobody touched is not rounded to what was shown.
  expect(productOf({ ...typedOf(all, 'us'), sun_days: '90' }, 'us', all)).toEqual({ ...all, sun_days: 90 });
});

test.each([
  ['application_c', '-18', /both the least and the most/],
  ['application_c', 'cold to warm', /cannot be read/],
  ['sun_days', 'a while', /a number/],
  ['primer_on', 'concrete, cheese', /no family “cheese”/],
  ['roll_m', '30 m', /width and length/],
  ['cure_at', '72 h', /a temperature and hours/],
])('what cannot be read is told and not guessed: %s %s', (key, typed, why) => {
  expect(() => readFact(fact(key), typed, 'si')).toThrow(why);
});
