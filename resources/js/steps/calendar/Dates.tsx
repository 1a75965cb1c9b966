import { useState } from 'react';
import type { Plan } from '../../api/types';
import { dayOf } from '../../plan/days';

interface Props {
  plan: Plan;
  mayEdit: boolean;
  change: (plan: Plan, run?: string) => void;
}

const WEEK = ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'];

/** The first day, today, the days of the week that are worked, and those that are not. */
export function Dates({ plan, mayEdit, change }: Props) {
  const [text, setText] = useState<string | null>(null);
  const worked = plan.work_days ?? [1, 2, 3, 4, 5];
  const typed = (text ?? '').split(/[\s,;]+/).filter((day) => day !== '');
  const wrong = text === null ? undefined : typed.find((day) => !/^\d{4}-\d\d-\d\d$/.test(day) || isNaN(dayOf(day)));
  return (
    <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 pb-2 text-[12px]" data-dates>
      <label>
        from{' '}
        <input
          type="date"
          aria-label="First day"
          disabled={!mayEdit}
          value={plan.start}
          onChange={(e) => e.target.value !== '' && change({ ...plan, start: e.target.value }, 'start')}
        />
      </label>
      <label>
        today{' '}
        <input
          type="date"
          aria-label="Today"
          disabled={!mayEdit}
          value={plan.today ?? ''}
          onChange={(e) => {
            const next = { ...plan };
            if (e.target.value === '') delete next.today;
            else next.today = e.target.value;
            change(next, 'today');
          }}
        />
      </label>
      <span role="group" aria-label="Days of the week that are worked">
        {WEEK.map((name, i) => (
          <label key={name} className="pr-1">
            <input
              type="checkbox"
              disabled={!mayEdit}
              checked={worked.includes(i + 1)}
              onChange={(e) => {
                const next = e.target.checked ? [...worked, i + 1].sort() : worked.filter((d) => d !== i + 1);
                if (next.length > 0) change({ ...plan, work_days: next });
              }}
            />
            {name}
          </label>
        ))}
      </span>
      <label>
        holidays{' '}
        <input
          aria-label="Holidays"
          aria-invalid={wrong !== undefined}
          className="w-[13rem]"
          placeholder="2027-04-05, 2027-05-17"
          disabled={!mayEdit}
          value={text ?? (plan.holidays ?? []).join(', ')}
          onChange={(e) => setText(e.target.value)}
          onBlur={() => {
            if (text === null || wrong !== undefined) return;
            const next = { ...plan };
            if (typed.length === 0) delete next.holidays;
            else next.holidays = typed;
            change(next);
            setText(null);
          }}
        />
      </label>
      {wrong !== undefined && (
        <span role="alert" className="text-fail">
          “{wrong}”: a date, as 2027-04-05
        </span>
      )}
    </div>
  );
}
