import { put } from '../api/client';
import { address } from '../api/paths';
import { documentSaved } from '../api/queries';
import type { Doc } from '../api/types';
import { Saver, type SaveState } from './saver';

const STEPS_BACK = 100;

export interface DraftState<T> {
  content: T;
  state: SaveState;
  /** why it is not saved */
  why: string | null;
  canUndo: boolean;
}

/**
 * What a document is being turned into: changed at once, saved by itself a moment later, undone and redone as saves. It
 * outlives the page that shows it, so that a page left, or one that stopped, loses nothing that was typed.
 */
export class Draft<T> {
  private content: T;
  private past: T[] = [];
  private future: T[] = [];
  private run: string | undefined;
  private readonly saver: Saver<T>;
  private readonly listeners = new Set<() => void>();
  private shown: DraftState<T>;

  constructor(
    readonly project: string,
    doc: Doc<T>,
    kindOf: (content: T) => string,
  ) {
    this.content = doc.content;
    const path = (content: T) =>
      address('/api/projects/{project}/documents/{kind}/{key}', { project, kind: kindOf(content), key: doc.key });
    this.saver = new Saver<T>(
      doc,
      (content, revision, save) => put(path(content), { revision, content, save }) as Promise<Doc<T>>,
      (answer) => {
        if (answer) documentSaved(project, answer as Doc<unknown>);
        this.tell();
      },
    );
    this.shown = this.now();
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  get = (): DraftState<T> => this.shown;

  get dirty(): boolean {
    return this.saver.dirty;
  }

  /** @param run changes of one run, the keys typed into one field, are undone as one */
  change = (content: T, run?: string): void => {
    const goesOn = run !== undefined && run === this.run;
    if (!goesOn) this.past = [...this.past.slice(1 - STEPS_BACK), this.content];
    this.future = [];
    this.become(content, run);
  };

  undo = (): void => {
    const before = this.past.at(-1);
    if (before === undefined) return;
    this.past = this.past.slice(0, -1);
    this.future = [this.content, ...this.future];
    this.become(before);
  };

  redo = (): void => {
    const [next, ...rest] = this.future;
    if (next === undefined) return;
    this.future = rest;
    this.past = [...this.past, this.content];
    this.become(next);
  };

  settle = (mine: boolean): void => {
    this.past = [...this.past, this.content];
    this.future = [];
    this.content = this.saver.settle(mine);
    this.tell();
  };

  /**
   * A newer revision than the one here, with nothing typed since: somebody else's, and one can go back to one's own.
   */
  take(doc: Doc<T>): void {
    if (!this.saver.take(doc)) return;
    this.past = [...this.past, this.content];
    this.future = [];
    this.content = doc.content;
    this.tell();
  }

  leave(): void {
    void this.saver.go();
  }

  private become(content: T, run?: string): void {
    this.run = run;
    this.content = content;
    this.saver.change(content);
    this.tell();
  }

  private now(): DraftState<T> {
    return { content: this.content, state: this.saver.state, why: this.saver.why, canUndo: this.past.length > 0 };
  }

  private tell(): void {
    this.shown = this.now();
    this.listeners.forEach((listener) => listener());
  }
}

const drafts = new Map<string, Draft<unknown>>();

/** The draft of a document, the one begun before where there is one. */
export function draftOf<T>(project: string, doc: Doc<T>, kindOf: (content: T) => string): Draft<T> {
  const name = `${project}/${place(doc.kind)}/${doc.key}`;
  const begun = drafts.get(name) as Draft<T> | undefined;
  if (begun) return begun;
  const draft = new Draft<T>(project, doc, kindOf);
  drafts.set(name, draft as Draft<unknown>);
  return draft;
}

export function forgetDraft(project: string, kind: string, key: string): void {
  drafts.delete(`${project}/${place(kind)}/${key}`);
}

/** An opening and the detail that it becomes when a piece is changed by hand are one document. */
const place = (kind: string) => (kind === 'opening' ? 'detail' : kind);

/** Drafts of a project that the server does not have yet. */
export const unsavedDrafts = (): Draft<unknown>[] => [...drafts.values()].filter((d) => d.dirty);

export const draftsOf = (project: string): Draft<unknown>[] =>
  [...drafts.values()].filter((d) => d.project === project);

/** Leaving the site while something is not saved is asked about first. */
export function guardUnsaved(): void {
  window.addEventListener('online', () => unsavedDrafts().forEach((d) => d.leave()));
  window.addEventListener('beforeunload', (event) => {
    unsavedDrafts().forEach((d) => d.leave());
    if (unsavedDrafts().length > 0) event.preventDefault();
  });
}
