import { asked, isLook, readInWords, worstRead } from '../quantity/asked';
import { show } from '../quantity/show';
import { ReadingStrip } from '../drawing/ReadingStrip';
import { Photograph } from '../drawing/Photograph';
import { numbersOf } from '../steps/site/visit';
import { severityColour, severityWord } from '../ui/severity';

import type { Sheet } from './sheet';
/** What was read, found and photographed on site. */
export function Site({ sheet }: { sheet: Sheet }) {
  if (sheet.site.checks.length === 0 && sheet.site.substitutions.length === 0) return null;
  const { site, photographs, units } = sheet;
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
            <th>worst read</th>
            <th>readings</th>
            <th>verdict</th>
          </tr>
        </thead>
        <tbody>
          {checks.map((c) => {
            const worst = worstRead(c, c.verdict);
            return (
              <tr key={c.id} className="together border-b border-hair">
                <td>
                  {c.detail} · {c.title}
                </td>
                <td>{asked(c, units)}</td>
                <td>{worst === null ? '' : show(worst, 'length', units)}</td>
                <td className="w-[44mm]">
                  {isLook(c) || c.verdict.count === 0 ? (
                    c.verdict.count || ''
                  ) : (
                    <>
                      <ReadingStrip asks={c} readings={numbersOf(c.readings)} units={units} />
                      {readInWords(c.verdict, units)}
                    </>
                  )}
                </td>
                <td className={c.verdict.severity ? severityColour(c.verdict.severity) : ''}>
                  {c.verdict.severity ? severityWord(c.verdict.severity) : 'not read'}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {checks.length < site.checks.length && (
        <p>
          {site.checks.length - read.length} of {site.checks.length} checks are not read yet.
        </p>
      )}
      {site.substitutions.map((s) => (
        <p key={s.event.id} className="together border-t border-hair py-1">
          <b className={severityColour(s.severity)}>{s.title}.</b> {s.reason} <i>{s.remedy}</i>
        </p>
      ))}
      {site.faults.map((f) => (
        <p key={f.id} className="together border-t border-hair py-1">
          <b>{f.state === 'closed' ? 'Closed' : f.state === 'repaired' ? 'Repaired, to be re-inspected' : 'Open'}:</b>{' '}
          {f.raised.words} ({f.raised.at.slice(0, 10)}, {f.raised.by})
          {f.who === null ? '' : ` · ${f.who} mends it${f.due === null ? '' : ` by ${f.due}`}`}
          {f.lines === null ? '' : ` · ${f.lines} edges between it and harm`}
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
              <Photograph src={photographs[sha]} alt="" marks={p.marks} />
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
