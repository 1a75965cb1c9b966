import { QueryClient } from '@tanstack/react-query';
import { Refused } from './client';
import type { Doc, ProjectDocuments } from './types';

export const queries = new QueryClient({
  defaultOptions: {
    mutations: { networkMode: 'always' },
    queries: {
      staleTime: 5000,
      // Without a signal the worker answers with what was said last.
      networkMode: 'always',
      refetchOnWindowFocus: false,
      retry: (failures, error) => failures < 1 && !(error instanceof Refused && error.forGood),
    },
  },
});

/** Where each kind of document stands among those of its project. */
const LISTS = {
  material: 'materials',
  assembly: 'assemblies',
  detail: 'details',
  opening: 'openings',
  asked: 'asked',
  system: 'systems',
  adhesion: 'adhesion',
  building: 'building',
  plan: 'plan',
  takeoff: 'takeoff',
  test: 'tests',
  run: 'runs',
  'plane-section': 'plane_sections',
  acceptance: 'acceptances',
  weather: 'weather',
} as const;

/** What is reckoned from documents: asked for again where it is on the screen, and marked old where it is not. */
const RECKONED = [
  'others',
  'contacts',
  'assessment',
  'sequence',
  'site',
  'materials',
  'drills',
  'runs',
  'run',
  'section',
];

/** So long ago nothing that is still under way was asked. */
const LATELY_MS = 120_000;

let lately: { project: string; at: number; saved: Doc<unknown> }[] = [];

/**
 * All documents of a project. What was saved while they were under way may not be in them: it stands, and does not go
 * back to what it was.
 */
export async function withLatelySaved(
  project: string,
  ask: () => Promise<ProjectDocuments>,
): Promise<ProjectDocuments> {
  const began = performance.now();
  const documents = await ask();
  return lately
    .filter((s) => s.project === project && s.at >= began && !isNewer(documents, s.saved))
    .reduce((all, s) => withDocument(all, s.saved), documents);
}

/** Whether what came has a later revision of a document than the one that was saved here. */
function isNewer(documents: ProjectDocuments, saved: Doc<unknown>): boolean {
  const all = [documents.brief, ...Object.values(LISTS).flatMap((list) => documents[list] as Doc<unknown>[])];
  return all.some((d) => d.kind === saved.kind && d.key === saved.key && d.revision > saved.revision);
}

/** One document was saved: it takes its place among the others, and what is reckoned from it is asked for again. */
export function documentSaved(project: string, saved: Doc<unknown>): void {
  const now = performance.now();
  lately = [...lately.filter((s) => now - s.at < LATELY_MS), { project, at: now, saved }];
  queries.setQueryData<ProjectDocuments>(
    ['project', project],
    (documents) => documents && withDocument(documents, saved),
  );
  void queries.invalidateQueries({ queryKey: ['project', project], refetchType: 'none' });
  for (const key of RECKONED) void queries.invalidateQueries({ queryKey: [key, project] });
}

/** Something was added to a project, or taken from it: all of it is asked for again. */
export async function projectChanged(project: string): Promise<void> {
  for (const key of RECKONED) void queries.invalidateQueries({ queryKey: [key, project] });
  await queries.invalidateQueries({ queryKey: ['project', project] });
}

function withDocument(documents: ProjectDocuments, saved: Doc<unknown>): ProjectDocuments {
  if (saved.kind === 'brief') return { ...documents, brief: saved as ProjectDocuments['brief'] };
  const next: Record<string, Doc<unknown>[]> = {};
  for (const [kind, list] of Object.entries(LISTS)) {
    const here = documents[list] as Doc<unknown>[];
    const at = here.findIndex((d) => d.key === saved.key);
    if (kind === saved.kind) next[list] = at < 0 ? [...here, saved] : here.map((d, i) => (i === at ? saved : d));
    // An opening changed by hand becomes a detail under the key it had, and an opening again when that is undone.
    else if (at >= 0 && ['detail', 'opening'].includes(kind) && ['detail', 'opening'].includes(saved.kind))
      next[list] = here.filter((_, i) => i !== at);
  }
  return { ...documents, ...next };
}
