import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useClimates, useProjectId } from '../../api/hooks';
import type { Climate } from '../../api/types';
import { SmallYear } from '../../drawing/SmallYear';
import { useUnits } from '../../ui/units';

interface Props {
  mayEdit: boolean;
  take: (climate: Climate) => void;
  /** a climate from a file of one's own */
  children: ReactNode;
}

/** All that a new project asks: where it stands, as a small year to pick. Everything else can wait, or go first. */
export function FirstMinute({ mayEdit, take, children }: Props) {
  const climates = useClimates();
  const project = useProjectId();
  const { units } = useUnits();
  if (!mayEdit) return <p className="py-6 text-[15px]">This project has no climate yet.</p>;
  return (
    <section className="border-t border-ink pt-3" data-first-minute>
      <h2 className="text-[17px] font-bold">Where does it stand?</h2>
      <p className="pb-3 text-faint">
        Pick the year that is most like it. Its months can be typed over, or taken from a weather file, at any time.
      </p>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(12rem,1fr))] gap-3">
        {climates.data?.map((c) => (
          <li key={c.name}>
            <button
              className="w-full border border-hair bg-white px-2 pt-1 pb-2 hover:border-ink"
              onClick={() => take(c)}
              data-climate={c.name}
            >
              <SmallYear climate={c} units={units} />
              <span className="block font-semibold">{c.name.replace(' (made up)', '')}</span>
              <span className="block text-[11px] text-faint">zone {c.zone}, made up</span>
            </button>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-baseline gap-x-3 py-3">
        <span className="text-faint">or the months of a place of your own:</span>
        {children}
      </div>
      <p className="max-w-[44rem] border-t border-hair py-3">
        Or go straight to{' '}
        <Link className="link" to={`/p/${project}/assemblies`}>
          a wall or roof
        </Link>{' '}
        or{' '}
        <Link className="link" to={`/p/${project}/sequences`}>
          an opening
        </Link>
        : laps and the rain ask for no climate, condensation does.
      </p>
    </section>
  );
}
