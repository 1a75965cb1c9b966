import type { Units } from '../api/types';
import { show } from '../quantity/show';
import { SeverityMark, severityColour } from '../ui/severity';

import type { Row, Sheet } from './sheet';
/** The openings of the schedule in a table. */
export function Schedule({ sheet }: { sheet: Sheet }) {
  if (sheet.schedule.length === 0) return null;
  return (
    <SchedulePages rows={sheet.schedule} drawn={new Set(sheet.sequences.map((s) => s.detail.id))} units={sheet.units} />
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
