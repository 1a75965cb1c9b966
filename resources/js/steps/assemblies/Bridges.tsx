import type { Bridge, Layer, Material } from '../../api/types';
import { QuantityField } from '../../ui/QuantityField';
import { isAir, isMetal } from '../../material/families';
import { BRIDGED_BELOW, BRIDGES } from '../../material/starts';

interface Props {
  layer: Layer;
  material: Material | undefined;
  materials: Map<string, Material>;
  roof: boolean;
  setLayer: (part: Partial<Layer>) => void;
}

/** What carries heat past the layer: framing in it, fasteners, girts and brackets through it, rain under it. */
export function Bridges({ layer, material, materials, roof, setLayer }: Props) {
  if (!material || (material.conductivity_w_mk ?? 1) > BRIDGED_BELOW) return null;
  const framing = layer.framing;
  const fasteners = layer.fasteners;
  const bridges = layer.bridges ?? [];
  const metal = framing && isMetal(materials.get(framing.material)?.family);
  const setFraming = (part: Partial<NonNullable<Layer['framing']>>) => {
    if (framing)
      setLayer({
        framing: Object.fromEntries(
          Object.entries({ ...framing, ...part }).filter(([, v]) => v !== undefined),
        ) as NonNullable<Layer['framing']>,
      });
  };
  const setBridge = (i: number, bridge: Bridge | null) => {
    const next =
      bridge === null ? bridges.filter((_, k) => k !== i) : [...bridges.slice(0, i), bridge, ...bridges.slice(i + 1)];
    setLayer({ bridges: next.length === 0 ? undefined : next });
  };
  return (
    <details
      className="pb-1"
      open={framing !== undefined || fasteners !== undefined || bridges.length > 0 || layer.inverted !== undefined}
    >
      <summary className="text-faint">framing, fasteners, girts{roof ? ', rain' : ''}</summary>
      <div className="flex flex-wrap items-start gap-x-4">
        <label>
          <input
            type="checkbox"
            checked={framing !== undefined}
            onChange={(e) =>
              setLayer({
                framing: e.target.checked ? { material: 'lumber', fraction: 0.15, spacing_mm: 400 } : undefined,
              })
            }
          />{' '}
          framed with{' '}
          {framing && (
            <select
              value={framing.material}
              onChange={(e) =>
                setLayer({
                  framing:
                    e.target.value === 'steel-galvanised'
                      ? {
                          material: e.target.value,
                          fraction: 0.003,
                          spacing_mm: framing.spacing_mm ?? 400,
                          depth_mm: layer.thickness_mm,
                          gauge_mm: 1.1,
                          flange_mm: 41,
                        }
                      : { material: e.target.value, fraction: 0.15, spacing_mm: framing.spacing_mm ?? 400 },
                })
              }
            >
              {['lumber', 'steel-galvanised', framing.material]
                .filter((id, i, all) => all.indexOf(id) === i)
                .map((id) => (
                  <option key={id} value={id}>
                    {materials.get(id)?.name ?? id}
                  </option>
                ))}
            </select>
          )}
        </label>
        {framing && (
          <QuantityField
            label="share"
            dimension="percent"
            value={Math.round(framing.fraction * 1000) / 10}
            least={0.1}
            most={99}
            width="4rem"
            onChange={(v) => setFraming({ fraction: v / 100 })}
          />
        )}
        {framing && (
          <QuantityField
            label="spacing"
            dimension="length"
            value={framing.spacing_mm}
            most={5000}
            width="5.5rem"
            onChange={(v) => setFraming({ spacing_mm: v })}
          />
        )}
        {metal && (
          <QuantityField
            label="flange"
            dimension="length"
            value={framing.flange_mm}
            most={500}
            width="4.5rem"
            onChange={(v) => setFraming({ flange_mm: v })}
          />
        )}
        {framing && (
          <label>
            runs{' '}
            <select
              aria-label="Which way it runs"
              value={framing.runs ?? ''}
              onChange={(e) =>
                setFraming({ runs: (e.target.value || undefined) as NonNullable<Layer['framing']>['runs'] })
              }
            >
              <option value="">not said</option>
              <option value="up">upright</option>
              <option value="level">level</option>
              <option value="slanted">slanted, or level with spaces</option>
            </select>
          </label>
        )}
        {metal && (
          <label>
            by{' '}
            <select
              aria-label="Method for steel"
              value={framing.method ?? ''}
              onChange={(e) =>
                setFraming({ method: (e.target.value || undefined) as NonNullable<Layer['framing']>['method'] })
              }
            >
              <option value="">as its table covers it</option>
              <option value="correction-factor">the table for steel studs</option>
              <option value="weighted-limits">weighted limits</option>
            </select>
          </label>
        )}
        {!isAir(material.family) && (
          <label>
            laid{' '}
            <select
              value={layer.gaps ?? ''}
              onChange={(e) => setLayer({ gaps: (e.target.value || undefined) as Layer['gaps'] })}
            >
              <option value="">without gaps</option>
              <option value="bridging">with gaps through it</option>
              <option value="circulating">with air going round it</option>
            </select>
          </label>
        )}
        {!isAir(material.family) && (
          <label>
            <input
              type="checkbox"
              checked={fasteners !== undefined}
              onChange={(e) =>
                setLayer({
                  fasteners: e.target.checked ? { per_m2: 6, diameter_mm: 6, conductivity_w_mk: 50 } : undefined,
                })
              }
            />{' '}
            fasteners through it
          </label>
        )}
        {fasteners && (
          <QuantityField
            label="fasteners to the area"
            hideLabel
            dimension="per-area"
            value={fasteners.per_m2}
            least={0.1}
            most={1000}
            width="5rem"
            onChange={(v) => setLayer({ fasteners: { ...fasteners, per_m2: v } })}
          />
        )}
        {fasteners && (
          <QuantityField
            label="thick"
            dimension="length"
            value={fasteners.diameter_mm}
            most={100}
            width="4.5rem"
            onChange={(v) => setLayer({ fasteners: { ...fasteners, diameter_mm: v } })}
          />
        )}
        {fasteners && (
          <label>
            of{' '}
            <select
              value={fasteners.conductivity_w_mk}
              onChange={(e) => setLayer({ fasteners: { ...fasteners, conductivity_w_mk: Number(e.target.value) } })}
            >
              {[
                [50, 'steel'],
                [17, 'stainless steel'],
                [160, 'aluminium'],
              ].map(([k, name]) => (
                <option key={k} value={k}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        )}
      </div>
      {!isAir(material.family) && (
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
          {bridges.map((b, i) => (
            <span key={i} className="whitespace-nowrap" data-bridge={b.name}>
              <input
                aria-label="What it is"
                className="w-[12rem]"
                value={b.name}
                onChange={(e) => {
                  if (e.target.value.trim() !== '') setBridge(i, { ...b, name: e.target.value });
                }}
              />{' '}
              {b.psi_w_mk !== undefined ? (
                <>
                  <NumberField
                    label="ψ, W/(m·K)"
                    sign="ψ"
                    value={b.psi_w_mk}
                    change={(v) => setBridge(i, { ...b, psi_w_mk: v, source: { kind: 'unstated', name: 'typed' } })}
                  />{' '}
                  <NumberField
                    label="metres in a square metre"
                    sign="m/m²"
                    value={b.m_per_m2 ?? 1}
                    change={(v) => setBridge(i, { ...b, m_per_m2: v })}
                  />
                </>
              ) : (
                <>
                  <NumberField
                    label="χ, W/K"
                    sign="χ"
                    value={b.chi_w_k ?? 0}
                    change={(v) => setBridge(i, { ...b, chi_w_k: v, source: { kind: 'unstated', name: 'typed' } })}
                  />{' '}
                  <NumberField
                    label="number in a square metre"
                    sign="/m²"
                    value={b.per_m2 ?? 1}
                    change={(v) => setBridge(i, { ...b, per_m2: v })}
                  />
                </>
              )}{' '}
              <button className="link text-faint" onClick={() => setBridge(i, null)}>
                out
              </button>
            </span>
          ))}
          <label className="text-faint">
            girts and brackets{' '}
            <select
              aria-label="Add girts or brackets"
              value=""
              onChange={(e) => {
                const start = BRIDGES[Number(e.target.value)];
                if (start) setBridge(bridges.length, start);
              }}
            >
              <option value="">add …</option>
              {BRIDGES.map((s, i) => (
                <option key={s.name} value={i}>
                  {s.name} ({s.psi_w_mk !== undefined ? `ψ ${s.psi_w_mk}` : `χ ${s.chi_w_k}`})
                </option>
              ))}
            </select>
          </label>
          {roof && (
            <label>
              <input
                type="checkbox"
                checked={layer.inverted !== undefined}
                onChange={(e) =>
                  setLayer({ inverted: e.target.checked ? { rain_mm_day: 3, drainage: 0.04 } : undefined })
                }
              />{' '}
              above the membrane, in the rain
            </label>
          )}
          {layer.inverted && (
            <NumberField
              label="rain of the heating season, mm a day"
              sign="mm/day"
              value={layer.inverted.rain_mm_day}
              change={(v) => setLayer({ inverted: { ...layer.inverted, rain_mm_day: v } })}
            />
          )}
        </div>
      )}
    </details>
  );
}

function NumberField({
  label,
  sign,
  value,
  change,
}: {
  label: string;
  sign: string;
  value: number;
  change: (value: number) => void;
}) {
  return (
    <label title={label}>
      <input
        aria-label={label}
        type="number"
        step="any"
        min="0"
        className="w-[4.6rem]"
        value={value}
        onChange={(e) => {
          const v = Number(e.target.value);
          if (e.target.value !== '' && Number.isFinite(v) && v > 0) change(v);
        }}
      />{' '}
      <span className="text-faint">{sign}</span>
    </label>
  );
}
