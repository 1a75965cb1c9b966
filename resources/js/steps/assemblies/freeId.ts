/** The first of `stem`1, `stem`2 … that is not taken. */
export function freeId(taken: string[], stem: string): string {
  let n = 1;
  while (taken.includes(`${stem}${n}`)) n++;
  return `${stem}${n}`;
}
