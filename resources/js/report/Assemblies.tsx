import type { Assembly, AssemblyFigures, Finding, Material, Units } from '../api/types';
import { MonthStrips } from '../drawing/MonthStrips';
import { Section } from '../drawing/Section';
import { show } from '../quantity/show';

import type { Sheet } from './sheet';
import { Findings } from './findings';
/** Each wall and roof: its section, its layers, its year and what is said of it. */
export function Assemblies({ sheet: { file, assessment, units } }: { sheet: Sheet }) {
  const materials = new Map((file.materials ?? []).map((m) => [m.id, m]));
  return (file.assemblies ?? []).map((assembly) => (
    <AssemblyPage
      key={assembly.id}
      assembly={assembly}
      figures={assessment.assemblies?.find((a) => a.id === assembly.id)}
      findings={assessment.findings.filter(
        (f) => f.subject.split('/').slice(0, 2).join('/') === `assemblies/${assembly.id}`,
      )}
      materials={materials}
      units={units}
    />
  ));
}

function AssemblyPage({
  assembly,
  figures,
  findings,
  materials,
  units,
}: {
  assembly: Assembly;
  figures: AssemblyFigures | undefined;
  findings: Finding[];
  materials: Map<string, Material>;
  units: Units;
}) {
  return (
    <section>
      <h2 className="mb-1 text-[14pt] font-bold">
        {assembly.id} · {assembly.name}
      </h2>
      <Section {...{ assembly, figures, materials, units }} />
      {figures && (
        <p className="my-1">
          <b>
            R overall {show(figures.r_total_m2k_w, 'resistance', units)} · U {show(figures.u_w_m2k, 'u', units)}
          </b>
          {figures.surface?.frsi != null
            ? ` · fRsi ${figures.surface.frsi.toFixed(2)} (mould asks ${figures.surface.frsi_min_mould?.toFixed(2) ?? '–'})`
            : ''}
        </p>
      )}
      <table className="my-2 w-full border-collapse text-[8.5pt]">
        <thead>
          <tr className="border-b border-ink text-left">
            <th>Layer, inside to outside</th>
            <th>thickness</th>
            <th>R</th>
            <th>permeance</th>
            <th>class</th>
            <th>carries</th>
            <th>source</th>
          </tr>
        </thead>
        <tbody>
          {assembly.layers.map((l, i) => (
            <tr key={l.id ?? i} className="border-b border-hair">
              <td>{materials.get(l.material)?.name ?? l.material}</td>
              <td>{show(l.thickness_mm, 'thickness', units)}</td>
              <td>
                {figures?.layers[i]?.r_m2k_w === null
                  ? 'left out'
                  : show(figures?.layers[i]?.r_m2k_w, 'resistance', units)}
              </td>
              <td>{show(figures?.layers[i]?.permeance_ng_pa_s_m2, 'permeance', units)}</td>
              <td>{figures?.layers[i]?.vapour_class}</td>
              <td>{l.controls?.join(', ')}</td>
              <td>{materials.get(l.material)?.source?.kind.replace('-', ' ')}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {figures && <MonthStrips {...{ assembly, figures, materials, units }} />}
      <Findings findings={findings} />
    </section>
  );
}
