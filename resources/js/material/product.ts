import type { Material, Units } from '../api/types';
import { readQuantity, type Dimension } from '../quantity/read';
import { show } from '../quantity/show';
import { families, titleOf } from './families';

export type Product = NonNullable<Material['product']>;
export type Key = keyof Product;

/**
 * What a data sheet says of laying a product, in the order of the form: how each is written and read. A pair is two of
 * a kind with “to” or “×” between them.
 */
type Fact =
  | { key: Key; label: string; kind: 'number'; unit: string }
  | { key: Key; label: string; kind: 'temperature' }
  | { key: Key; label: string; kind: 'temperatures' }
  | { key: Key; label: string; kind: 'lengths'; per: 1 | 1000 }
  | { key: Key; label: string; kind: 'yes'; yes: string; no: string }
  | { key: Key; label: string; kind: 'word'; words: Record<string, string> }
  | { key: Key; label: string; kind: 'families' }
  | { key: Key; label: string; kind: 'ids' }
  | { key: Key; label: string; kind: 'cures' }
  | { key: Key; label: string; kind: 'text' };

export const FACTS: Fact[] = [
  { key: 'application_c', label: 'laid on a face of', kind: 'temperatures' },
  { key: 'primed_c', label: 'on a primed face down to', kind: 'temperature' },
  { key: 'service_c', label: 'in service', kind: 'temperatures' },
  { key: 'damp_face', label: 'on a damp face', kind: 'yes', yes: 'yes', no: 'no' },
  { key: 'primer_on', label: 'wants a primer on', kind: 'families' },
  { key: 'roll', label: 'pressed', kind: 'yes', yes: 'with a roller', no: 'by hand' },
  {
    key: 'nail_seal',
    label: 'seals round a nail',
    kind: 'word',
    words: { no: 'no', 'one-layer': 'in one layer', 'two-layers': 'where two lie over each other' },
  },
  { key: 'sun_days', label: 'in the sun', kind: 'number', unit: 'days' },
  { key: 'open_min', label: 'open', kind: 'number', unit: 'min' },
  { key: 'tack_free_min', label: 'tack-free after', kind: 'number', unit: 'min' },
  { key: 'recoat_h', label: 'coated again after', kind: 'number', unit: 'h' },
  { key: 'cure_h', label: 'cured after', kind: 'number', unit: 'h' },
  { key: 'cure_at', label: 'cured, by temperature', kind: 'cures' },
  { key: 'cure', label: 'cure', kind: 'word', words: { neutral: 'neutral', acetoxy: 'acetoxy' } },
  { key: 'coating', label: 'zinc', kind: 'word', words: { 'hot-dip': 'hot-dip', electro: 'electroplated' } },
  { key: 'solids_pct', label: 'solids by volume', kind: 'number', unit: '%' },
  { key: 'coverage_m2_l', label: 'covers', kind: 'number', unit: 'm²/L' },
  { key: 'pack_l', label: 'a pack holds', kind: 'number', unit: 'L' },
  { key: 'roll_m', label: 'a roll', kind: 'lengths', per: 1000 },
  { key: 'board_mm', label: 'a board', kind: 'lengths', per: 1 },
  { key: 'lap_mm', label: 'laps, level and end', kind: 'lengths', per: 1 },
  { key: 'working_range_mm', label: 'for joints of', kind: 'lengths', per: 1 },
  { key: 'fasteners', label: 'fastened with', kind: 'families' },
  { key: 'tested_with', label: 'tested with', kind: 'ids' },
  { key: 'storage', label: 'kept', kind: 'text' },
];

/** As it is shown, and typed again. */
export function saidOf(fact: Fact, product: Partial<Product> | undefined, units: Units): string {
  const value = product?.[fact.key];
  if (value === undefined) return '';
  const pair = (of: (n: number) => string, between: string) => (value as number[]).map(of).join(between);
  switch (fact.kind) {
    case 'number':
      return String(value);
    case 'temperature':
      return show(value as number, 'temperature', units);
    case 'temperatures':
      return pair((n) => show(n, 'temperature', units), ' to ');
    case 'lengths':
      return pair((n) => (fact.per === 1 ? show(n, 'length', units) : show(n, 'run', units)), ' × ');
    case 'yes':
      return value === true ? fact.yes : fact.no;
    case 'word':
      return fact.words[value as string] ?? String(value);
    case 'families':
      return (value as string[]).length === 0 ? 'none' : (value as string[]).map(titleOf).join(', ');
    case 'ids':
      return (value as string[]).join(', ');
    case 'cures':
      return (value as number[][]).map(([c, h]) => `${show(c, 'temperature', units)}: ${h} h`).join(', ');
    case 'text':
      return String(value);
  }
}

