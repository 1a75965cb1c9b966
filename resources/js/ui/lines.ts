/** What a table of lines says, or the line that cannot be read and what would be right. */
export type ReadLines<T> = { rows: T[] } | { why: string };

/** A table with a head or without, as it is typed, pasted from a sheet or read from a CSV file. */
export interface Table<T> {
  /** what the first cell of a head may say */
  head: string[];
  example: string;
  columns: string;
  row: (cells: string[]) => T | null;
  cells: (row: T) => (string | number | undefined)[];
}

export function readLines<T>(typed: string, table: Table<T>): ReadLines<T> {
  const rows: T[] = [];
  for (const [i, line] of typed
    .replace(/^\uFEFF/, '')
    .split(/\r?\n/)
    .entries()) {
    const cells = line.split(/[,;\t]/).map((cell) => cell.trim().replace(/^"(.*)"$/, '$1'));
    if (cells.every((cell) => cell === '')) continue;
    if (rows.length === 0 && table.head.includes((cells[0] ?? '').toLowerCase())) continue;
    const row = table.row(cells);
    if (row === null) return { why: `line ${i + 1}, “${line.trim()}”: ${table.columns}, as ${table.example}` };
    rows.push(row);
  }
  return { rows };
}

export const writeLines = <T>(rows: T[], table: Table<T>): string =>
  rows
    .map((row) =>
      table
        .cells(row)
        .map((cell) => cell ?? '')
        .join(', ')
        .replace(/(, )+$/, ''),
    )
    .join('\n');

/** Numbers of these cells; null where one is none. */
export function numbers(cells: (string | undefined)[]): number[] | null {
  const read = cells.map((cell) => (cell === undefined || cell === '' ? NaN : Number(cell)));
  return read.every(Number.isFinite) ? read : null;
}
