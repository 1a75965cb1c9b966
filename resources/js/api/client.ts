import { KEPT_HEADER, noteKept } from './kept';
import type { Answer, At, Path } from './paths';

/** What the server refused: its words and, where it says so, the place in the document. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly body: { pointer?: string; expected?: string; theirs?: unknown },
  ) {
    super(message);
  }

  /** The same content sent again would be refused again; a server that is busy or down may take it later. */
  get forGood(): boolean {
    return this.status < 500 && ![401, 408, 419, 423, 429].includes(this.status);
  }
}

/** No whole answer came: no signal, no server, or an answer that was cut off on its way. */
export class Unanswered extends Error {
  constructor(message = 'The server does not answer.') {
    super(message);
  }
}

/** A request given up by the page itself, which is no failure and needs no words. */
export function givenUp(error: unknown): boolean {
  return error instanceof DOMException && error.name === 'AbortError';
}

/** What to tell a person of a failure. */
export function wordsOf(error: unknown): string {
  return error instanceof Error && error.message !== '' ? error.message : 'The server does not answer.';
}

function token(): string {
  return decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)?.[1] ?? '');
}

/**
 * Asks the server.
 *
 * @throws Refused where it said no, Unanswered where no whole answer came, and an AbortError where the page gave up: an
 * answer
 *   that was cut off is never taken for one.
 */
export async function call<T>(method: string, url: string, body?: unknown, signal?: AbortSignal): Promise<T> {
  const form = body instanceof FormData;
  const headers: Record<string, string> = { Accept: 'application/json', 'X-XSRF-TOKEN': token() };
  if (body !== undefined && !form) headers['Content-Type'] = 'application/json';
  const sent = form ? body : body === undefined ? null : JSON.stringify(body);
  let status: number;
  let text: string;
  try {
    const response = await fetch(url, { method, headers, body: sent, signal: signal ?? null });
    status = response.status;
    if (method === 'GET') noteKept(response.headers.get(KEPT_HEADER));
    text = await response.text();
  } catch (error) {
    if (givenUp(error) || signal?.aborted) throw givenUp(error) ? error : new DOMException('given up', 'AbortError');
    throw new Unanswered();
  }
  if (status === 401 && url !== '/api/me' && url !== '/api/sign-in') window.location.assign('/sign-in');
  if (status === 204) return undefined as T;
  const answer = readJson(text);
  if (status >= 400) {
    const said = (answer ?? {}) as Refused['body'] & { message?: string };
    throw new Refused(status, said.message || `The server stopped at this (${status}).`, said);
  }
  if (answer === undefined) throw new Unanswered('The answer came damaged; it is asked for again.');
  return answer as T;
}

function readJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

export const get = <P extends Path>(url: At<P>, signal?: AbortSignal) =>
  call<Answer<P, 'get'>>('GET', url, undefined, signal);
export const post = <P extends Path>(url: At<P>, body?: unknown, signal?: AbortSignal) =>
  call<Answer<P, 'post'>>('POST', url, body ?? {}, signal);
export const put = <P extends Path>(url: At<P>, body: unknown) => call<Answer<P, 'put'>>('PUT', url, body);
export const remove = <P extends Path>(url: At<P>, body?: unknown) => call<undefined>('DELETE', url, body);
