import type { Material } from '../../api/types';
import { families } from '../../material/families';
import { FACTS, type Key } from '../../material/product';

export const STICKS: Record<NonNullable<Material['sticks']>, string> = {
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

export interface Laid {
  sticks: Material['sticks'] | '';
  /** the family of its outer face, where that differs from its own */
  outer: string;
  said: Partial<Record<Key, string>>;
}

const EXAMPLES: Partial<Record<Key, string>> = {
  application_c: '−5 to 40 C',
  service_c: '−40 to 80 C',
  primer_on: 'concrete, gypsum; or none',
  cure_at: '5 C: 72 h, 23 C: 24 h',
  roll_m: '1.5 m × 30 m',
  board_mm: '1220 × 2440 mm',
  lap_mm: '150 × 150 mm',
  working_range_mm: '10 to 18 mm',
  tested_with: 'ids of materials, or families',
};

/** What the data sheet says of laying it: what it leaves out is the usual of its family. */
export function Laying({ laying, change }: { laying: Laid; change: (laying: Laid) => void }) {
  const set = (key: Key, text: string) => change({ ...laying, said: { ...laying.said, [key]: text } });
  return (
    <details className="col-span-2" open={laying.sticks !== ''} data-laying>
      <summary className="text-faint">what it sticks with, and how it is laid</summary>
      <datalist id="families">
        {families.map((family) => (
          <option key={family.id} value={family.title} />
        ))}
      </datalist>
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
        <label className="block">
          <span className="block text-faint">Its outer face, where it differs</span>
          <select
            className="w-full"
            value={laying.outer}
            onChange={(e) => change({ ...laying, outer: e.target.value })}
          >
            <option value="">as its family</option>
            {families.map((family) => (
              <option key={family.id} value={family.id}>
                {family.title}
              </option>
            ))}
          </select>
        </label>
        {FACTS.map((fact) => (
          <label key={fact.key} className="block">
            <span className="block text-faint">
              {fact.label}
              {fact.kind === 'number' ? `, ${fact.unit}` : ''}
            </span>
            {fact.kind === 'yes' || fact.kind === 'word' ? (
              <select
                className="w-full"
                value={laying.said[fact.key] ?? ''}
                onChange={(e) => set(fact.key, e.target.value)}
              >
                <option value="">not said</option>
                {(fact.kind === 'yes' ? [fact.yes, fact.no] : Object.values(fact.words)).map((words) => (
                  <option key={words}>{words}</option>
                ))}
              </select>
            ) : (
              <input
                className="w-full"
                list={fact.kind === 'families' ? 'families' : undefined}
                placeholder={EXAMPLES[fact.key]}
                value={laying.said[fact.key] ?? ''}
                onChange={(e) => set(fact.key, e.target.value)}
              />
            )}
          </label>
        ))}
      </div>
    </details>
  );
}
