import { Link } from 'react-router';
import { useProjectId } from '../../api/hooks';
import type { DerivedCalendar } from '../../api/types';
import { dayOf, spoken } from '../../plan/days';

/** What stands open and is walked along on a rhythm: where, between which days. The walks are read on site. */
export function Walks({ walks }: { walks: DerivedCalendar['walks'] }) {
  const project = useProjectId();
  if (walks.length === 0) return null;
  return (
    <section className="border-t border-hair py-2" data-walks={walks.length}>
      <h2 className="flex justify-between gap-2 font-bold">
        Damage walks
        <Link className="link font-normal" to={`/p/${project}/site`}>
          read on site
        </Link>
      </h2>
      <ul className="text-[12px]">
        {walks.map((walk) => (
          <li key={walk.area} className="flex justify-between gap-2 py-[2px]">
            <span>
              {walk.area === '' ? 'all that is laid' : walk.area}
              <span className="text-faint"> every {walk.every_days} days</span>
            </span>
            <span className="whitespace-nowrap">
              {spoken(dayOf(walk.from))} to {walk.to === null ? 'it is covered' : spoken(dayOf(walk.to))}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
