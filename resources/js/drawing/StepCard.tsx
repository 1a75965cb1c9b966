import type { SequenceSheet, Units } from '../api/types';
import { asked, isLook } from '../quantity/asked';
import { show } from '../quantity/show';
import { Dimensions } from './unfolded/Dimensions';
import { Numbers } from './unfolded/Numbers';
import { Unfolded } from './unfolded/Unfolded';
import { told } from './reasons';

/**
 * One page of a step for the crew: the picture so far, what is cut and laid, how, and what is looked at before the
 * next.
 */
export function CrewCard({ sheet, step, units }: { sheet: SequenceSheet; step: number; units: Units }) {
  const now = sheet.steps.find((s) => s.number === step);
  if (!now) return null;
  const other: Units = units === 'si' ? 'us' : 'si';
  const both = (mm: number) => (
    <>
      {show(mm, 'length', units)} <span className="text-faint">({show(mm, 'length', other)})</span>
    </>
  );
  const rain = sheet.rain.find((r) => r.step === step);
  const checks = sheet.checks.filter((c) => c.step === step);
  const waits = sheet.reasons.filter((r) => r.after === step);
  return (
    <article className="crew-card" data-card={step}>
      <header className="flex items-baseline justify-between border-b-2 border-ink pb-1">
        <h2 className="text-[17pt] leading-tight font-bold">
          {step} · {now.title}
        </h2>
        <p className="text-right text-[9pt]">
          {sheet.detail.id} · {sheet.detail.title}
          <br />
          card {step} of {sheet.steps.at(-1)?.number}
        </p>
      </header>
      <div className="grid grid-cols-[58%_1fr] gap-x-5 pt-3">
        <div>
          <div className="h-[112mm]">
            <Unfolded sheet={sheet} step={step} units={units}>
              <Numbers />
              <Dimensions />
            </Unfolded>
          </div>
          <p className="text-[8.5pt] text-faint">
            As it stands after this step, seen from outside. Heavy lines: laid now.
          </p>
        </div>
        <div className="text-[10.5pt]">
          <p>{now.how}</p>
          {now.caution && (
            <p className="my-2 border-l-4 border-caution pl-2 font-semibold text-caution">{now.caution}</p>
          )}
          {waits.length > 0 && (
            <p className="mt-2">
              <b>Only after</b> {told(waits).join('; ')}.
            </p>
          )}
        </div>
      </div>
      {now.pieces.length > 0 && (
        <table className="mt-3 w-full border-collapse text-[9.5pt]">
          <thead>
            <tr className="border-b border-ink text-left align-bottom">
              <th className="pr-2">Piece</th>
              <th className="pr-2">Cut</th>
              <th className="pr-2">Where</th>
              <th className="pr-2">Lap</th>
              <th className="pr-2">Prime · press · wait</th>
              <th>Look</th>
            </tr>
          </thead>
          <tbody>
            {now.pieces.map((piece) => {
              const cut = sheet.cut_list.find((c) => c.pieces.includes(piece.id));
              return (
                <tr key={piece.id} className="border-b border-hair align-top">
                  <td className="py-1 pr-2 font-semibold">
                    {sheet.names[piece.id]}
                    <div className="text-[8pt] font-normal text-faint">{sheet.materials[piece.id]}</div>
                  </td>
                  <td className="py-1 pr-2">
                    {piece.coat ? (
                      piece.coat
                    ) : cut && cut.step === step ? (
                      <>
                        {both(cut.length_mm)} × {both(cut.width_mm)}
                      </>
                    ) : cut ? (
                      `cut in step ${cut.step}`
                    ) : (
                      'as it comes'
                    )}
                  </td>
                  <td className="py-1 pr-2">{piece.on.join(', ')}</td>
                  <td className="py-1 pr-2">
                    {piece.laps.length === 0
                      ? '–'
                      : piece.laps.map((l, i) => (
                          <div key={i}>
                            {l.over ? 'over' : 'under'} {sheet.names[l.other] ?? l.other}: {both(l.lap_mm)}
                            {l.least_mm !== null && <>, least {show(l.least_mm, 'length', units)}</>}
                          </div>
                        ))}
                  </td>
                  <td className="py-1 pr-2">{[piece.prime, piece.press, piece.wait].filter(Boolean).join(' ')}</td>
                  <td className="py-1">{piece.check}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      {checks.length > 0 && (
        <p className="mt-2 text-[9.5pt]">
          <b>Measured on site:</b>{' '}
          {checks
            .map((c) => `${c.title} ${isLook(c) ? '(look)' : `${asked(c, units)} (${asked(c, other)})`}`)
            .join('; ')}
          .
        </p>
      )}
      <p className="mt-2 text-[9.5pt]">
        <b>{rain?.safe ? 'Work may stop after this step.' : 'Not to be left so overnight:'}</b>
        {rain &&
          !rain.safe &&
          ` a shower ${rain.worst === 'trapped' ? 'is trapped at' : 'wets'} ${rain.wets.join(', ')}; ${coverWords(rain, units)}.`}{' '}
        {sheet.cut_tolerance}
      </p>
      <p className="mt-1 text-[8pt] text-faint">
        Common practice; the makers’ instructions, local code and the licensed designer decide. Nothing here is an
        approval.
      </p>
    </article>
  );
}

/** The sheet to hang over it for the night, as it was traced. */
export function coverWords(rain: SequenceSheet['rain'][number], units: Units): string {
  if (!rain.cover) return 'no sheet hung over it keeps it dry: do the next step first';
  const [u0, v0, u1, v1] = rain.cover as [number, number, number, number];
  return `hang a sheet ${show(u1 - u0, 'length', units)} wide over it, ${show(v1 - v0, 'length', units)} down from the top of what is drawn`;
}

/** What to take out of the store: by material and roll, with the run, the rolls and what is left over. */
export function RollList({ sheet, units }: { sheet: SequenceSheet; units: Units }) {
  const other: Units = units === 'si' ? 'us' : 'si';
  if (sheet.rolls.length === 0) return null;
  return (
    <article className="crew-card" data-rolls>
      <header className="flex items-baseline justify-between border-b-2 border-ink pb-1">
        <h2 className="text-[17pt] leading-tight font-bold">Cut list by roll</h2>
        <p className="text-[9pt]">
          {sheet.detail.id} · {sheet.detail.title}
        </p>
      </header>
      <table className="mt-3 w-full border-collapse text-[9.5pt]">
        <thead>
          <tr className="border-b border-ink text-left">
            <th>Material</th>
            <th>roll</th>
            <th>to unroll</th>
            <th>rolls</th>
            <th>left over</th>
            <th>pieces</th>
          </tr>
        </thead>
        <tbody>
          {sheet.rolls.map((r) => (
            <tr key={`${r.material} ${r.roll_mm}`} className="border-b border-hair align-top">
              <td className="py-1">{sheet.materials[r.pieces[0]?.id ?? ''] ?? r.material}</td>
              <td className="py-1">
                {show(r.roll_mm, 'length', units)}{' '}
                <span className="text-faint">({show(r.roll_mm, 'length', other)})</span>
              </td>
              <td className="py-1">
                {show(r.run_mm, 'length', units)}{' '}
                <span className="text-faint">({show(r.run_mm, 'length', other)})</span>
              </td>
              <td className="py-1">
                {r.rolls} of {show(r.roll_length_mm, 'length', units)}
              </td>
              <td className="py-1">{r.waste_pct} %</td>
              <td className="py-1">
                {r.pieces.map((p) => (
                  <div key={p.id}>
                    {sheet.names[p.id]}: {show(p.length_mm, 'length', units)} × {show(p.width_mm, 'length', units)}
                    {p.lengths > 1 ? `, in ${p.lengths} lengths` : ''}
                  </div>
                ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-[8.5pt] text-faint">
        Each piece from the narrowest roll that takes it, side by side where there is room, the longest first; another
        way of cutting may waste less. Widths and lengths as rolls are commonly sold.
      </p>
    </article>
  );
}
