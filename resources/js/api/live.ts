import { useEffect, useReducer, useState } from 'react';
import { post, Unanswered, wordsOf } from './client';
import type { Answer, At, Path } from './paths';

/** The newest answer, whether it is of an older question, and why there is none to the newest. */
export interface Told<A> {
  answer: A | undefined;
  old: boolean;
  why: string | null;
}

const ANSWERS_KEPT = 40;
const AGAIN_MS = 2000;

/**
 * Questions asked faster than they are answered: one is on its way at a time, then the newest. What was answered before
 * is answered at once, and an answer to an older question is never shown as that to a newer one.
 */
export class Live<Q, A> {
  told: Told<A> = { answer: undefined, old: false, why: null };

  private wanted: { key: string; question: Q } | null = null;
  private asking = false;
  private closed = false;
  private again: ReturnType<typeof setTimeout> | undefined;
  private readonly answers = new Map<string, A>();

  constructor(
    private readonly ask: (question: Q) => Promise<A>,
    private readonly tell: () => void,
  ) {}

  put(key: string, question: Q): void {
    this.closed = false;
    if (this.wanted?.key === key && (this.asking || !this.told.old)) return;
    this.wanted = { key, question };
    clearTimeout(this.again);
    const known = this.answers.get(key);
    this.say(
      known === undefined
        ? { answer: this.told.answer, old: true, why: null }
        : { answer: known, old: false, why: null },
    );
    if (known === undefined) void this.go();
  }

  /** An answer that is known already, so that it need not be asked for. */
  prime(key: string, answer: A): void {
    this.answers.set(key, answer);
    const oldest = this.answers.keys().next().value;
    if (this.answers.size > ANSWERS_KEPT && oldest !== undefined) this.answers.delete(oldest);
  }

  close(): void {
    this.closed = true;
    clearTimeout(this.again);
  }

  private async go(): Promise<void> {
    if (this.asking || this.wanted === null || this.closed) return;
    this.asking = true;
    const { key, question } = this.wanted;
    try {
      const answer = await this.ask(question);
      this.prime(key, answer);
      if (this.wanted.key === key) this.say({ answer, old: false, why: null });
    } catch (error) {
      if (this.wanted.key === key) {
        this.say({ answer: this.told.answer, old: true, why: wordsOf(error) });
        if (error instanceof Unanswered) this.again = setTimeout(() => void this.go(), AGAIN_MS);
      }
    } finally {
      this.asking = false;
    }
    if (this.wanted.key !== key && !this.answers.has(this.wanted.key)) void this.go();
  }

  private say(told: Told<A>): void {
    this.told = told;
    if (!this.closed) this.tell();
  }
}

/** Runs one at a time; of those that come meanwhile only the newest runs, after it. */
export function newestOnly<Q>(
  run: (question: Q, isNewest: () => boolean) => Promise<void>,
): (question: Q) => Promise<void> {
  let running: Promise<void> | null = null;
  let newest = 0;
  return async (question) => {
    const mine = ++newest;
    while (running) {
      await running;
      if (mine !== newest) return;
    }
    running = run(question, () => mine === newest).finally(() => {
      running = null;
    });
    await running;
  };
}

export interface Question<P extends Path> {
  path: At<P>;
  body: unknown;
}

const keyOf = ({ path, body }: Question<Path>) => `${path} ${JSON.stringify(body)}`;

/**
 * What the server says of a draft as it stands; nothing is asked while the question is null.
 *
 * @returns with `prime`, to take over an answer that is known already
 */
export function useLive<P extends Path>(
  question: Question<P> | null,
): Told<Answer<P, 'post'>> & { prime: (question: Question<P>, answer: Answer<P, 'post'>) => void } {
  const [, draw] = useReducer((n: number) => n + 1, 0);
  const [live] = useState(() => new Live<Question<P>, Answer<P, 'post'>>((q) => post(q.path, q.body), draw));
  const key = question === null ? null : keyOf(question);
  useEffect(() => {
    if (key !== null && question !== null) live.put(key, question);
    // the key says all that the question says
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, live]);
  useEffect(() => () => live.close(), [live]);
  return { ...live.told, prime: (asked, answer) => live.prime(keyOf(asked), answer) };
}
