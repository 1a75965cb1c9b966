import { ulid } from 'ulid';
import { Refused, wordsOf } from '../../api/client';
import type { SiteEvent } from '../../api/types';

export type DraftEvent = Omit<SiteEvent, 'id' | 'at' | 'by'>;
/** The server says who: the person signed in when it is sent, who must be the one who saw it. */
export type Waiting = Omit<SiteEvent, 'by'>;

/** What the server refused, or what was left on this phone without a name: kept, and told why. */
export interface SetAside {
  event: Waiting;
  why: string;
}

interface Kept {
  waiting: Waiting[];
  aside: SetAside[];
}

/** What a browser keeps for a page: `localStorage`, or a stand-in of a test. */
export type Store = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

/** So many go in one request: short enough for a weak signal. */
const PART = 50;

const NOBODYS =
  'It was left on this phone by an earlier version, which did not note whose it was. Send it if it is yours.';

/**
 * What one person saw on one project and waits to be sent. It lives on the phone until the server has it; sending twice
 * does no harm. One thing that the server refuses is set aside with its reason and holds up none of the others.
 */
export class Outbox {
  kept: Kept;
  /** why nothing could be sent just now */
  why: string | null = null;

  private sending = false;
  private readonly key: string;

  constructor(
    private readonly store: Store,
    project: string,
    person: string,
    private readonly post: (events: Waiting[]) => Promise<unknown>,
    private readonly tell: (sent: boolean) => void,
  ) {
    this.key = `apron-outbox-${project}-${person}`;
    this.kept = this.read();
    this.bringForward(`apron-outbox-${project}`);
  }

  /** Keeps an event on the phone; its id is made here. */
  add(draft: DraftEvent, at = new Date()): string {
    const id = ulid().toLowerCase();
    this.keep({ ...this.kept, waiting: [...this.kept.waiting, { ...draft, id, at: at.toISOString() }] });
    return id;
  }

  /** Sends what waits, in parts and in order, until nothing does or nothing answers. */
  async send(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    try {
      while (this.kept.waiting.length > 0 && (await this.sendPart(this.kept.waiting.slice(0, PART))));
    } finally {
      this.sending = false;
    }
  }

  /** What was set aside waits again. */
  again(): void {
    this.keep({ waiting: [...this.kept.aside.map((a) => a.event), ...this.kept.waiting], aside: [] });
  }

  /** @return whether to go on */
  private async sendPart(part: Waiting[]): Promise<boolean> {
    try {
      await this.post(part);
      this.done(part, []);
      return true;
    } catch (error) {
      if (!(error instanceof Refused) || !error.forGood) return this.stop(wordsOf(error));
      if (error.status === 403) return this.stop(error.message);
      if (part.length > 1) return this.sendOneByOne(part);
      this.done(
        part,
        part.map((event) => ({ event, why: error.message })),
      );
      return true;
    }
  }

  /** One of them is refused: the others must not wait for it. */
  private async sendOneByOne(part: Waiting[]): Promise<boolean> {
    for (const event of part) {
      if (!(await this.sendPart([event]))) return false;
    }
    return true;
  }

  private stop(why: string): false {
    this.why = why;
    this.tell(false);
    return false;
  }

  private done(part: Waiting[], aside: SetAside[]): void {
    const ids = new Set(part.map((e) => e.id));
    this.why = null;
    this.keep(
      { waiting: this.kept.waiting.filter((e) => !ids.has(e.id)), aside: [...this.kept.aside, ...aside] },
      true,
    );
  }

  private keep(kept: Kept, sent = false): void {
    this.kept = kept;
    try {
      this.store.setItem(this.key, JSON.stringify(kept));
    } catch {
      this.why =
        'This phone has no room left: what waits is lost when the page is closed. Send it before, or save it as a file.';
    }
    this.tell(sent);
  }

  private read(): Kept {
    const text = this.store.getItem(this.key);
    if (text === null) return { waiting: [], aside: [] };
    try {
      const kept = JSON.parse(text) as Partial<Kept>;
      return { waiting: kept.waiting ?? [], aside: kept.aside ?? [] };
    } catch {
      // Damaged, and somebody's work all the same: it stays on the phone under another name.
      this.store.setItem(`${this.key}-damaged`, text);
      return { waiting: [], aside: [] };
    }
  }

  /** An earlier version kept one list for everybody who used the phone. */
  private bringForward(old: string): void {
    const text = this.store.getItem(old);
    if (text === null) return;
    try {
      const events = JSON.parse(text) as Waiting[];
      this.kept = { ...this.kept, aside: [...this.kept.aside, ...events.map((event) => ({ event, why: NOBODYS }))] };
      this.store.setItem(this.key, JSON.stringify(this.kept));
      this.store.removeItem(old);
    } catch {
      // Left where it is.
    }
  }
}
