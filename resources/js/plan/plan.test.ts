import { readLines } from '../ui/lines';
import { FORECAST } from './forecast';
import { readMakes, writeMakes } from './makes';
import { expect, test } from 'vitest';
import { behind, readAfter, writeAfter } from './after';
import { dayOf, mondays, spoken, written } from './days';

const ids = ['t0', 't1', 'hall.w1.2'];

test.each([
  ['', []],
  ['t0', [{ task: 't0' }]],
  ['t0, t1 + 24h', [{ task: 't0' }, { task: 't1', wait_h: 24 }]],
  ['t1 start', [{ task: 't1', from: 'start' }]],
  ['hall.w1.2 start + 4 h', [{ task: 'hall.w1.2', from: 'start', wait_h: 4 }]],
  ['t0 + 2d', [{ task: 't0', wait_h: 48 }]],
])('%s is read as what a task waits for', (typed, waits) => {
  expect(readAfter(typed, ids)).toEqual({ waits });
});

test.each(['t9', 't0 24h', 't0 begin', '+ 24h'])('%s is not', (typed) => {
  expect('why' in readAfter(typed, ids)).toBe(true);
});

test('what is read is written again as it was', () => {
  const typed = 't0, t1 + 24h, hall.w1.2 start + 4h';
  const read = readAfter(typed, ids);
  expect('waits' in read ? writeAfter(read.waits) : '').toBe(typed);
});

test('a task cannot wait for those that wait for it', () => {
  const tasks = [
    { id: 'a', title: 'A', days: 1 },
    { id: 'b', title: 'B', days: 1, after: [{ task: 'a' }] },
    { id: 'c', title: 'C', days: 1, after: [{ task: 'b' }] },
    { id: 'd', title: 'D', days: 1 },
  ];
  expect([...behind(tasks, 'a')].sort()).toEqual(['a', 'b', 'c']);
  expect([...behind(tasks, 'd')]).toEqual(['d']);
});

test('days are counted and written as the calendar has them', () => {
  expect(written(dayOf('2027-04-01') + 30)).toBe('2027-05-01');
  expect(spoken(dayOf('2027-04-05'))).toBe('5 Apr');
  // The 5th of April 2027 is a Monday.
  expect(mondays(dayOf('2027-04-01'), dayOf('2027-04-20'), 10).map((d) => written(d))).toEqual([
    '2027-04-05',
    '2027-04-12',
    '2027-04-19',
  ]);
  expect(mondays(dayOf('2027-04-01'), dayOf('2028-04-20'), 10).length).toBeLessThanOrEqual(10);
});

test('reads what a task makes, and forecasts, and writes them as they were', () => {
  expect(readMakes('o2, o11: 1 to 4')).toEqual({ details: ['o2', 'o11'], steps: [1, 4] });
  expect(readMakes('')).toEqual({ details: [], steps: null });
  expect(readMakes(': 1 to 4')).toBeNull();
  expect(readMakes('o2: 4 to 1')).toBeNull();
  expect(writeMakes({ details: ['o2'], steps: [1, 4] })).toBe('o2: 1 to 4');
  const read = readLines('date,low,high,rain\n2027-04-26, 3, 11, 0.5, 80\n2027-04-27, -2, 4, 0, , 7', FORECAST);
  expect(read).toEqual({
    rows: [
      { date: '2027-04-26', low_c: 3, high_c: 11, rain_mm: 0.5, rh_pct: 80 },
      { date: '2027-04-27', low_c: -2, high_c: 4, rain_mm: 0, wind_m_s: 7 },
    ],
  });
  expect(readLines('2027-04-26, 3, 11, wet', FORECAST)).toHaveProperty('why');
});

test('reads waits until something has cured', () => {
  expect(readAfter('t1 cured, t2 recoat', ['t1', 't2'])).toEqual({
    waits: [
      { task: 't1', until: 'cure' },
      { task: 't2', until: 'recoat' },
    ],
  });
  expect(writeAfter([{ task: 't1', until: 'tack' }])).toBe('t1 tack');
  expect(readAfter('t9 cured', ['t1'])).toHaveProperty('why');
});
