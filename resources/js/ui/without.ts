/** The same without one key, so that what is not said is not written. */
export const without = <T extends object>(of: T, key: keyof T): T =>
  Object.fromEntries(Object.entries(of).filter(([name]) => name !== key)) as T;
