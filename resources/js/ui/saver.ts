import { ulid } from 'ulid';
import { Refused, wordsOf } from '../api/client';

/**
 * - saved: what is here is what the server has
 * - changed: it will be sent in a moment
 * - saving: it is on its way
 * - refused: the server said no to this content; it is not sent again until it changes
 * - stale: somebody else saved in the meantime; a person decides
 * - offline: no answer; it is sent again, at longer and longer intervals
 */
export type SaveState = 'saved' | 'changed' | 'saving' | 'refused' | 'stale' | 'offline';

export interface Saved<T> {
  revision: number;
  content: T;
  /** the id the sender gave the save that made this revision */
  save?: string | null;
}

export type Put<T> = (content: T, revision: number, save: string) => Promise<Saved<T>>;

const SOON_MS = 500;
const FIRST_AGAIN_MS = 1000;
const LAST_AGAIN_MS = 30000;

/** Saves one document by itself, one save at a time, from the revision it was read at. */
export class Saver<T> {
  state: SaveState = 'saved';
  why: string | null = null;
  theirs: Saved<T> | null = null;

  private latest: T;
  private saved: T;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private wait = FIRST_AGAIN_MS;
  /** Saves whose answer may have been lost: found again as the server's newest, they are one's own. */
  private readonly sent = new Map<string, T>();

  constructor(
    private document: Saved<T>,
    private readonly put: Put<T>,
    private readonly tell: (answer: Saved<T> | null) => void,
  ) {
    this.latest = this.saved = document.content;
  }

  get revision(): number {
    return this.document.revision;
  }

  get dirty(): boolean {
    return this.latest !== this.saved;
  }

  change(content: T): void {
    this.latest = content;
    if (this.state === 'saving' || this.state === 'stale') return;
    clearTimeout(this.timer);
    this.why = null;
    if (!this.dirty) {
      this.become('saved');
      return;
    }
    this.become('changed');
    this.timer = setTimeout(() => void this.go(), SOON_MS);
  }

  /** Now and not in a moment: the page is being left, or there is a signal again. */
  async go(): Promise<void> {
    if (!this.dirty || !['changed', 'offline'].includes(this.state)) return;
    clearTimeout(this.timer);
    const content = this.latest;
    const save = ulid();
    this.sent.set(save, content);
    this.become('saving');
    try {
      const answer = await this.put(content, this.document.revision, save);
      this.taken(answer, content);
    } catch (error) {
      this.failed(error, content);
    }
  }

  /** A revision read from the server: taken over where nothing was typed since. @return whether it was */
  take(document: Saved<T>): boolean {
    if (document.revision <= this.document.revision || this.dirty || this.state === 'saving') return false;
    this.document = document;
    this.latest = this.saved = document.content;
    return true;
  }

  /**
   * After a stale save: go on from what somebody else saved, or save over it knowingly. @return what the document is
   * now
   */
  settle(mine: boolean): T {
    if (this.theirs === null) return this.latest;
    this.document = this.theirs;
    this.saved = this.theirs.content;
    this.theirs = null;
    this.state = 'changed';
    const content = mine ? ({ ...this.latest } as T) : this.saved;
    this.change(content);
    return content;
  }

  private taken(answer: Saved<T>, content: T): void {
    this.document = answer;
    this.saved = content;
    this.sent.clear();
    this.wait = FIRST_AGAIN_MS;
    this.state = 'saved';
    this.change(this.latest);
    this.tell(answer);
  }

  private failed(error: unknown, content: T): void {
    if (error instanceof Refused && error.status === 409) {
      this.met(error.body.theirs as Saved<T> | undefined, error.message);
      return;
    }
    this.why = wordsOf(error);
    if (error instanceof Refused && error.forGood) {
      this.state = 'refused';
      if (this.latest !== content) this.change(this.latest);
      else this.become('refused');
      return;
    }
    this.become('offline');
    this.timer = setTimeout(() => void this.go(), this.wait);
    this.wait = Math.min(LAST_AGAIN_MS, this.wait * 2);
  }

  /** The server has another revision: one's own, whose answer was lost on the way, or that of somebody else. */
  private met(theirs: Saved<T> | undefined, message: string): void {
    const own = theirs?.save ? this.sent.get(theirs.save) : undefined;
    if (theirs && own !== undefined) {
      this.taken(theirs, own);
      return;
    }
    this.theirs = theirs ?? null;
    this.why = message;
    this.become(theirs ? 'stale' : 'refused');
  }

  private become(state: SaveState): void {
    this.state = state;
    this.tell(null);
  }
}
