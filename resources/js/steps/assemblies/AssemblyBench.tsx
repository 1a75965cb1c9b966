import type { ReactNode } from 'react';
import type { Assembly } from '../../api/types';
import { Effort } from './Effort';
import { Surroundings } from './Surroundings';

/** What can be done to the assembly as a whole, while no layer is chosen. */
export function AssemblyBench({
  assembly,
  mayEdit,
  change,
  add,
  remove,
}: {
  assembly: Assembly;
  mayEdit: boolean;
  change: (assembly: Assembly) => void;
  /** a layer more */
  add: () => void;
  /** how the assembly is removed */
  remove: ReactNode;
}) {
  return (
    <div className="flex min-h-[66px] flex-wrap items-center gap-x-5 gap-y-1 border-y border-hair py-1 text-[12px]">
      <span className="text-faint">Choose a layer on the drawing, by mouse or with Tab and the arrows.</span>
      <label>
        <span className="mr-1 text-faint">This is a</span>
        <select
          value={assembly.kind}
          disabled={!mayEdit}
          onChange={(e) => change({ ...assembly, kind: e.target.value as Assembly['kind'] })}
        >
          {['wall', 'roof', 'floor', 'foundation'].map((k) => (
            <option key={k}>{k}</option>
          ))}
        </select>
      </label>
      <Surroundings {...{ assembly, mayEdit, change }} />
      <Effort {...{ assembly, mayEdit, change }} />
      {mayEdit && (
        <button className="act" onClick={add}>
          add a layer <span className="key">n</span>
        </button>
      )}
      {mayEdit && remove}
    </div>
  );
}
