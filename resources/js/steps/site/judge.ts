import type { Severity, SiteCheck } from '../../api/types';

/** A reading against the bounds that came with its check; provisional until the server has judged it. */
export function judge(value: number, least: number): Severity {
  return value >= least ? 'pass' : value >= least / 2 ? 'caution' : 'fail';
}

/**
 * A fault is raised by the first reading of a check that does not pass: what is read after it belongs to that fault.
 * On the phone, since it may have no signal.
 */
export const raisesFault = (verdict: Severity | null, before: SiteCheck['readings']): boolean =>
  verdict !== null && verdict !== 'pass' && before.every((reading) => reading.severity_of === 'pass');
