import { useQuery } from '@tanstack/react-query';
import { Link, useParams, useSearchParams } from 'react-router';
import { post } from '../../api/client';
import { address } from '../../api/paths';
import { useDocuments, useMaterials, useProjectId } from '../../api/hooks';
import type { Assembly, Doc, SweepRow, Units } from '../../api/types';
import { niceStep, spread } from '../../drawing/scale';
import { show } from '../../quantity/show';
import { Frame } from '../../ui/Frame';
import { SeverityMark, severityWord } from '../../ui/severity';
import { useUnits } from '../../ui/units';
import { isAir } from '../../material/families';
import { INSULATES_BELOW } from '../../material/starts';

/** One layer from thin to thick, in the project's climate and in every generic one: what it comes to at each. */
export default function Sweep() {
  const documents = useDocuments();
  const materials = useMaterials();
  const project = useProjectId();
  const { key } = useParams();
  const { units } = useUnits();
  const [params, setParams] = useSearchParams();
  const doc = (documents.data?.assemblies as Doc<Assembly>[] | undefined)?.find((d) => d.key === key);
  const name = (id: string) => materials.data?.find((m) => m.id === id)?.name ?? id;
  const insulation = (doc?.content.layers ?? []).filter(
    (l) =>
      (materials.data?.find((m) => m.id === l.material)?.conductivity_w_mk ?? 1) <= INSULATES_BELOW &&
      !isAir(materials.data?.find((m) => m.id === l.material)?.family),
  );
  const layer = params.get('layer') ?? insulation[insulation.length - 1]?.id ?? '';
  const now = doc?.content.layers.find((l) => l.id === layer);
  const rows = useQuery({
    queryKey: ['sweep', project, doc?.content, layer],
    queryFn: ({ signal }) =>
      post(address('/api/projects/{project}/sweep', { project }), { content: doc?.content, layer }, signal),
    enabled: doc !== undefined && layer !== '',
  });
  const columns = rows.data?.[0]?.points.map((p) => p.mm) ?? [];
  const nearest = now
    ? columns.reduce(
        (best, mm, i) =>
          Math.abs(mm - now.thickness_mm) < Math.abs((columns[best] ?? 0) - now.thickness_mm) ? i : best,
        0,
      )
    : -1;
  const sound = (row: SweepRow) =>
    row.points.find(
      (p, i) =>
        row.points.slice(i).every((q) => q.worst === 'note' || q.worst === 'pass') &&
        (p.worst === 'note' || p.worst === 'pass'),
    );
  return (
    <Frame
      sheet={`2 ${key} over climates`}
      reckoning={
        <>
          <h2 className="pb-1 text-[15px] font-bold">From which thickness</h2>
          <dl>
            {rows.data?.map((row) => (
              <div key={row.climate} className="flex justify-between gap-3 py-[2px]">
                <dt className="text-faint">{row.climate.replace(' (made up)', '')}</dt>
                <dd className="font-semibold">
                  {sound(row) ? `${show(Math.ceil(sound(row)?.mm ?? 0), 'thickness', units)} on` : 'none of these'}
                </dd>
              </div>
            ))}
          </dl>
          <p className="mt-2">
            No fail and no caution from there on, with the indoor air of this project. Who carries which control, and
            how steel is reckoned, is left out of it.
          </p>
          <p className="mt-2 border-t border-hair pt-2 text-[11px] text-faint">
            The generic climates are made up; none is a place. Computed, not approved.
          </p>
        </>
      }
    >
      <div className="px-6 py-3">
        <p className="text-[12px]">
          <Link className="link text-faint" to={`/p/${project}/assemblies/${key}`}>
            back to {key}
          </Link>
        </p>
        <h1 className="mt-1 text-[17px] font-bold">{doc?.content.name}, over climates</h1>
        <p className="my-2">
          <label>
            <span className="text-faint">thickness of</span>{' '}
            <select aria-label="Layer" value={layer} onChange={(e) => setParams({ layer: e.target.value })}>
              {insulation.map((l) => (
                <option key={l.id} value={l.id}>
                  {name(l.material)}, {show(l.thickness_mm, 'thickness', units)}
                </option>
              ))}
            </select>
          </label>
        </p>
        {insulation.length === 0 && doc && <p>No insulation in this assembly to make thinner or thicker.</p>}
        {rows.isFetching && !rows.data && (
          <p className="text-faint" role="status">
            assessing it {8 * 13} times …
          </p>
        )}
        {rows.isError && (
          <p role="alert" className="text-fail">
            {rows.error.message}
          </p>
        )}
        {rows.data && (
          <table className="w-full border-collapse text-[11px]" data-table="sweep">
            <thead>
              <tr>
                <th className="text-left font-normal text-faint">{units === 'si' ? 'mm' : 'in'}</th>
                {columns.map((mm, i) => (
                  <th
                    key={i}
                    className={`px-1 text-center ${i === nearest ? 'border-x border-t border-ink font-bold' : 'font-normal'}`}
                  >
                    {units === 'si' ? Math.round(mm) : (mm / 25.4).toFixed(1)}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.data.map((row, r) => (
                <tr key={row.climate} className="border-t border-hair" data-climate={row.climate}>
                  <th className={`py-[9px] pr-2 text-left ${r === 0 ? 'font-bold' : 'font-normal'}`}>
                    {row.climate.replace(' (made up)', '')}
                    {row.zone && <span className="text-faint"> · {row.zone}</span>}
                  </th>
                  {row.points.map((p, i) => (
                    <td
                      key={i}
                      className={`text-center ${i === nearest ? 'border-x border-ink' : ''}`}
                      title={`${severityWord(p.worst)}; the year ${p.verdict}; U ${show(p.u_w_m2k, 'u', units)}${p.plane_margin_k === null ? '' : `; the face that leaking air meets is ${Math.abs(p.plane_margin_k).toFixed(1)} K ${p.plane_margin_k < 0 ? 'below' : 'above'} the indoor dew point`}`}
                    >
                      <SeverityMark severity={p.worst} />
                      <span className="block text-[10px]">
                        {p.peak_g_m2 < 0.5 ? 'dry' : show(p.peak_g_m2, 'water', units).split(' ')[0]}
                      </span>
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {rows.data && <Lines rows={rows.data} now={now?.thickness_mm} units={units} />}
        <p className="pt-2 text-[11px] text-faint">
          The mark is the worst finding at that thickness, the figure the most water held in the year,{' '}
          {units === 'si' ? 'g/m²' : 'oz/ft²'}. Boxed: about what it is now.
        </p>
      </div>
    </Frame>
  );
}

const PLOT = { width: 800, left: 46, right: 132, top: 12, bottom: 178, height: 206 };

/** The most water held, against thickness: one line a climate, its name at the thin end of it. */
function Lines({ rows, now, units }: { rows: SweepRow[]; now: number | undefined; units: Units }) {
  const { width, left, right, top, bottom, height } = PLOT;
  const wet = rows.filter((row) => row.points.some((p) => p.peak_g_m2 > 0.5));
  if (wet.length === 0) return null;
  const most = Math.max(...wet.flatMap((row) => row.points.map((p) => p.peak_g_m2)));
  const thick = Math.max(...rows.flatMap((row) => row.points.map((p) => p.mm)));
  const x = (mm: number) => left + (mm / thick) * (width - left - right);
  const y = (g: number) => bottom - (g / most) * (bottom - top);
  const step = niceStep(most, 4);
  const names = spread(
    wet.map((row) => y(row.points[row.points.length - 1]?.peak_g_m2 ?? 0)).map((v, i) => v + i * 0.01),
    13,
    top,
    bottom + 4,
  );
  const order = wet
    .map((row, i) => ({ row, at: y(row.points[row.points.length - 1]?.peak_g_m2 ?? 0) + i * 0.01 }))
    .sort((a, b) => a.at - b.at);
  const sorted = [...names].sort((a, b) => a - b);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="mt-3 block w-full"
      role="img"
      aria-label="Most water held against thickness, by climate"
      data-drawing="sweep"
    >
      <path d={`M${left} ${top}V${bottom}H${width - right}`} fill="none" stroke="var(--color-ink)" strokeWidth="0.8" />
      {Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step).map((g) => (
        <g key={g}>
          <path d={`M${left - 4} ${y(g)}h4`} stroke="var(--color-ink)" strokeWidth="0.8" />
          <text x={left - 7} y={y(g) + 4} fontSize="10" textAnchor="end">
            {show(g, 'water', units).split(' ')[0]}
          </text>
        </g>
      ))}
      {rows[0]?.points.map((p) => (
        <g key={p.mm}>
          <path d={`M${x(p.mm)} ${bottom}v4`} stroke="var(--color-ink)" strokeWidth="0.8" />
          <text x={x(p.mm)} y={bottom + 15} fontSize="10" textAnchor="middle">
            {units === 'si' ? Math.round(p.mm) : (p.mm / 25.4).toFixed(1)}
          </text>
        </g>
      ))}
      {now !== undefined && (
        <path d={`M${x(now)} ${top}V${bottom}`} stroke="var(--color-ink)" strokeWidth="1" strokeDasharray="2 3" />
      )}
      {order.map(({ row, at }, i) => (
        <g key={row.climate}>
          <polyline
            points={row.points.map((p) => `${x(p.mm)},${y(p.peak_g_m2)}`).join(' ')}
            fill="none"
            stroke="var(--color-ink)"
            strokeWidth={row === rows[0] ? 2.6 : 1.2}
          />
          <path d={`M${x(thick)} ${at}l8 ${(sorted[i] ?? at) - at}`} stroke="var(--color-hair)" fill="none" />
          <text x={x(thick) + 11} y={(sorted[i] ?? at) + 4} fontSize="11" fontWeight={row === rows[0] ? 700 : 400}>
            {row.climate.replace(' (made up)', '')}
          </text>
        </g>
      ))}
      <text x={left} y={top - 2} fontSize="11" fill="var(--color-faint)">
        most water held, {units === 'si' ? 'g/m²' : 'oz/ft²'}
      </text>
    </svg>
  );
}
