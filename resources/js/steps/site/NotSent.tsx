import type { Entry } from './phone';
import type { OutboxState } from './useOutbox';

/** What waits on this phone, what keeps it from being sent, and what was refused: each with a way out for it. */
export function NotSent({ outbox }: { outbox: OutboxState }) {
  const { aside, entries, why, again } = outbox;
  const waiting = entries.filter((e) => e.why === undefined);
  if (entries.length === 0) return null;
  const pictures = waiting.filter((e) => e.photograph !== undefined);
  const bytes = pictures.reduce((sum, e) => sum + (e.photograph?.size ?? 0), 0);
  const isStuck = aside.length > 0 || why !== null;
  return (
    <div
      role={isStuck ? 'alert' : undefined}
      className={`mb-2 border p-2 ${isStuck ? 'border-fail' : 'border-hair'}`}
      data-aside={aside.length}
    >
      {why !== null && waiting.length > 0 && <p className="text-fail">{why}</p>}
      {aside.length > 0 && (
        <>
          <p className="font-semibold text-fail">{aside.length} not taken by the server, and kept on this phone:</p>
          <ul>
            {aside.slice(0, 5).map((entry) => (
              <li key={entry.id} className="whitespace-pre-line">
                {told(entry)}: {entry.why}
              </li>
            ))}
          </ul>
          {aside.length > 5 && <p>and {aside.length - 5} more</p>}
          <button className="act mt-1 mr-2 max-sm:min-h-[56px]" onClick={again}>
            send again
          </button>
        </>
      )}
      {waiting.length > 0 && (
        <details data-queue={waiting.length}>
          <summary className="cursor-pointer max-sm:min-h-[48px]">
            {waiting.length} waiting on this phone
            {pictures.length > 0 ? `, ${pictures.length} photographs of ${(bytes / 1e6).toFixed(1)} MB` : ''}
          </summary>
          <ul>
            {waiting.slice(0, 40).map((entry) => (
              <li key={entry.id}>{told(entry)}</li>
            ))}
          </ul>
          {waiting.length > 40 && <p>and {waiting.length - 40} more</p>}
        </details>
      )}
      <button className="act mt-1 max-sm:min-h-[56px]" onClick={() => void save(entries)}>
        save as a file
      </button>
    </div>
  );
}

function told({ event }: Entry): string {
  const what = `${event.kind.replaceAll('-', ' ')} ${event.check ?? ''} ${event.typed ?? event.words ?? ''}`;
  return `${what.trim()}, ${event.at.slice(0, 16).replace('T', ' ')}`;
}

/** All of it as a file, pictures too: it can be brought in where there is a signal. */
async function save(entries: Entry[]): Promise<void> {
  const rows = await Promise.all(
    entries.map(async ({ photograph, ...entry }) => ({
      ...entry,
      ...(photograph ? { photograph: await asText(photograph) } : {}),
    })),
  );
  const file = new Blob([JSON.stringify({ entries: rows }, null, 2)], { type: 'application/json' });
  const link = document.createElement('a');
  link.href = URL.createObjectURL(file);
  link.download = 'not-sent.json';
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}

function asText(picture: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(new Error('The picture cannot be read.'));
    reader.readAsDataURL(picture);
  });
}
