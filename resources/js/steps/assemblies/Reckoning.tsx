import { useState } from 'react';
import type { Assembly, AssemblyFigures, Finding, Layer, Material } from '../../api/types';
import { placeName } from '../../drawing/MonthStrips';
import { show } from '../../quantity/show';
import { FindingList } from '../../ui/FindingList';
import { curable } from './curable';
import { useKeys } from '../../ui/keys';
import { Old } from '../../ui/Old';
import { SaveState } from '../../ui/SaveState';
import type { DraftOf } from '../../ui/useDraft';
import { useUnits } from '../../ui/units';

interface Props {
  assembly: Assembly;
  figures: AssemblyFigures | undefined;
  layer: Layer | undefined;
  at: number | null;
  materials: Map<string, Material>;
  findings: Finding[];
  /** whether figures and findings are those of before the last change */
  old: boolean;
  refused: string | null;
  draft: DraftOf<Assembly>;
  mayEdit: boolean;
  /** asks what would clear a finding, by its key */
  cure: (key: string) => void;
}

/** Figures and findings of the layer that is selected and of the whole; `.` shows where each figure is from. */
export function Reckoning({
  assembly,
  figures,
  layer,
  at,
  materials,
  findings,
  old,
  refused,
  draft,
  mayEdit,
  cure,
}: Props) {
  const { units } = useUnits();
  const [sources, setSources] = useState(false);
  useKeys({ '.': { says: 'where each figure is from', act: () => setSources((s) => !s) } });
  const material = layer && materials.get(layer.material);
  const own = at === null ? undefined : figures?.layers[at];
  const profile = figures?.profiles[0];
  const outer = at === null ? undefined : profile?.interfaces[at + 1];
  const wet = profile?.condensation[0];
  return (
    <>
      <Old {...{ old, why: refused }} />
      {layer && (
        <section className="pb-2" data-reckoning="layer">
          <h2 className="pb-1 text-[15px] font-bold">
            {material?.name}, {show(layer.thickness_mm, 'thickness', units)}
          </h2>
          <dl>
            <Row
              name="R of this layer"
              value={own?.r_m2k_w === null ? 'left out' : show(own?.r_m2k_w, 'resistance', units)}
              source={sources ? material?.source?.name : undefined}
            />
            <Row
              name="permeance"
              value={own ? show(own.permeance_ng_pa_s_m2, 'permeance', units) : ''}
              source={sources ? `${material?.source?.name} · class by IRC 2021 R202 (from memory)` : undefined}
            />
            <Row
              name="vapour class"
              value={own ? (own.vapour_class === 'open' ? 'open' : `class ${own.vapour_class}`) : ''}
            />
            {outer && (
              <Row name="its outer face, coldest month" value={show(outer.temperature_c, 'temperature', units)} />
            )}
            {outer && <Row name="dew point there" value={show(outer.dew_point_c, 'temperature', units)} />}
          </dl>
          {material?.source?.kind === 'from-memory' && (
            <p className="text-[11px] text-caution">figures from memory: {material.source.name}</p>
          )}
        </section>
      )}
      <section data-reckoning="assembly" className={layer ? 'border-t border-hair pt-2' : ''}>
        <h2 className="pb-1 text-[15px] font-bold">{assembly.name}</h2>
        {figures && (
          <dl>
            <Row
              name="R overall"
              id="r-total"
              exact={figures.r_total_m2k_w}
              value={show(figures.r_total_m2k_w, 'resistance', units)}
              source={sources ? METHODS[figures.method ?? 'none'] : undefined}
            />
            <Row
              name="U"
              id="u"
              exact={figures.u_w_m2k}
              value={show(figures.u_w_m2k, 'u', units)}
              source={sources ? 'ISO 6946:2017, with annex F for fasteners' : undefined}
            />
            {figures.bridges_add_u_w_m2k !== 0 && (
              <Row
                name="U with girts and brackets"
                id="u-overall"
                exact={figures.u_overall_w_m2k}
                value={show(figures.u_overall_w_m2k, 'u', units)}
                source={sources ? 'ISO 14683, ψ by length and χ by number' : undefined}
              />
            )}
            {figures.gaps_add_u_w_m2k !== 0 && (
              <Row
                name="gaps in the insulation"
                value={`+${show(figures.gaps_add_u_w_m2k, 'u', units)}`}
                source={sources ? 'ISO 6946:2017, F.2 (from memory)' : undefined}
              />
            )}
            {figures.films === 'north-american' && (
              <Row
                name="R by the labels, between bridges"
                value={show(figures.r_label_m2k_w, 'resistance', units)}
                source={sources ? 'labels at 24 °C, as North American codes count them' : undefined}
              />
            )}
            {(figures.lost_pct ?? 0) > 0.5 && (
              <Row
                name="R nominal · effective"
                value={`${show(figures.r_main_path_m2k_w, 'resistance', units).replace(' m²K/W', '')} · ${show(figures.r_effective_m2k_w, 'resistance', units)}, ${figures.lost_pct?.toFixed(0)} % lost`}
              />
            )}
            {figures.bridges.map((b, i) => (
              <Row
                key={i}
                name={`${b.what === 'framing' ? 'framing: ' : ''}${b.name}`}
                value={`+${show(b.add_u_w_m2k, 'u', units)}`}
                source={sources ? BRIDGES[b.what] : undefined}
              />
            ))}
            {profile && figures.r_main_path_m2k_w - profile.r_main_path_m2k_w > 0.005 && (
              <Row
                name="R between bridges, in the cold"
                value={show(profile.r_main_path_m2k_w, 'resistance', units)}
                source={sources ? 'λ at each foam’s own mean temperature' : undefined}
              />
            )}
            <Row
              name="surfaces in / out"
              value={`${show(figures.rsi_m2k_w, 'resistance', units).replace(' m²K/W', '')} / ${show(figures.rse_m2k_w, 'resistance', units)}`}
              source={
                sources
                  ? figures.films === 'iso'
                    ? 'ISO 6946:2017, table 7 (from memory)'
                    : 'ASHRAE Handbook of Fundamentals, surface films (from memory)'
                  : undefined
              }
            />
            {figures.drain && <Row name="water outside of the plane" id="drain" value={drainWords(figures.drain)} />}
            {profile && <Row name="heat flow, coldest month" value={`${profile.heat_flux_w_m2.toFixed(1)} W/m²`} />}
            {figures.year && (
              <Row
                name="the year"
                id="year"
                value={figures.year.verdict}
                source={sources ? 'ISO 13788:2012, clause 6' : undefined}
              />
            )}
            {(figures.gatherings ?? []).map((zone, i) => (
              <Row
                key={i}
                name={`water held${zone.tender ? `, ${materials.get(assembly.layers.find((l) => l.id === zone.tender)?.material ?? '')?.name ?? zone.tender}` : ''} · may hold`}
                value={`${show(zone.borne_g_m2, 'water', units)} · ${show(zone.bears_g_m2, 'water', units)}`}
                source={sources ? 'DIN 4108-3 (from memory); wood and boards by their mass' : undefined}
              />
            ))}
            {wet && (
              <Row
                name={`condenses, ${placeName(wet, assembly, materials, units)}`}
                value={show(wet.rate_g_m2_h, 'rate', units)}
              />
            )}
            {figures.surface?.frsi != null && (
              <Row
                name={figures.surface.frsi_at_bridge == null ? 'fRsi · least for mould' : 'fRsi · at its metal · least'}
                value={[figures.surface.frsi, figures.surface.frsi_at_bridge, figures.surface.frsi_min_mould]
                  .filter((f) => f !== null)
                  .map((f) => f.toFixed(2))
                  .join(' · ')}
                source={sources ? 'ISO 13788:2012, clause 5, Rsi 0.25' : undefined}
              />
            )}
          </dl>
        )}
        <p className="mb-1 text-[11px]">
          <button className="link text-faint" onClick={() => setSources(!sources)}>
            {sources ? 'hide the sources' : 'sources'} <span className="key">.</span>
          </button>
        </p>
        <SaveState {...draft} mayEdit={mayEdit} />
      </section>
      <FindingList {...{ findings, sources }} cure={(f) => (curable(f) ? () => cure(f.key) : undefined)} />
      <p className="border-t border-hair pt-2 text-[11px] text-faint">
        Diffusion only: air leaks, rain, {assembly.roof_face ? '' : 'sun '}and the heat of condensing are not in these
        figures. Computed, not approved.
      </p>
    </>
  );
}

