import type { SaveState as State } from './saver';

interface Props {
  state: State;
  why: string | null;
  settle: (mine: boolean) => void;
  mayEdit: boolean;
}

const SAID: Record<State, string> = {
  saved: 'saved',
  changed: 'saving …',
  saving: 'saving …',
  refused: 'not saved',
  stale: 'saved by somebody else',
  offline: 'not saved yet; it is tried again by itself',
};

/** Whether what is on the sheet is kept, and what to do where it is not. */
export function SaveState({ state, why, settle, mayEdit }: Props) {
  if (!mayEdit) return <p className="text-faint">You may look at this and not change it.</p>;
  if (state === 'stale') {
    return (
      <div role="alert" className="border border-fail p-2">
        <p className="font-semibold text-fail">{why}</p>
        <button className="act mr-2" onClick={() => settle(false)}>
          take theirs
        </button>
        <button className="act" onClick={() => settle(true)}>
          keep mine
        </button>
      </div>
    );
  }
  const bad = state === 'refused' || state === 'offline';
  return (
    <p className={bad ? 'whitespace-pre-line text-fail' : 'text-faint'} role="status" data-state={state}>
      {SAID[state]}
      {bad && why ? `: ${why}` : ''}
    </p>
  );
}
