import type { Assembly } from '../../api/types';
import { COSTS, CREWS } from './effortWords';

/** Marks for what it costs and what crew it takes, by judgement: so that variants can be set side by side. */
export function Effort({
  assembly,
  mayEdit,
  change,
}: {
  assembly: Assembly;
  mayEdit: boolean;
  change: (assembly: Assembly) => void;
}) {
  const { cost, crew, ...rest } = assembly;
  const set = (marks: Pick<Assembly, 'cost' | 'crew'>) =>
    change({
      ...rest,
      ...(marks.cost === undefined ? {} : { cost: marks.cost }),
      ...(marks.crew === undefined ? {} : { crew: marks.crew }),
    });
  return (
    <>
      <label>
        <span className="mr-1 text-faint">costs</span>
        <select
          value={cost ?? ''}
          disabled={!mayEdit}
          onChange={(e) => set({ crew, cost: (e.target.value || undefined) as Assembly['cost'] })}
        >
          <option value="">not said</option>
          {Object.entries(COSTS).map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <label>
        <span className="mr-1 text-faint">built by</span>
        <select
          value={crew ?? ''}
          disabled={!mayEdit}
          onChange={(e) => set({ cost, crew: (e.target.value || undefined) as Assembly['crew'] })}
        >
          <option value="">not said</option>
          {Object.entries(CREWS).map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
      </label>
    </>
  );
}
