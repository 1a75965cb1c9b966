import { useMutation } from '@tanstack/react-query';
import { Link, useNavigate, useParams } from 'react-router';
import { useState } from 'react';
import { wordsOf } from '../../api/client';
import { createDocument } from '../../api/documents';
import { useAssessment, useDocuments, useMaterials, useProjectId } from '../../api/hooks';
import type { Assembly, AssemblyFigures, Doc, Finding, Material, Units } from '../../api/types';
import { Hatch } from '../../drawing/Hatch';
import { show } from '../../quantity/show';
import { Frame } from '../../ui/Frame';
import { SeverityMark, severityWord } from '../../ui/severity';
import { useUnits } from '../../ui/units';
import { freeId } from '../../ui/freeId';
import { causes } from '../../ui/causes';
import { COSTS, CREWS } from './effortWords';

const BAND = { width: 560, height: 112, top: 10 };

/**
 * Variants of one assembly under each other, to one scale, lined up at the plane that leaking air or the water layer
 * makes; what differs from the first is marked.
 */
export default function Beside() {
  const documents = useDocuments();
  const assessment = useAssessment();
  const materialList = useMaterials();
  const project = useProjectId();
  const navigate = useNavigate();
  const { key } = useParams();
  const { units } = useUnits();
  const [more, setMore] = useState<string[]>([]);
  const all = ((documents.data?.assemblies ?? []) as Doc<Assembly>[]).filter((d) => !d.broken);
  const asked = all.find((d) => d.key === key);
  const base = all.find((d) => d.key === (asked?.content.variant_of ?? key)) ?? asked;
  const mayEdit = documents.data?.may_edit ?? false;
  const materials = new Map((materialList.data ?? []).map((m) => [m.id, m]));
  const set = base
    ? [base, ...all.filter((d) => d !== base && (d.content.variant_of === base.key || more.includes(d.key)))]
    : [];
  const figures = (id: string) => assessment.data?.assemblies?.find((a) => a.id === id);
  const findings = (id: string) =>
    (assessment.data?.findings ?? []).filter(
      (f) => f.subject === `assemblies/${id}` || f.subject.startsWith(`assemblies/${id}/`),
    );

  const addVariant = useMutation({
    mutationFn: (of: Doc<Assembly>) =>
      createDocument(
        project,
        all.map((d) => d.key),
        (taken) => freeId(taken, `${of.key}.`),
        (id) =>
          Promise.resolve({
            kind: 'assembly',
            content: { ...of.content, id, name: `${of.content.name}, variant`, variant_of: of.key },
          }),
      ),
    onSuccess: (id) => void navigate(`/p/${project}/assemblies/${id}`),
  });

  if (!base)
    return (
      <Frame sheet="2 Side by side" reckoning={null}>
        <p className="px-14 py-6">
          {documents.data ? `There is no assembly “${key}” in this project.` : 'opening the sheet …'}
        </p>
      </Frame>
    );
  const first = figures(base.key);
  const inner = Math.max(...set.map((d) => reach(d.content, figures(d.key))[0]));
  const outer = Math.max(...set.map((d) => reach(d.content, figures(d.key))[1]));
  const others = all.filter((d) => !set.includes(d));
  return (
    <Frame
      sheet={`2 ${base.key} side by side`}
      reckoning={
        <>
          <h2 className="pb-1 text-[15px] font-bold">Against {base.key}</h2>
          {set.slice(1).map((d) => (
            <Differences
              key={d.key}
              doc={d}
              base={base}
              materials={materials}
              units={units}
              gone={gone(findings(base.key), findings(d.key))}
              come={gone(findings(d.key), findings(base.key))}
            />
          ))}
          {set.length === 1 && (
            <p>Nothing stands beside it yet. Add a variant, or choose another assembly below the drawing.</p>
          )}
        </>
      }
    >
      <div className="px-6 py-3">
        <p className="flex flex-wrap gap-x-4 text-[12px]">
          <Link className="link text-faint" to={`/p/${project}/assemblies/${base.key}`}>
            back to {base.key}
          </Link>
          {mayEdit && (
            <button className="link" disabled={addVariant.isPending} onClick={() => addVariant.mutate(base)}>
              add a variant of {base.key}
            </button>
          )}
          {others.length > 0 && (
            <label className="text-faint">
              set beside it{' '}
              <select
                value=""
                onChange={(e) => {
                  if (e.target.value) setMore([...more, e.target.value]);
                }}
              >
                <option value="">…</option>
                {others.map((d) => (
                  <option key={d.key} value={d.key}>
                    {d.key} {d.content.name}
                  </option>
                ))}
              </select>
            </label>
          )}
        </p>
        {addVariant.isError && (
          <p role="alert" className="text-fail">
            {wordsOf(addVariant.error)}
          </p>
        )}
        <h1 className="mt-1 mb-1 text-[17px] font-bold">
          {base.content.name}, {set.length} side by side
        </h1>
        <table className="w-full border-collapse text-[12px]" data-table="beside">
          <thead>
            <tr className="text-left text-[11px] text-faint">
              <th className="font-normal">to one scale, inside on the left</th>
              <th className="pl-3 font-normal">R</th>
              <th className="font-normal">U</th>
              <th className="font-normal">thick</th>
              <th className="font-normal">most water</th>
              <th className="font-normal">least reserve</th>
              <th className="font-normal">open</th>
            </tr>
          </thead>
          <tbody>
            {set.map((d) => {
              const f = figures(d.key);
              const own = findings(d.key);
              const worst = own[0]?.severity ?? 'pass';
              const dries = f?.drying?.length ? Math.min(...f.drying.map((row) => row.reserve_g_m2)) : null;
              const peak = mostHeld(f);
              const firstPeak = mostHeld(first);
              return (
                <tr key={d.key} className="border-t border-hair align-top" data-beside={d.key}>
                  <td className="w-[60%] py-1">
                    <Link className="link font-semibold" to={`/p/${project}/assemblies/${d.key}`}>
                      {d.key} {d.content.name}
                    </Link>{' '}
                    <span className="text-[11px] text-faint" data-effort={d.key}>
                      {effort(d.content)}
                    </span>
                    <Band
                      assembly={d.content}
                      figures={f}
                      base={base.content}
                      materials={materials}
                      inner={inner}
                      outer={outer}
                    />
                  </td>
                  <Figure
                    value={show(f?.r_total_m2k_w, 'resistance', units)}
                    delta={d === base ? null : difference(f?.r_total_m2k_w, first?.r_total_m2k_w, 'resistance', units)}
                    pad
                  />
                  <Figure
                    value={show(f?.u_overall_w_m2k, 'u', units)}
                    delta={d === base ? null : difference(f?.u_overall_w_m2k, first?.u_overall_w_m2k, 'u', units)}
                  />
                  <Figure
                    value={show(f?.thickness_mm, 'length', units)}
                    delta={d === base ? null : difference(f?.thickness_mm, first?.thickness_mm, 'length', units)}
                  />
                  <Figure
                    value={peak === null ? '–' : `${show(peak, 'water', units)}`}
                    delta={
                      d === base
                        ? (f?.year?.verdict ?? null)
                        : `${difference(peak, firstPeak, 'water', units) ?? ''} ${f?.year?.verdict ?? ''}`
                    }
                  />
                  <Figure value={dries === null ? '–' : show(dries, 'water', units)} delta="a year" />
                  <td className="pt-6">
                    <span className="flex items-center gap-1">
                      <SeverityMark severity={worst} />
                      {causes(own).stand.filter((x) => x.severity === 'fail' || x.severity === 'caution').length ||
                        severityWord(worst).toLowerCase()}
                    </span>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
        <p className="pt-1 text-[11px] text-faint">
          Outlined heavily: a layer that {base.key} does not have just so. The upright line is where leaking indoor air
          comes to a stop, or else the water layer.
        </p>
      </div>
    </Frame>
  );
}

/** What it costs and who builds it, as far as somebody has marked that. */
const effort = (assembly: Assembly) =>
  [assembly.cost ? `costs ${COSTS[assembly.cost]}` : '', assembly.crew ? `built by ${CREWS[assembly.crew]}` : '']
    .filter((words) => words !== '')
    .join(', ');

/** g/m² in the zone that holds most. */
const mostHeld = (figures: AssemblyFigures | undefined) =>
  figures?.gatherings ? Math.max(0, ...figures.gatherings.map((zone) => zone.peak_g_m2)) : null;

function Figure({ value, delta, pad = false }: { value: string; delta: string | null; pad?: boolean }) {
  const [number, ...unit] = value.split(' ');
  return (
    <td className={`pt-6 pr-3 whitespace-nowrap ${pad ? 'pl-3' : ''}`}>
      <span className="font-semibold">{number}</span> <span className="text-[10px] text-faint">{unit.join(' ')}</span>
      <br />
      <span className="text-[11px] text-faint">{delta ?? ' '}</span>
    </td>
  );
}

function difference(
  a: number | null | undefined,
  b: number | null | undefined,
  dimension: Parameters<typeof show>[1],
  units: Units,
): string | null {
  if (a === null || a === undefined || b === null || b === undefined || Math.abs(a - b) < 1e-9)
    return a === b ? 'the same' : null;
  const text = show(Math.abs(a - b), dimension, units).split(' ')[0];
  return `${a > b ? '+' : '−'}${text}`;
}

/** The plane that all are lined up at: mm inside and outside of it. */
function reach(assembly: Assembly, figures: AssemblyFigures | undefined): [number, number] {
  const water = assembly.layers.findIndex((l) => l.controls?.includes('water'));
  const at = figures?.condensing_plane ?? (water >= 0 ? water : 0);
  const sum = (layers: Assembly['layers']) => layers.reduce((s, l) => s + l.thickness_mm, 0);
  return [sum(assembly.layers.slice(0, at)), sum(assembly.layers.slice(at))];
}

const same = (a: Assembly['layers'][number], b: Assembly['layers'][number] | undefined) =>
  b !== undefined &&
  a.material === b.material &&
  a.thickness_mm === b.thickness_mm &&
  JSON.stringify(a.framing) === JSON.stringify(b.framing);

function Band({
  assembly,
  figures,
  base,
  materials,
  inner,
  outer,
}: {
  assembly: Assembly;
  figures: AssemblyFigures | undefined;
  base: Assembly;
  materials: Map<string, Material>;
  inner: number;
  outer: number;
}) {
  const { width, height, top } = BAND;
  const perMm = width / (inner + outer + 1);
  let x = (inner - reach(assembly, figures)[0]) * perMm;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="block w-full"
      role="img"
      aria-label={assembly.layers.map((l) => materials.get(l.material)?.name ?? l.material).join(', ')}
    >
      {assembly.layers.map((layer, i) => {
        const w = Math.max(2.5, layer.thickness_mm * perMm);
        const from = x;
        x += layer.thickness_mm * perMm;
        const changed = !base.layers.some((other) => same(layer, other));
        return (
          <g key={layer.id ?? i}>
            <rect
              x={from}
              y={top}
              width={w}
              height={height - top - 4}
              fill={w < 4 ? '#7c8b8f' : '#fff'}
              stroke="var(--color-ink)"
              strokeWidth={changed ? 2.4 : 0.7}
              strokeDasharray={figures?.layers[i]?.reckoned === false ? '3 3' : undefined}
            />
            {w >= 8 && (
              <Hatch
                x={from}
                y={top}
                width={w}
                height={height - top - 4}
                family={materials.get(layer.material)?.family ?? ''}
              />
            )}
          </g>
        );
      })}
      <path d={`M${inner * perMm} 0V${height}`} stroke="var(--color-ink)" strokeWidth="1.4" strokeDasharray="8 3 2 3" />
    </svg>
  );
}

/** Findings of one that the other has not, by what they say and not of which wall. */
const gone = (a: Finding[], b: Finding[]) =>
  a.filter(
    (f) =>
      (f.severity === 'fail' || f.severity === 'caution') &&
      !b.some(
        (g) =>
          g.code.split('.').slice(0, 2).join('.') === f.code.split('.').slice(0, 2).join('.') &&
          g.severity === f.severity,
      ),
  );

function Differences({
  doc,
  base,
  materials,
  units,
  gone: lost,
  come,
}: {
  doc: Doc<Assembly>;
  base: Doc<Assembly>;
  materials: Map<string, Material>;
  units: Units;
  gone: Finding[];
  come: Finding[];
}) {
  const told = (l: Assembly['layers'][number]) =>
    `${materials.get(l.material)?.name ?? l.material}, ${show(l.thickness_mm, 'thickness', units)}`;
  const added = doc.content.layers.filter((l) => !base.content.layers.some((o) => same(l, o)));
  const out = base.content.layers.filter((l) => !doc.content.layers.some((o) => same(l, o)));
  return (
    <section className="border-t border-hair py-2">
      <h3 className="font-semibold">
        {doc.key} {doc.content.name}
      </h3>
      {added.map((l, i) => (
        <p key={`+${i}`}>+ {told(l)}</p>
      ))}
      {out.map((l, i) => (
        <p key={`-${i}`} className="text-faint">
          − {told(l)}
        </p>
      ))}
      {lost.map((f) => (
        <p key={f.key} className="text-pass">
          cleared: {f.title}
        </p>
      ))}
      {come.map((f) => (
        <p key={f.key} className="text-fail">
          new: {f.title}
        </p>
      ))}
    </section>
  );
}
