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
      const path = address('/api/projects/{project}/documents/{kind}/{key}', { project, kind, key: id });
      documentSaved(project, await put(path, { revision: 0, content, save: ulid() }));
      return id;
    } catch (error) {
      if (!(error instanceof Refused) || error.status !== 409 || n === TRIES) throw error;
      gone.push(id);
      await projectChanged(project);
    }
  }
}
