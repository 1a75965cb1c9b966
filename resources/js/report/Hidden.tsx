import { severityColour, severityWord } from '../ui/severity';
import { show } from '../quantity/show';
import type { Sheet } from './sheet';

/** What is behind the cladding: place by place what was looked at before it was covered, and by whom. */
export function Hidden({ sheet }: { sheet: Sheet }) {
  const { site, photographs, units } = sheet;
  const seen = site.checks.filter((c) => c.readings.length > 0);
  const places = [...new Map(seen.map((c) => [c.detail, c.detail_title])).entries()];
  const shot = new Map<string, string[]>();
  for (const event of site.photographs)
    shot.set(event.check ?? '', [...(shot.get(event.check ?? '') ?? []), ...(event.photographs ?? [])]);
  if (places.length === 0 && site.photographs.length === 0) return null;
  const unseen = [
    ...new Map(
      site.checks.filter((c) => !places.some(([detail]) => detail === c.detail)).map((c) => [c.detail, c.detail_title]),
    ).values(),
  ];
  return (
    <section>
      <h2 className="mb-1 text-[14pt] font-bold">Register of what is hidden</h2>
      {places.map(([detail, title]) => (
        <div key={detail} className="border-t border-ink pt-1 pb-2">
          <h3 className="font-bold">
            {detail} · {title}
          </h3>
          <table className="w-full border-collapse text-[8.5pt]">
            <tbody>
              {seen
                .filter((c) => c.detail === detail)
                .map((c) => {
                  const at = c.readings.map((r) => r.at).sort();
                  const [first, last] = [at[0]?.slice(0, 10), at.at(-1)?.slice(0, 10)];
                  return (
                    <tr key={c.id} className="border-b border-hair align-top">
                      <td>
                        {c.title}
                        {c.place ? `, ${c.place}` : ''}
                      </td>
                      <td className="whitespace-nowrap">{first === last ? first : `${first} to ${last}`}</td>
                      <td>{[...new Set(c.readings.map((r) => r.by))].join(', ')}</td>
                      <td>
                        {c.verdict.count}
                        {c.verdict.least_mm !== null && ` × ${show(c.verdict.least_mm, 'length', units)} or more`}
                      </td>
                      <td className={c.verdict.severity ? severityColour(c.verdict.severity) : ''}>
                        {c.verdict.severity && severityWord(c.verdict.severity)}
                      </td>
                    </tr>
                  );
                })}
            </tbody>
          </table>
          <div className="flex flex-wrap gap-3 pt-1">
            {seen
              .filter((c) => c.detail === detail)
              .flatMap((c) =>
                (shot.get(c.id) ?? []).map((sha) => (
                  <figure key={`${c.id} ${sha}`} className="together w-[42mm]">
                    <img src={photographs[sha]} alt={c.title} />
                    <figcaption className="text-[7.5pt]">{c.title}</figcaption>
                  </figure>
                )),
              )}
          </div>
        </div>
      ))}
      {unseen.length > 0 && (
        <p className="pt-2">
          <b>Nobody has read anything of:</b> {unseen.join('; ')}.
        </p>
      )}
    </section>
  );
}
