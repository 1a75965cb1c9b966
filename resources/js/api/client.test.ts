import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { call, givenUp, Refused, Unanswered } from './client';

beforeEach(() => vi.stubGlobal('document', { cookie: 'XSRF-TOKEN=t' }));
afterEach(() => vi.unstubAllGlobals());

const answers = (status: number, text: () => Promise<string>) =>
  vi.stubGlobal('fetch', () => Promise.resolve({ status, text, headers: new Headers() }));
const failing = (error: unknown) => () => Promise.reject(error);
const caught = () =>
  call('GET', '/x').then(
    () => 'an answer',
    (error: unknown) => error,
  );

it('does not take an answer that was cut off for an answer', async () => {
  answers(200, failing(new DOMException('The user aborted a request.', 'AbortError')));
  expect(givenUp(await caught())).toBe(true);
  answers(200, failing(new TypeError('network error')));
  expect(await caught()).toBeInstanceOf(Unanswered);
  answers(200, () => Promise.resolve('{"findings": [{"code"'));
  expect(await caught()).toBeInstanceOf(Unanswered);
});

it('tells what is refused for good from what a busy server may take later', async () => {
  const status = async (code: number) => {
    answers(code, () => Promise.resolve('{"message":"no"}'));
    return (await caught()) as Refused;
  };
  expect((await status(422)).forGood).toBe(true);
  expect((await status(409)).forGood).toBe(true);
  expect((await status(503)).forGood).toBe(false);
  expect((await status(429)).forGood).toBe(false);
  answers(502, () => Promise.resolve('<html>bad gateway</html>'));
  expect(((await caught()) as Refused).message).toBe('The server stopped at this (502).');
});
