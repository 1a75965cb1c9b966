import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { get, wordsOf } from '../../api/client';
import { createDocument } from '../../api/documents';
import { useDocuments, useProjectId } from '../../api/hooks';
import { useLive } from '../../api/live';
import { address } from '../../api/paths';
import type { Doc, Plan, Task } from '../../api/types';
import { OpenDays } from '../../drawing/calendar/OpenDays';
import { behind } from '../../plan/after';
import { dayOf, spoken, written } from '../../plan/days';
import { FindingList } from '../../ui/FindingList';
import { Frame } from '../../ui/Frame';
import { freeId } from '../../ui/freeId';
import { useKeys } from '../../ui/keys';
import { Old } from '../../ui/Old';
import { OneSheet } from '../../ui/OneSheet';
import { SaveState } from '../../ui/SaveState';
import { useUnits } from '../../ui/units';
import { useDraft } from '../../ui/useDraft';
import { Clocks } from './Clocks';
import { Walks } from './Walks';
import { Dates } from './Dates';
import { DaySheet } from './DaySheet';
import { Forecast } from './Forecast';
import { TaskForm } from './TaskForm';

/** The work against days: what waits for what, how long each product stands in the sun, where work stops to be seen. */
export default function Calendar() {
  return (
    <OneSheet
      sheet="7 Calendar"
      list="plan"
      first={(mayEdit) => <First mayEdit={mayEdit} />}
      shown={(doc, mayEdit, project) => <Days key={project} doc={doc} mayEdit={mayEdit} />}
    />
  );
}

/** Nobody has planned yet: from a day on, with the walls of the building or with nothing. */
function First({ mayEdit }: { mayEdit: boolean }) {
  const project = useProjectId();
  const hasBuilding = (useDocuments().data?.building.length ?? 0) > 0;
  const [start, setStart] = useState(new Date().toISOString().slice(0, 10));
  const begin = useMutation({
    mutationFn: (walls: boolean) =>
      createDocument(
        project,
        [],
        () => 'plan',
        async () => ({
          kind: 'plan',
          content: walls
            ? await get(address('/api/projects/{project}/plan/proposed', { project }, { start }))
            : { start, tasks: [] },
        }),
      ),
  });
  return (
    <Frame sheet="7 Calendar" reckoning={null}>
      <div className="px-6 py-3 max-sm:px-4">
        <h1 className="pb-1 text-[17px] font-bold">What stands open, day by day</h1>
        <p className="max-w-[44rem] pb-3 text-[15px]">
          Tasks on working days: what must be done or cured before what, how long each product stands in the sun until
          it is covered, and where work stops to be looked at.
        </p>
        {mayEdit && (
          <p className="flex flex-wrap items-baseline gap-3">
            <label>
              from <input type="date" aria-label="First day" value={start} onChange={(e) => setStart(e.target.value)} />
            </label>
            {hasBuilding && (
              <button className="act" disabled={begin.isPending || start === ''} onClick={() => begin.mutate(true)}>
                plan the walls of the building
              </button>
            )}
            <button className="act" disabled={begin.isPending || start === ''} onClick={() => begin.mutate(false)}>
              begin with nothing
            </button>
          </p>
        )}
        {begin.isError && (
          <p role="alert" className="whitespace-pre-line text-fail">
            {wordsOf(begin.error)}
          </p>
        )}
      </div>
    </Frame>
  );
}

