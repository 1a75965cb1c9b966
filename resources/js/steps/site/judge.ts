import type { Severity, SiteCheck } from '../../api/types';
import type { Asks } from '../../quantity/asked';

/** A reading against the bounds that came with its check; provisional until the server has judged it. */
export function judge(value: number, { least_mm, most_mm }: Asks): Severity {
  const low = least_mm === null || value >= least_mm ? 0 : value >= least_mm / 2 ? 1 : 2;
  const high = most_mm === null || value <= most_mm ? 0 : value <= most_mm * 1.5 ? 1 : 2;
  return (['pass', 'caution', 'fail'] as const)[Math.max(low, high)] ?? 'fail';
}

/**
 * A fault is raised by the first reading of a check that does not pass: what is read after it belongs to that fault.
 * On the phone, since it may have no signal.
 */
export const raisesFault = (verdict: Severity | null, before: SiteCheck['readings']): boolean =>
  verdict !== null && verdict !== 'pass' && before.every((reading) => reading.severity_of === 'pass');
