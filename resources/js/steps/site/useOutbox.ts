import { useEffect, useMemo, useReducer } from 'react';
import { post } from '../../api/client';
import { address } from '../../api/paths';
import { useMe, useProjectId } from '../../api/hooks';
import { projectChanged } from '../../api/queries';
import { Outbox, type DraftEvent, type SetAside, type Waiting } from './outbox';

const AGAIN_MS = 5000;

export interface OutboxState {
  waiting: Waiting[];
  aside: SetAside[];
  why: string | null;
  add: (draft: DraftEvent) => string;
  again: () => void;
}

/** The outbox of the person signed in, on this project; null until it is known who that is. */
export function useOutbox(): OutboxState | null {
  const project = useProjectId();
  const person = useMe().data?.id;
  const [, draw] = useReducer((n: number) => n + 1, 0);
  const outbox = useMemo(() => {
    if (person === undefined) return null;
    const send = (events: Waiting[]) =>
      post(address('/api/projects/{project}/site/events', { project }), { events, as: person });
    return new Outbox(window.localStorage, project, person, send, (sent) => {
      draw();
      if (sent) void projectChanged(project);
    });
  }, [project, person]);
  useEffect(() => {
    if (!outbox) return undefined;
    const send = () => void outbox.send();
    send();
    const timer = setInterval(send, AGAIN_MS);
    window.addEventListener('online', send);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', send);
    };
  }, [outbox]);
  if (!outbox) return null;
  return {
    ...outbox.kept,
    why: outbox.why,
    add: (draft) => {
      const id = outbox.add(draft);
      void outbox.send();
      return id;
    },
    again: () => {
      outbox.again();
      void outbox.send();
    },
  };
}
