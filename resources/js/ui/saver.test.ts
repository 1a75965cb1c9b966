import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { Refused, Unanswered } from '../api/client';
import { Saver, type Saved } from './saver';

interface Wall {
  mm: number;
}

/** A server of one document, whose next answer the test can lose or refuse. */
function server() {
  const kept: { at: Saved<Wall>; puts: Wall[]; next: ((content: Wall) => Error | null)[] } = {
    at: { revision: 1, content: { mm: 100 }, save: null },
    puts: [],
    next: [],
  };
  const put = (content: Wall, revision: number, save: string): Promise<Saved<Wall>> => {
    kept.puts.push(content);
    const failing = kept.next.shift();
    const error = failing?.(content) ?? null;
    if (error && !(error instanceof Unanswered && error.message === 'lost')) return Promise.reject(error);
    if (revision !== kept.at.revision)
      return Promise.reject(new Refused(409, 'saved by somebody else', { theirs: kept.at }));
    kept.at = { revision: revision + 1, content, save };
    return error ? Promise.reject(error) : Promise.resolve(kept.at);
  };
  const saver = new Saver<Wall>(kept.at, put, () => undefined);
  return { kept, saver };
}
const lost = () => new Unanswered('lost');
const after = (ms: number) => vi.advanceTimersByTimeAsync(ms);

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

it('saves half a second after the last key, once', async () => {
  const { kept, saver } = server();
  for (const mm of [1, 12, 120]) {
    saver.change({ mm });
    await after(100);
  }
  expect(saver.state).toBe('changed');
  await after(500);
  expect(kept.puts).toEqual([{ mm: 120 }]);
  expect(saver.state).toBe('saved');
});

it('saves what was typed while a save was on its way, after it', async () => {
  const { kept, saver } = server();
  saver.change({ mm: 1 });
  void saver.go();
  saver.change({ mm: 2 });
  await after(600);
  expect(kept.puts).toEqual([{ mm: 1 }, { mm: 2 }]);
  expect([saver.state, saver.revision]).toEqual(['saved', 3]);
});

it('does not repeat what was refused until it changes', async () => {
  const { kept, saver } = server();
  kept.next = [() => new Refused(422, 'too thin', {})];
  saver.change({ mm: 0 });
  await after(120000);
  expect([kept.puts.length, saver.state, saver.why]).toEqual([1, 'refused', 'too thin']);
  saver.change({ mm: 50 });
  await after(500);
  expect([kept.puts.length, saver.state, saver.why]).toEqual([2, 'saved', null]);
});

it('goes on at longer and longer intervals while nothing answers, and says so', async () => {
  const { kept, saver } = server();
  kept.next = Array.from({ length: 9 }, () => () => new Unanswered());
  saver.change({ mm: 50 });
  await after(500);
  expect(saver.state).toBe('offline');
  await after(60000);
  expect(kept.puts.length).toBeLessThan(8);
  await after(120000);
  expect([saver.state, kept.at.content]).toEqual(['saved', { mm: 50 }]);
});

it('knows its own save again where only the answer was lost', async () => {
  const { kept, saver } = server();
  kept.next = [lost];
  saver.change({ mm: 50 });
  await after(500);
  expect([saver.state, kept.at.revision]).toEqual(['offline', 2]);
  await after(1000);
  expect([saver.state, saver.revision]).toEqual(['saved', 2]);

  kept.next = [lost];
  saver.change({ mm: 60 });
  await after(500);
  saver.change({ mm: 70 });
  await after(2000);
  expect([saver.state, kept.at.content]).toEqual(['saved', { mm: 70 }]);
});

it('asks a person where somebody else saved, and does what is said', async () => {
  const { kept, saver } = server();
  const theirs = () => {
    kept.at = { revision: kept.at.revision + 1, content: { mm: 9 }, save: 'theirs' };
  };
  theirs();
  saver.change({ mm: 50 });
  await after(90000);
  expect([kept.puts.length, saver.state]).toEqual([1, 'stale']);
  saver.settle(true);
  await after(500);
  expect([saver.state, kept.at.content]).toEqual(['saved', { mm: 50 }]);
  theirs();
  saver.change({ mm: 51 });
  await after(500);
  expect(saver.settle(false)).toEqual({ mm: 9 });
  expect(saver.state).toBe('saved');
});

it('takes over a newer revision only where nothing was typed since', async () => {
  const { saver } = server();
  expect(saver.take({ revision: 1, content: { mm: 3 } })).toBe(false);
  expect(saver.take({ revision: 4, content: { mm: 3 } })).toBe(true);
  saver.change({ mm: 5 });
  expect(saver.take({ revision: 5, content: { mm: 4 } })).toBe(false);
});
