interface Reason {
  before: number;
  why: string;
}

/** The steps that a step waits for, those of one reason together: “2, 3, 8: it is looked at before it is covered”. */
export function told(reasons: Reason[]): string[] {
  const steps = new Map<string, number[]>();
  for (const { before, why } of reasons) steps.set(why, [...(steps.get(why) ?? []), before]);
  return [...steps].map(([why, before]) => `${before.join(', ')}: ${why}`);
}
