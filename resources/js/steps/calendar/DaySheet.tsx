import { Link } from 'react-router';
import { useDocuments, useMaterials, useProjectId } from '../../api/hooks';
import type { DerivedCalendar, Plan } from '../../api/types';
import { SUN_WARNING_DAYS } from '../../material/starts';
import { dayOf, spoken, written } from '../../plan/days';
import { GATES, stops } from '../../plan/gates';
import { show } from '../../quantity/show';
import { useUnits } from '../../ui/units';

interface Props {
  day: number;
  plan: Plan;
  calendar: DerivedCalendar;
  choose: (task: string) => void;
  to: (day: number | null) => void;
}

/** A day for who leads the crew: what is done, what the weather lets be, what to look at, which papers to have. */
export function DaySheet({ day, plan, calendar, choose, to }: Props) {
  const project = useProjectId();
  const { units } = useUnits();
  const documents = useDocuments().data;
  const materials = new Map(useMaterials().data?.map((m) => [m.id, m]));
  const date = written(day);
  const tasks = new Map((plan.tasks ?? []).map((t) => [t.id, t]));
  const on = calendar.tasks.filter((t) => dayOf(t.from) <= day && dayOf(t.to) >= day);
  const weather = calendar.weather.find((w) => w.date === date);
  const gates = new Map(weather?.gates.map((g) => [g.task, g.gate]));
  const tonight = calendar.showers.filter((s) => s.from <= date && (s.to === null || s.to >= date));
  const soon = calendar.clocks.filter((c) => {
    const left = dayOf(c.cover_by) - day;
    return (
      left >= 0 &&
      left <= SUN_WARNING_DAYS &&
      dayOf(c.exposed_from) <= day &&
      (c.covered === null || dayOf(c.covered) > day)
    );
  });
  const walked = calendar.walks.filter((walk) => {
    const since = day - dayOf(walk.from);
    return since > 0 && since % walk.every_days === 0 && (walk.to === null || day < dayOf(walk.to));
  });
  const products = [...new Set(on.map((t) => tasks.get(t.id)?.product).filter((p): p is string => p !== undefined))];
  const made = [...new Set(on.flatMap((t) => tasks.get(t.id)?.details ?? []))];
  const titles = new Map(
    [...(documents?.details ?? []), ...(documents?.openings ?? [])].map((d) => [d.key, d.content.title]),
  );
  const nameOf = (id: string) => materials.get(id)?.name ?? titles.get(id) ?? id;
  return (
    <section data-day={date}>
      <p className="flex justify-between text-[12px]">
        <button className="link" onClick={() => to(null)}>
          all tasks
        </button>
        <span>
          <button className="act" aria-label="the day before" onClick={() => to(day - 1)}>
            ‹
          </button>{' '}
          <button className="act" aria-label="the day after" onClick={() => to(day + 1)}>
            ›
          </button>
        </span>
      </p>
      <h2 className="font-bold">{spoken(day, true)}</h2>
      {weather && (
        <p data-weather={weather.by}>
          {show(weather.low_c, 'temperature', units)} to {show(weather.high_c, 'temperature', units)},{' '}
          {weather.rain_mm > 0 ? `${show(weather.rain_mm, 'length', units)} of rain` : 'dry'}
          {weather.wind_m_s === undefined ? '' : `, wind ${weather.wind_m_s} m/s`}
          {weather.by === 'simulated-station' && <b className="block">simulated, not a real forecast</b>}
        </p>
      )}
      {on.length === 0 && <p className="py-1 text-faint">Nothing is planned on this day.</p>}
      <ul className="py-1">
        {on.map((t) => {
          const gate = gates.get(t.id);
          return (
            <li key={t.id} className="border-t border-hair py-[2px]" data-does={t.id}>
              <button className="text-left" onClick={() => choose(t.id)}>
                {tasks.get(t.id)?.hold ? '■ ' : ''}
                {tasks.get(t.id)?.title ?? t.id}
              </button>
              {gate !== undefined && gate !== 'open' && (
                <span className={`block text-[12px] ${stops(gate) ? 'font-semibold text-fail' : 'text-caution'}`}>
                  {GATES[gate]}
                </span>
              )}
            </li>
          );
        })}
      </ul>
      {tonight.length > 0 && (
        <div className="border-t border-hair py-1" data-tonight={tonight.length}>
          <b>A shower tonight would reach</b>
          {tonight.map((s) => (
            <p key={s.area} className="text-[12px]">
              {s.area === '' ? 'elsewhere' : s.area}: {[...s.wets, ...s.openings].map(nameOf).join(', ')}
            </p>
          ))}
        </div>
      )}
      {walked.map((walk) => (
        <p key={walk.area} className="border-t border-hair py-1 text-[12px]" data-walk={walk.area}>
          Damage walk: {walk.area === '' ? 'all that is laid' : walk.area}
        </p>
      ))}
      {soon.map((c) => (
        <p key={c.task} className="border-t border-hair py-1 text-[12px] text-caution">
          {tasks.get(c.task)?.title ?? c.task} must be covered by {spoken(dayOf(c.cover_by))}
        </p>
      ))}
      {(products.length > 0 || made.length > 0) && (
        <div className="border-t border-hair py-1 text-[12px]" data-papers={products.length + made.length}>
          <b>Papers to have on site</b>
          {products.map((id) => (
            <p key={id}>
              data sheet: {nameOf(id)}
              <span className="block text-[11px] text-faint">{materials.get(id)?.source?.name ?? ''}</span>
            </p>
          ))}
          {made.map((id) => (
            <p key={id}>
              step cards:{' '}
              <Link className="link" to={`/p/${project}/sequences/${id}/cards`}>
                {titles.get(id) ?? id}
              </Link>
            </p>
          ))}
        </div>
      )}
    </section>
  );
}
