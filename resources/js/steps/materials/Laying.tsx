import type { Material } from '../../api/types';

type Product = NonNullable<Material['product']>;

const STICKS: Record<NonNullable<Material['sticks']>, string> = {
  acrylic: 'acrylic',
  butyl: 'butyl',
  sbs: 'SBS bitumen',
  silicone: 'silicone',
  polyurethane: 'polyurethane',
  silyl: 'silyl-terminated',
  'acrylic-latex': 'acrylic latex',
  'polyurethane-foam': 'polyurethane foam',
  'impregnated-foam': 'impregnated foam',
  'primer-solvent': 'primer, solvent-borne',
  'primer-water': 'primer, water-borne',
  'primer-epoxy': 'primer, epoxy',
  'mastic-solvent': 'mastic with solvent',
  'fluid-acrylic': 'coat, acrylic',
  'fluid-silyl': 'coat, silyl-terminated',
  'fluid-silicone': 'coat, silicone',
  'fluid-bitumen': 'coat, bitumen',
  'fluid-polyurethane': 'coat, polyurethane',
  mortar: 'mortar',
};

interface Laid {
  sticks: Material['sticks'] | '';
  low: string;
  high: string;
  damp: '' | 'yes' | 'no';
  sun: string;
  solids: string;
  pack: string;
}

const text = (value: number | undefined) => (value === undefined ? '' : String(value));

/** What a data sheet said before, as it is typed. */
export const layingOf = (from: Material | undefined): Laid => ({
  sticks: from?.sticks ?? from?.adhesive ?? '',
  low: text(from?.product?.application_c?.[0]),
  high: text(from?.product?.application_c?.[1]),
  damp: from?.product?.damp_face === undefined ? '' : from.product.damp_face ? 'yes' : 'no',
  sun: text(from?.product?.sun_days),
  solids: text(from?.product?.solids_pct),
  pack: text(from?.product?.pack_l),
});

/** As the file has it; what is not said here stays as it was. */
export function productOf(laid: Laid, before: Product | undefined): Product | undefined {
  const number = (typed: string, what: string) => {
    if (typed.trim() === '') return undefined;
    const value = Number(typed.replace(',', '.'));
    if (!Number.isFinite(value)) throw new Error(`${what}: “${typed}” is no number.`);
    return value;
  };
  const [low, high] = [number(laid.low, 'laid from'), number(laid.high, 'laid up to')];
  if ((low === undefined) !== (high === undefined))
    throw new Error('Laid at: both the least and the most, or neither.');
  const product = Object.fromEntries(
    Object.entries({
      ...before,
      application_c: low === undefined || high === undefined ? undefined : [low, high],
      damp_face: laid.damp === '' ? undefined : laid.damp === 'yes',
      sun_days: number(laid.sun, 'days in the sun'),
      solids_pct: number(laid.solids, 'solids'),
      pack_l: number(laid.pack, 'a pack'),
    }).filter(([, said]) => said !== undefined),
  ) as Product;
  return Object.keys(product).length > 0 ? product : undefined;
}

/** What the data sheet says of laying it: what it leaves out is the usual of its family. */
export function Laying({ laying, change }: { laying: Laid; change: (laying: Laid) => void }) {
  const field = (key: 'low' | 'high' | 'sun' | 'solids' | 'pack', label: string) => (
    <label className="block">
      <span className="block text-faint">{label}</span>
      <input className="w-full" value={laying[key]} onChange={(e) => change({ ...laying, [key]: e.target.value })} />
    </label>
  );
  return (
    <details className="col-span-2" open={laying.sticks !== ''}>
      <summary className="text-faint">what it sticks with, and how it is laid</summary>
      <div className="grid grid-cols-3 gap-x-4 gap-y-2 pt-1">
        <label className="block">
          <span className="block text-faint">Sticks with</span>
          <select
            className="w-full"
            value={laying.sticks}
            onChange={(e) => change({ ...laying, sticks: e.target.value as Laid['sticks'] })}
          >
            <option value="">nothing, or not said</option>
            {Object.entries(STICKS).map(([sticks, words]) => (
              <option key={sticks} value={sticks}>
                {words}
              </option>
            ))}
          </select>
        </label>
        {field('low', 'Laid from, °C')}
        {field('high', 'up to, °C')}
        <label className="block">
          <span className="block text-faint">On a damp face</span>
          <select
            className="w-full"
            value={laying.damp}
            onChange={(e) => change({ ...laying, damp: e.target.value as Laid['damp'] })}
          >
            <option value="">not said</option>
            <option value="yes">yes</option>
            <option value="no">no</option>
          </select>
        </label>
        {field('sun', 'Days in the sun')}
        {field('solids', 'Solids by volume, %')}
        {field('pack', 'A pack holds, L')}
      </div>
    </details>
  );
}
