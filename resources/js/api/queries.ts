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

/** One document was saved: it takes its place among the others, and what is reckoned from it is asked for again. */
export function documentSaved(project: string, saved: Doc<unknown>): void {
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
