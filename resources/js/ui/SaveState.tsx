import type { Refused } from '../api/client';

interface Props {
  state: 'saved' | 'saving' | 'unsaved' | 'stale';
  refused: Refused | null;
  settle: (mine: boolean) => void;
  mayEdit: boolean;
}

/** Whether what is on the sheet is kept, and what to do where it is not. */
export function SaveState({ state, refused, settle, mayEdit }: Props) {
  if (!mayEdit) return <p className="text-faint">You may look at this and not change it.</p>;
  if (state === 'stale') {
    return (
      <div role="alert" className="border border-fail p-2">
        <p className="font-semibold text-fail">{refused?.message}</p>
        <button className="act mr-2" onClick={() => settle(false)}>take theirs</button>
        <button className="act" onClick={() => settle(true)}>keep mine</button>
      </div>
    );
  }
  return (
    <p className={refused ? 'text-fail' : 'text-faint'} role="status" data-state={state}>
      {refused ? `not saved: ${refused.message}` : state === 'saved' ? 'saved' : 'saving …'}
    </p>
  );
}
