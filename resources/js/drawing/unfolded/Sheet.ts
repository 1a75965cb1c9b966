import { createContext, useContext } from 'react';
import type { Patch, SequenceSheet, Units } from '../../api/types';

/** A rectangle in the units of the drawing. */
export interface Drawn {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** What lies on the unfolded drawing needs of it: where a place on a facet is drawn, and how large labels are. */
export interface Place {
  sheet: SequenceSheet;
  step: number;
  units: Units;
  /** only a part of the face is shown, close up */
  close: boolean;
  box: (patch: Pick<Patch, 'facet' | 'rect'>) => Drawn;
  /** a place on the sheet, in mm from the corner of the opening, to the drawing */
  X: (u: number) => number;
  Y: (v: number) => number;
  /** by how much a label is enlarged to keep its size on the screen */
  k: number;
}

export const Sheet = createContext<Place | null>(null);

/** Of the drawing that this stands in. */
export function useSheet(): Place {
  const place = useContext(Sheet);
  if (!place) throw new Error('This is drawn only on an unfolded detail.');
  return place;
}
