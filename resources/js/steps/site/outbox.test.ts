import { expect, it } from 'vitest';
import { Refused, Unanswered } from '../../api/client';
import { Outbox, type Store, type Waiting } from './outbox';
import { lastStanding, openVisit } from './visit';

function memory(): Store & { all: Map<string, string> } {
  const all = new Map<string, string>();
  return {
    all,
    getItem: (k) => all.get(k) ?? null,
    setItem: (k, v) => void all.set(k, v),
    removeItem: (k) => void all.delete(k),
  };
}

/** A phone of one person, and a server that takes what the test says it takes. */
function phone(refuses: (event: Waiting) => string | null = () => null, store = memory(), person = 'ines') {
  const server = { parts: [] as number[], has: [] as string[], up: true };
  const post = (events: Waiting[]) => {
    server.parts.push(events.length);
    if (!server.up) return Promise.reject(new Unanswered());
    const bad = events.map(refuses).find((why) => why !== null);
    if (bad) return Promise.reject(new Refused(422, bad, {}));
    server.has.push(...events.map((e) => String(e.value_mm)));
    return Promise.resolve({ new: events.length });
  };
  const outbox = new Outbox(store, 'p', person, post, () => undefined);
  const read = (mm: number) => outbox.add({ kind: 'reading', visit: 'v', check: 'c', value_mm: mm });
  return { outbox, server, store, read };
}

it('sends two hundred and one readings made without signal, in parts and in order', async () => {
  const { outbox, server, read } = phone();
  for (let mm = 0; mm <= 200; mm++) read(mm);
  await outbox.send();
  expect(server.has).toEqual(Array.from({ length: 201 }, (_, mm) => String(mm)));
  expect(Math.max(...server.parts)).toBe(50);
  expect(outbox.kept).toEqual({ waiting: [], aside: [] });
});

it('sets aside the one that is refused, says why, and sends all the others', async () => {
  const { outbox, server, read } = phone((e) => (e.value_mm === 2 ? 'no such photograph' : null));
  [1, 2, 3].forEach(read);
  await outbox.send();
  expect(server.has).toEqual(['1', '3']);
  expect(outbox.kept.aside.map((a) => [a.event.value_mm, a.why])).toEqual([[2, 'no such photograph']]);
  outbox.again();
  expect(outbox.kept.waiting.map((e) => e.value_mm)).toEqual([2]);
});

it('keeps all of it on the phone while nothing answers, and through a closed browser', async () => {
  const { outbox, server, store, read } = phone();
  server.up = false;
  [1, 2].forEach(read);
  await outbox.send();
  expect([server.has, outbox.why]).toEqual([[], 'The server does not answer.']);
  const later = phone(() => null, store);
  await later.outbox.send();
  expect(later.server.has).toEqual(['1', '2']);
});

it('is one person’s: what another left on the phone stays theirs', async () => {
  const { server, store, read } = phone();
  server.up = false;
  read(1);
  const other = phone(() => null, store, 'tomas');
  await other.outbox.send();
  expect(other.server.has).toEqual([]);
  expect(other.outbox.kept.waiting).toEqual([]);
});

it('does not sign what an earlier version left without a name; it asks', async () => {
  const store = memory();
  store.setItem('apron-outbox-p', JSON.stringify([{ id: 'e1', kind: 'visit', at: '2026-03-04T09:00:00Z' }]));
  const { outbox, server } = phone(() => null, store);
  await outbox.send();
  expect(server.parts).toEqual([]);
  expect(outbox.kept.aside).toHaveLength(1);
});

it('files a reading under one’s own visit of the day where one stands', () => {
  const visit = (id: string, at: string, account: string) => ({
    id,
    kind: 'visit' as const,
    at,
    by: 'x',
    account,
    visit: id,
  });
  const now = new Date(2026, 2, 4, 22, 30);
  const evening = new Date(2026, 2, 4, 16, 0).toISOString();
  const yesterday = new Date(2026, 2, 3, 16, 0).toISOString();
  expect(openVisit([visit('a', evening, 'ines')], [], 'ines', now)).toBe('a');
  expect(openVisit([visit('a', evening, 'tomas')], [], 'ines', now)).toBeUndefined();
  expect(openVisit([visit('a', yesterday, 'ines')], [], 'ines', now)).toBeUndefined();
  expect(openVisit([], [{ id: 'w', kind: 'visit', at: evening, visit: 'w' }], 'ines', now)).toBe('w');
});

it('corrects the last reading that stands, sent or not', () => {
  expect(lastStanding([{ id: 'a' }, { id: 'b', supersedes: 'a' }])?.id).toBe('b');
  expect(lastStanding([{ id: 'a' }, { id: 'b' }, { id: 'c', supersedes: 'b' }])?.id).toBe('c');
  expect(lastStanding([])).toBeUndefined();
});
