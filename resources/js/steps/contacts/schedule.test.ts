import excel from 'exceljs';
import { expect, test } from 'vitest';
import type { PairAnswer } from '../../api/types';
import { workbook } from '../../ui/workbook';
import { scheduleOf } from './schedule';

const pair = {
  id: 'x',
  a: 'a',
  b: 'b',
  a_name: '=1+1',
  b_name: 'Concrete',
  how: 'bonded',
  a_over_b: true,
  verdict: 'prime first',
  severity: 'caution',
  rule: 'acrylic.on.concrete',
  reason: 'Rough, dusty or thirsty.',
  remedy: 'Prime it.',
  source: { kind: 'common-practice', name: 'common practice' },
  places: ['assemblies/w1/layers/m'],
  stranger_to: null,
  where: [{ title: 'North wall', place: 'assemblies/w1/layers/m' }],
  clears: [],
} satisfies PairAnswer;

test('the schedule comes back from its file as it was, and a name that looks like a formula is a name', async () => {
  const book = new excel.Workbook();
  await book.xlsx.load(await workbook([scheduleOf([pair, { ...pair, where: [] }])]));
  const sheet = book.getWorksheet('Contacts');
  const rows = [1, 2, 3].map((n) => (sheet?.getRow(n).values as unknown[]).slice(1));
  expect(rows[0]).toEqual(scheduleOf([]).columns.map((c) => c.title));
  expect(rows[1]?.slice(0, 5)).toEqual(['caution', 'prime first', '=1+1', 'stuck to', 'Concrete']);
  expect(rows[1]?.[9]).toBe('North wall');
  expect(sheet?.rowCount).toBe(3);
  expect(sheet?.getCell('C2').type).toBe(excel.ValueType.String);
});
