import { useMutation } from '@tanstack/react-query';
import { ulid } from 'ulid';
import { put, wordsOf } from '../../api/client';
import { address } from '../../api/paths';
import { documentSaved } from '../../api/queries';
import { useAssessment, useDocuments, useProjectId } from '../../api/hooks';
import type { Building } from '../../api/types';

/** The building of the project, what is derived of it, and the one way it is saved. */
export function useBuilding() {
  const project = useProjectId();
  const documents = useDocuments();
  const derived = useAssessment().data?.building;
  const doc = documents.data?.building[0];
  const save = useMutation({
    mutationFn: (content: Building) =>
      put(address('/api/projects/{project}/documents/{kind}/{key}', { project, kind: 'building', key: 'building' }), {
        revision: doc?.revision ?? 0,
        content,
        save: ulid(),
      }),
    onSuccess: (saved) => documentSaved(project, saved),
  });
  return {
    loaded: documents.data !== undefined,
    mayEdit: documents.data?.may_edit ?? false,
    building: doc?.content,
    derived,
    save: save.mutateAsync,
    pending: save.isPending,
    why: save.isError ? wordsOf(save.error) : null,
  };
}
