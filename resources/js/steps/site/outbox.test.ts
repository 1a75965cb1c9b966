import 'fake-indexeddb/auto';
import { expect, it } from 'vitest';
import { Refused, Unanswered } from '../../api/client';
import { Outbox, type Old } from './outbox';
import { onThisPhone, type Entry, type Keeping, type Waiting } from './phone';
import { toFile } from './savedFile';
import { lastStanding, openVisit } from './visit';

function memory(): Old & { all: Map<string, string> } {
  const all = new Map<string, string>();
  return {
    all,
    getItem: (k) => all.get(k) ?? null,
    setItem: (k, v) => void all.set(k, v),
    removeItem: (k) => void all.delete(k),
  };
}

/** A phone that keeps in memory, and may be full. */
function keeping(): Keeping & { all: Map<string, Entry>; full: boolean } {
  const all = new Map<string, Entry>();
  const kept = {
    all,
    full: false,
    load: (of: string) => Promise.resolve([...all.values()].filter((e) => e.of === of)),
    put: (entry: Entry) => {
      if (kept.full) return Promise.reject(new DOMException('no room', 'QuotaExceededError'));
      all.set(entry.id, entry);
      return Promise.resolve();
    },
    remove: (ids: string[]) => {
      ids.forEach((id) => all.delete(id));
      return Promise.resolve();
    },
  };
  return kept;
}

/** A server that takes what the test says it takes, and each thing once. */
function aServer(refuses: (event: Waiting) => string | null = () => null) {
  const server = {
    parts: [] as number[],
    has: new Map<string, Waiting>(),
    pictures: new Set<string>(),
    up: true,
    /** loses every nth answer after having taken what was sent */
    losesEvery: 0,
    asked: 0,
    events: (events: Waiting[]) => {
      server.parts.push(events.length);
      server.asked++;
      if (!server.up) return Promise.reject(new Unanswered());
      const bad = events.map(refuses).find((why) => why !== null);
      if (bad) return Promise.reject(new Refused(422, bad, {}));
      for (const event of events) server.has.set(event.id, event);
      const isLost = server.losesEvery > 0 && server.asked % server.losesEvery === 0;
      return isLost ? Promise.reject(new Unanswered()) : Promise.resolve({ new: events.length });
    },
    photograph: async (picture: Blob) => {
      server.asked++;
      if (!server.up) throw new Unanswered();
      const sha256 = `sha of ${await picture.text()}`;
      server.pictures.add(sha256);
      if (server.losesEvery > 0 && server.asked % server.losesEvery === 0) throw new Unanswered();
      return { sha256 };
    },
  };
  return server;
}

/** A phone of one person. */
async function phone(
  refuses: (event: Waiting) => string | null = () => null,
  kept: Keeping = keeping(),
  person = 'ines',
  server = aServer(refuses),
) {
  const outbox = await Outbox.open(kept, 'p', person, server, () => undefined);
  const read = (mm: number) => outbox.add({ kind: 'reading', visit: 'v', check: 'c', value_mm: mm });
  const values = () => [...server.has.values()].map((e) => e.value_mm);
  return { outbox, server, kept, read, values };
}

it('sends two hundred and one readings made without signal, in parts and in order', async () => {
  const { outbox, server, read, values, kept } = await phone();
  for (let mm = 0; mm <= 200; mm++) read(mm);
  await outbox.send();
  expect(values()).toEqual(Array.from({ length: 201 }, (_, mm) => mm));
  expect(Math.max(...server.parts)).toBe(50);
  await outbox.written();
  expect([outbox.entries, await kept.load('p ines')]).toEqual([[], []]);
});

it('sets aside the one that is refused, says why, and sends all the others', async () => {
  const { outbox, read, values } = await phone((e) => (e.value_mm === 2 ? 'no such photograph' : null));
  [1, 2, 3].forEach(read);
  await outbox.send();
  expect(values()).toEqual([1, 3]);
  expect(outbox.aside.map((a) => [a.event.value_mm, a.why])).toEqual([[2, 'no such photograph']]);
  outbox.again();
  expect(outbox.waiting.map((e) => e.event.value_mm)).toEqual([2]);
});

