import { without } from '../../ui/without';
import type { Entry } from './phone';

/** An entry as the file has it: its photograph as text. */
type Row = Omit<Entry, 'photograph'> & { photograph?: string };

/** So many bytes become text at a time. */
const PIECE = 32768;

/** A file that cannot be brought in, in words. */
export class NotBroughtIn extends Error {}

/** All of it as a file, pictures too: it can be brought in where there is a signal. */
export async function toFile(entries: Entry[]): Promise<Blob> {
  const rows: Row[] = await Promise.all(
    entries.map(async ({ photograph, ...entry }) => ({
      ...entry,
      ...(photograph ? { photograph: await asText(photograph) } : {}),
    })),
  );
  return new Blob([JSON.stringify({ entries: rows }, null, 2)], { type: 'application/json' });
}

/**
 * What a saved file holds, to wait again: only who saw it signs it, and on its own project.
 *
 * @param of the project and the person that bring it in, as `project person`
 * @throws NotBroughtIn
 */
export function fromFile(text: string, of: string): Entry[] {
  const rows = rowsOf(text);
  const [project] = of.split(' ');
  for (const row of rows) {
    const [itsProject] = row.of.split(' ');
    if (itsProject !== project)
      throw new NotBroughtIn('That file is of another project: open that one to bring it in.');
    if (row.of !== of)
      throw new NotBroughtIn('Somebody else saw what is in that file: they bring it in, signed in as themselves.');
  }
  // What was set aside waits again: where it is brought in it may be taken.
  return rows.map(({ photograph, ...entry }) => ({
    ...without(entry, 'why'),
    ...(photograph === undefined ? {} : { photograph: asPicture(photograph) }),
  }));
}

function rowsOf(text: string): Row[] {
  try {
    const { entries } = JSON.parse(text) as { entries: unknown };
    if (Array.isArray(entries) && entries.length > 0 && entries.every(isRow)) return entries;
  } catch {
    // Said below: a file that is no JSON is no such file either.
  }
  throw new NotBroughtIn('That is no file of what waited on a phone: one is saved here as “not-sent.json”.');
}

function isRow(row: unknown): row is Row {
  const { id, of, order, event, photograph } = (row ?? {}) as Partial<Row>;
  return (
    typeof id === 'string' &&
    typeof of === 'string' &&
    typeof order === 'number' &&
    typeof event === 'object' &&
    event?.id === id &&
    typeof event.kind === 'string' &&
    typeof event.at === 'string' &&
    (photograph === undefined || /^data:image\/(jpeg|png|webp);base64,/.test(photograph))
  );
}

function asPicture(photograph: string): Blob {
  const [head = '', body = ''] = photograph.split(',');
  const bytes = Uint8Array.from(atob(body), (c) => c.charCodeAt(0));
  return new Blob([bytes], { type: head.slice(5, head.indexOf(';')) });
}

/** As a data URL; in pieces, for an argument list is not made for millions of bytes. */
async function asText(picture: Blob): Promise<string> {
  const bytes = new Uint8Array(await picture.arrayBuffer());
  let text = '';
  for (let at = 0; at < bytes.length; at += PIECE) text += String.fromCharCode(...bytes.subarray(at, at + PIECE));
  return `data:${picture.type || 'image/jpeg'};base64,${btoa(text)}`;
}
