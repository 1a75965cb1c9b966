/**
 * Reads what a practitioner types into a quantity field. The rules are those of core/src/Quantity/QuantityReader.php,
 * here because a field must answer while it is being typed; tests/shared/quantities.json holds both to one table.
 */
export type Dimension =
  | 'length'
  | 'thickness'
  | 'temperature'
  | 'percent'
  | 'permeance'
  | 'resistance'
  | 'per-area'
  | 'pressure'
  | 'area'
  | 'run';

export type Read = { value: number } | { why: string };

const MM_PER_INCH = 25.4;
const MM_PER_FOOT = 304.8;
export const RSI_PER_R = 0.17611018368230585;
export const NG_PER_PERM = 57.2135;
export const PA_PER_PSF = 47.88026;
export const FT2_PER_M2 = 10.763910416709722;

const LENGTHS: Record<string, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  ft: MM_PER_FOOT,
  "'": MM_PER_FOOT,
  mil: 0.0254,
  mils: 0.0254,
  um: 0.001,
};

const UNITS: Record<Dimension, Record<string, number>> = {
  length: LENGTHS,
  thickness: LENGTHS,
  temperature: { c: 1, f: 1 },
  percent: { '%': 1 },
  permeance: { perm: NG_PER_PERM, perms: NG_PER_PERM, ng: 1, 'ng/(pa·s·m²)': 1 },
  resistance: { r: RSI_PER_R, rsi: 1, 'm2k/w': 1 },
  'per-area': { '/m2': 1, '/ft2': FT2_PER_M2 },
  pressure: { pa: 1, psf: PA_PER_PSF },
  area: { m2: 1, 'm²': 1, ft2: 1 / FT2_PER_M2, 'ft²': 1 / FT2_PER_M2, sf: 1 / FT2_PER_M2 },
  run: { m: 1, cm: 0.01, mm: 0.001, ft: 0.3048, "'": 0.3048, in: 0.0254 },
};

const EXPECTED: Record<Dimension, string> = {
  length: '50 mm, 2 in, 1-1/2 in, 3/8", 4 ft or 48 mil',
  thickness: '50 mm, 2 in, 1-1/2 in, 3/8", 48 mil, R-10 or RSI 1.8',
  temperature: '-12 C or 10 F',
  percent: '45 %',
  permeance: '0.8 perm or 46 ng',
  resistance: 'R-10 or RSI 1.8',
  'per-area': '6 /m2 or 0.5 /ft2',
  pressure: '300 Pa or 6 psf',
  area: '90 m2 or 970 ft2',
  run: '30 m or 100 ft',
};

const USUAL: Record<Dimension, [si: string, us: string]> = {
  length: ['mm', 'in'],
  thickness: ['mm', 'in'],
  temperature: ['c', 'f'],
  percent: ['%', '%'],
  permeance: ['ng', 'perm'],
  resistance: ['rsi', 'r'],
  'per-area': ['/m2', '/ft2'],
  pressure: ['pa', 'psf'],
  area: ['m2', 'ft2'],
  run: ['m', 'ft'],
};

const PLAIN: [RegExp, string][] = [
  [/“|”|″|''/g, '"'],
  [/’|′/g, "'"],
  [/−|–/g, '-'],
  [/°/g, ''],
  [/µ|μ/g, 'u'],
  [/½/g, ' 1/2'],
  [/¼/g, ' 1/4'],
  [/¾/g, ' 3/4'],
  [/⅛/g, ' 1/8'],
  [/⅜/g, ' 3/8'],
  [/⅝/g, ' 5/8'],
  [/⅞/g, ' 7/8'],
];

/** @param conductivity W/(m·K) of the material, for `R-10` in a thickness */
export function readQuantity(typed: string, dimension: Dimension, units: 'si' | 'us', conductivity?: number): Read {
  const why = (expected: string): Read => ({ why: `“${typed}” is not understood; write ${expected}` });
  let text = PLAIN.reduce((t, [from, to]) => t.replace(from, to), typed.trim().toLowerCase())
    .replace(/\s+/g, ' ')
    .trim();
  const resistance = text.match(/^(rsi|r)[ -]?(.+)$/);
  if (resistance && dimension === 'thickness') {
    if (conductivity === undefined) return why('a thickness: this material has no conductivity to reckon one from');
    const n = readNumber((resistance[2] ?? '').trim());
    if (typeof n === 'string') return why(n === '' ? EXPECTED[dimension] : n);
    return { value: n * (resistance[1] === 'r' ? RSI_PER_R : 1) * conductivity * 1000 };
  }
  if (resistance && dimension === 'resistance') text = `${resistance[2]} ${resistance[1]}`;
  if (dimension === 'length' || dimension === 'thickness') {
    const both = text.match(/^([\d.]+) ?(?:ft|')[ -]?(.+?) ?(?:in|"|inch|inches)$/);
    if (both) {
      const [feet, inches] = [readNumber(both[1] ?? ''), readNumber(both[2] ?? '')];
      return typeof feet === 'number' && typeof inches === 'number'
        ? { value: feet * MM_PER_FOOT + inches * MM_PER_INCH }
        : why(EXPECTED[dimension]);
    }
  }
  const parts = text.match(/^([-+]?(?:\d+[ -])?\d+\/\d+|[-+]?\d+(?:[.,]\d*)?|[-+]?\.\d+) ?(.*)$/);
  if (!parts) return why(EXPECTED[dimension]);
  const number = readNumber(parts[1] ?? '');
  if (typeof number === 'string') return why(number === '' ? EXPECTED[dimension] : number);
  const unit = (parts[2] ?? '').trim() || USUAL[dimension][units === 'si' ? 0 : 1];
  if (dimension === 'temperature' && unit === 'f') return { value: (number - 32) / 1.8 };
  const factor = UNITS[dimension][unit];
  return factor === undefined ? why(EXPECTED[dimension]) : { value: number * factor };
}

/** A number, or why not: what would be right, empty for the usual. */
function readNumber(text: string): number | string {
  const fraction = text.match(/^([-+]?)(?:(\d+)[ -])?(\d+)\/(\d+)$/);
  if (fraction && Number(fraction[4]) > 0) {
    const value = Number(fraction[2] ?? 0) + Number(fraction[3]) / Number(fraction[4]);
    return fraction[1] === '-' ? -value : value;
  }
  // 1,000 is a thousand to one reader and one to another: a factor of a thousand is not guessed.
  if (/^[-+]?\d+,\d{3}$/.test(text)) return 'the number without a comma';
  return /^[-+]?(\d+([.,]\d*)?|\.\d+)$/.test(text) ? Number(text.replace(',', '.')) : '';
}
