import { useSyncExternalStore } from 'react';

/** Set by the worker on an answer that is not of now: when the server said it. */
export const KEPT_HEADER = 'x-apron-kept';

let since: string | null = null;
const listeners = new Set<() => void>();

/** What an answer says of its age: null of one that the server gave just now. */
export function noteKept(at: string | null): void {
  if (at === since) return;
  since = at;
  for (const listener of listeners) listener();
}

/** Since when what is shown has been as it is, where nothing answers; null while the server does. */
export function useKept(): string | null {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => since,
  );
}

/** As a person reads it: the day and the minute, by their own clock. */
export function keptWords(at: string): string {
  const when = new Date(at);
  return Number.isNaN(when.getTime()) ? 'some time ago' : when.toLocaleString(undefined, SHORT);
}

const SHORT: Intl.DateTimeFormatOptions = { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' };
