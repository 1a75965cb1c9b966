import { useEffect, useRef } from 'react';

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

/** Single keys of a screen, by `event.key`; they act only when nothing is being edited. */
export function useKeys(keys: Record<string, (event: KeyboardEvent) => void>) {
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
      const act = latest.current[name];
      if (act) {
        act(event);
        event.preventDefault();
      }
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);
}
