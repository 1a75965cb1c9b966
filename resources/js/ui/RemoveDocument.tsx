import { useState } from 'react';
import { useNavigate } from 'react-router';
import { remove } from '../api/client';
import { useProjectId, useRefresh } from '../api/hooks';
import { Sheet } from './Frame';

/** Takes an assembly, a detail or a material out of the project, after asking: this is not undone. */
export function RemoveDocument({ kind, id, name, lost, after }: { kind: 'assembly' | 'detail' | 'opening' | 'material'; id: string; name: string; lost: string; after: string }) {
  const project = useProjectId();
  const refresh = useRefresh();
  const navigate = useNavigate();
  const [asking, setAsking] = useState(false);
  const [why, setWhy] = useState<string | null>(null);
  const go = async () => {
    try {
      await remove(`/projects/${project}/documents/${kind}/${encodeURIComponent(id)}`);
      setAsking(false);
      refresh();
      navigate(after);
    } catch (error) {
      setWhy(error instanceof Error ? error.message : 'The server does not answer.');
    }
  };
  return (
    <>
      <button className="link text-faint" onClick={() => setAsking(true)}>remove</button>
      <Sheet open={asking} close={() => setAsking(false)} title={`Remove “${name}”?`}>
        <p className="mb-3">This cannot be undone. {lost}</p>
        {why && <p role="alert" className="mb-2 text-fail">{why}</p>}
        <button className="act mr-2" onClick={() => void go()}>Remove it</button><button className="act" onClick={() => setAsking(false)}>Keep it</button>
      </Sheet>
    </>
  );
}
