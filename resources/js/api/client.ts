/** What the server refused: its words and, where it says so, the place in the document. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly body: { pointer?: string; expected?: string; theirs?: unknown },
  ) {
    super(message);
  }
}

function token(): string {
  return decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)?.[1] ?? '');
}

export async function call<T>(method: string, path: string, body?: unknown, signal?: AbortSignal): Promise<T> {
  const form = body instanceof FormData;
  const headers: Record<string, string> = { Accept: 'application/json', 'X-XSRF-TOKEN': token() };
  if (body !== undefined && !form) headers['Content-Type'] = 'application/json';
  const response = await fetch(`/api${path}`, { method, headers, body: form ? body : body === undefined ? null : JSON.stringify(body), signal: signal ?? null });
  if (response.status === 204) return undefined as T;
  const answer = await response.json().catch(() => ({ message: response.statusText }));
  if (response.status === 401 && path !== '/me' && path !== '/sign-in') window.location.assign('/sign-in');
  if (!response.ok) throw new Refused(response.status, answer.message ?? response.statusText, answer);
  return answer as T;
}

export const get = <T>(path: string) => call<T>('GET', path);
export const post = <T>(path: string, body?: unknown, signal?: AbortSignal) => call<T>('POST', path, body ?? {}, signal);
export const put = <T>(path: string, body: unknown) => call<T>('PUT', path, body);
export const remove = (path: string) => call<undefined>('DELETE', path);
