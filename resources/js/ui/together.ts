interface Said {
  severity: string;
  title: string;
  remedy: string;
  source: { name: string };
}

/** Findings that say the same of several things, in the order of the first of each. */
export function together<T extends Said>(findings: T[]): T[][] {
  const groups = new Map<string, T[]>();
  for (const f of findings) {
    const key = JSON.stringify([f.severity, f.title, f.remedy, f.source.name]);
    groups.set(key, [...(groups.get(key) ?? []), f]);
  }
  return [...groups.values()];
}
