import { createRoot } from 'react-dom/client';
import { useEffect, type ReactNode } from 'react';
import type {
  Assembly,
  AssemblyFigures,
  Assessment,
  DrillRun,
  Finding,
  Material,
  ProjectFile,
  SequenceSheet,
  SiteSheet,
  Units,
} from './api/types';
import { MonthStrips } from './drawing/MonthStrips';
import { Section } from './drawing/Section';
import { CrewCard, RollList } from './drawing/StepCard';
import { Unfolded } from './drawing/Unfolded';
import { YearChart } from './drawing/YearChart';
import { show } from './quantity/show';
import { Mark } from './ui/Mark';
import { together } from './ui/together';
import { SeverityMark, severityColour, severityWord } from './ui/severity';

/** An opening of the schedule; `as` is the one of its kind whose sheet is printed. */
interface Row {
  id: string;
  title: string;
  method: string;
  sizes_mm: number[];
  as: string;
  worst: string;
  severity: Finding['severity'];
}

interface Sheet {
  /** the one detail whose step cards are printed instead of the report */
  cards: string | null;
  by: string;
  at: string;
  catalogue: string;
  units: Units;
  file: ProjectFile;
  assessment: Assessment;
  sequences: SequenceSheet[];
  schedule: Row[];
  site: SiteSheet;
  drills: DrillRun[];
  photographs: Record<string, string>;
}

const CAUTIONS = [
  'This report says what was computed, from which figures, and what was seen. It approves nothing and certifies nothing: local code, the makers’ instructions and the judgement of licensed people decide.',
  'Structure (fasteners through thick insulation, shear walls, cladding loads) and fire (foam behind cladding, distances to a boundary) go to the licensed designer.',
  'Vapour figures are by diffusion alone, month by month; air leakage, rain and sun are not in them.',
  'Falls from ladders and scaffold, solvents and isocyanates, knives and heavy glazing are named at the steps they belong to; the site’s own safety rules come first.',
];

