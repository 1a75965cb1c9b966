import type { SequenceSheet, Units } from '../api/types';
import { Dimensions } from '../drawing/unfolded/Dimensions';
import { Numbers } from '../drawing/unfolded/Numbers';
import { Unfolded } from '../drawing/unfolded/Unfolded';
import { show } from '../quantity/show';

import type { Sheet } from './sheet';
/** Details and openings: unfolded, with their cut lists and steps. */
export function Details({ sheet }: { sheet: Sheet }) {
  return sheet.sequences.map((sequence) => (
    <SequencePages key={sequence.detail.id} sheet={sequence} units={sheet.units} />
  ));
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
        <Unfolded sheet={sheet} step={last} units={units}>
          <Numbers />
          <Dimensions />
        </Unfolded>
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
