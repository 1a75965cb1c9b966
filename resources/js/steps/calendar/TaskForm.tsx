import { useState } from 'react';
import { useMaterials } from '../../api/hooks';
import type { DerivedCalendar, Plan, Task } from '../../api/types';
import { readAfter, writeAfter } from '../../plan/after';
import { dayOf, spoken } from '../../plan/days';
import { made, readMakes, writeMakes } from '../../plan/makes';
import { show } from '../../quantity/show';
import { useUnits } from '../../ui/units';
import { without } from '../../ui/without';

interface Props {
  task: Task;
  plan: Plan;
  planned: DerivedCalendar['tasks'][number] | undefined;
  /** what it waits for to cure */
  cures: DerivedCalendar['cures'];
  /** tasks that it may wait for */
  others: string[];
  mayEdit: boolean;
  put: (task: Task, run?: string) => void;
  remove: () => void;
  change: (plan: Plan, run?: string) => void;
  back: () => void;
}

/** One task: what it is, what it waits for, what it lays and covers, and when it was done. */
export function TaskForm({ task, plan, planned, cures, others, mayEdit, put, remove, change, back }: Props) {
  const materials = useMaterials().data ?? [];
  const { units } = useUnits();
  const [makes, setMakes] = useState<string | null>(null);
  const [after, setAfter] = useState<string | null>(null);
  const [days, setDays] = useState<string | null>(null);
  const read = after === null ? null : readAfter(after, others);
  const wholeDays = days !== null && /^[1-9]\d{0,3}$/.test(days.trim()) ? Number(days) : null;
  const done = plan.done?.find((d) => d.task === task.id);
  const set = <K extends keyof Task>(key: K, value: Task[K] | undefined, run?: string) => {
    const next = Object.fromEntries(
      Object.entries({ ...task, [key]: value }).filter(([, said]) => said !== undefined),
    ) as unknown as Task;
    put(next, run);
  };
  const did = (from: string, to: string) => {
    const rest = (plan.done ?? []).filter((d) => d.task !== task.id);
    const next = from === '' ? rest : [...rest, { task: task.id, from, ...(to === '' ? {} : { to }) }];
    change(next.length > 0 ? { ...plan, done: next } : without(plan, 'done'));
  };
  const titles = new Map((plan.tasks ?? []).map((t) => [t.id, t.title]));
  return (
    <section data-task-form={task.id}>
      <p className="flex justify-between text-[12px]">
        <button className="link" onClick={back}>
          all tasks
        </button>
        <span className="text-faint">{task.id}</span>
      </p>
      {planned && (
        <p className="py-1">
          <b>
            {spoken(dayOf(planned.from))} to {spoken(dayOf(planned.to), true)}
          </b>
          , {planned.because !== null && `because of ${titles.get(planned.because) ?? planned.because}, `}
          {planned.critical ? 'critical' : done?.to ? 'done' : `may slip by ${planned.float_days} working days`}
        </p>
      )}
      <fieldset disabled={!mayEdit} className="grid gap-2 text-[12px]">
        <label>
          what is done
          <input
            className="w-full"
            value={task.title}
            onChange={(e) => e.target.value.trim() !== '' && set('title', e.target.value, `title of ${task.id}`)}
          />
        </label>
        <div className="flex gap-2">
          <label className="grow">
            where
            <input
              className="w-full"
              value={task.area ?? ''}
              onChange={(e) => set('area', e.target.value === '' ? undefined : e.target.value, `area of ${task.id}`)}
            />
          </label>
          <label>
            working days
            <input
              className="block w-[4rem]"
              inputMode="numeric"
              aria-invalid={days !== null && wholeDays === null}
              value={days ?? task.days}
              onChange={(e) => {
                setDays(e.target.value);
                const typed = e.target.value.trim();
                if (/^[1-9]\d{0,3}$/.test(typed)) set('days', Number(typed), `days of ${task.id}`);
              }}
              onBlur={() => {
                if (wholeDays !== null) setDays(null);
              }}
            />
          </label>
        </div>
        {days !== null && wholeDays === null && (
          <p role="alert" className="text-fail">
            “{days}”: whole days, 1 or more
          </p>
        )}
        <label>
          waits for
          <input
            className="w-full"
            aria-label="Waits for"
            aria-invalid={read !== null && 'why' in read}
            placeholder="t1, t2 + 24h, t3 start, t4 cured"
            value={after ?? writeAfter(task.after ?? [])}
            onChange={(e) => {
              setAfter(e.target.value);
              const now = readAfter(e.target.value, others);
              if ('waits' in now) set('after', now.waits.length > 0 ? now.waits : undefined, `waits of ${task.id}`);
            }}
            onBlur={() => {
              if (read && 'waits' in read) setAfter(null);
            }}
          />
        </label>
        {read && 'why' in read && (
          <p role="alert" className="text-fail">
            {read.why}
          </p>
        )}
        <p className="text-[11px] text-faint">
          {(task.after ?? []).map((w) => titles.get(w.task) ?? w.task).join('; ')}
          {cures.map((c) => (
            <span key={`${c.waits_for} ${c.until}`} className="block" data-cures={c.waits_for}>
              {c.until === 'cure' ? 'cured' : c.until === 'recoat' ? 'ready for the next coat' : 'tack-free'} after{' '}
              {c.hours} h at {show(c.temperature_c, 'temperature', units)} and {c.rh_pct} %
            </span>
          ))}
        </p>
        <label>
          lays
          <select
            aria-label="Product that it lays"
            className="w-full"
            value={task.product ?? ''}
            onChange={(e) => set('product', e.target.value === '' ? undefined : e.target.value)}
          >
            <option value="">nothing that is counted</option>
            {task.product !== undefined && !materials.some((m) => m.id === task.product) && (
              <option value={task.product}>{task.product}</option>
            )}
            {materials.map((m) => (
              <option key={m.id} value={m.id}>
                {m.name}
              </option>
            ))}
          </select>
        </label>
        <label>
          covers
          <select
            aria-label="Task whose product it covers"
            className="w-full"
            value={task.covers?.[0] ?? ''}
            onChange={(e) => set('covers', e.target.value === '' ? undefined : [e.target.value])}
          >
            <option value="">nothing</option>
            {(plan.tasks ?? [])
              .filter((t) => t.id !== task.id)
              .map((t) => (
                <option key={t.id} value={t.id}>
                  {t.title}
                </option>
              ))}
          </select>
        </label>
        <label>
          makes openings and details
          <input
            className="w-full"
            aria-label="Openings and details that it makes"
            aria-invalid={makes !== null && readMakes(makes) === null}
            placeholder="o2, o11: 1 to 4"
            value={makes ?? writeMakes(task)}
            onChange={(e) => {
              setMakes(e.target.value);
              const read = readMakes(e.target.value);
              if (read) put(made(task, read), `makes of ${task.id}`);
            }}
            onBlur={() => {
              if (makes !== null && readMakes(makes) !== null) setMakes(null);
            }}
          />
        </label>
        {makes !== null && readMakes(makes) === null && (
          <p role="alert" className="text-fail">
            “{makes}”: their names, and steps where not all are done, as o2, o11: 1 to 4
          </p>
        )}
        <div className="flex flex-wrap gap-3">
          <label>
            <input
              type="checkbox"
              checked={task.hold ?? false}
              onChange={(e) => set('hold', e.target.checked ? true : undefined)}
            />{' '}
            hold point
          </label>
          <label>
            <input
              type="checkbox"
              checked={task.needs_dry ?? false}
              onChange={(e) => set('needs_dry', e.target.checked ? true : undefined)}
            />{' '}
            needs a dry day
          </label>
        </div>
        <label>
          not before{' '}
          <input
            type="date"
            value={task.not_before ?? ''}
            onChange={(e) => set('not_before', e.target.value === '' ? undefined : e.target.value)}
          />
        </label>
        <div className="flex flex-wrap gap-2">
          <label>
            begun <input type="date" value={done?.from ?? ''} onChange={(e) => did(e.target.value, done?.to ?? '')} />
          </label>
          {done && (
            <label>
              done <input type="date" value={done.to ?? ''} onChange={(e) => did(done.from, e.target.value)} />
            </label>
          )}
        </div>
        <button className="link justify-self-start" onClick={remove}>
          take it out
        </button>
      </fieldset>
    </section>
  );
}
