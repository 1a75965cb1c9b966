import type { Finding } from '../api/types';

/** Asks for something, and nobody has taken it on as it stands. */
export const isOpen = (f: Finding) =>
  (f.severity === 'fail' || f.severity === 'caution') && (f.accepted === null || f.accepted.changed);

/** Findings that stand for themselves, and of each what follows from it; in the order they came. */
export function causes(findings: Finding[]): { stand: Finding[]; under: (cause: Finding) => Finding[] } {
  const keys = new Set(findings.map((f) => f.key));
  const below = new Map<string, Finding[]>();
  const stand: Finding[] = [];
  for (const finding of findings) {
    if (finding.under === undefined || !keys.has(finding.under)) stand.push(finding);
    else below.set(finding.under, [...(below.get(finding.under) ?? []), finding]);
  }
  const under = (cause: Finding): Finding[] => (below.get(cause.key) ?? []).flatMap((f) => [f, ...under(f)]);
  return { stand, under };
}
