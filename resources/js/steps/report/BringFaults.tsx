import { useRef, useState } from 'react';
import { post } from '../../api/client';
import { address } from '../../api/paths';
import { projectChanged } from '../../api/queries';
import { useSend } from '../../ui/useSend';

/** Faults that another program wrote down, brought in: what is here already is not doubled. */
export function BringFaults({ project }: { project: string }) {
  const file = useRef<HTMLInputElement>(null);
  const [told, setTold] = useState('');
  const { why, busy, send } = useSend();
  const bring = async (chosen: File | undefined) => {
    if (!chosen) return;
    const form = new FormData();
    form.append('file', chosen);
    setTold('');
    await send(async () => {
      const taken = await post(address('/api/projects/{project}/faults.bcf', { project }), form);
      setTold(`${taken.new} new faults, ${taken.known} known, ${taken.closed} of them closed by it.`);
      await projectChanged(project);
    });
    if (file.current) file.current.value = '';
  };
  return (
    <p className="pt-2">
      <label>
        Bring in faults, BCF
        <input
          ref={file}
          type="file"
          name="bcf"
          accept=".bcf,.bcfzip,.zip"
          disabled={busy}
          className="block w-full"
          onChange={(e) => void bring(e.target.files?.[0])}
        />
      </label>
      {told && <span role="status">{told}</span>}
      {why && (
        <span role="alert" className="whitespace-pre-line text-fail">
          {why}
        </span>
      )}
    </p>
  );
}
