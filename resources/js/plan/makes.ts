import type { Task } from '../api/types';
import { without } from '../ui/without';

/** Openings and details that a task makes, and which of their steps. */
export interface Makes {
  details: string[];
  steps: [number, number] | null;
}

/** As it is typed: `o2, o11: 1 to 4`; null where it cannot be read. */
export function readMakes(typed: string): Makes | null {
  const m = /^([^:]*)(?::\s*(\d+)\s*(?:to|-|–)\s*(\d+)\s*)?$/.exec(typed.trim());
  if (!m) return null;
  const details = (m[1] ?? '').split(/[\s,;]+/).filter((id) => id !== '');
  const steps: [number, number] | null = m[2] === undefined ? null : [Number(m[2]), Number(m[3])];
  if (details.some((id) => id.includes('/')) || (steps && (steps[1] < steps[0] || details.length === 0))) return null;
  return { details, steps };
}

export const writeMakes = (task: Pick<Task, 'details' | 'steps'>): string =>
  (task.details ?? []).join(', ') + (task.steps ? `: ${task.steps[0] ?? 0} to ${task.steps[1] ?? 0}` : '');

export function made(task: Task, makes: Makes): Task {
  const bare = without(without(task, 'details'), 'steps');
  return {
    ...bare,
    ...(makes.details.length > 0 ? { details: makes.details } : {}),
    ...(makes.steps ? { steps: makes.steps } : {}),
  };
}
