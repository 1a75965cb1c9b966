import { expect, it } from 'vitest';
import { found } from './pick';

const rows = [
  { id: 'o1', text: 'o1 Reading room, north', group: 'window' },
  { id: 'o2', text: 'o2 Porch door', group: 'door' },
  { id: 'o3', text: 'o3 Reading room, south', group: 'window' },
];
const ids = (words: string) => found(rows, words).map((r) => r.id);

it('finds by every word in any order and case, and keeps groups together', () => {
  expect(ids('')).toEqual(['o1', 'o3', 'o2']);
  expect(ids('ROOM reading')).toEqual(['o1', 'o3']);
  expect(ids('south  reading')).toEqual(['o3']);
  expect(ids('roof')).toEqual([]);
});
