import { useRef, useState, type PointerEvent } from 'react';
import type { DerivedCalendar, Plan } from '../../api/types';
import { dayOf, mondays, spoken, written } from '../../plan/days';
import { stops } from '../../plan/gates';
import { useDrawnWidth } from '../useDrawnWidth';

interface Props {
  plan: Plan;
  calendar: DerivedCalendar;
  chosen?: string | null;
  choose?: (task: string) => void;
  /** the day that is open beside, and opening one */
  day?: number | null;
  open?: (day: number) => void;
  /** a task was drawn to another first day */
  move?: ((task: string, day: number) => void) | undefined;
}

const SIZE = { usual: 780, left: 100, right: 14, head: 34, sky: 30, row: 21, gap: 22 };

type Shown = DerivedCalendar['tasks'][number] & { task: NonNullable<Plan['tasks']>[number]; done: boolean };

/**
 * What stands open, day by day: each area grows outward as its tasks are done, so that its upper edge is what the
 * weather meets on that day. What stands in the sun runs along that edge.
 */
export function OpenDays({ plan, calendar, chosen = null, choose, day = null, open: openDay, move }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const width = useDrawnWidth(svg, SIZE.usual, 380);
  const drag = useRef<{ task: string; x: number; from: number } | null>(null);
  const [moved, setMoved] = useState<{ task: string; by: number } | null>(null);
  const tasks = new Map((plan.tasks ?? []).map((t) => [t.id, t]));
  const ended = new Set((plan.done ?? []).filter((d) => d.to !== undefined).map((d) => d.task));
  const shown = calendar.tasks.flatMap((row): Shown[] => {
    const task = tasks.get(row.id);
    return task ? [{ ...row, task, done: ended.has(row.id) }] : [];
  });
  const first = Math.min(dayOf(plan.start), ...shown.map((t) => dayOf(t.from)));
  const last = Math.max(first + 13, ...shown.map((t) => dayOf(t.to) + 3), plan.today ? dayOf(plan.today) + 3 : first);
  const perDay = (width - SIZE.left - SIZE.right) / (last - first + 1);
  const x = (day: number) => SIZE.left + (day - first) * perDay;
  const clocks = new Map(calendar.clocks.map((c) => [c.task, c]));
  const areas = [...new Set(shown.map((t) => t.task.area ?? ''))];
  const sky = calendar.weather.length > 0;
  let y = SIZE.head + (sky ? SIZE.sky : 0);
  /** A name that would run off the paper stands before its bar. */
  const near = (day: number, title: string) =>
    x(day) + 12 + title.length * 5.6 > width && x(day) - 12 - title.length * 5.6 > 0;
  const groups = areas.map((area) => {
    const rows = shown
      .filter((t) => (t.task.area ?? '') === area)
      .sort((a, b) => dayOf(a.from) - dayOf(b.from) || dayOf(a.to) - dayOf(b.to));
    const foot = y + rows.length * SIZE.row + 14;
    y = foot + SIZE.gap;
    return { area, rows, foot };
  });
  const height = y + 4;
  const days = (event: PointerEvent) => {
    const box = svg.current?.getBoundingClientRect();
    return box && drag.current ? Math.round(((event.clientX - drag.current.x) * width) / box.width / perDay) : 0;
  };
  const drop = (event: PointerEvent) => {
    const held = drag.current;
    const by = days(event);
    drag.current = null;
    setMoved(null);
    if (held && by !== 0) move?.(held.task, held.from + by);
  };
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${width} ${height}`}
      className="block w-full touch-pan-y"
      role="group"
      aria-label="What stands open, day by day"
      data-drawing="open days"
      onPointerMove={(e) => {
        if (drag.current) setMoved({ task: drag.current.task, by: days(e) });
      }}
      onPointerUp={drop}
      onPointerLeave={drop}
    >
      {mondays(first, last, Math.floor(width / 70)).map((day) => (
        <g key={day}>
          <path d={`M${x(day)} 20V${height}`} stroke="var(--color-hair)" />
          {x(day) < width - 44 && (
            <text x={x(day) + 3} y="16" fontSize="11" fill="var(--color-faint)">
              {spoken(day)}
            </text>
          )}
        </g>
      ))}
      {openDay &&
        Array.from({ length: last - first + 1 }, (_, i) => first + i).map((d) => (
          <rect
            key={d}
            x={x(d)}
            y="0"
            width={perDay}
            height={SIZE.head + (sky ? SIZE.sky : 0) - 6}
            fill={d === day ? 'var(--color-ink)' : 'transparent'}
            fillOpacity="0.18"
            data-open-day={written(d)}
            style={{ cursor: 'pointer' }}
            onClick={() => openDay(d)}
          >
            <title>{spoken(d)}</title>
          </rect>
        ))}
      {day !== null && (
        <path d={`M${x(day)} 0V${height}M${x(day + 1)} 0V${height}`} stroke="var(--color-faint)" pointerEvents="none" />
      )}
      {sky && (
        <g pointerEvents="none" data-sky={calendar.weather[0]?.by}>
          <text x={SIZE.left - 6} y={SIZE.head + 10} textAnchor="end" fontSize="10" fill="var(--color-faint)">
            {calendar.weather[0]?.by === 'simulated-station' ? 'simulated' : 'forecast'}
          </text>
          {calendar.weather
            .filter((w) => dayOf(w.date) >= first && dayOf(w.date) <= last)
            .map((w) => {
              const tall = Math.min(16, w.rain_mm * 1.4);
              const stopped = w.gates.some((g) => stops(g.gate));
              return (
                <g key={w.date} data-rain={w.rain_mm}>
                  {tall > 0 && (
                    <rect
                      x={x(dayOf(w.date)) + perDay * 0.2}
                      y={SIZE.head + 18 - tall}
                      width={perDay * 0.6}
                      height={tall}
                      fill="var(--color-faint)"
                    />
                  )}
                  {perDay > 15 && (
                    <text
                      x={x(dayOf(w.date)) + perDay / 2}
                      y={SIZE.head + 28}
                      textAnchor="middle"
                      fontSize="10"
                      fill={stopped ? 'var(--color-fail)' : 'var(--color-faint)'}
                      fontWeight={stopped ? 700 : 400}
                    >
                      {Math.round(w.high_c)}°
                    </text>
                  )}
                </g>
              );
            })}
        </g>
      )}
      {groups.map(({ area, rows, foot }) => (
        <g key={area} data-area={area}>
          <text x="2" y={foot - rows.length * SIZE.row + 12} fontSize="12" fontWeight="700">
            {area === '' ? 'elsewhere' : area}
          </text>
          <text x={SIZE.left - 6} y={foot - 4} textAnchor="end" fontSize="10" fill="var(--color-faint)">
            in
          </text>
          <text
            x={SIZE.left - 6}
            y={foot - rows.length * SIZE.row + 12}
            textAnchor="end"
            fontSize="10"
            fill="var(--color-faint)"
          >
            out
          </text>
          {rows.map((row, i) => {
            const clock = clocks.get(row.id);
            const top = foot - (i + 1) * SIZE.row;
            const by = moved?.task === row.id ? moved.by : 0;
            const [from, to] = [dayOf(row.from) + by, dayOf(row.to) + by];
            const over = clock && clock.days_used !== null && clock.days_used > clock.limit_days;
            const open = clock && (clock.covered ?? plan.today);
            return (
              <g
                key={row.id}
                role="button"
                tabIndex={choose ? (row.id === chosen ? 0 : -1) : undefined}
                aria-pressed={row.id === chosen}
                aria-label={`${row.task.title}, ${spoken(from)} to ${spoken(to)}`}
                data-task={row.id}
                style={{ cursor: move ? 'ew-resize' : choose ? 'pointer' : undefined }}
                onClick={() => choose?.(row.id)}
                onPointerDown={
                  move && !row.done
                    ? (e) => (drag.current = { task: row.id, x: e.clientX, from: dayOf(row.from) })
                    : undefined
                }
              >
                <rect
                  x={x(from)}
                  y={top}
                  width={Math.max(2, width - SIZE.right - x(from))}
                  height={SIZE.row}
                  fill={row.done ? 'var(--color-board)' : '#fff'}
                  stroke="var(--color-ink)"
                  strokeWidth={row.id === chosen ? 2.6 : 0.8}
                />
                <rect
                  x={x(from)}
                  y={top + SIZE.row - 4}
                  width={(to - from + 1) * perDay}
                  height="4"
                  fill={row.critical ? 'var(--color-ink)' : 'var(--color-faint)'}
                />
                {row.task.hold && (
                  <path
                    d={`M${x(from) - 5} ${top + 5}h10v10h-10z`}
                    fill={row.done ? '#fff' : 'var(--color-fail)'}
                    stroke="var(--color-fail)"
                  />
                )}
                <text
                  x={near(from, row.task.title) ? x(from) - (row.task.hold ? 9 : 4) : x(from) + (row.task.hold ? 9 : 4)}
                  y={top + 13}
                  textAnchor={near(from, row.task.title) ? 'end' : undefined}
                  fontSize="11"
                  stroke={near(from, row.task.title) ? 'var(--color-paper)' : row.done ? 'var(--color-board)' : '#fff'}
                  strokeWidth="3"
                  paintOrder="stroke"
                >
                  {row.task.title}
                </text>
                {clock && open && dayOf(open) > dayOf(clock.exposed_from) && (
                  <path
                    d={`M${x(dayOf(clock.exposed_from) + 1)} ${top}H${x(dayOf(open))}`}
                    stroke={over ? 'var(--color-fail)' : 'var(--color-caution)'}
                    strokeWidth="3.5"
                    data-clock={row.id}
                    data-over={over}
                  />
                )}
              </g>
            );
          })}
          <path d={`M${SIZE.left} ${foot}H${width - SIZE.right}`} stroke="var(--color-ink)" strokeWidth="1.4" />
          {calendar.showers.some((s) => s.area === area) && (
            <text x={SIZE.left - 6} y={foot + 9} textAnchor="end" fontSize="10" fill="var(--color-caution)">
              a shower wets
            </text>
          )}
          {calendar.showers
            .filter((s) => s.area === area)
            .map((s) => (
              <path
                key={s.from}
                d={`M${x(dayOf(s.from) + 1)} ${foot + 5}H${s.to === null ? width - SIZE.right : x(dayOf(s.to) + 1)}`}
                stroke="var(--color-caution)"
                strokeWidth="4"
                strokeDasharray="2 3"
                data-shower={s.from}
              >
                <title>a shower would reach {[...s.wets, ...s.openings].join(', ')}</title>
              </path>
            ))}
          {calendar.weather.flatMap((w) =>
            w.gates
              .filter((g) => stops(g.gate))
              .map((g) => {
                const i = rows.findIndex((r) => r.id === g.task);
                const [cx, cy] = [x(dayOf(w.date)) + perDay / 2, foot - (i + 1) * SIZE.row + SIZE.row - 2];
                return i < 0 ? null : (
                  <path
                    key={`${w.date} ${g.task}`}
                    d={`M${cx - 4} ${cy - 4}l8 8m0 -8l-8 8`}
                    stroke="var(--color-fail)"
                    strokeWidth="2.4"
                    data-stopped={`${g.task} ${w.date}`}
                  />
                );
              }),
          )}
        </g>
      ))}
      {plan.today !== undefined && (
        <g pointerEvents="none">
          <path d={`M${x(dayOf(plan.today))} 20V${height}`} stroke="var(--color-ink)" strokeWidth="1.8" />
          <path d={`M${x(dayOf(plan.today)) - 6} 14h12l-6 8z`} />
          <text x={x(dayOf(plan.today)) + 5} y={height - 4} fontSize="11" fontWeight="700">
            today, {spoken(dayOf(plan.today))}
          </text>
        </g>
      )}
    </svg>
  );
}
