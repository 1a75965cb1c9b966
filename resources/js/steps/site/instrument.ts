/** What somebody reads with, and when it was last calibrated: kept on the phone, by the kind of instrument. */
export interface Instrument {
  name: string;
  calibrated: string;
}

const key = (kind: string) => `apron-instrument-${kind}`;

export function instrumentFor(kind: string): Instrument {
  try {
    const kept = JSON.parse(localStorage.getItem(key(kind)) ?? '{}') as Partial<Instrument>;
    return { name: kept.name ?? kind, calibrated: kept.calibrated ?? '' };
  } catch {
    return { name: kind, calibrated: '' };
  }
}

export function keepInstrument(kind: string, instrument: Instrument): void {
  try {
    localStorage.setItem(key(kind), JSON.stringify(instrument));
  } catch {
    // It holds until the page is left.
  }
}
