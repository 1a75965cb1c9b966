import type { OutboxState } from './useOutbox';

/** What keeps things from being sent, and what was refused: each with its reason, and a way out for it. */
export function NotSent({ outbox }: { outbox: OutboxState }) {
  const { aside, waiting, why, again } = outbox;
  if (aside.length === 0 && (why === null || waiting.length === 0)) return null;
  const file = new Blob([JSON.stringify({ waiting, aside }, null, 2)], { type: 'application/json' });
  const save = () => {
    const link = document.createElement('a');
    link.href = URL.createObjectURL(file);
    link.download = 'not-sent.json';
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 1000);
  };
  return (
    <div role="alert" className="mb-2 border border-fail p-2" data-aside={aside.length}>
      {why !== null && waiting.length > 0 && <p className="text-fail">{why}</p>}
      {aside.length > 0 && (
        <>
          <p className="font-semibold text-fail">{aside.length} not taken by the server, and kept on this phone:</p>
          <ul>
            {aside.slice(0, 5).map(({ event, why: reason }) => (
              <li key={event.id} className="whitespace-pre-line">
                {event.kind.replaceAll('-', ' ')} {event.check ?? ''} {event.typed ?? event.words ?? ''},{' '}
                {event.at.slice(0, 10)}: {reason}
              </li>
            ))}
          </ul>
          {aside.length > 5 && <p>and {aside.length - 5} more</p>}
          <button className="act mt-1 mr-2 max-sm:min-h-[56px]" onClick={again}>
            send again
          </button>
        </>
      )}
      <button className="act mt-1 max-sm:min-h-[56px]" onClick={save}>
        save as a file
      </button>
    </div>
  );
}
