import { monotonicFactory } from 'ulid';
import { Refused, wordsOf } from '../../api/client';
import type { SiteEvent } from '../../api/types';
import { without } from '../../ui/without';
import type { Entry, Keeping, Waiting } from './phone';
import { fromFile } from './savedFile';

export type DraftEvent = Omit<SiteEvent, 'id' | 'at' | 'by'>;

/** What the server takes: events in parts, a photograph for its digest. */
export interface Server {
  events: (events: Waiting[]) => Promise<unknown>;
  photograph: (picture: Blob) => Promise<{ sha256: string }>;
}

/** Lists of an earlier version, in `localStorage`. */
export type Old = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

/** So many go in one request: short enough for a weak signal. */
const PART = 50;

const FULL =
  'This phone has no room left: what waits is lost when the page is closed. Send it before, or save it as a file.';

const NOBODYS =
  'It was left on this phone by an earlier version, which did not note whose it was. Send it if it is yours.';

const ulid = monotonicFactory();

const byOrder = (a: Entry, b: Entry) => a.order - b.order || (a.id < b.id ? -1 : 1);

/**
 * What one person saw on one project and waits to be sent. It lives on the phone until the server has it; sending twice
 * does no harm. One thing that the server refuses is set aside with its reason and holds up none of the others.
 */
export class Outbox {
  entries: Entry[] = [];
  /** why nothing could be sent just now */
  why: string | null = null;

  private sending = false;
  private last = 0;
  /** what is being written to the phone */
  private writing: Promise<void> = Promise.resolve();

  private constructor(
    private readonly keeping: Keeping,
    private readonly of: string,
    private readonly server: Server,
    private readonly tell: (sent: boolean) => void,
  ) {}

  /** The outbox with all that is kept of it; what an earlier version kept is taken over. */
  static async open(
    keeping: Keeping,
    project: string,
    person: string,
    server: Server,
    tell: (sent: boolean) => void,
    old?: Old,
  ): Promise<Outbox> {
    const outbox = new Outbox(keeping, `${project} ${person}`, server, tell);
    await outbox.look();
    if (old) await outbox.takeOver(old, project, person);
    return outbox;
  }

  /** What the phone holds now: another tab may have added to it, or sent some of it. */
  async look(): Promise<void> {
    await this.writing;
    this.entries = (await this.keeping.load(this.of)).sort(byOrder);
    this.last = this.entries.at(-1)?.order ?? 0;
  }

  get waiting(): Entry[] {
    return this.entries.filter((e) => e.why === undefined);
  }

  get aside(): Entry[] {
    return this.entries.filter((e) => e.why !== undefined);
  }

  /** Keeps an event on the phone; its id is made here. */
  add(draft: DraftEvent, photograph?: Blob, at = new Date()): string {
    const id = ulid().toLowerCase();
    this.last = Math.max(this.last + 1, at.getTime());
    this.put({
      id,
      of: this.of,
      order: this.last,
      event: { ...draft, id, at: at.toISOString() },
      ...(photograph ? { photograph } : {}),
    });
    this.tell(false);
    return id;
  }

  /** Sends what waits, in parts and in order, until nothing does or nothing answers. */
  async send(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    try {
      await this.writing;
      while (this.waiting.length > 0 && (await this.sendPart(this.nextPart())));
    } finally {
      this.sending = false;
    }
  }

  /** What was set aside waits again. */
  again(): void {
    for (const entry of this.aside) this.put(without(entry, 'why'));
    this.tell(false);
  }

  /** What was saved as a file waits here; what is here already stays as it is. @return how many were not here */
  bringIn(text: string): number {
    const here = new Set(this.entries.map((e) => e.id));
    const brought = fromFile(text, this.of).filter((e) => !here.has(e.id));
    for (const entry of brought) this.put(entry);
    this.entries = [...this.entries].sort(byOrder);
    this.last = Math.max(this.last, ...this.entries.map((e) => e.order));
    this.tell(false);
    return brought.length;
  }

  /** Until all of it is written to the phone. */
  written(): Promise<void> {
    return this.writing;
  }

  /** A photograph goes alone; what else waits goes in parts. */
  private nextPart(): Entry[] {
    const waiting = this.waiting;
    const until = waiting.findIndex((e) => e.photograph !== undefined);
    return until === 0 ? waiting.slice(0, 1) : waiting.slice(0, until < 0 ? PART : Math.min(PART, until));
  }

  /** @return whether to go on */
  private async sendPart(part: Entry[]): Promise<boolean> {
    try {
      const [first] = part;
      if (first?.photograph) {
        const { sha256 } = await this.server.photograph(first.photograph);
        this.put({ ...without(first, 'photograph'), event: { ...first.event, photographs: [sha256] } });
        return true;
      }
      await this.server.events(part.map((e) => e.event));
      this.gone(part);
      return true;
    } catch (error) {
      if (!(error instanceof Refused) || !error.forGood) return this.stop(wordsOf(error));
      if (error.status === 403) return this.stop(error.message);
      if (part.length > 1) return this.sendOneByOne(part);
      for (const entry of part) this.put({ ...entry, why: error.message });
      this.tell(true);
      return true;
    }
  }

  /** One of them is refused: the others must not wait for it. */
  private async sendOneByOne(part: Entry[]): Promise<boolean> {
    for (const entry of part) {
      if (!(await this.sendPart([entry]))) return false;
    }
    return true;
  }

  private stop(why: string): false {
    this.why = why;
    this.tell(false);
    return false;
  }

  private gone(part: Entry[]): void {
    const ids = new Set(part.map((e) => e.id));
    this.why = null;
    this.entries = this.entries.filter((e) => !ids.has(e.id));
    this.write(() => this.keeping.remove([...ids]));
    this.tell(true);
  }

  private put(entry: Entry): void {
    const at = this.entries.findIndex((e) => e.id === entry.id);
    this.entries = at < 0 ? [...this.entries, entry] : this.entries.map((e, i) => (i === at ? entry : e));
    this.write(() => this.keeping.put(entry));
  }

  /** One after the other, so that the last that was said of an entry is what stays. */
  private write(change: () => Promise<void>): void {
    this.writing = this.writing.then(change).catch(() => {
      this.why = FULL;
      this.tell(false);
    });
  }

  /** An earlier version kept lists of text: a person's, and before that one for everybody who used the phone. */
  private async takeOver(old: Old, project: string, person: string): Promise<void> {
    const own = `apron-outbox-${project}-${person}`;
    const everybodys = `apron-outbox-${project}`;
    try {
      const kept = JSON.parse(old.getItem(own) ?? '{}') as {
        waiting?: Waiting[];
        aside?: { event: Waiting; why: string }[];
      };
      const nobodys = JSON.parse(old.getItem(everybodys) ?? '[]') as Waiting[];
      const taken = [
        ...(kept.aside ?? []),
        ...(kept.waiting ?? []).map((event) => ({ event })),
        ...nobodys.map((event) => ({ event, why: NOBODYS })),
      ];
      taken.forEach((row, i) => this.put({ id: row.event.id, of: this.of, order: i, ...row }));
      await this.writing;
      if (this.why === null) {
        old.removeItem(own);
        old.removeItem(everybodys);
      }
    } catch {
      // Damaged, and somebody's work all the same: it is left where it is.
    }
  }
}
