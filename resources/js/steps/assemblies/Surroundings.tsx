import type { Assembly } from '../../api/types';
import { AIR_LEAKAGE, EXPOSURE_HEIGHT_M, OWN_INDOOR_AIR, SOIL_DEPTH_M } from '../../material/starts';

interface Props {
  assembly: Assembly;
  mayEdit: boolean;
  change: (assembly: Assembly) => void;
}

/**
 * What lies on either side of the assembly where it is not the project's own air: a pool hall, the ground; and the rain
 * it gets.
 */
export function Surroundings({ assembly, mayEdit, change }: Props) {
  const set = (part: Partial<Assembly>) =>
    change(Object.fromEntries(Object.entries({ ...assembly, ...part }).filter(([, v]) => v !== undefined)) as Assembly);
  const indoor = assembly.indoor?.kind === 'fixed' ? assembly.indoor : undefined;
  const exposure = assembly.exposure;
  return (
    <>
      <label>
        <input
          type="checkbox"
          disabled={!mayEdit}
          checked={assembly.indoor !== undefined}
          onChange={(e) => set({ indoor: e.target.checked ? OWN_INDOOR_AIR : undefined })}
        />{' '}
        indoor air of its own
      </label>
      {indoor && (
        <span>
          <Small
            label="indoor °C"
            value={indoor.temperature_c}
            least={-30}
            most={50}
            disabled={!mayEdit}
            change={(v) => set({ indoor: { ...indoor, temperature_c: v } })}
          />{' '}
          <Small
            label="indoor % humidity"
            value={indoor.rh_pct}
            least={1}
            most={100}
            disabled={!mayEdit}
            change={(v) => set({ indoor: { ...indoor, rh_pct: v } })}
          />
        </span>
      )}
      {(assembly.kind === 'foundation' || assembly.soil) && (
        <label>
          <input
            type="checkbox"
            disabled={!mayEdit}
            checked={assembly.soil !== undefined}
            onChange={(e) => set({ soil: e.target.checked ? { depth_m: SOIL_DEPTH_M } : undefined })}
          />{' '}
          soil against it, m below grade{' '}
          {assembly.soil && (
            <Small
              label="m below grade"
              value={assembly.soil.depth_m}
              least={0}
              most={30}
              disabled={!mayEdit}
              change={(v) => set({ soil: { depth_m: v } })}
            />
          )}
        </label>
      )}
      {assembly.kind === 'roof' && (
        <label>
          <span className="mr-1 text-faint">its face</span>
          <select
            disabled={!mayEdit}
            value={assembly.roof_face ?? ''}
            onChange={(e) => set({ roof_face: (e.target.value || undefined) as Assembly['roof_face'] })}
          >
            <option value="">as the air is</option>
            <option value="dark">dark, in the sun</option>
            <option value="light">light, in the sun</option>
          </select>
        </label>
      )}
      {assembly.kind === 'wall' && !assembly.soil && (
        <span className="flex items-center gap-1 text-faint">
          rain:
          <Small
            label="height of the building, m"
            value={exposure?.height_m ?? EXPOSURE_HEIGHT_M}
            least={1}
            most={500}
            disabled={!mayEdit}
            change={(v) => set({ exposure: { ...exposure, height_m: v } })}
          />{' '}
          m high,
          <select
            aria-label="country around it"
            disabled={!mayEdit}
            value={exposure?.terrain ?? 'medium'}
            onChange={(e) => set({ exposure: { ...exposure, terrain: e.target.value as 'medium' } })}
          >
            <option value="sheltered">sheltered</option>
            <option value="medium">suburbs</option>
            <option value="severe">open</option>
          </select>
          <select
            aria-label="what is over it"
            disabled={!mayEdit}
            value={exposure?.over ?? 'none'}
            onChange={(e) => set({ exposure: { ...exposure, over: e.target.value as 'none' } })}
          >
            <option value="eaves">under eaves</option>
            <option value="none">no eaves</option>
            <option value="run-off">roof sheds on it</option>
          </select>
        </span>
      )}
      {drains(assembly) && <Drainage {...{ assembly, mayEdit, set }} />}
      <label className="text-faint">
        leaks{' '}
        <Small
          label="air leakage, L/(s·m²) at 75 Pa"
          value={assembly.air_leakage_l_s_m2 ?? AIR_LEAKAGE}
          least={0.001}
          most={100}
          disabled={!mayEdit}
          change={(v) => set({ air_leakage_l_s_m2: v })}
        />{' '}
        L/s·m² at 75 Pa
      </label>
    </>
  );
}

/** A wall with something outside of the layer that is to carry its water. */
function drains(assembly: Assembly): boolean {
  const plane = assembly.layers.map((layer) => layer.controls?.includes('water') ?? false).lastIndexOf(true);
  return assembly.kind === 'wall' && !assembly.soil && plane >= 0 && plane < assembly.layers.length - 1;
}

type Ends = NonNullable<Assembly['drainage']>;
const ENDS: Record<NonNullable<Ends['base']>, string> = {
  open: 'open',
  screened: 'open, screened',
  flashed: 'out over a flashing',
  closed: 'closed',
};

/** How the drained space behind the cladding ends: what comes down must come out. */
function Drainage({ assembly, mayEdit, set }: Omit<Props, 'change'> & { set: (part: Partial<Assembly>) => void }) {
  const say = (at: 'base' | 'heads', end: string) => {
    const next = Object.entries<string>({ ...assembly.drainage, [at]: end }).filter(([, said]) => said !== '');
    set({ drainage: next.length > 0 ? (Object.fromEntries(next) as Ends) : undefined });
  };
  return (
    <span className="flex items-center gap-1 text-faint">
      drains:
      {(['base', 'heads'] as const).map((at) => (
        <label key={at}>
          {at === 'base' ? 'base ' : 'over openings '}
          <select
            aria-label={at === 'base' ? 'the drained space at its base' : 'the drained space over openings'}
            disabled={!mayEdit}
            value={assembly.drainage?.[at] ?? ''}
            onChange={(e) => say(at, e.target.value)}
          >
            <option value="">not said</option>
            {Object.entries(ENDS).map(([end, words]) => (
              <option key={end} value={end}>
                {words}
              </option>
            ))}
          </select>
        </label>
      ))}
    </span>
  );
}

function Small({
  label,
  value,
  least,
  most,
  disabled,
  change,
}: {
  label: string;
  value: number;
  least: number;
  most: number;
  disabled: boolean;
  change: (value: number) => void;
}) {
  return (
    <input
      type="number"
      step="any"
      aria-label={label}
      title={label}
      className="w-[3.8rem]"
      min={least}
      max={most}
      value={value}
      disabled={disabled}
      onChange={(e) => {
        const v = Number(e.target.value);
        if (e.target.value !== '' && v >= least && v <= most) change(v);
      }}
    />
  );
}
