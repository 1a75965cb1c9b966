import type { Role } from '../api/types';

interface Step {
  key: string;
  path: string;
  title: string;
}

/** The ten steps in working order. */
export const STEPS: Step[] = [
  { key: '1', path: 'brief', title: 'Brief' },
  { key: '2', path: 'assemblies', title: 'Assemblies' },
  { key: '3', path: 'contacts', title: 'Contacts' },
  { key: '4', path: 'transitions', title: 'Transitions' },
  { key: '5', path: 'sequences', title: 'Sequences' },
  { key: '6', path: 'quantities', title: 'Quantities' },
  { key: '7', path: 'calendar', title: 'Calendar' },
  { key: '8', path: 'site', title: 'Site' },
  { key: '9', path: 'tests', title: 'Tests' },
  { key: '0', path: 'report', title: 'Report' },
];

/** A crew lead reads cards, orders material and keeps the order of work and its waiting times: these and no others. */
const OF_A_CREW_LEAD = ['sequences', 'quantities', 'calendar'];

/** The steps that somebody works in. */
export const stepsOf = (role: Role | undefined): Step[] =>
  role === 'crew-lead' ? STEPS.filter((s) => OF_A_CREW_LEAD.includes(s.path)) : STEPS;

/** Where a project opens for them; a reader has what was issued. */
export const firstOf = (role: Role): string => (role === 'reader' ? 'issued' : (stepsOf(role)[0]?.path ?? 'brief'));
