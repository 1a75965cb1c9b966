import { show } from './show';

/** What a check asks of a reading: a least, a most, both, or neither where it is looked at. */
export interface Asks {
  least_mm: number | null;
  most_mm: number | null;
}

export const isLook = (check: Asks): boolean => check.least_mm === null && check.most_mm === null;

/** The unit once: `2 to 6 mm`. */
const between = (least: number, most: number, units: 'si' | 'us') =>
  `${show(least, 'length', units).replace(/ \S+$/, '')} to ${show(most, 'length', units)}`;

/** As a list has it: `≥ 50 mm`, `≤ 3 mm`, `2 to 6 mm`, or that it is a look. */
export function asked(check: Asks, units: 'si' | 'us'): string {
  const [least, most] = [check.least_mm, check.most_mm];
  if (least !== null && most !== null) return between(least, most, units);
  if (least !== null) return `≥ ${show(least, 'length', units)}`;
  return most === null ? 'look' : `≤ ${show(most, 'length', units)}`;
}

/** As a sentence has it. */
export function askedInWords(check: Asks, units: 'si' | 'us'): string {
  const [least, most] = [check.least_mm, check.most_mm];
  if (least !== null && most !== null) return `From ${between(least, most, units)}`;
  return least !== null ? `At least ${show(least, 'length', units)}` : `At most ${show(most ?? 0, 'length', units)}`;
}

/** The reading of several that is nearest to failing: the least, or of a most the largest. */
export const worstRead = (check: Asks, verdict: Asks): number | null =>
  check.least_mm === null && check.most_mm !== null ? verdict.most_mm : verdict.least_mm;

interface ReadSoFar {
  count: number;
  least_mm: number | null;
  most_mm: number | null;
  mean_mm: number | null;
  /** the share out of tolerance, 0 to 1 */
  out: number;
}

/** Least, most, mean, count and share out of tolerance, of readings that are numbers; of one what it is. */
export const readInWords = ({ count, least_mm, most_mm, mean_mm, out }: ReadSoFar, units: 'si' | 'us'): string =>
  count === 1
    ? `${show(least_mm, 'length', units)}, 1 read${out > 0 ? ', out of it' : ''}`
    : `${show(least_mm, 'length', units)} to ${show(most_mm, 'length', units)}, mean ${show(mean_mm, 'length', units)}, ` +
      `${count} read, ${Math.round(out * 100)} % out`;
