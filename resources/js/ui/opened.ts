import { useSyncExternalStore } from 'react';

const open = new Set<string>();
const listeners = new Set<() => void>();

/**
 * Whether something laid on the page is open. It is kept apart from the page: one that is still being fetched is put
 * up again when it is there, and must not close what a quick hand opened meanwhile.
 */
export function useOpened(name: string): [boolean, (to: boolean) => void] {
  const is = useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => open.has(name),
  );
  return [
    is,
    (to) => {
      if (to) open.add(name);
      else open.delete(name);
      for (const listener of listeners) listener();
    },
  ];
}