it('keeps all of it on the phone while nothing answers, and through a closed browser', async () => {
  const { outbox, server, kept, read, values } = await phone();
  server.up = false;
  [1, 2].forEach(read);
  await outbox.send();
  expect([values(), outbox.why]).toEqual([[], 'The server does not answer.']);
  const later = await phone(() => null, kept);
  await later.outbox.send();
  expect(later.values()).toEqual([1, 2]);
});

it('is one person’s: what another left on the phone stays theirs', async () => {
  const { server, kept, read } = await phone();
  server.up = false;
  read(1);
  const other = await phone(() => null, kept, 'tomas');
  await other.outbox.send();
  expect(other.values()).toEqual([]);
  expect(other.outbox.waiting).toEqual([]);
});

it('sends a photograph before what is said of it, once, though the answer was lost', async () => {
  const { outbox, server } = await phone();
  outbox.add({ kind: 'reading', visit: 'v', check: 'c', value_mm: 1 });
  outbox.add({ kind: 'photograph', visit: 'v', check: 'c' }, new Blob(['corner']));
  outbox.add({ kind: 'reading', visit: 'v', check: 'c', value_mm: 2 });
  server.losesEvery = 2;
  for (let i = 0; i < 10 && outbox.waiting.length > 0; i++) await outbox.send();
  expect(outbox.entries).toEqual([]);
  expect([...server.has.values()].map((e) => [e.kind, e.photographs])).toEqual([
    ['reading', undefined],
    ['photograph', ['sha of corner']],
    ['reading', undefined],
  ]);
});

it('says that the phone is full, loses nothing that is on the page, and sends it all the same', async () => {
  const kept = keeping();
  const { outbox, read, values } = await phone(() => null, kept);
  kept.full = true;
  [1, 2, 3].forEach(read);
  await outbox.written();
  expect(outbox.why).toContain('no room left');
  expect(outbox.waiting).toHaveLength(3);
  await outbox.send();
  expect(values()).toEqual([1, 2, 3]);
});

it('takes over what an earlier version kept, and signs nothing of it that bears no name', async () => {
  const old = memory();
  const event = (id: string) => ({ id, kind: 'visit' as const, at: '2026-03-04T09:00:00Z', visit: id });
  old.setItem('apron-outbox-p', JSON.stringify([event('e1')]));
  old.setItem('apron-outbox-p-ines', JSON.stringify({ waiting: [event('e2')], aside: [] }));
  const server = aServer();
  const outbox = await Outbox.open(keeping(), 'p', 'ines', server, () => undefined, old);
  await outbox.send();
  expect([...server.has.keys()]).toEqual(['e2']);
  expect(outbox.aside.map((e) => e.id)).toEqual(['e1']);
  expect(old.all.size).toBe(0);
  // What cannot be read is left where it is.
  old.setItem('apron-outbox-p-ines', '{damaged');
  await Outbox.open(keeping(), 'p', 'ines', server, () => undefined, old);
  expect(old.getItem('apron-outbox-p-ines')).toBe('{damaged');
});

