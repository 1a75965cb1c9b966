import { useEffect, useState, type RefObject } from 'react';

/** px on the screen that a unit of a label has: letters of twenty units stand eleven px high. */
const PX_OF_A_UNIT = 0.53;
const [LEAST, MOST] = [0.4, 2.6];

/**
 * How much labels are drawn larger or smaller than the drawing, so that they keep their size at any scale of it.
 *
 * @param width of the view box, @param height of it: the drawing stands whole in its place
 */
export function useLabelScale(drawing: RefObject<SVGSVGElement | null>, width: number, height: number): number {
  const [place, setPlace] = useState<{ width: number; height: number } | null>(null);
  useEffect(() => {
    const svg = drawing.current;
    if (!svg) return undefined;
    const seen = new ResizeObserver(([entry]) => {
      if (entry) setPlace({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    seen.observe(svg);
    return () => seen.disconnect();
  }, [drawing]);
  if (!place || place.width === 0 || place.height === 0) return 1;
  const px = Math.min(place.width / width, place.height / height);
  return Math.max(LEAST, Math.min(MOST, PX_OF_A_UNIT / px));
}
