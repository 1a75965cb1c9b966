import { useEffect, useReducer, useState } from 'react';
import { post } from '../../api/client';
import { address } from '../../api/paths';
import { useMe, useProjectId } from '../../api/hooks';
import { projectChanged } from '../../api/queries';
import { Outbox, type DraftEvent, type Server } from './outbox';
import { onThisPhone, type Entry, type Waiting } from './phone';

const AGAIN_MS = 5000;

/** Tabs of one phone tell each other that something was added, or sent. */
const TABS = 'apron-outbox';

export interface OutboxState {
  entries: Entry[];
  /** events that wait, in the order in which they go up */
  waiting: Waiting[];
  aside: Entry[];
  why: string | null;
  /** what waits at this moment, not when the page was last drawn */
  now: () => Waiting[];
  add: (draft: DraftEvent, photograph?: Blob) => string;
  again: () => void;
  /** @return how many of a saved file wait now that did not */
  bringIn: (text: string) => number;
}

/** What the server takes from an outbox. */
function serverOf(project: string, person: string): Server {
  return {
    events: (events) => post(address('/api/projects/{project}/site/events', { project }), { events, as: person }),
    photograph: (picture) => {
      const form = new FormData();
      form.append('photograph', picture, 'photograph.jpg');
      return post(address('/api/projects/{project}/photographs', { project }), form);
    },
  };
}

/** The outbox of the person signed in, on this project; null until it is read from the phone. */
export function useOutbox(): OutboxState | null {
  const project = useProjectId();
  const person = useMe().data?.id;
  const [, draw] = useReducer((n: number) => n + 1, 0);
  const [outbox, setOutbox] = useState<Outbox | null>(null);
  useEffect(() => {
    if (person === undefined) return undefined;
    let isLeft = false;
    const tabs = new BroadcastChannel(TABS);
    let opened: Outbox | null = null;
    const tell = (sent: boolean) => {
      draw();
      void opened?.written().then(() => {
        if (!isLeft) tabs.postMessage('changed');
      });
      if (sent) void projectChanged(project);
    };
    const send = () => void opened?.send();
    tabs.onmessage = () => void opened?.look().then(draw);
    // Where the phone keeps nothing (a private window, say) it is kept on the page, and that is said.
    void Outbox.open(onThisPhone, project, person, serverOf(project, person), tell, window.localStorage)
      .catch(() =>
        Outbox.open(
          { load: () => Promise.resolve([]), put: () => Promise.reject(new Error()), remove: () => Promise.resolve() },
          project,
          person,
          serverOf(project, person),
          tell,
        ),
      )
      .then((made) => {
        if (isLeft) return;
        opened = made;
        setOutbox(made);
        send();
      });
    const timer = setInterval(send, AGAIN_MS);
    window.addEventListener('online', send);
    return () => {
      isLeft = true;
      clearInterval(timer);
      tabs.close();
      window.removeEventListener('online', send);
      setOutbox(null);
    };
  }, [project, person]);
  if (!outbox) return null;
  return {
    entries: outbox.entries,
    waiting: outbox.waiting.map((e) => e.event),
    aside: outbox.aside,
    why: outbox.why,
    now: () => outbox.waiting.map((e) => e.event),
    add: (draft, photograph) => {
      const id = outbox.add(draft, photograph);
      void navigator.storage?.persist?.().catch(() => false);
      void outbox.send();
      return id;
    },
    again: () => {
      outbox.again();
      void outbox.send();
    },
    bringIn: (text) => {
      const many = outbox.bringIn(text);
      void outbox.send();
      return many;
    },
  };
}