function Report({ sheet }: { sheet: Sheet }) {
  useEffect(() => {
    void document.fonts.ready
      .then(() => Promise.all([...document.images].map((i) => i.decode().catch(() => undefined))))
      .then(() => {
        document.documentElement.dataset.ready = 'yes';
      });
  }, []);
  if (sheet.cards !== null) {
    const units = sheet.units;
    const one = sheet.sequences[0];
    return (
      <main className="crew-pages">
        {one?.steps.map((s) => (
          <CrewCard key={s.number} sheet={one} step={s.number} units={units} />
        ))}
        {one && <RollList sheet={one} units={units} />}
      </main>
    );
  }
  const { file, assessment, units } = sheet;
  const materials = new Map((file.materials ?? []).map((m) => [m.id, m]));
  return (
    <main>
      <Title sheet={sheet} />
      {file.climate && (
        <section className="together mt-4">
          <h3 className="text-[12pt] font-bold">Brief: {file.climate.name}</h3>
          <YearChart climate={file.climate} months={assessment.climate?.months} units={units} />
        </section>
      )}
      {(file.assemblies ?? []).map((assembly) => (
        <AssemblyPage
          key={assembly.id}
          assembly={assembly}
          figures={assessment.assemblies?.find((a) => a.id === assembly.id)}
          findings={assessment.findings.filter((f) => f.subject.split('/')[1] === assembly.id)}
          materials={materials}
          units={units}
        />
      ))}
      {sheet.schedule.length > 0 && (
        <SchedulePages rows={sheet.schedule} drawn={new Set(sheet.sequences.map((s) => s.detail.id))} units={units} />
      )}
      {sheet.sequences.map((sequence) => (
        <SequencePages key={sequence.detail.id} sheet={sequence} units={units} />
      ))}
      {sheet.site.checks.length > 0 && <SitePages sheet={sheet} units={units} />}
      {sheet.drills.length > 0 && (
        <section className="together">
          <h2 className="mb-2 text-[14pt] font-bold">Training record</h2>
          <p>Who put the steps of which detail in order, before the work began.</p>
          <table className="my-2 w-full border-collapse text-[8.5pt]">
            <thead>
              <tr className="border-b border-ink text-left">
                <th>Day</th>
                <th>Who</th>
                <th>Detail</th>
                <th>Order</th>
                <th>Came to</th>
              </tr>
            </thead>
            <tbody>
              {sheet.drills.map((d, i) => (
                <tr key={i} className="border-b border-hair">
                  <td>{d.at?.slice(0, 10)}</td>
                  <td>{d.by}</td>
                  <td>
                    {d.detail} · {d.title}
                  </td>
                  <td>{d.order.join(' ')}</td>
                  <td>
                    {d.broken === 0 ? 'in order' : `${d.broken} against the reasons`},{' '}
                    {d.tries === 1 ? '1 try' : `${d.tries} tries`}; the rain: {d.worst}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )}
      <h2 className="mb-2 text-[14pt] font-bold">All findings</h2>
      <Together findings={assessment.findings} />
      <h2 className="mb-2 text-[14pt] font-bold">Sources and cautions</h2>
      <Sources materials={[...materials.values()]} findings={assessment.findings} />
      <ul className="mt-3 list-disc pl-5">
        {CAUTIONS.map((c) => (
          <li key={c}>{c}</li>
        ))}
      </ul>
    </main>
  );
}

function Title({ sheet }: { sheet: Sheet }) {
  const count = (s: Finding['severity']) => sheet.assessment.findings.filter((f) => f.severity === s).length;
  return (
    <header className="border-b border-ink pb-3">
      <p className="flex items-center gap-2 font-bold">
        <Mark /> Apron
      </p>
      <h1 className="mt-3 text-[19pt] leading-tight font-bold">{sheet.file.project.name}</h1>
      <p>
        Control layers: assemblies, sequences and what was seen on site. Draft of {sheet.at.slice(0, 10)}, printed by{' '}
        {sheet.by}. Catalogue {sheet.catalogue}.
      </p>
      <p className="mt-1">
        {(['fail', 'caution', 'note', 'pass'] as const).map((s) => (
          <span key={s} className={`mr-4 ${severityColour(s)}`}>
            <SeverityMark severity={s} /> {count(s)} {severityWord(s).toLowerCase()}
          </span>
        ))}
      </p>
    </header>
  );
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

function SequencePages({ sheet, units }: { sheet: SequenceSheet; units: Units }) {
  const other = units === 'si' ? 'us' : 'si';
  const last = sheet.steps.at(-1)?.number ?? 1;
  return (
    <section>
      <h2 className="mb-1 text-[14pt] font-bold">
        {sheet.detail.id} · {sheet.detail.title}
      </h2>
      <div className="mx-auto h-[104mm]">
        <Unfolded sheet={sheet} step={last} units={units} />
      </div>
      <table className="my-2 w-full border-collapse text-[8.5pt]">
        <thead>
          <tr className="border-b border-ink text-left">
            <th>Step</th>
            <th>Cut</th>
            <th>of</th>
            <th>{units === 'si' ? 'mm' : 'in'}</th>
            <th>{units === 'si' ? 'in' : 'mm'}</th>
          </tr>
        </thead>
        <tbody>
          {sheet.cut_list.map((c) => (
            <tr key={c.pieces.join()} className="border-b border-hair">
              <td>{c.step}</td>
              <td>
                {c.count} × {c.pieces.map((p) => sheet.names[p]).join(', ')}
              </td>
              <td>{sheet.materials[c.pieces[0] ?? '']}</td>
              <td>
                {show(c.length_mm, 'length', units)} × {show(c.width_mm, 'length', units)}
              </td>
              <td>
                {show(c.length_mm, 'length', other)} × {show(c.width_mm, 'length', other)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <ol>
        {sheet.steps.map((s) => (
          <li key={s.number} className="together border-t border-hair py-1">
            <b>
              {s.number} · {s.title}.
            </b>{' '}
            {s.how} {s.caution && <i>{s.caution}</i>}
          </li>
        ))}
      </ol>
    </section>
  );
}

function SchedulePages({ rows, drawn, units }: { rows: Row[]; drawn: Set<string>; units: Units }) {
  const other = units === 'si' ? 'us' : 'si';
  const sizes = (row: Row, system: Units) =>
    row.sizes_mm.map((mm) => show(mm, 'length', system).replace(/ (mm|in)$/, '')).join(' × ');
  return (
    <section>
      <h2 className="mb-1 text-[14pt] font-bold">Opening schedule</h2>
      {rows.some((r) => !drawn.has(r.id)) && (
        <p>
          Of openings that differ in their sizes alone one is drawn on the pages that follow; the cards of each are
          printed from its own sheet.
        </p>
      )}
      <table className="my-2 w-full border-collapse text-[8.5pt]">
        <thead>
          <tr className="border-b border-ink text-left">
            <th>Opening</th>
            <th>Method</th>
            <th>{units === 'si' ? 'mm' : 'in'}</th>
            <th>{units === 'si' ? 'in' : 'mm'}</th>
            <th>Drawn as</th>
            <th>The rain</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.id} className="border-b border-hair">
              <td>
                {r.id} · {r.title}
              </td>
              <td className="pr-2">{r.method}</td>
              <td className="whitespace-nowrap pr-3">{sizes(r, units)}</td>
              <td className="whitespace-nowrap pr-3">{sizes(r, other)}</td>
              <td>{drawn.has(r.id) ? r.id : r.as}</td>
              <td className={severityColour(r.severity)}>
                <SeverityMark severity={r.severity} /> {r.worst}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function SitePages({ sheet, units }: { sheet: Sheet; units: Units }) {
  const { site, photographs } = sheet;
  // Of thousands of checks on five hundred openings those that were read are the record.
  const read = site.checks.filter((c) => c.verdict.severity !== null);
  const checks = site.checks.length <= 120 ? site.checks : read;
  return (
    <section>
      <h2 className="mb-1 text-[14pt] font-bold">Site record</h2>
      <p>{site.visits.map((v) => `${v.at.slice(0, 10)} by ${v.by}`).join(' · ')}</p>
      <table className="my-2 w-full border-collapse text-[8.5pt]">
        <thead>
          <tr className="border-b border-ink text-left">
            <th>Check</th>
            <th>asked</th>
            <th>least read</th>
            <th>readings</th>
            <th>verdict</th>
          </tr>
        </thead>
        <tbody>
          {checks.map((c) => (
            <tr key={c.id} className="border-b border-hair">
              <td>
                {c.detail} · {c.title}
              </td>
              <td>{c.least_mm === null ? 'look' : `≥ ${show(c.least_mm, 'length', units)}`}</td>
              <td>{c.verdict.least_mm === null ? '' : show(c.verdict.least_mm, 'length', units)}</td>
              <td>{c.verdict.count || ''}</td>
              <td className={c.verdict.severity ? severityColour(c.verdict.severity) : ''}>
                {c.verdict.severity ? severityWord(c.verdict.severity) : 'not read'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {checks.length < site.checks.length && (
        <p>
          {site.checks.length - read.length} of {site.checks.length} checks are not read yet.
        </p>
      )}
      {site.faults.map((f) => (
        <p key={f.id} className="together border-t border-hair py-1">
          <b>{f.state === 'closed' ? 'Closed' : f.state === 'repaired' ? 'Repaired, to be re-inspected' : 'Open'}:</b>{' '}
          {f.raised.words} ({f.raised.at.slice(0, 10)}, {f.raised.by})
          {f.repaired ? ` · repair: ${f.repaired.words} (${f.repaired.by})` : ''}
          {f.reinspected
            ? ` · re-inspected by ${f.reinspected.by}: ${f.reinspected.passes ? 'in order' : 'not in order'}`
            : ''}
        </p>
      ))}
      <div className="flex flex-wrap gap-3 pt-2">
        {site.photographs.flatMap((p) =>
          (p.photographs ?? []).map((sha) => (
            <figure key={sha} className="together w-[56mm]">
              <img src={photographs[sha]} alt="" />
              <figcaption className="text-[8pt]">
                {p.check ?? ''} · {p.at.slice(0, 10)} · {p.by}
              </figcaption>
            </figure>
          )),
        )}
      </div>
    </section>
  );
}

function Findings({ findings }: { findings: Finding[] }): ReactNode {
  return findings.map((f) => (
    <article key={f.key} className="together border-t border-hair py-1">
      <b className={severityColour(f.severity)}>
        <SeverityMark severity={f.severity} /> {severityWord(f.severity)} · {f.title}
      </b>{' '}
      {f.reason} {f.remedy && `→ ${f.remedy}`} <span className="text-faint">[{f.source.name}]</span>
    </article>
  ));
}

/** The same said of several things is said once, with their names. */
function Together({ findings }: { findings: Finding[] }): ReactNode {
  return together(findings).map((all) => {
    const f = all[0] as Finding;
    const key = f.key;
    if (all.length === 1) return <Findings key={key} findings={all} />;
    const same = all.every((g) => g.reason === f.reason);
    return (
      <article key={key} className="border-t border-hair py-1">
        <b className={severityColour(f.severity)}>
          <SeverityMark severity={f.severity} /> {severityWord(f.severity)} · {f.title}
        </b>{' '}
        {same && f.reason} {f.remedy && `→ ${f.remedy}`}{' '}
        <i>
          {all.length} places: {[...new Set(all.map((g) => g.subject.split('/').slice(1).join(' ')))].join(', ')}.
        </i>{' '}
        <span className="text-faint">[{f.source.name}]</span>
      </article>
    );
  });
}

function Sources({ materials, findings }: { materials: Material[]; findings: Finding[] }) {
  const rules = [...new Set(findings.map((f) => `${f.source.name} (${f.source.kind.replace('-', ' ')})`))].sort();
  return (
    <>
      <table className="w-full border-collapse text-[8.5pt]">
        <thead>
          <tr className="border-b border-ink text-left">
            <th>Material</th>
            <th>Its figures are from</th>
          </tr>
        </thead>
        <tbody>
          {materials.map((m) => (
            <tr key={m.id} className="border-b border-hair">
              <td>{m.name}</td>
              <td>{m.source ? `${m.source.name} (${m.source.kind.replace('-', ' ')})` : 'no source given'}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2">Rules: {rules.join('; ')}.</p>
    </>
  );
}

const sheet = JSON.parse(document.getElementById('sheet')?.textContent ?? '{}') as Sheet;
createRoot(document.getElementById('apron') as HTMLElement).render(<Report sheet={sheet} />);
