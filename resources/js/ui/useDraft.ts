import { useEffect, useState, useSyncExternalStore } from 'react';
import { useProjectId } from '../api/hooks';
import type { Doc } from '../api/types';
import { draftOf, type Draft, type DraftState } from './draft';

export type DraftOf<T> = DraftState<T> & Pick<Draft<T>, 'change' | 'undo' | 'redo' | 'settle'>;

const nothing = () => undefined;

/**
 * The draft of the document that a page shows.
 *
 * @param kindOf where a change may make it a document of another kind
 */
export function useDraft<T>(doc: Doc<T>, mayEdit: boolean, kindOf?: (content: T) => string): DraftOf<T> {
  const project = useProjectId();
  const [draft] = useState(() => draftOf<T>(project, doc, kindOf ?? (() => doc.kind)));
  const state = useSyncExternalStore(draft.subscribe, draft.get);
  useEffect(() => draft.take(doc), [draft, doc]);
  // Leaving the sheet must not lose what was typed a moment ago.
  useEffect(() => () => draft.leave(), [draft]);
  const { change, undo, redo, settle } = draft;
  return mayEdit
    ? { ...state, change, undo, redo, settle }
    : { ...state, change: nothing, undo: nothing, redo: nothing, settle: nothing };
}
