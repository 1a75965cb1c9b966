/** The first of `stem`1, `stem`2 … that is not taken, or from a later number on. */
export function freeId(taken: string[], stem: string, from = 1): string {
  let n = from;
  while (taken.includes(`${stem}${n}`)) n++;
  return `${stem}${n}`;
}
