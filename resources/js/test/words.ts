import type { DerivedTest } from '../api/types';

export const VERDICTS: Record<DerivedTest['verdict'], { words: string; severity: 'pass' | 'fail' | 'caution' }> = {
  pass: { words: 'a test, and no target missed', severity: 'pass' },
  fail: { words: 'a test, and its target is missed', severity: 'fail' },
  'not valid': { words: 'not valid as a test', severity: 'caution' },
};

export const STAGES = { 'before-cover': 'before the air layer is covered', 'at-end': 'at the end' } as const;

/** With as many figures as it is worth. */
export const worth = (value: number | null, digits: number, unit: string): string =>
  value === null ? 'not known' : `${value.toFixed(digits)} ${unit}`;
