import type { Assembly, DerivedRun, Material, Run } from '../api/types';
import figures from '../../../core/data/figures/transient.json';

export const MOULD_LIMIT: number = figures.mould_limit.value;

/** A face is worth a line of its own from here on. */
const WORTH_A_LINE = 0.05;

const nameOf = (materials: Material[], id: string | undefined) => materials.find((m) => m.id === id)?.name ?? id ?? '';

export const layerNames = (assembly: Assembly, materials: Material[]): string[] =>
  assembly.layers.map((l) => nameOf(materials, l.material));

/** What tells one run of an assembly from another. */
export function runTitle(run: Run, assembly: Assembly | undefined, materials: Material[]): string {
  if (run.title) return run.title;
  const on = assembly?.layers.find((l) => l.id === run.leak?.layer);
  const said = [
    `${run.years ?? 1} y`,
    run.facing_deg === undefined ? '' : `${run.facing_deg}°`,
    run.leak ? `${(100 * run.leak.share).toFixed(1)} % of the rain on ${nameOf(materials, on?.material)}` : '',
    run.initial_rh_pct === undefined ? '' : `built in at ${run.initial_rh_pct} %`,
    run.air ? `air ${run.air.flow_l_s_m2} L/(s·m²)` : '',
  ];
  return said.filter((s) => s !== '').join(', ');
}

/** Faces that mould is judged on, inside of what the weather washes, those without any left out. */
export function mouldRows(
  assembly: Assembly | undefined,
  run: DerivedRun,
  materials: Material[] = [],
): { name: string; index: number[]; most: number }[] {
  const layers = assembly?.layers ?? [];
  const vented = layers.findIndex((l) => l.air === 'ventilated');
  const last = vented < 0 ? layers.length : vented;
  const rows = run.interfaces
    .filter((i) => i.interface < last)
    .map((i) => ({
      name: i.interface === 0 ? 'inside' : `on ${nameOf(materials, layers[i.interface - 1]?.material)}`,
      index: i.mould_index,
      most: i.mould_index_max,
    }));
  const grown = rows.filter((r) => r.most >= WORTH_A_LINE);
  return grown.length > 0 ? grown : rows.slice(0, 1);
}

/** Every face from the inside to the weather, in figures. */
export const faceRows = (assembly: Assembly, run: DerivedRun, materials: Material[]) =>
  run.interfaces.map((i) => {
    const layers = assembly.layers;
    const [inner, outer] = [layers[i.interface - 1], layers[i.interface]];
    return {
      at: i.interface,
      name: `${inner ? nameOf(materials, inner.material) : 'the room'} | ${outer ? nameOf(materials, outer.material) : 'the weather'}`,
      feeds: i.mould_class.replace('-', ' '),
      most: i.mould_index_max,
      damp: i.hours_over_80,
      rusting: i.hours_rusting,
    };
  });

export const waterRows = (run: DerivedRun, names: string[]) =>
  run.layers.flatMap((row, i) => {
    const most = Math.max(...row.water_kg_m2, 0);
    if (most < 0.005) return [];
    const share = row.moisture_pct_last_year;
    return [
      {
        name: names[i] ?? row.layer,
        water: row.water_kg_m2,
        says: `${most.toFixed(2)} kg/m²${share === null ? '' : `, ${share.toFixed(0)} %`}`,
      },
    ];
  });

/** Rain is let in onto the water plane, or onto the middle of the wall where none is marked. */
export const leakPlane = (assembly: Assembly | undefined) =>
  assembly?.layers.find((l) => l.controls?.includes('water')) ?? assembly?.layers[1];

export interface LeakPoint {
  share: number;
  index: number;
}

/**
 * What rain a wall bears: the worst mould index by the share that gets in, a curve for each set of runs that differ in
 * nothing else.
 */
export function leakCurves(assembly: Assembly | undefined, rows: { run: Run; told: DerivedRun }[]): LeakPoint[][] {
  const plane = leakPlane(assembly)?.id;
  const alike = new Map<string, LeakPoint[]>();
  for (const { run, told } of rows) {
    if (!run.leak || run.leak.layer !== plane || told.interfaces.length === 0) continue;
    const { years, facing_deg, initial_rh_pct, air } = run;
    const key = JSON.stringify([years ?? 1, facing_deg, initial_rh_pct, air]);
    const index = Math.max(...mouldRows(assembly, told).map((i) => i.most));
    alike.set(key, [...(alike.get(key) ?? []), { share: run.leak.share, index }]);
  }
  return [...alike.values()].filter((points) => points.length > 1);
}

/** Of what weather a result is. */
export const weatherWords = (told: DerivedRun | undefined): string =>
  told?.hours_of
    ? `Through the hours of “${told.hours_of}”, as its weather file has them.`
    : 'In a year made from the months of the climate: a year that might have been, not one that was.';
