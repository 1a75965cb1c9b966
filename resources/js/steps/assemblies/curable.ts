import type { Finding } from '../../api/types';

/** A control nobody named, or a figure from memory, is for a person to settle and not for a search. */
export const curable = (finding: Finding) =>
  (finding.severity === 'fail' || finding.severity === 'caution') &&
  finding.under === undefined &&
  !finding.code.startsWith('control.') &&
  finding.code !== 'surface.room-damp';
