import { OpenDays } from '../drawing/calendar/OpenDays';
import { dayOf, spoken } from '../plan/days';
import type { Sheet } from './sheet';

/** The plan of the work on its days, and what stands in the sun. */
export function Plan({ sheet }: { sheet: Sheet }) {
  const { plan } = sheet.file;
  const { calendar } = sheet.assessment;
  if (!plan || !calendar || calendar.tasks.length === 0) return null;
  const titles = new Map((plan.tasks ?? []).map((t) => [t.id, t.title]));
  return (
    <section>
      <h2 className="mb-1 text-[14pt] font-bold">The plan</h2>
      <p>
        {calendar.tasks.length} tasks, done by {spoken(dayOf(calendar.finish), true)}. Each area grows outward as its
        layers are laid; its upper edge is what the weather meets.
      </p>
      <OpenDays {...{ plan, calendar }} />
      <table className="my-2 w-full border-collapse text-[8.5pt]">
        <thead>
          <tr className="border-b border-ink text-left">
            <th>Task</th>
            <th>from</th>
            <th>to</th>
            <th className="text-right">may slip, working days</th>
          </tr>
        </thead>
        <tbody>
          {calendar.tasks.map((t) => (
            <tr key={t.id} className="border-b border-hair">
              <td>{titles.get(t.id) ?? t.id}</td>
              <td>{spoken(dayOf(t.from), true)}</td>
              <td>{spoken(dayOf(t.to), true)}</td>
              <td className="text-right">{t.critical ? 'critical' : t.float_days}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {calendar.clocks.map((c) => (
        <p key={c.task} className="together border-t border-hair py-[2px]">
          {titles.get(c.task) ?? c.task} must be covered by {spoken(dayOf(c.cover_by), true)}:{' '}
          {c.days_used === null ? '' : `${c.days_used} of `}
          {c.limit_days} days in the sun.
        </p>
      ))}
    </section>
  );
}
