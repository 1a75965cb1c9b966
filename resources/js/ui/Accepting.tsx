import { useId, useState } from 'react';
import { useMutation } from '@tanstack/react-query';
import { post, remove, wordsOf } from '../api/client';
import { useDocuments, useProjectId } from '../api/hooks';
import { address } from '../api/paths';
import { projectChanged } from '../api/queries';
import type { Finding } from '../api/types';

/** A finding taken on with a reason, in one's own name; or what was said when it was. Never hidden, always undone. */
export function Accepting({ finding }: { finding: Finding }) {
  const project = useProjectId();
  const documents = useDocuments();
  const [reason, setReason] = useState<string | null>(null);
  const field = useId();
  const mayEdit = documents.data?.may_edit ?? false;
  const kept = documents.data?.acceptances.find((d) => d.content.key === finding.key);
  // What is shown of a draft may be older than an acceptance that was just made, or taken back.
  const accepted =
    documents.data && !kept ? null : (finding.accepted ?? (kept ? { ...kept.content, changed: false } : null));
  const accept = useMutation({
    mutationFn: (words: string) =>
      post(address('/api/projects/{project}/acceptances', { project }), { key: finding.key, reason: words }),
    onSuccess: async () => {
      await projectChanged(project);
      setReason(null);
    },
  });
  const withdraw = useMutation({
    mutationFn: () =>
      remove(
        address('/api/projects/{project}/documents/{kind}/{key}', {
          project,
          kind: 'acceptance',
          key: kept?.key ?? '',
        }),
        { revision: kept?.revision },
      ),
    onSuccess: () => projectChanged(project),
  });
  const failed = accept.error ?? withdraw.error;
  const asks = finding.severity === 'fail' || finding.severity === 'caution';
  if (!accepted && !(asks && mayEdit)) return null;
  return (
    <div className="mt-1" data-accepted={accepted ? (accepted.changed ? 'changed' : 'yes') : 'no'}>
      {accepted && (
        <p className="border-l-2 border-ink pl-2">
          {accepted.changed ? 'Accepted earlier, now different, and open again: ' : 'Accepted: '}
          {accepted.reason}{' '}
          <span className="text-faint">
            {accepted.by}, {accepted.at.slice(0, 10)}
          </span>{' '}
          {mayEdit && (
            <button className="link" disabled={withdraw.isPending} onClick={() => withdraw.mutate()}>
              take it back
            </button>
          )}
        </p>
      )}
      {mayEdit && asks && (!accepted || accepted.changed) && reason === null && (
        <button className="link text-[11px] text-faint" onClick={() => setReason('')}>
          accept with a reason
        </button>
      )}
      {reason !== null && (
        <form
          onSubmit={(e) => {
            e.preventDefault();
            if (reason.trim() !== '') accept.mutate(reason);
          }}
          onKeyDown={(e) => {
            if (e.key === 'Escape') setReason(null);
            e.stopPropagation();
          }}
        >
          <label htmlFor={field} className="block text-faint">
            Why it is accepted; it stays shown, in your name
          </label>
          <textarea
            id={field}
            autoFocus
            className="w-full"
            rows={2}
            maxLength={2000}
            value={reason}
            onChange={(e) => setReason(e.target.value)}
          />
          <p className="flex gap-3">
            <button className="act py-0" disabled={reason.trim() === '' || accept.isPending}>
              accept it
            </button>
            <button type="button" className="link text-faint" onClick={() => setReason(null)}>
              leave it open
            </button>
          </p>
        </form>
      )}
      {failed && (
        <p role="alert" className="text-fail">
          {wordsOf(failed)}
        </p>
      )}
    </div>
  );
}
