import type { DerivedCalendar, Plan } from '../../api/types';
import { dayOf, spoken } from '../../plan/days';

interface Props {
  plan: Plan;
  calendar: DerivedCalendar;
  choose: (task: string) => void;
}

/** What stands in the sun, the evening by which it must be covered first. */
export function Clocks({ plan, calendar, choose }: Props) {
  if (calendar.clocks.length === 0) return null;
  const title = (id: string) => plan.tasks?.find((t) => t.id === id)?.title ?? id;
  return (
    <section className="border-t border-hair py-2" data-clocks>
      <h2 className="font-bold">Next to run out</h2>
      <ul className="text-[12px]">
        {calendar.clocks.map((clock) => {
          const over = clock.days_used !== null && clock.days_used > clock.limit_days;
          return (
            <li key={clock.task} className="flex justify-between gap-2 py-[2px]" data-clock-row={clock.task}>
              <button className="text-left" onClick={() => choose(clock.task)}>
                {title(clock.task)}
                <span className="text-faint">
                  {' '}
                  {clock.days_used === null ? `${clock.limit_days}` : `${clock.days_used} of ${clock.limit_days}`} days
                </span>
              </button>
              <span
                className={`whitespace-nowrap ${over ? 'font-semibold text-fail' : clock.covered === null ? 'text-caution' : ''}`}
              >
                {spoken(dayOf(clock.cover_by))}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
