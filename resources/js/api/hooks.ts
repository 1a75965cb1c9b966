import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { useUnits } from '../ui/units';
import { get } from './client';
import { address } from './paths';
import { withLatelySaved } from './queries';

export function useProjectId(): string {
  return useParams().project ?? '';
}

export const useMe = () => useQuery({ queryKey: ['me'], queryFn: () => get(address('/api/me', {})), retry: false });
export const useClimates = () => useQuery({ queryKey: ['climates'], queryFn: () => get(address('/api/climates', {})) });

export function useDocuments() {
  const id = useProjectId();
  return useQuery({
    queryKey: ['project', id],
    queryFn: () => withLatelySaved(id, () => get(address('/api/projects/{project}', { project: id }))),
    enabled: id !== '',
  });
}

// What is shown in one system of units stays while the other is fetched: a sheet that vanished would take with it what
// was being typed.
export function useAssessment() {
  const id = useProjectId();
  const { units } = useUnits();
  return useQuery({
    queryKey: ['assessment', id, units],
    queryFn: () => get(address('/api/projects/{project}/assessment', { project: id }, { units, paths: 'none' })),
    enabled: id !== '',
    placeholderData: keepPreviousData,
  });
}

export function useMaterials() {
  const id = useProjectId();
  return useQuery({
    queryKey: ['materials', id],
    queryFn: () => get(address('/api/projects/{project}/materials', { project: id })),
  });
}

export function useSequence(key: string | undefined) {
  const id = useProjectId();
  const { units } = useUnits();
  return useQuery({
    queryKey: ['sequence', id, key, units],
    queryFn: () => get(address('/api/projects/{project}/sequences/{key}', { project: id, key: key ?? '' }, { units })),
    enabled: key !== undefined,
    placeholderData: keepPreviousData,
  });
}

/** What touches in the project, worst first. */
export function useContacts(month: number | null) {
  const id = useProjectId();
  return useQuery({
    queryKey: ['contacts', id, month],
    queryFn: () =>
      get(address('/api/projects/{project}/contacts', { project: id }, month === null ? {} : { month: String(month) })),
    placeholderData: keepPreviousData,
  });
}

/** What the project asks of others on site. */
export function useOthers() {
  const id = useProjectId();
  const { units } = useUnits();
  return useQuery({
    queryKey: ['others', id, units],
    queryFn: () => get(address('/api/projects/{project}/others', { project: id }, { units })),
  });
}

/** Ways of making a detail; the same for every project. */
export const useMethods = () =>
  useQuery({ queryKey: ['methods'], queryFn: () => get(address('/api/generators', {})), staleTime: Infinity });

/** Where practitioners disagree, with the answers there are. */
export const useSchools = () =>
  useQuery({ queryKey: ['schools'], queryFn: () => get(address('/api/schools', {})), staleTime: Infinity });

export function useDrills() {
  const id = useProjectId();
  return useQuery({
    queryKey: ['drills', id],
    queryFn: () => get(address('/api/projects/{project}/drills', { project: id })),
  });
}

export function useSite() {
  const id = useProjectId();
  const { units } = useUnits();
  return useQuery({
    queryKey: ['site', id, units],
    queryFn: () => get(address('/api/projects/{project}/site', { project: id }, { units })),
    placeholderData: keepPreviousData,
  });
}

/** How far each run of the project has come: asked again while one is under way. */
export function useRuns() {
  const id = useProjectId();
  return useQuery({
    queryKey: ['runs', id],
    queryFn: () => get(address('/api/projects/{project}/runs', { project: id })),
    refetchInterval: (query) =>
      query.state.data?.some((r) => r.state === 'queued' || r.state === 'running') ? 700 : false,
  });
}

export function useRevisions(id: string) {
  return useQuery({
    queryKey: ['revisions', id],
    queryFn: () => get(address('/api/projects/{project}/revisions', { project: id })),
    refetchInterval: (query) =>
      query.state.data?.revisions.some((r) => r.reports.some((p) => p.state === 'queued' || p.state === 'printing'))
        ? 500
        : false,
  });
}

export function useReports() {
  const id = useProjectId();
  return useQuery({
    queryKey: ['reports', id],
    queryFn: () => get(address('/api/projects/{project}/reports', { project: id })),
    refetchInterval: (query) =>
      query.state.data?.some((r) => r.state === 'queued' || r.state === 'printing') ? 500 : false,
  });
}
