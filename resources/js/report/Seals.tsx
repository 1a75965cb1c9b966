import { show } from '../quantity/show';
import type { Sheet } from './sheet';

/** Every seal with how long it commonly lasts and what its failure wets, so that somebody looks after them. */
export function Seals({ sheet }: { sheet: Sheet }) {
  if (sheet.seals.length === 0) return null;
  return (
    <section>
      <h2 className="mb-1 text-[14pt] font-bold">Register of seals</h2>
      <p>
        Each is taken out by itself and water is let go again. A life is common practice where no data sheet says
        otherwise: sun, movement and workmanship decide; look at exposed ones every few years.
      </p>
      <table className="my-2 w-full border-collapse text-[8.5pt] [&_td]:pr-3 [&_th]:pr-3">
        <thead>
          <tr className="border-b border-ink text-left">
            <th>Where</th>
            <th>Seal</th>
            <th>of</th>
            <th className="text-right">long</th>
            <th className="pl-3">in weather</th>
            <th>lasts</th>
            <th>when it fails</th>
          </tr>
        </thead>
        <tbody>
          {sheet.seals.map((s) => (
            <tr key={`${s.detail} ${s.seal}`} className="border-b border-hair align-top">
              <td>
                {s.detail} · {s.title}
              </td>
              <td>{s.seal}</td>
              <td>{s.material || 'as the unit’s maker says'}</td>
              <td className="text-right whitespace-nowrap">{show(s.length_m, 'run', sheet.units)}</td>
              <td className="pl-3">{s.exposed ? 'exposed' : 'covered'}</td>
              <td className="whitespace-nowrap">{s.life_years === null ? 'not known' : `${s.life_years} years`}</td>
              <td>{failing(s)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function failing(seal: Sheet['seals'][number]): string {
  if (seal.wets !== null) return `wets ${seal.wets}`;
  const fewer = seal.lines !== null && seal.lines_without !== null && seal.lines_without < seal.lines;
  if (fewer) return `${seal.lines_without} of ${seal.lines} edges are left before harm`;
  if (seal.without !== seal.outcome) return `${seal.outcome} becomes ${seal.without}`;
  return 'water is still led out';
}
