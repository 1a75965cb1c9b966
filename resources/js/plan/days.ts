const DAY_MS = 86_400_000;

/** Days as numbers since 1970, and as they are written. */
export const dayOf = (date: string): number => Math.round(Date.parse(`${date}T00:00:00Z`) / DAY_MS);
export const written = (day: number): string => new Date(day * DAY_MS).toISOString().slice(0, 10);

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** `5 Apr`, with the year where one is asked for. */
export function spoken(day: number, year = false): string {
  const date = new Date(day * DAY_MS);
  return `${date.getUTCDate()} ${MONTHS[date.getUTCMonth()] ?? ''}${year ? ` ${date.getUTCFullYear()}` : ''}`;
}

/** Mondays from one day to another, thinned until there are no more than so many. */
export function mondays(from: number, to: number, most: number): number[] {
  const first = from + ((((4 - from) % 7) + 7) % 7);
  const all: number[] = [];
  for (let day = first; day <= to; day += 7) all.push(day);
  const every = Math.max(1, Math.ceil(all.length / most));
  return all.filter((_, i) => i % every === 0);
}
