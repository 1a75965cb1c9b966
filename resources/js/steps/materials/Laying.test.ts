import { expect, test } from 'vitest';
import { layingOf, productOf } from './Laying';

const typed = { sticks: 'acrylic', low: '', high: '', damp: '', sun: '', solids: '', pack: '' } as const;

test('a data sheet that says nothing of laying it leaves nothing, and one that says some of it keeps the rest', () => {
  expect(productOf(typed, undefined)).toBeUndefined();
  expect(productOf({ ...typed, low: '-18', high: '50', damp: 'yes' }, { open_min: 60, sun_days: 90 })).toEqual({
    open_min: 60,
    application_c: [-18, 50],
    damp_face: true,
  });
  const before = { sticks: 'butyl', product: { application_c: [-5, 40], damp_face: false, pack_l: 19 } };
  const as = layingOf(before as unknown as Parameters<typeof layingOf>[0]);
  expect(productOf(as, before.product as Parameters<typeof productOf>[1])).toEqual(before.product);
});

test('half a range, or what is no number, is told and not guessed', () => {
  expect(() => productOf({ ...typed, low: '-18' }, undefined)).toThrow(/both/);
  expect(() => productOf({ ...typed, sun: 'a while' }, undefined)).toThrow(/no number/);
});
