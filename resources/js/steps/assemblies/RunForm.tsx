import type { Layer, Run } from '../../api/types';
import { TypedNumber } from '../../ui/Typed';

interface Props {
  run: Run;
  layers: Layer[];
  names: string[];
  change: (run: Run, field?: string) => void;
}

/** What a run is of: how long, which way it looks, what gets in, how damp it is closed in. */
export function RunForm({ run, layers, names, change }: Props) {
  const set = (more: { [K in keyof Run]?: Run[K] | undefined }, field: string) =>
    change(
      Object.fromEntries(Object.entries({ ...run, ...more }).filter(([, value]) => value !== undefined)) as Run,
      field,
    );
  const outer = layers.find((l) => l.controls?.includes('water'))?.id ?? layers[1]?.id ?? layers[0]?.id ?? '';
  const on = (label: string, value: string | undefined, put: (layer: string) => void) =>
    value !== undefined && (
      <label className="text-[12px]">
        {label}
        <select className="block max-w-[15rem]" value={value} onChange={(e) => put(e.target.value)}>
          {layers.map((l, i) => (
            <option key={l.id ?? i} value={l.id}>
              {names[i]}
            </option>
          ))}
        </select>
      </label>
    );
  const { leak, air } = run;
  return (
    <fieldset className="flex flex-wrap items-start gap-3 border-y border-hair py-2" data-run-form={run.id}>
      <TypedNumber
        label="years"
        value={run.years}
        least={1}
        most={20}
        put={(years) => {
          if (years !== undefined) set({ years: Math.round(years) }, 'years');
        }}
      />
      <TypedNumber
        label="facing, degrees from north"
        value={run.facing_deg}
        least={0}
        most={360}
        put={(facing_deg) => set({ facing_deg }, 'facing')}
      />
      <TypedNumber
        label="rain that gets in, %"
        value={leak && Number((100 * leak.share).toPrecision(6))}
        least={0}
        most={100}
        put={(share) =>
          set({ leak: share === undefined ? undefined : { share: share / 100, layer: leak?.layer ?? outer } }, 'leak')
        }
      />
      {on('onto the outer face of', leak?.layer, (layer) => leak && set({ leak: { ...leak, layer } }, 'leak layer'))}
      <TypedNumber
        label="air of the room, L/(s·m²)"
        value={air?.flow_l_s_m2}
        least={0}
        most={100}
        put={(flow) =>
          set(
            { air: flow === undefined ? undefined : { flow_l_s_m2: flow, layer: air?.layer ?? layers[0]?.id ?? '' } },
            'air',
          )
        }
      />
      {on('as far as the outer face of', air?.layer, (layer) => air && set({ air: { ...air, layer } }, 'air layer'))}
      <TypedNumber
        label="closed in at, % humidity"
        value={run.initial_rh_pct}
        least={1}
        most={100}
        put={(initial_rh_pct) => set({ initial_rh_pct }, 'initial')}
      />
    </fieldset>
  );
}
