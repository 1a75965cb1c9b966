import type { Severity } from '../../api/types';

/** A reading against the bounds that came with its check; provisional until the server has judged it. */
export function judge(value: number, least: number): Severity {
  return value >= least ? 'pass' : value >= least / 2 ? 'caution' : 'fail';
}
