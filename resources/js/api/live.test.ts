import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { Refused, Unanswered } from './client';
import { Live, newestOnly } from './live';

/** A server whose answers come when the test says so. */
function slow() {
  const asked: { question: string; answer: (a: string) => void; fail: (e: unknown) => void }[] = [];
  const live = new Live<string, string>(
    (question) => new Promise((answer, fail) => asked.push({ question, answer, fail })),
    () => undefined,
  );
  const type = (text: string) => live.put(text, text);
  return { live, asked, type };
}
const settled = () => vi.advanceTimersByTimeAsync(0);

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

it('has one question on its way at a time, then the newest, and passes over those between', async () => {
  const { live, asked, type } = slow();
  ['1', '12', '120', '120 mm'].forEach(type);
  expect(asked.map((a) => a.question)).toEqual(['1']);
  asked[0]?.answer('one');
  await settled();
  expect(live.told).toEqual({ answer: undefined, old: true, why: null });
  expect(asked.map((a) => a.question)).toEqual(['1', '120 mm']);
  asked[1]?.answer('all');
  await settled();
  expect(live.told).toEqual({ answer: 'all', old: false, why: null });
});

it('marks the figures of before as old until those of now are there, and answers at once what it knows', async () => {
  const { live, asked, type } = slow();
  type('a');
  asked[0]?.answer('A');
  await settled();
  type('b');
  expect(live.told).toEqual({ answer: 'A', old: true, why: null });
  asked[1]?.answer('B');
  await settled();
  type('a');
  expect(live.told).toEqual({ answer: 'A', old: false, why: null });
  expect(asked).toHaveLength(2);
});

it('says a refusal and does not ask the same again', async () => {
  const { live, asked, type } = slow();
  type('a');
  asked[0]?.fail(new Refused(422, 'too thin', {}));
  await settled();
  expect(live.told).toEqual({ answer: undefined, old: true, why: 'too thin' });
  await vi.advanceTimersByTimeAsync(60000);
  expect(asked).toHaveLength(1);
});

it('asks again where no whole answer came', async () => {
  const { live, asked, type } = slow();
  type('a');
  asked[0]?.fail(new Unanswered());
  await settled();
  expect(live.told.why).toBe('The server does not answer.');
  await vi.advanceTimersByTimeAsync(2000);
  expect(asked).toHaveLength(2);
  asked[1]?.answer('A');
  await settled();
  expect(live.told).toEqual({ answer: 'A', old: false, why: null });
});

it('runs one at a time and then only the newest of those that came meanwhile', async () => {
  const [done, ends]: [string[], (() => void)[]] = [[], []];
  const run = newestOnly<string>(
    (q, isNewest) =>
      new Promise((end) =>
        ends.push(() => {
          done.push(`${q} ${isNewest()}`);
          end();
        }),
      ),
  );
  void run('a');
  void run('b');
  void run('c');
  await settled();
  expect(ends).toHaveLength(1);
  ends[0]?.();
  await settled();
  ends[1]?.();
  await settled();
  expect(done).toEqual(['a false', 'c true']);
});
