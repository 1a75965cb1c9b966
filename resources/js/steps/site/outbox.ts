import { useCallback, useEffect, useState } from 'react';
import { ulid } from 'ulid';
import { useProjectId, useRefresh } from '../../api/hooks';
import { post, Refused } from '../../api/client';
import type { SiteEvent } from '../../api/types';

type Draft = Omit<SiteEvent, 'id' | 'at' | 'by'>;
/** The server says who: the person signed in when it is sent. */
type Waiting = Omit<SiteEvent, 'by'>;

/** What was seen and waits to be sent. It lives on the phone until the server has it; sending twice does no harm. */
export function useOutbox() {
  const project = useProjectId();
  const refresh = useRefresh();
  const key = `apron-outbox-${project}`;
  const read = useCallback(() => JSON.parse(localStorage.getItem(key) ?? '[]') as Waiting[], [key]);
  const [waiting, setWaiting] = useState<Waiting[]>(read);
  const [refused, setRefused] = useState<string | null>(null);

  const send = useCallback(async () => {
    const events = read();
    if (events.length === 0) return;
    try {
      await post(`/projects/${project}/site/events`, { events });
      const sent = new Set(events.map((e) => e.id));
      const left = read().filter((e) => !sent.has(e.id));
      localStorage.setItem(key, JSON.stringify(left));
      setWaiting(left);
      setRefused(null);
      refresh();
    } catch (error) {
      // No answer: it waits. Refused: it waits too, and says why; nothing that was seen is thrown away.
      setRefused(error instanceof Refused ? error.message : null);
    }
    // refresh is made anew at every render and does the same each time
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [project, key, read]);

  useEffect(() => {
    void send();
    const timer = setInterval(() => void send(), 5000);
    window.addEventListener('online', send);
    return () => { clearInterval(timer); window.removeEventListener('online', send); };
  }, [send]);

  /** Keeps an event on the phone and tries to send it; its id is made here. */
  const add = (draft: Draft): string => {
    const id = ulid().toLowerCase();
    const event: Waiting = { ...draft, id, at: new Date().toISOString() };
    const next = [...read(), event];
    localStorage.setItem(key, JSON.stringify(next));
    setWaiting(next);
    void send();
    return id;
  };

  return { waiting, refused, add };
}
