import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { remove, wordsOf } from '../api/client';
import { address } from '../api/paths';
import { useProjectId } from '../api/hooks';
import { projectChanged } from '../api/queries';
import { Dialog } from './Dialog';
import { forgetDraft } from './draft';

interface Props {
  kind: 'assembly' | 'detail' | 'opening' | 'material' | 'asked' | 'system';
  id: string;
  /** the revision that is looked at: one that somebody else changed meanwhile is not removed unseen */
  revision: number;
  name: string;
  lost: string;
  after: string;
}

/**
 * Takes an assembly, a detail or a material out of the project, after asking. It can be brought back from the brief.
 */
export function RemoveDocument({ kind, id, revision, name, lost, after }: Props) {
  const project = useProjectId();
  const navigate = useNavigate();
  const [asking, setAsking] = useState(false);
  const removal = useMutation({
    mutationFn: () =>
      remove(address('/api/projects/{project}/documents/{kind}/{key}', { project, kind, key: id }), { revision }),
    onSuccess: async () => {
      setAsking(false);
      forgetDraft(project, kind, id);
      await projectChanged(project);
      void navigate(after);
    },
  });
  return (
    <>
      <button
        className="link text-faint"
        onClick={() => {
          removal.reset();
          setAsking(true);
        }}
      >
        remove
      </button>
      <Dialog open={asking} close={() => setAsking(false)} title={`Remove “${name}”?`}>
        <p className="mb-3">{lost} It can be brought back from the page Brief, under “removed”.</p>
        {removal.isError && (
          <p role="alert" className="mb-2 whitespace-pre-line text-fail">
            {wordsOf(removal.error)}
          </p>
        )}
        <button className="act mr-2" disabled={removal.isPending} onClick={() => removal.mutate()}>
          Remove it
        </button>
        <button className="act" onClick={() => setAsking(false)}>
          Keep it
        </button>
      </Dialog>
    </>
  );
}