const METHODS: Record<string, string> = {
  combined: 'ISO 6946:2017, 6.7, combined method',
  'correction-factor': 'ASHRAE 90.1-2010, table A9.2-2 (from memory)',
  'weighted-limits': 'Gorgolewski 2007, BRE Digest 465 (from memory)',
  none: 'no method holds',
};
const BRIDGES = {
  framing: 'the same without its members',
  fasteners: 'ISO 6946:2017, annex F',
  rain: 'ISO 6946:2017, F.4 (from memory)',
  bridge: 'ISO 14683, as typed',
};

function Row({
  name,
  value,
  source,
  id,
  exact,
}: {
  name: string;
  value: string;
  source?: string | undefined;
  id?: string;
  exact?: number | null;
}) {
  return (
    <div className="flex flex-wrap justify-between gap-x-3 py-[2px]">
      <dt className="text-faint">{name}</dt>
      <dd className="text-right font-semibold" data-figure={id} data-exact={exact ?? undefined}>
        {value}
      </dd>
      {source && <dd className="w-full text-[11px] text-faint">{source}</dd>}
    </div>
  );
}

/** The way of the water to daylight in a few words. */
function drainWords({ ways, out }: { ways: { by: string; blocked: boolean }[]; out: boolean | null }): string {
  if (ways.length === 0) return 'nothing drains';
  const by = [...new Set(ways.filter((way) => !way.blocked).map((way) => way.by))];
  if (by.length === 0) return 'cut off by level members';
  return `${by.join(' and ')}, ${out === null ? 'base not said' : out ? 'out at the base' : 'closed at the base'}`;
}
