import { useMutation, useQuery } from '@tanstack/react-query';
import { ulid } from 'ulid';
import { get, put, wordsOf } from '../api/client';
import { address } from '../api/paths';
import { useProjectId } from '../api/hooks';
import { projectChanged } from '../api/queries';
import type { Doc, Revision } from '../api/types';
import { forgetDraft } from './draft';

/** Everything a document has been, newest first; going back to one saves it as the newest. */
export function Revisions({
  doc,
  mayEdit,
}: {
  doc: Pick<Doc<unknown>, 'kind' | 'key' | 'revision'>;
  mayEdit: boolean;
}) {
  const project = useProjectId();
  const of = { project, kind: doc.kind, key: doc.key };
  const path = address('/api/projects/{project}/documents/{kind}/{key}', of);
  const list = useQuery({
    queryKey: ['revisions', path, doc.revision],
    queryFn: () => get(address('/api/projects/{project}/documents/{kind}/{key}/revisions', of)),
  });
  const back = useMutation({
    mutationFn: (to: Revision) => put(path, { revision: doc.revision, content: to.content, save: ulid() }),
    onSuccess: () => {
      forgetDraft(project, doc.kind, doc.key);
      return projectChanged(project);
    },
  });
  return (
    <section>
      <h2 className="border-b border-ink pb-1 font-bold">What it was</h2>
      {list.isError && (
        <p role="alert" className="text-fail">
          {wordsOf(list.error)}
        </p>
      )}
      {back.isError && (
        <p role="alert" className="whitespace-pre-line text-fail">
          {wordsOf(back.error)}
        </p>
      )}
      <ol className="max-h-[22rem] overflow-auto" tabIndex={0} aria-label="revisions">
        {list.data?.map((r) => (
          <li key={r.number} className="flex items-baseline gap-4 border-b border-hair py-1" data-revision={r.number}>
            <span className="w-8">{r.number}</span>
            <span className="w-[11rem]">{r.at.slice(0, 16).replace('T', ' ')} UTC</span>
            <span className="grow">
              {r.by}
              {r.content === null ? ', removed' : ''}
            </span>
            {mayEdit && r.content !== null && (
              <button className="act" disabled={back.isPending} onClick={() => back.mutate(r)}>
                {doc.revision === r.number ? 'save it anew' : 'go back to it'}
              </button>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}
