export interface Row {
  id: string;
  /** what is searched */
  text: string;
  /** rows of one group stand together under its name */
  group?: string;
}

export const MOST_SHOWN = 200;

/** Rows that hold every word typed, those of one group together in the order in which the groups first come. */
export function found<R extends Row>(rows: R[], words: string): R[] {
  const asked = words.toLowerCase().split(/\s+/);
  const groups = new Map<string, R[]>();
  for (const row of rows) {
    const text = row.text.toLowerCase();
    if (!asked.every((w) => text.includes(w))) continue;
    const group = groups.get(row.group ?? '');
    if (group) group.push(row);
    else groups.set(row.group ?? '', [row]);
  }
  return [...groups.values()].flat();
}
