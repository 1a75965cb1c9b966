import type { Amount, DerivedTakeoff, Layout, Units } from '../api/types';
import { show } from '../quantity/show';

const trim = (value: number, digits: number) => value.toFixed(digits).replace(/\.?0+$/, '');

/** An amount in the reader's units: what the file has in m², m and litres. */
export function amountOf(value: number, what: Amount['what'], units: Units): string {
  switch (what) {
    case 'area':
      return show(value, 'area', units);
    case 'length':
      return show(value, 'run', units);
    case 'volume':
      return units === 'si' ? `${trim(value, 1)} L` : `${trim(value / 3.785412, 1)} gal`;
    case 'count':
      return trim(value, 0);
  }
}

const MANY: Record<string, string> = {
  roll: 'rolls',
  board: 'boards',
  pail: 'pails',
  sausage: 'sausages',
  can: 'cans',
  'half kit': 'half kits',
  length: 'lengths',
  piece: 'pieces',
};

/** The order in whole units: 12 rolls of 20.9 m². What has no unit of its own is ordered by its measure. */
export function orderOf(line: Pick<Amount, 'what' | 'order'> & Partial<Pick<Amount, 'why'>>, units: Units): string {
  const { unit, holds, count } = line.order;
  const many = MANY[unit];
  if (many === undefined) return amountOf(count, line.what, units);
  const name = count === 1 ? unit : many;
  if (unit === 'piece') return `${count}`;
  const { width_mm: wide, length_mm: long } = line.why ?? {};
  if (wide === undefined || long === undefined) return `${count} ${name} of ${amountOf(holds, line.what, units)}`;
  const along = unit === 'board' ? show(long, 'length', units) : show(long / 1000, 'run', units);
  return `${count} ${name}, ${show(wide, 'length', units)} × ${along}`;
}

/** How gross follows from net. */
export function whyOf(why: Amount['why'], units: Units): string {
  const share = why.waste_pct === undefined ? '' : `${trim(why.waste_pct, 1)} % over`;
  const least = why.least === undefined ? '' : `; no way of cutting needs fewer than ${why.least}`;
  switch (why.rule) {
    case 'laid-out':
      return `as laid out${least}`;
    case 'film':
      return `${show(why.wet_mm, 'thickness', units)} wet${
        why.texture !== undefined && why.texture !== 1 ? `, × ${trim(why.texture, 2)} for the rough face` : ''
      }, ${share}`;
    case 'kit':
      return `mixed by the whole kit or the half, stands ${why.slake_min ?? 0} min${
        why.open_min === undefined ? '' : `, open for ${why.open_min} min`
      }; ${share}`;
    case 'section':
      return `by its section, ${share}`;
    case 'rolls':
      return 'cut together with all other strips';
    case 'lengths':
      return `cut together${least}`;
    case 'placed':
      return 'as often as it is placed';
    case 'pattern':
      return 'by its pattern';
    case 'stated':
      return 'as stated per area';
    case 'seams':
      return `along the joints, ${share}`;
    case 'others':
    case 'share':
      return share;
  }
}

export const KINDS_LAID: Record<string, string> = {
  sheet: 'sheet in courses',
  membrane: 'membrane that sticks',
  film: 'film',
  mat: 'mat',
  sheathing: 'sheathing panels',
  foam: 'boards',
  wool: 'boards',
};

/** Layouts of one product, in the order of the walls. */
export function byProduct(layouts: Layout[], materialOf: (layout: Layout) => string): Map<string, Layout[]> {
  const groups = new Map<string, Layout[]>();
  for (const layout of layouts) {
    const material = materialOf(layout);
    groups.set(material, [...(groups.get(material) ?? []), layout]);
  }
  return groups;
}

/** Where a thing of a line is: parts by their names, pieces by their detail. */
export function placesOf(
  line: Pick<Amount, 'from'>,
  faces: DerivedTakeoff['faces'],
  titles: Map<string, string>,
): string {
  const names = new Map(faces.map((f) => [f.part, f.name]));
  const said = line.from.map((from) => {
    const [, detail] = /^details\/([^/]+)/.exec(from) ?? [];
    return detail === undefined ? (names.get(from) ?? from.replaceAll('.', ' ')) : (titles.get(detail) ?? detail);
  });
  const once = [...new Set(said)];
  return once.length > 3 ? `${once.slice(0, 2).join(', ')} and ${once.length - 2} more` : once.join(', ');
}
