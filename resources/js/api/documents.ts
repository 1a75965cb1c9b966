import { ulid } from 'ulid';
import { put, Refused } from './client';
import { address } from './paths';
import { documentSaved, projectChanged } from './queries';

const TRIES = 8;

/**
 * A new document under the first id that is free. Somebody else, or a second click, may have taken it a moment ago:
 * then the next one.
 *
 * @param idOf an id that is not among those taken
 * @param made its content, and what kind of document that makes it
 * @return the id it was saved under
 */
export async function createDocument(
  project: string,
  taken: string[],
  idOf: (taken: string[]) => string,
  made: (id: string) => Promise<{ kind: string; content: unknown }>,
): Promise<string> {
  const gone = [...taken];
  for (let n = 0; ; n++) {
    const id = idOf(gone);
    const { kind, content } = await made(id);
    try {
      await saveDocument(project, { kind, key: id, revision: 0 }, content);
      return id;
    } catch (error) {
      if (!(error instanceof Refused) || error.status !== 409 || n === TRIES) throw error;
      gone.push(id);
      await projectChanged(project);
    }
  }
}

interface Where {
  kind: string;
  key: string;
  /** 0 where there is none yet */
  revision: number;
}

/** Saves a document over the revision that is known; it takes its place among the others. */
export async function saveDocument(project: string, { kind, key, revision }: Where, content: unknown): Promise<void> {
  documentSaved(project, await written(project, { kind, key, revision }, content));
}

/** The same, of a document of which less is shown than was written. */
export const written = (project: string, { kind, key, revision }: Where, content: unknown) =>
  put(address('/api/projects/{project}/documents/{kind}/{key}', { project, kind, key }), {
    revision,
    content,
    save: ulid(),
  });
