import type { DerivedCalendar } from '../api/types';

export type Gate = DerivedCalendar['weather'][number]['gates'][number]['gate'];

/** Why the weather of a day stops a thing, or holds it to some of the day. */
export const GATES: Record<Gate, string> = {
  open: 'goes on',
  'warm-hours': 'in the warm hours only',
  rain: 'rain',
  cold: 'too cold all day',
  hot: 'too hot',
  frost: 'frost on the faces',
  damp: 'wet faces, and it takes none',
  wind: 'too much wind for a sheet',
};

export const stops = (gate: Gate): boolean => gate !== 'open' && gate !== 'warm-hours';
