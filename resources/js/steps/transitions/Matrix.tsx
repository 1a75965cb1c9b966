import type { DerivedBuilding } from '../../api/types';
import { show } from '../../quantity/show';
import { THREADS } from '../../ui/threads';
import { useUnits } from '../../ui/units';
import { KINDS, STATES, worstOf } from '../../building/words';

interface Props {
  derived: DerivedBuilding;
  chosen: string | null;
  choose: (kind: DerivedBuilding['joints'][number]['kind']) => void;
}

/** Kinds of joints against the four threads: the worst state of each, and over how many metres. */
export function Matrix({ derived, chosen, choose }: Props) {
  const { units } = useUnits();
  const kinds = [...new Set(derived.joints.map((j) => j.kind))];
  return (
    <table className="w-full border-collapse text-[12px]" data-matrix>
      <thead>
        <tr className="border-b border-ink text-left">
          <th>Where parts meet</th>
          <th className="text-right">joints</th>
          <th className="pr-4 text-right">long</th>
          {THREADS.map((t) => (
            <th key={t.control} className="w-[7.5rem] max-sm:w-auto">
              {t.letter} {t.name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {kinds.map((kind) => {
          const joints = derived.joints.filter((j) => j.kind === kind);
          return (
            <tr key={kind} className={`border-b border-hair ${kind === chosen ? 'bg-hair' : ''}`} data-kind={kind}>
              <th className="text-left font-normal">
                <button aria-pressed={kind === chosen} className="w-full text-left" onClick={() => choose(kind)}>
                  {KINDS[kind]}
                </button>
              </th>
              <td className="px-1 text-right">{joints.length}</td>
              <td className="pr-4 text-right whitespace-nowrap max-sm:pr-1">
                {show(
                  joints.reduce((sum, j) => sum + j.length_m, 0),
                  'run',
                  units,
                )}
              </td>
              {THREADS.map((t) => {
                const worst = worstOf(joints.map((j) => j.threads[t.control]));
                const here = joints.filter((j) => j.threads[t.control] === worst);
                return (
                  <td key={t.control} className={STATES[worst].colour} data-state={worst}>
                    {STATES[worst].mark} {STATES[worst].words}
                    {here.length < joints.length ? ` at ${here.length}` : ''}
                  </td>
                );
              })}
            </tr>
          );
        })}
      </tbody>
      <tfoot>
        <tr>
          <th className="text-left font-semibold" colSpan={3}>
            goes right round
          </th>
          {THREADS.map((t) => (
            <td key={t.control} className="font-semibold" data-closed={derived.threads[t.control].closed}>
              {derived.threads[t.control].closed ? 'closed' : 'open'}
            </td>
          ))}
        </tr>
      </tfoot>
    </table>
  );
}
