import type { Task } from '../api/types';

type Waits = NonNullable<Task['after']>;

/** As it is typed, and as the file has it. */
const UNTIL = { cured: 'cure', recoat: 'recoat', tack: 'tack' } as const;

/** What a task waits for, as it is typed: `t0, t1 + 24h, t2 start, t3 cured, t4 recoat`. */
export function readAfter(typed: string, ids: string[]): { waits: Waits } | { why: string } {
  const waits: Waits = [];
  for (const part of typed.split(',')) {
    const text = part.trim();
    if (text === '') continue;
    const cures = /^(\S+)\s+(cured|recoat|tack)$/.exec(text);
    if (cures?.[1] !== undefined) {
      if (!ids.includes(cures[1])) return { why: `“${cures[1]}” is no other task of the plan` };
      waits.push({ task: cures[1], until: UNTIL[cures[2] as keyof typeof UNTIL] });
      continue;
    }
    const m = /^(\S+?)(\s+(start|end|finish))?(\s*\+\s*(\d+(?:\.\d+)?)\s*(h|d)?)?$/.exec(text);
    if (!m) return { why: `“${text}”: a task, as t0, t0 + 24h, t0 start, or t0 cured` };
    const [, task = '', , of, , much, unit] = m;
    if (!ids.includes(task)) return { why: `“${task}” is no other task of the plan` };
    const hours = much === undefined ? 0 : Number(much) * (unit === 'd' ? 24 : 1);
    waits.push({
      task,
      ...(of === 'start' ? { from: 'start' as const } : {}),
      ...(hours > 0 ? { wait_h: hours } : {}),
    });
  }
  return { waits };
}

export const writeAfter = (waits: Waits): string =>
  waits
    .map((w) => {
      const until = Object.entries(UNTIL).find(([, of]) => of === w.until)?.[0];
      return (
        w.task +
        (until === undefined ? '' : ` ${until}`) +
        (w.from === 'start' ? ' start' : '') +
        (w.wait_h !== undefined ? ` + ${w.wait_h}h` : '')
      );
    })
    .join(', ');

/** Tasks that would wait for one in turn, itself among them: none of them can be waited for. */
export function behind(tasks: Task[], id: string): Set<string> {
  const found = new Set([id]);
  for (let grew = true; grew;) {
    grew = false;
    for (const task of tasks)
      if (!found.has(task.id) && task.after?.some((w) => found.has(w.task))) {
        found.add(task.id);
        grew = true;
      }
  }
  return found;
}
