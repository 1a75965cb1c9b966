import { expect, it } from 'vitest';
import { documentSaved, withLatelySaved } from './queries';
import type { ProjectDocuments } from './types';

const doc = (kind: string, key: string, revision: number, content: unknown = {}) => ({ kind, key, revision, content });
const LISTS = [
  'materials',
  'assemblies',
  'details',
  'openings',
  'asked',
  'systems',
  'adhesion',
  'building',
  'plan',
  'takeoff',
  'tests',
  'runs',
  'plane_sections',
  'acceptances',
  'weather',
];
const all = (more: Record<string, unknown>) =>
  ({
    ...Object.fromEntries(LISTS.map((list) => [list, []])),
    brief: doc('brief', 'brief', 1),
    ...more,
  }) as unknown as ProjectDocuments;

it('keeps what was saved while all documents were under way, and takes what is newer', async () => {
  const old = all({
    building: [doc('building', 'building', 4, 'before')],
    assemblies: [doc('assembly', 'w1', 9, 'theirs')],
  });
  const got = await withLatelySaved('p', () => {
    documentSaved('p', doc('building', 'building', 5, 'mine'));
    documentSaved('p', doc('plane-section', 'cut1', 1, 'new'));
    documentSaved('p', doc('assembly', 'w1', 8, 'mine, before theirs'));
    documentSaved('another', doc('run', 'r1', 1));
    return Promise.resolve(old);
  });
  expect(got.building[0]?.content).toBe('mine');
  expect(got.plane_sections.map((d) => d.key)).toEqual(['cut1']);
  expect(got.assemblies[0]?.content).toBe('theirs');
  expect(got.runs).toEqual([]);
});

it('believes what was asked for after it was saved', async () => {
  documentSaved('p', doc('building', 'building', 7, 'saved before'));
  await new Promise((resolve) => setTimeout(resolve, 5));
  const got = await withLatelySaved('p', () =>
    Promise.resolve(all({ building: [doc('building', 'building', 3, 'put back by a restore')] })),
  );
  expect(got.building[0]?.content).toBe('put back by a restore');
});
