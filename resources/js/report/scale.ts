import type { Units } from '../api/types';

interface Scale {
  /** one on the paper is so many in truth */
  of: number;
  words: string;
}

const METRIC = [1, 2, 2.5, 5, 7.5, 10, 15, 20, 25, 30, 40, 50, 75, 100, 125, 150, 200, 250, 300, 400, 500, 750, 1000];

const FEET: [number, string][] = [
  [1, 'full size'],
  [2, '6″ = 1′-0″'],
  [4, '3″ = 1′-0″'],
  [8, '1 1/2″ = 1′-0″'],
  [12, '1″ = 1′-0″'],
  [16, '3/4″ = 1′-0″'],
  [24, '1/2″ = 1′-0″'],
  [32, '3/8″ = 1′-0″'],
  [48, '1/4″ = 1′-0″'],
  [64, '3/16″ = 1′-0″'],
  [96, '1/8″ = 1′-0″'],
  [128, '3/32″ = 1′-0″'],
  [192, '1/16″ = 1′-0″'],
  [384, '1/32″ = 1′-0″'],
  [768, '1/64″ = 1′-0″'],
];

/** Scales that a drawing is set to, the largest first. */
export function scales(units: Units): Scale[] {
  return units === 'si'
    ? METRIC.map((of) => ({ of, words: `1 : ${of}` }))
    : FEET.map(([of, words]) => ({ of, words: `${words} (1 : ${of})` }));
}

/** The largest scale at which something of a size in truth fits on so much paper, both in mm. */
export function fitting(truth: [number, number], paper: [number, number], units: Units): Scale | null {
  return scales(units).find(({ of }) => truth[0] / of <= paper[0] && truth[1] / of <= paper[1]) ?? null;
}

const PX_PER_MM = 96 / 25.4;

/** No drawing is taller than a page with its heading and its caption. */
const TALLEST = 210;

/**
 * Sets every drawing that is to scale (`data-mm`: mm in truth of one unit of it) to the largest usual scale that fits
 * where it stands, and says which.
 */
export function setToScale(root: ParentNode, units: Units): void {
  for (const svg of root.querySelectorAll<SVGSVGElement>('svg[data-mm]')) {
    const mm = Number(svg.dataset.mm);
    const box = svg.viewBox.baseVal;
    const place = svg.parentElement;
    if (!place || !(mm > 0) || box.width <= 0) continue;
    const high = svg.getBoundingClientRect().height / PX_PER_MM;
    const room: [number, number] = [place.clientWidth / PX_PER_MM, Math.min(TALLEST, Math.max(high, 20))];
    const scale = fitting([box.width * mm, box.height * mm], room, units);
    if (!scale) continue;
    svg.style.width = `${(box.width * mm) / scale.of}mm`;
    svg.style.height = `${(box.height * mm) / scale.of}mm`;
    svg.dataset.scale = String(scale.of);
    const words = document.createElement('p');
    words.className = 'text-[7.5pt] text-faint';
    words.textContent = `scale ${scale.words}`;
    svg.after(words);
  }
}
