import { useCallback, useEffect, useRef, useState } from 'react';
import { useProjectId, useRefresh } from '../api/hooks';
import { put, Refused } from '../api/client';
import type { Doc } from '../api/types';

interface Kept<T> {
  content: T;
  past: T[];
  future: T[];
}

/**
 * What a document is being turned into: changed at once, saved by itself a moment later, undone and redone as saves.
 *
 * @param kindOf where a change may make it a document of another kind
 */
export function useDraft<T>(doc: Doc<T>, mayEdit: boolean, kindOf?: (content: T) => string) {
  const project = useProjectId();
  const refresh = useRefresh();
  const [kept, setKept] = useState<Kept<T>>({ content: doc.content, past: [], future: [] });
  const [refused, setRefused] = useState<Refused | null>(null);
  const [state, setState] = useState<'saved' | 'saving' | 'unsaved' | 'stale'>('saved');
  const revision = useRef(doc.revision);
  const saving = useRef(false);
  const lastRun = useRef<string>(undefined);
  const latest = useRef(doc.content);
  const saved = useRef(doc.content);

  const save = useCallback(async () => {
    if (saving.current || latest.current === saved.current) return;
    saving.current = true;
    setState('saving');
    const sent = latest.current;
    try {
      const answer = await put<Doc<T>>(`/projects/${project}/documents/${kindOf?.(sent) ?? doc.kind}/${encodeURIComponent(doc.key)}`, { revision: revision.current, content: sent });
      revision.current = answer.revision;
      saved.current = sent;
      setRefused(null);
      setState(latest.current === sent ? 'saved' : 'unsaved');
      refresh();
    } catch (error) {
      if (error instanceof Refused) {
        setRefused(error);
        setState(error.status === 409 ? 'stale' : 'unsaved');
      } else {
        setState('unsaved');
      }
    } finally {
      saving.current = false;
    }
    // refresh is made anew at every render and does the same each time
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [project, doc.kind, doc.key]);

  useEffect(() => {
    latest.current = kept.content;
    if (state === 'stale') return;
    if (kept.content === saved.current) {
      // Undone before it was saved, or taken over from somebody else: there is nothing to save.
      if (state === 'unsaved') setState('saved');
      return;
    }
    const timer = setTimeout(() => void save(), 500);
    return () => clearTimeout(timer);
  }, [kept.content, save, state]);

  // A newer revision than the one here, with nothing typed since: somebody else's, or one's own from a sheet left a moment ago.
  useEffect(() => {
    if (doc.revision <= revision.current || saving.current || latest.current !== saved.current) return;
    revision.current = doc.revision;
    saved.current = doc.content;
    latest.current = doc.content;
    setKept((k) => ({ content: doc.content, past: [...k.past, k.content], future: [] }));
  }, [doc.revision, doc.content]);

  // Leaving the sheet must not lose what was typed a moment ago.
  useEffect(() => () => void save(), [save]);

  const notYetSaved = () => setState((s) => (s === 'stale' ? s : 'unsaved'));

  /** @param run changes of one run, the keys typed into one field, are undone as one */
  const change = (content: T, run?: string) => {
    if (!mayEdit) return;
    const goesOn = run !== undefined && run === lastRun.current;
    lastRun.current = run;
    notYetSaved();
    setKept((k) => ({ content, past: goesOn ? k.past : [...k.past.slice(-99), k.content], future: [] }));
  };
  const undo = () => {
    lastRun.current = undefined;
    notYetSaved();
    back();
  };
  const back = () => setKept((k) => (k.past.length === 0 ? k : { content: k.past[k.past.length - 1] as T, past: k.past.slice(0, -1), future: [k.content, ...k.future] }));
  const redo = () => {
    notYetSaved();
    setKept((k) => (k.future.length === 0 ? k : { content: k.future[0] as T, past: [...k.past, k.content], future: k.future.slice(1) }));
  };

  /** After a stale save: go on from what somebody else saved, or save over it knowingly. */
  const settle = (mine: boolean) => {
    const theirs = refused?.body.theirs as Doc<T> | undefined;
    if (!theirs) return;
    revision.current = theirs.revision;
    saved.current = theirs.content;
    setRefused(null);
    setState('unsaved');
    setKept((k) => ({ content: mine ? { ...k.content } : theirs.content, past: [...k.past, k.content], future: [] }));
  };

  return { content: kept.content, change, undo, redo, state, refused, settle };
}
