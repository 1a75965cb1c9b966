import { useMutation, useQuery } from '@tanstack/react-query';
import { ulid } from 'ulid';
import { get, put, wordsOf } from '../../api/client';
import { address } from '../../api/paths';
import { useProjectId } from '../../api/hooks';
import { projectChanged } from '../../api/queries';
import type { RemovedDocument } from '../../api/types';
import { forgetDraft } from '../../ui/draft';

/** What was taken out of the project, each to be brought back as it last was. */
export function Removed({ mayEdit }: { mayEdit: boolean }) {
  const project = useProjectId();
  const removed = useQuery({
    queryKey: ['project', project, 'removed'],
    queryFn: () => get(address('/api/projects/{project}/removed', { project })),
  });
  const back = useMutation({
    mutationFn: async (d: RemovedDocument) => {
      const of = { project, kind: d.kind, key: d.key };
      const before = (await get(address('/api/projects/{project}/documents/{kind}/{key}/revisions', of))).find(
        (r) => r.content !== null,
      );
      await put(address('/api/projects/{project}/documents/{kind}/{key}', of), {
        revision: d.revision,
        content: before?.content,
        save: ulid(),
      });
      forgetDraft(project, d.kind, d.key);
    },
    onSettled: () => projectChanged(project),
  });
  if (!removed.data || removed.data.length === 0) return null;
  return (
    <section className="mt-5 border-t border-ink pt-2" data-removed={removed.data.length}>
      <h2 className="text-[15px] font-bold">Removed</h2>
      {back.isError && (
        <p role="alert" className="whitespace-pre-line text-fail">
          {wordsOf(back.error)}
        </p>
      )}
      <ul>
        {removed.data.map((d) => (
          <li key={`${d.kind} ${d.key}`} className="flex flex-wrap items-baseline gap-x-3 border-t border-hair py-1">
            <span>
              {d.kind} {d.key} · {d.name}
            </span>
            <span className="text-faint">
              by {d.by}, {d.at.slice(0, 16).replace('T', ' ')} UTC
            </span>
            {mayEdit && (
              <button className="act" disabled={back.isPending} onClick={() => back.mutate(d)}>
                bring it back
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