function Days({ doc, mayEdit }: { doc: Doc<Plan>; mayEdit: boolean }) {
  const draft = useDraft(doc, mayEdit);
  const project = useProjectId();
  const { units } = useUnits();
  const plan = draft.content;
  const live = useLive({
    path: address('/api/projects/{project}/assess', { project }),
    body: { kind: 'plan', content: plan, units },
  });
  const calendar = live.answer?.calendar;
  const [chosen, setTask] = useState<string | null>(null);
  const [day, setDay] = useState<number | null>(null);
  const setChosen = (task: string | null) => {
    setTask(task);
    if (task !== null) setDay(null);
  };
  const tasks = plan.tasks ?? [];
  const task = tasks.find((t) => t.id === chosen);
  const planned = new Map(calendar?.tasks.map((t) => [t.id, t]));
  const put = (next: Task, run?: string) =>
    draft.change({ ...plan, tasks: tasks.map((t) => (t.id === next.id ? next : t)) }, run);
  const toDay = (next: number | null) => {
    setDay(next);
    if (next !== null) setTask(null);
  };
  const step = (by: number) => {
    const at = tasks.findIndex((t) => t.id === chosen);
    const next = tasks[at < 0 ? (by > 0 ? 0 : tasks.length - 1) : (at + by + tasks.length) % tasks.length];
    if (next) setChosen(next.id);
  };
  const add = () => {
    if (!mayEdit) return;
    const id = freeId(
      tasks.map((t) => t.id),
      't',
    );
    const last = task ?? tasks[tasks.length - 1];
    const next: Task = {
      id,
      title: 'New task',
      days: 1,
      ...(last?.area === undefined ? {} : { area: last.area }),
      ...(last ? { after: [{ task: last.id }] } : {}),
    };
    draft.change({ ...plan, tasks: [...tasks, next] });
    setChosen(id);
  };
  const remove = () => {
    if (!task || !mayEdit) return;
    // What waited for it waits for nothing in its place; what it covered stands open again.
    const left = tasks
      .filter((t) => t.id !== task.id)
      .map((t): Task => {
        const { after, covers, ...rest } = t;
        const waits = after?.filter((w) => w.task !== task.id) ?? [];
        const over = covers?.filter((id) => id !== task.id) ?? [];
        return { ...rest, ...(over.length > 0 ? { covers: over } : {}), ...(waits.length > 0 ? { after: waits } : {}) };
      });
    draft.change({ ...plan, tasks: left, done: (plan.done ?? []).filter((d) => d.task !== task.id) });
    setChosen(null);
  };
  /** Not before a day; no longer held back where that is as early as it can be anyway. */
  const hold = (id: string, day: number) => {
    const one = tasks.find((t) => t.id === id);
    if (one) put({ ...one, not_before: written(day) }, `first day of ${id}`);
  };
  const slip = (by: number) => {
    const now = planned.get(chosen ?? '');
    if (!now || !mayEdit || (plan.done ?? []).some((d) => d.task === now.id)) return;
    // From what was asked for last: a hand is quicker than the answer, and a Sunday is planned on Monday.
    const asked = task?.not_before === undefined ? null : dayOf(task.not_before);
    const from = live.old ? (asked ?? dayOf(now.from)) : dayOf(now.from);
    hold(now.id, (asked === null ? from : by < 0 ? Math.min(asked, from) : Math.max(asked, from)) + by);
  };
  useKeys({
    ArrowDown: { shown: '↑ ↓', says: 'the task before, the next', act: () => step(1) },
    ArrowUp: () => step(-1),
    ArrowRight: { shown: '← →', says: 'the chosen task a day later, a day earlier', act: () => slip(1) },
    ArrowLeft: () => slip(-1),
    d: {
      says: 'the day, for who leads the crew; the next',
      act: () => toDay(day === null ? dayOf(plan.today ?? plan.start) : day + 1),
    },
    n: { says: 'a new task after the chosen one', act: add },
    Delete: { says: 'take the chosen task out', act: remove },
    undo: { shown: 'Ctrl+Z, Ctrl+Shift+Z', says: 'undo, redo', act: draft.undo },
    redo: draft.redo,
  });
  return (
    <Frame
      sheet="7 Calendar"
      reckoning={
        <>
          <Old old={live.old} why={live.why} />
          {day !== null && calendar ? (
            <DaySheet {...{ day, plan, calendar }} choose={setChosen} to={toDay} />
          ) : task ? (
            <TaskForm
              key={task.id}
              {...{ task, plan, mayEdit, put, remove }}
              planned={planned.get(task.id)}
              cures={(calendar?.cures ?? []).filter((c) => c.task === task.id)}
              others={tasks.filter((t) => !behind(tasks, task.id).has(t.id)).map((t) => t.id)}
              change={draft.change}
              back={() => setChosen(null)}
            />
          ) : (
            <>
              {calendar && (
                <p className="pb-2" data-finish={calendar.finish}>
                  done by <b>{spoken(dayOf(calendar.finish), true)}</b>, {tasks.length} tasks,{' '}
                  {calendar.tasks.filter((t) => t.critical).length} of them critical.
                </p>
              )}
              {calendar && <Clocks {...{ plan, calendar }} choose={setChosen} />}
              {calendar && <Walks walks={calendar.walks} />}
              <FindingList findings={live.answer?.findings ?? []} />
            </>
          )}
          <SaveState {...draft} mayEdit={mayEdit} />
        </>
      }
    >
      <div className="px-6 py-3 max-sm:px-4">
        <div className="flex flex-wrap items-baseline justify-between gap-2 pb-1">
          <h1 className="text-[17px] font-bold">What stands open, day by day</h1>
          <span className="text-[11px] text-faint">
            each area grows outward as its layers are laid; its upper edge is what the weather meets
          </span>
        </div>
        <Dates {...{ plan, mayEdit }} change={draft.change} />
        {mayEdit && <Forecast {...{ plan }} change={draft.change} />}
        {calendar && tasks.length > 0 && (
          <OpenDays
            {...{ plan, calendar, chosen, day }}
            choose={setChosen}
            open={toDay}
            move={mayEdit ? hold : undefined}
          />
        )}
        <p className="flex flex-wrap items-baseline gap-3 pt-2">
          {mayEdit && (
            <button className="act" onClick={add}>
              new task <kbd>n</kbd>
            </button>
          )}
          <a className="link" href={address('/api/projects/{project}/plan.ics', { project })}>
            iCalendar
          </a>
          <a className="link" href={address('/api/projects/{project}/plan.csv', { project })}>
            CSV
          </a>
        </p>
        <table className="mt-2 w-full border-collapse text-[12px]" data-tasks>
          <thead>
            <tr className="border-b border-ink text-left">
              <th>Task</th>
              <th>area</th>
              <th className="text-right">days</th>
              <th className="pl-4">from</th>
              <th className="pl-2">to</th>
              <th className="text-right">may slip</th>
            </tr>
          </thead>
          <tbody>
            {tasks.map((t) => {
              const row = planned.get(t.id);
              return (
                <tr key={t.id} data-row={t.id} className={`border-b border-hair ${t.id === chosen ? 'bg-hair' : ''}`}>
                  <th className="text-left font-normal">
                    <button
                      className="w-full text-left"
                      aria-pressed={t.id === chosen}
                      onClick={() => setChosen(t.id === chosen ? null : t.id)}
                    >
                      {t.hold ? '■ ' : ''}
                      {t.title}
                    </button>
                  </th>
                  <td>{t.area ?? ''}</td>
                  <td className="text-right">{t.days}</td>
                  <td className="pl-4 whitespace-nowrap max-sm:pl-2" data-from={row?.from}>
                    {row ? spoken(dayOf(row.from)) : ''}
                  </td>
                  <td className="pl-2 whitespace-nowrap" data-to={row?.to}>
                    {row ? spoken(dayOf(row.to)) : ''}
                  </td>
                  <td className="text-right">
                    {(plan.done ?? []).some((d) => d.task === t.id && d.to !== undefined)
                      ? 'done'
                      : row?.critical
                        ? 'critical'
                        : row
                          ? `${row.float_days} d`
                          : ''}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
        <p className="pt-3 text-[11px] text-faint">
          Days of a plan made from the building are areas by rates of common practice: a first guess, to be put right by
          what the crew does. Structure and lifting go to who is licensed for them.
        </p>
      </div>
    </Frame>
  );
}
