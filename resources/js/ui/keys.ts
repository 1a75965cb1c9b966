import { useEffect, useRef, useState, useSyncExternalStore } from 'react';

/** True while something is being typed: single keys then belong to the field. */
function editing(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable ||
      /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) ||
      target.closest('[role=dialog]') !== null)
  );
}

/** Whether a person switched the single keys off; a browser that keeps nothing has them on. */
export function singleKeysOff(): boolean {
  try {
    return localStorage.getItem('single-keys') === 'off';
  } catch {
    return false;
  }
}

export function keepSingleKeys(on: boolean): void {
  try {
    localStorage.setItem('single-keys', on ? 'on' : 'off');
  } catch {
    // Nothing to keep it in: it holds until the page is left.
  }
}

type Act = (event: KeyboardEvent) => void;

/** A key with what it does, so that the list of keys says what the keys do. */
interface Told {
  says: string;
  act: Act;
  /** as it is shown, where one line tells of several keys */
  shown?: string;
}

/** Keys of what is on the screen now, by `event.key` as it is shown, with what they do. */
type Row = [key: string, says: string];

const told = new Map<symbol, Row[]>();
const listeners = new Set<() => void>();
let rows: Row[] = [];

function tell(): void {
  // What was put on the screen last is the page's own; what is round every page was there before it.
  rows = [...told.values()].reverse().flat();
  for (const listener of listeners) listener();
}

/** What the keys of everything on the screen do, the page's own first. */
export function useToldKeys(): Row[] {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => rows,
  );
}

/**
 * Single keys of a screen, by `event.key`; they act only when nothing is being edited. What is told of a key here is
 * what the list of keys says.
 *
 * @param also keys that a drawing takes while it has the focus
 */
export function useKeys(keys: Record<string, Act | Told>, also: Row[] = []) {
  const [me] = useState(() => Symbol('keys'));
  const lines = Object.entries(keys).flatMap(([key, value]): Row[] =>
    typeof value === 'function' ? [] : [[value.shown ?? key, value.says]],
  );
  const said = JSON.stringify([...lines, ...also]);
  useEffect(() => {
    told.set(me, JSON.parse(said) as Row[]);
    tell();
    return () => {
      told.delete(me);
      tell();
    };
  }, [me, said]);
  const latest = useRef(keys);
  useEffect(() => {
    latest.current = keys;
  });
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const undo = (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z';
      const name = undo
        ? event.shiftKey
          ? 'redo'
          : 'undo'
        : event.ctrlKey || event.metaKey
          ? ''
          : event.altKey
            ? `Alt+${event.key}`
            : event.key;
      if (!undo && editing(event.target)) return;
      if (undo && event.target instanceof HTMLInputElement) return;
      if (!undo && name.length === 1 && singleKeysOff()) return;
      const there = latest.current[name];
      const act = typeof there === 'function' ? there : there?.act;
      if (act) {
        act(event);
        event.preventDefault();
      }
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);
}
