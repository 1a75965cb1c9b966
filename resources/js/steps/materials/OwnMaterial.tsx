import { useState } from 'react';
import { ulid } from 'ulid';
import { put, wordsOf } from '../../api/client';
import { address } from '../../api/paths';
import { useProjectId } from '../../api/hooks';
import { projectChanged } from '../../api/queries';
import type { Material } from '../../api/types';
import { readQuantity, type Dimension } from '../../quantity/read';
import { show } from '../../quantity/show';
import { Dialog } from '../../ui/Dialog';
import { useUnits } from '../../ui/units';
import { OFFERED, titleOf } from '../../material/families';
import { productOf, typedOf } from '../../material/product';
import { Laying, type Laid } from './Laying';

const HEAT = { conductivity_w_mk: 'conductivity, W/(m·K)', resistance_m2k_w: 'R of the whole thickness' } as const;
const VAPOUR = {
  permeance_ng_pa_s_m2: 'permeance',
  vapour_resistance_factor: 'resistance factor μ',
  sd_m: 'sd, m of still air',
} as const;

type Heat = keyof typeof HEAT;
type Vapour = keyof typeof VAPOUR;

/** A material from a data sheet: the sheet's figures as they are printed, its name and its date. */
export function OwnMaterial({
  from,
  revision,
  taken,
  close,
}: {
  from: Material | undefined;
  revision: number;
  taken: string[];
  close: (saved: string | null) => void;
}) {
  const project = useProjectId();
  const [busy, setBusy] = useState(false);
  const { units } = useUnits();
  const [name, setName] = useState(from === undefined ? '' : revision > 0 ? from.name : `${from.name}, own`);
  const [family, setFamily] = useState(from?.family ?? '');
  const [heat, setHeat] = useState<Heat>(
    from?.resistance_m2k_w !== undefined ? 'resistance_m2k_w' : 'conductivity_w_mk',
  );
  const [vapour, setVapour] = useState<Vapour>(
    from?.sd_m !== undefined
      ? 'sd_m'
      : from?.vapour_resistance_factor !== undefined
        ? 'vapour_resistance_factor'
        : 'permeance_ng_pa_s_m2',
  );
  const given = (value: number | undefined, dimension?: Dimension) =>
    value === undefined ? '' : dimension ? show(value, dimension, units) : String(value);
  const [texts, setTexts] = useState({
    heat: given(from?.[heat], heat === 'resistance_m2k_w' ? 'resistance' : undefined),
    vapour: given(from?.[vapour], vapour === 'permeance_ng_pa_s_m2' ? 'permeance' : undefined),
    thickness: given(from?.usual_thickness_mm, 'thickness'),
    air: given(from?.air_permeance_l_s_m2),
    density: given(from?.density_kg_m3),
    sheet: from?.source?.kind === 'data-sheet' ? from.source.name : '',
    date: from?.source?.date ?? '',
  });
  const [sheds, setSheds] = useState(from?.sheds_water);
  const [laying, setLaying] = useState<Laid>(() => ({
    sticks: from?.sticks ?? from?.adhesive ?? '',
    outer: from?.faces?.outer ?? '',
    said: typedOf(from?.product, units),
  }));
  const [why, setWhy] = useState<string | null>(null);
  const set = (key: keyof typeof texts) => (value: string) => setTexts((t) => ({ ...t, [key]: value }));

  const number = (text: string, dimension: Dimension | null, what: string): number => {
    const plain = Number(text.replace(',', '.'));
    const read =
      dimension === null
        ? text.trim() !== '' && Number.isFinite(plain)
          ? { value: plain }
          : { why: 'a number' }
        : readQuantity(text, dimension, units);
    if ('why' in read) throw new Error(`${what}: “${text}” cannot be read; ${read.why}.`);
    if (read.value <= 0) throw new Error(`${what}: more than nothing.`);
    return read.value;
  };

  const save = async () => {
    if (busy) return;
    setBusy(true);
    try {
      if (name.trim() === '') throw new Error('It needs a name.');
      if (texts.sheet.trim() === '' || texts.date.trim() === '')
        throw new Error('Which data sheet, and of what date? The figures are worth no more than where they are from.');
      const keptWet = revision > 0 && from?.[vapour] !== undefined;
      const content = Object.fromEntries(
        Object.entries({
          ...(from && revision > 0 ? from : {}),
          id: revision > 0 && from ? from.id : idOf(name, taken),
          name: name.trim(),
          family: family || undefined,
          conductivity_w_mk: undefined,
          resistance_m2k_w: undefined,
          permeance_ng_pa_s_m2: undefined,
          vapour_resistance_factor: undefined,
          sd_m: undefined,
          ...(keptWet
            ? {}
            : { vapour_resistance_factor_wet: undefined, sd_wet_m: undefined, permeance_wet_ng_pa_s_m2: undefined }),
          [heat]: number(texts.heat, heat === 'resistance_m2k_w' ? 'resistance' : null, HEAT[heat]),
          [vapour]: number(texts.vapour, vapour === 'permeance_ng_pa_s_m2' ? 'permeance' : null, VAPOUR[vapour]),
          usual_thickness_mm:
            texts.thickness.trim() === '' ? undefined : number(texts.thickness, 'thickness', 'usual thickness'),
          air_permeance_l_s_m2: texts.air.trim() === '' ? undefined : number(texts.air, null, 'air permeance'),
          density_kg_m3: texts.density.trim() === '' ? undefined : number(texts.density, null, 'density'),
          sheds_water: sheds,
          adhesive: undefined,
          sticks: laying.sticks || undefined,
          faces: laying.outer === '' ? undefined : { outer: laying.outer },
          product: productOf(laying.said, units, from?.product),
          catalogue: undefined,
          source: { kind: 'data-sheet', name: texts.sheet.trim(), date: texts.date.trim() },
        }).filter(([, v]) => v !== undefined),
      ) as Material;
      await put(
        address('/api/projects/{project}/documents/{kind}/{key}', { project, kind: 'material', key: content.id }),
        {
          revision,
          content,
          save: ulid(),
        },
      );
      await projectChanged(project);
      close(content.id);
    } catch (error) {
      setWhy(wordsOf(error));
    } finally {
      setBusy(false);
    }
  };

  return (
    <Dialog
      open
      close={() => close(null)}
      title={revision > 0 ? `Change ${from?.name ?? ''}` : 'A material from its data sheet'}
    >
      <form
        className="grid grid-cols-2 gap-x-4 gap-y-2"
        onSubmit={(e) => {
          e.preventDefault();
          void save();
        }}
      >
        <Line label="Name" wide>
          <input autoFocus className="w-full" value={name} maxLength={200} onChange={(e) => setName(e.target.value)} />
        </Line>
        <Line label="Family">
          <select className="w-full" value={family} onChange={(e) => setFamily(e.target.value)}>
            <option value="">not said</option>
            {[...new Set([...OFFERED.map((f) => f.id), ...(family ? [family] : [])])].map((f) => (
              <option key={f} value={f}>
                {titleOf(f)}
              </option>
            ))}
          </select>
        </Line>
        <Line label="Usual thickness">
          <input
            className="w-full"
            value={texts.thickness}
            placeholder={units === 'si' ? '50 mm' : '2 in'}
            onChange={(e) => set('thickness')(e.target.value)}
          />
        </Line>
        <Line label="Heat is given as">
          <select className="w-full" value={heat} onChange={(e) => setHeat(e.target.value as Heat)}>
            {Object.entries(HEAT).map(([k, v]) => (
              <option key={k} value={k}>
                {v}
              </option>
            ))}
          </select>
        </Line>
        <Line label={HEAT[heat]}>
          <input
            className="w-full"
            value={texts.heat}
            placeholder={heat === 'resistance_m2k_w' ? 'R-10 or RSI 1.8' : '0.035'}
            onChange={(e) => set('heat')(e.target.value)}
          />
        </Line>
        <Line label="Vapour is given as">
          <select className="w-full" value={vapour} onChange={(e) => setVapour(e.target.value as Vapour)}>
            {Object.entries(VAPOUR).map(([k, v]) => (
              <option key={k} value={k}>
                {v}
              </option>
            ))}
          </select>
        </Line>
        <Line label={`${VAPOUR[vapour]}, dry cup`}>
          <input
            className="w-full"
            value={texts.vapour}
            placeholder={vapour === 'permeance_ng_pa_s_m2' ? '0.8 perm or 46 ng' : vapour === 'sd_m' ? '2.5' : '60'}
            onChange={(e) => set('vapour')(e.target.value)}
          />
        </Line>
        <Line label="Air at 75 Pa, L/(s·m²), if given">
          <input className="w-full" value={texts.air} onChange={(e) => set('air')(e.target.value)} />
        </Line>
        <Line label="Density, kg/m³, if given">
          <input className="w-full" value={texts.density} onChange={(e) => set('density')(e.target.value)} />
        </Line>
        <Laying laying={laying} change={setLaying} />
        <Line label="Sheds water">
          <select
            className="w-full"
            value={sheds === undefined ? '' : String(sheds)}
            onChange={(e) => setSheds(e.target.value === '' ? undefined : e.target.value === 'true')}
          >
            <option value="">not said</option>
            <option value="true">yes, lapped as a water layer</option>
            <option value="false">no</option>
          </select>
        </Line>
        <span />
        <Line label="Data sheet">
          <input
            className="w-full"
            value={texts.sheet}
            maxLength={400}
            placeholder="its title and number"
            onChange={(e) => set('sheet')(e.target.value)}
          />
        </Line>
        <Line label="Its date">
          <input
            className="w-full"
            value={texts.date}
            maxLength={40}
            placeholder="2026-03"
            onChange={(e) => set('date')(e.target.value)}
          />
        </Line>
        {why && (
          <p role="alert" className="col-span-2 border border-fail p-2 text-fail">
            {why}
          </p>
        )}
        <p className="col-span-2">
          <button className="act mr-2" type="submit" disabled={busy}>
            save it
          </button>
          <button className="act" type="button" onClick={() => close(null)}>
            leave it
          </button>
        </p>
      </form>
    </Dialog>
  );
}

function Line({ label, wide = false, children }: { label: string; wide?: boolean; children: React.ReactNode }) {
  return (
    <label className={wide ? 'col-span-2' : ''}>
      <span className="block text-faint">{label}</span>
      {children}
    </label>
  );
}

function idOf(name: string, taken: string[]): string {
  const stem =
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 60) || 'material';
  let id = stem;
  for (let n = 2; taken.includes(id); n++) id = `${stem}-${n}`;
  return id;
}