/**
 * What was typed, as the file has it; undefined where nothing was.
 *
 * @throws Error that says what cannot be read, and what would be right
 */
export function readFact(fact: Fact, typed: string, units: Units): unknown {
  const text = typed.trim();
  if (text === '') return undefined;
  const refuse = (expected: string): never => {
    throw new Error(`${fact.label}: “${typed}” cannot be read; ${expected}.`);
  };
  const quantity = (one: string, dimension: Dimension): number => {
    const read = readQuantity(one, dimension, units);
    return 'why' in read ? refuse(read.why) : read.value;
  };
  const plain = (one: string): number => {
    const value = Number(one.trim().replace(',', '.').replace('−', '-'));
    return one.trim() !== '' && Number.isFinite(value) ? value : refuse('a number');
  };
  const two = (between: RegExp, of: (one: string) => number, expected: string): number[] => {
    const parts = text.split(between).map((part) => part.trim());
    return parts.length === 2 && parts.every((part) => part !== '') ? parts.map(of) : refuse(expected);
  };
  const list = () =>
    text
      .split(/[,;]/)
      .map((one) => one.trim())
      .filter((one) => one !== '');
  switch (fact.kind) {
    case 'number':
      return plain(text.replace(new RegExp(`\\s*${fact.unit}$`), ''));
    case 'temperature':
      return quantity(text, 'temperature');
    case 'temperatures':
      return two(/ to | … |\.\.\.?/, (one) => quantity(one, 'temperature'), 'both the least and the most: −5 to 40');
    case 'lengths':
      return two(
        / x |×| to /i,
        (one) => (fact.per === 1 ? quantity(one, 'length') : quantity(one, 'run')),
        fact.per === 1 ? 'two lengths: 1220 × 2440 mm' : 'width and length: 1.5 m × 30 m',
      );
    case 'yes':
      return text === fact.yes;
    case 'word':
      return Object.entries(fact.words).find(([word, words]) => text === word || text === words)?.[0];
    case 'families':
      return text.toLowerCase() === 'none'
        ? []
        : list().map(
            (one) =>
              families.find((f) => f.id === one.toLowerCase() || f.title.toLowerCase() === one.toLowerCase())?.id ??
              refuse(`no family “${one}”; families of the list, with commas between, or “none”`),
          );
    case 'ids':
      return list();
    case 'cures':
      return list().map((one) => {
        const parts = one.split(':');
        return parts.length === 2
          ? [quantity(parts[0] ?? '', 'temperature'), plain((parts[1] ?? '').replace(/h$/, ''))]
          : refuse('a temperature and hours: 5 °C: 72 h, 23 °C: 24 h');
      });
    case 'text':
      return text;
  }
}

/**
 * As the file has it; undefined where the sheet says nothing of laying it. What stands as it was shown is what it was:
 * figures are shown rounded.
 */
export function productOf(
  typed: Partial<Record<Key, string>>,
  units: Units,
  before?: Product | undefined,
): Product | undefined {
  const said = FACTS.map((fact) => {
    const text = typed[fact.key] ?? '';
    return [fact.key, text === saidOf(fact, before, units) ? before?.[fact.key] : readFact(fact, text, units)] as const;
  }).filter(([, value]) => value !== undefined);
  return said.length > 0 ? (Object.fromEntries(said) as Product) : undefined;
}

/** What a data sheet said before, as it is typed. */
export const typedOf = (product: Product | undefined, units: Units): Partial<Record<Key, string>> =>
  Object.fromEntries(FACTS.map((fact) => [fact.key, saidOf(fact, product, units)]));
