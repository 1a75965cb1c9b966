import { useEffect, useState, type RefObject } from 'react';

/**
 * How wide a drawing stands on the screen, px: drawn to that width, its words and lines keep their size at any width.
 *
 * @param usual before it is known, and in print
 * @param least narrower than this it is drawn smaller, and its words with it
 */
export function useDrawnWidth(drawing: RefObject<SVGSVGElement | null>, usual: number, least: number): number {
  const [width, setWidth] = useState(usual);
  useEffect(() => {
    const svg = drawing.current;
    if (!svg || document.body.classList.contains('print')) return undefined;
    const seen = new ResizeObserver(([entry]) => {
      const now = Math.round(entry?.contentRect.width ?? 0);
      if (now > 0) setWidth(Math.max(least, now));
    });
    seen.observe(svg);
    return () => seen.disconnect();
  }, [drawing, least]);
  return width;
}
