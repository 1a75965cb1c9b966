import { useState } from 'react';
import { wordsOf } from '../../api/client';
import type { Entry } from './phone';
import { toFile } from './savedFile';
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

async function save(entries: Entry[]): Promise<void> {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(await toFile(entries));
  link.download = 'not-sent.json';
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}

/** What was saved as a file, here or on another phone, waits again and is sent. */
export function BringIn({ outbox }: { outbox: OutboxState }) {
  const [said, setSaid] = useState<{ words: string; bad: boolean } | null>(null);
  const bring = async (file: File | undefined) => {
    if (!file) return;
    try {
      const many = outbox.bringIn(await file.text());
      setSaid({ words: `${many} brought in`, bad: false });
    } catch (error) {
      setSaid({ words: wordsOf(error), bad: true });
    }
  };
  return (
    <p className="py-2">
      <label className="link cursor-pointer max-sm:inline-grid max-sm:min-h-[48px] max-sm:items-center">
        bring in a saved file
        <input
          type="file"
          name="saved"
          accept="application/json,.json"
          className="sr-only"
          onChange={(e) => {
            void bring(e.target.files?.[0]);
            e.target.value = '';
          }}
        />
      </label>
      {said && (
        <span role={said.bad ? 'alert' : 'status'} className={`block ${said.bad ? 'text-fail' : ''}`}>
          {said.words}
        </span>
      )}
    </p>
  );
}
