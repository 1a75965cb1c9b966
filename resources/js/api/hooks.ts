import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { useUnits } from '../ui/units';
import { get } from './client';
import type {
  Assessment,
  Climate,
  DrillRun,
  Material,
  Method,
  ProjectDocuments,
  ReportState,
  School,
  SequenceSheet,
  SiteSheet,
} from './types';

export function useProjectId(): string {
  return useParams().project ?? '';
}

export const useMe = () =>
  useQuery({ queryKey: ['me'], queryFn: () => get<{ id: string; name: string; role: string }>('/me'), retry: false });
export const useClimates = () => useQuery({ queryKey: ['climates'], queryFn: () => get<Climate[]>('/climates') });

export function useDocuments() {
  const id = useProjectId();
  return useQuery({
    queryKey: ['project', id],
    queryFn: () => get<ProjectDocuments>(`/projects/${id}`),
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
    queryFn: () => get<Assessment>(`/projects/${id}/assessment?units=${units}&paths=none`),
    enabled: id !== '',
    placeholderData: keepPreviousData,
  });
}

export function useMaterials() {
  const id = useProjectId();
  return useQuery({ queryKey: ['materials', id], queryFn: () => get<Material[]>(`/projects/${id}/materials`) });
}

export function useSequence(key: string | undefined) {
  const id = useProjectId();
  const { units } = useUnits();
  return useQuery({
    queryKey: ['sequence', id, key, units],
    queryFn: () => get<SequenceSheet>(`/projects/${id}/sequences/${key}?units=${units}`),
    enabled: key !== undefined,
    placeholderData: keepPreviousData,
  });
}

/** Ways of making a detail; the same for every project. */
export const useMethods = () =>
  useQuery({ queryKey: ['methods'], queryFn: () => get<Method[]>('/generators'), staleTime: Infinity });

/** Where practitioners disagree, with the answers there are. */
export const useSchools = () =>
  useQuery({ queryKey: ['schools'], queryFn: () => get<School[]>('/schools'), staleTime: Infinity });

export function useDrills() {
  const id = useProjectId();
  return useQuery({ queryKey: ['drills', id], queryFn: () => get<DrillRun[]>(`/projects/${id}/drills`) });
}

export function useSite() {
  const id = useProjectId();
  const { units } = useUnits();
  return useQuery({
    queryKey: ['site', id, units],
    queryFn: () => get<SiteSheet>(`/projects/${id}/site?units=${units}`),
    placeholderData: keepPreviousData,
  });
}

export function useReports() {
  const id = useProjectId();
  return useQuery({
    queryKey: ['reports', id],
    queryFn: () => get<ReportState[]>(`/projects/${id}/reports`),
    refetchInterval: (query) =>
      query.state.data?.some((r) => r.state === 'queued' || r.state === 'printing') ? 500 : false,
  });
}
