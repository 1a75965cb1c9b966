import { WAYS } from '../material/ways';
import { SeverityMark, severityColour } from '../ui/severity';
import type { Sheet } from './sheet';

/** The compatibility schedule: every pair that touches, worst first; those that want nothing are counted. */
export function Contacts({ sheet }: { sheet: Sheet }) {
  const all = sheet.contacts.contacts;
  const told = all.filter((c) => c.verdict !== 'not needed');
  if (told.length === 0) return null;
  const names = new Map(
    all.flatMap((c) => [
      [c.a, c.a_name],
      [c.b, c.b_name],
    ]),
  );
  const nameOf = (id: string) => names.get(id) ?? id;
  return (
    <section>
      <h2 className="mb-1 text-[14pt] font-bold">What touches what</h2>
      <table className="my-2 w-full border-collapse text-[8.5pt]">
        <thead>
          <tr className="border-b border-ink text-left">
            <th>Pair</th>
            <th>Verdict</th>
            <th>Why, and what to do</th>
            <th>Where</th>
          </tr>
        </thead>
        <tbody>
          {told.map((c) => (
            <tr key={c.id} className="together border-b border-hair align-top">
              <td className="pr-2">
                {c.a_name} {WAYS[c.how]} {c.b_name}
              </td>
              <td className={`pr-2 whitespace-nowrap ${severityColour(c.severity)}`}>
                <SeverityMark severity={c.severity} /> {c.verdict}
              </td>
              <td className="pr-2">
                {c.reason} {c.remedy && <i>{c.remedy}</i>}
              </td>
              <td>{c.where.map((w) => w.title).join('; ')}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {(sheet.file.adhesion ?? []).map((test) => (
        <p key={test.id} className="together border-t border-hair py-1">
          <b>
            Pulled: {nameOf(test.product)} off {nameOf(test.on)}.
          </b>{' '}
          {test.pulls
            .map(
              (pull) =>
                `${pull.at}, ${pull.by}: ${pull.mode}${pull.cured_days === undefined ? '' : `, after ${pull.cured_days} days`}${pull.words ? ` (${pull.words})` : ''}`,
            )
            .join('; ')}
        </p>
      ))}
      <p>
        {all.length - told.length} more pairs touch and want nothing. By family, common practice: a data sheet and a
        test on the real face win.
      </p>
    </section>
  );
}
