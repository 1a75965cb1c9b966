import type { SiteEvent } from '../../api/types';

const sameDay = (a: Date, b: Date) => a.toDateString() === b.toDateString();

/**
 * The visit that what is seen now belongs to: one's own, of today where one stands. The evening of a day west of
 * Greenwich is tomorrow in UTC, and is still the same visit; a colleague's visit is the colleague's.
 *
 * @param visits those that the server has, @param waiting those that wait on this phone, which are one's own
 */
export function openVisit(
  visits: SiteEvent[],
  waiting: Omit<SiteEvent, 'by'>[],
  person: string,
  now: Date,
): string | undefined {
  const own = [...visits.filter((v) => v.account === person), ...waiting.filter((e) => e.kind === 'visit')];
  return own.filter((v) => sameDay(new Date(v.at), now)).at(-1)?.id;
}

interface Corrects {
  id: string;
  supersedes?: string | undefined;
}

/** The readings that none corrects, whether they were sent or wait. */
export function thatStand<E extends Corrects>(readings: E[]): E[] {
  const corrected = new Set(readings.map((r) => r.supersedes));
  return readings.filter((r) => !corrected.has(r.id));
}

/** The reading that a correction would correct: the last that stands. */
export const lastStanding = <E extends Corrects>(readings: E[]): E | undefined => thatStand(readings).at(-1);

/** Those of them that are numbers. */
export const numbersOf = <E extends Corrects & { value_mm?: number | undefined }>(readings: E[]) =>
  thatStand(readings).flatMap(({ id, value_mm }) => (value_mm === undefined ? [] : [{ id, value_mm }]));
