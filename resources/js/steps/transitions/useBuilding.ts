import { useMutation } from '@tanstack/react-query';
import { useCallback, useRef } from 'react';
import { ulid } from 'ulid';
import { put, wordsOf } from '../../api/client';
import { address } from '../../api/paths';
import { documentSaved, queries } from '../../api/queries';
import { useAssessment, useDocuments, useProjectId } from '../../api/hooks';
import type { Building, ProjectDocuments } from '../../api/types';

/** The building of the project, what is derived of it, and the one way it is saved. */
export function useBuilding() {
  const project = useProjectId();
  const documents = useDocuments();
  const derived = useAssessment().data?.building;
  const doc = documents.data?.building[0];
  const { mutateAsync, isPending, isError, error } = useMutation({
    mutationFn: (content: Building) => {
      // What is saved stands on what was saved last, which may have come back since this was drawn.
      const kept = queries.getQueryData<ProjectDocuments>(['project', project])?.building[0];
      return put(
        address('/api/projects/{project}/documents/{kind}/{key}', { project, kind: 'building', key: 'building' }),
        { revision: kept?.revision ?? 0, content, save: ulid() },
      );
    },
    onSuccess: (saved) => documentSaved(project, saved),
  });
  // One after the other: a hand that is quicker than the answer would be refused for what it did itself.
  const before = useRef<Promise<unknown>>(Promise.resolve());
  const save = useCallback(
    (content: Building) => {
      const next = before.current.then(
        () => mutateAsync(content),
        () => mutateAsync(content),
      );
      before.current = next;
      return next;
    },
    [mutateAsync],
  );
  return {
    loaded: documents.data !== undefined,
    mayEdit: documents.data?.may_edit ?? false,
    building: doc?.content,
    derived,
    save,
    pending: isPending,
    why: isError ? wordsOf(error) : null,
  };
}
