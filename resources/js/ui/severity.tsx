import type { Severity } from '../api/types';

const WORD: Record<Severity, string> = { fail: 'Fail', caution: 'Caution', note: 'Note', pass: 'Pass' };
const COLOUR: Record<Severity, string> = {
  fail: 'text-fail',
  caution: 'text-caution',
  note: 'text-ink',
  pass: 'text-pass',
};

/** A shape of its own for each severity, so that print and colour blindness do not lose it. */
export function SeverityMark({ severity, size = 12 }: { severity: Severity; size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 12 12"
      className={`inline-block shrink-0 ${COLOUR[severity]}`}
      aria-hidden="true"
    >
      {severity === 'fail' && <rect width="12" height="12" fill="currentColor" />}
      {severity === 'caution' && <path d="M6 0L12 12H0z" fill="currentColor" />}
      {severity === 'note' && <path d="M0 6h12M6 0v12" stroke="currentColor" strokeWidth="2" />}
      {severity === 'pass' && <circle cx="6" cy="6" r="4.6" fill="none" stroke="currentColor" strokeWidth="2" />}
    </svg>
  );
}

export const severityWord = (severity: Severity) => WORD[severity];
export const severityColour = (severity: Severity) => COLOUR[severity];
