import { expect, it } from 'vitest';
import { together } from './together';

const said = (title: string, more: object = {}) => ({
  severity: 'caution',
  title,
  remedy: 'mend it',
  source: { name: 'common practice' },
  ...more,
});

it('says once what is said of several things, in the order in which it first came', () => {
  const [a, b, c] = [said('wet'), said('short'), said('wet')];
  expect(together([a, b, c])).toEqual([[a, c], [b]]);
  expect(together([])).toEqual([]);
});

it('keeps apart what differs in how bad it is, in what to do, or in its source', () => {
  const all = [
    said('wet'),
    said('wet', { severity: 'fail' }),
    said('wet', { remedy: 'leave it' }),
    said('wet', { source: { name: 'a table' } }),
  ];
  expect(together(all)).toEqual(all.map((f) => [f]));
});