it('brings a thousand readings and sixty photographs of two phones home, each once', async () => {
  // Tabs are killed at random while they send, answers are lost, two tabs of a phone send the same; one is refused.
  let seed = 7;
  const chance = (n: number) => (seed = (seed * 16807) % 2147483647) % n;
  const server = aServer((e) => (e.value_mm === 333 ? 'not a number of this check' : null));
  server.losesEvery = 5;
  const kept = [keeping(), keeping()];
  const people = ['ines', 'tomas'];
  let left = [...Array.from({ length: 1000 }, (_, mm) => mm), ...Array.from({ length: 60 }, (_, i) => `photo ${i}`)];
  const open = (i: number) => Outbox.open(kept[i] as Keeping, 'p', people[i] ?? '', server, () => undefined);
  for (let turn = 0; turn < 400 && (left.length > 0 || turn < 300); turn++) {
    const i = chance(2);
    const [tab, other] = [await open(i), await open(i)];
    for (const what of left.splice(0, 1 + chance(9))) {
      if (typeof what === 'number') tab.add({ kind: 'reading', visit: 'v', check: 'c', value_mm: what });
      else tab.add({ kind: 'photograph', visit: 'v', words: what }, new Blob([what]));
    }
    await tab.written();
    // A tab that is killed while it sends is never heard of again; another goes on from what the phone holds.
    if (chance(3) === 0) void tab.send();
    else await Promise.all([tab.send(), other.look().then(() => other.send())]);
    server.up = chance(6) !== 0;
  }
  server.up = true;
  server.losesEvery = 0;
  left = [];
  const last = [await open(0), await open(1)];
  for (const outbox of last) await outbox.send();
  const came = [...server.has.values()];
  const values = came.flatMap((e) => (e.value_mm === undefined ? [] : [e.value_mm])).sort((a, b) => a - b);
  expect(values).toEqual(Array.from({ length: 1000 }, (_, mm) => mm).filter((mm) => mm !== 333));
  expect(server.pictures.size).toBe(60);
  expect(new Set(came.flatMap((e) => e.photographs ?? [])).size).toBe(60);
  expect(last.flatMap((o) => o.aside).map((e) => e.event.value_mm)).toEqual([333]);
  expect(last.flatMap((o) => o.waiting)).toEqual([]);
});

it('keeps events and pictures in the browser’s own database', async () => {
  const entry: Entry = {
    id: 'e1',
    of: 'p ines',
    order: 1,
    event: { id: 'e1', kind: 'photograph', at: '2026-03-04T09:00:00Z', visit: 'v' },
    photograph: new Blob(['corner']),
  };
  await onThisPhone.put(entry);
  await onThisPhone.put({ ...entry, id: 'e2', of: 'p tomas' });
  const [back] = await onThisPhone.load('p ines');
  expect([back?.id, back?.event]).toEqual(['e1', entry.event]);
  expect(back?.photograph).toBeDefined();
  await onThisPhone.remove(['e1', 'e2']);
  expect([await onThisPhone.load('p ines'), await onThisPhone.load('p tomas')]).toEqual([[], []]);
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

it('brings in what another phone saved as a file, pictures too, once', async () => {
  const lost = await phone();
  lost.server.up = false;
  [1, 2].forEach(lost.read);
  lost.outbox.add({ kind: 'photograph', visit: 'v', check: 'c' }, new Blob(['corner'], { type: 'image/jpeg' }));
  const saved = await (await toFile(lost.outbox.entries)).text();

  const desk = await phone();
  expect([desk.outbox.bringIn(saved), desk.outbox.bringIn(saved)]).toEqual([3, 0]);
  desk.read(3);
  await desk.outbox.send();
  expect(desk.values()).toEqual([1, 2, undefined, 3]);
  expect([...desk.server.pictures]).toEqual(['sha of corner']);
  expect(desk.outbox.entries).toEqual([]);
});

it('takes no file of another person or project, nor what is no such file', async () => {
  const lost = await phone();
  lost.server.up = false;
  lost.read(1);
  const saved = await (await toFile(lost.outbox.entries)).text();
  const other = await phone(() => null, keeping(), 'tomas');
  expect(() => other.outbox.bringIn(saved)).toThrow(/Somebody else/);
  expect(() => other.outbox.bringIn(saved.replace('p ines', 'q ines'))).toThrow(/another project/);
  for (const bad of ['', '{}', '{"entries":[]}', '{"entries":[{"id":"a"}]}', saved.replace('"order"', '"odder"')]) {
    expect(() => other.outbox.bringIn(bad)).toThrow(/no file of what waited/);
  }
  expect(other.outbox.entries).toEqual([]);
});
