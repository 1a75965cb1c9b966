import { useState } from 'react';
import type { ContactSheet } from '../../api/types';
import { show } from '../../quantity/show';
import { useUnits } from '../../ui/units';
import { MONTHS } from './months';

type Row = ContactSheet['season'][number];
type Weather = Row['months'][number];

/** A letter for print and sun, a ground beside it: a month that is fair is left white. */
const SAID: Record<Weather, { letter: string; words: string; ground: string }> = {
  fair: { letter: '', words: 'can be laid', ground: '' },
  primed: { letter: 'P', words: 'on a primed face alone', ground: 'bg-board' },
  damp: { letter: 'D', words: 'faces are wet in the morning, and it takes none', ground: 'bg-board' },
  frost: { letter: 'F', words: 'frost on faces', ground: 'bg-hair' },
  cold: { letter: 'C', words: 'too cold', ground: 'bg-hair' },
  hot: { letter: 'H', words: 'too hot', ground: 'bg-hair' },
};

/** Which months each product of the job can be laid in, and whether it bears the sun until it is covered. */
export function Season({ sheet }: { sheet: ContactSheet }) {
  const { units } = useUnits();
  const [days, setDays] = useState('');
  const open = days.trim() === '' ? null : Number(days.replace(',', '.'));
  const bad = open !== null && (!Number.isFinite(open) || open < 0);
  const exceeds = (row: Row) => open !== null && !bad && row.sun_days !== null && open > row.sun_days;
  if (sheet.season.length === 0) return null;
  return (
    <details className="border-t border-hair py-1 text-[12px]" data-season>
      <summary>seasons: when each can be laid, and how long it bears the sun</summary>
      <p className="pt-1">
        <label>
          Covered after{' '}
          <input
            aria-label="Days until it is covered"
            className="w-[4rem]"
            value={days}
            onChange={(e) => setDays(e.target.value)}
          />{' '}
          days
        </label>
        {bad && (
          <span role="alert" className="text-fail">
            {' '}
            “{days}” is no number of days.
          </span>
        )}
      </p>
      <table className="my-1 border-collapse">
        <thead>
          <tr className="text-left text-[11px] text-faint">
            <th />
            <th className="pr-3 font-normal">laid on a face of</th>
            <th className="pr-3 text-right font-normal">days in sun</th>
            {MONTHS.map((month, i) => (
              <th key={month} className="w-[2.1rem] text-center font-normal">
                {month}
                {sheet.months[i] !== undefined && <span className="block">{degrees(sheet.months[i], units)}</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {sheet.season.map((row) => (
            <tr key={row.material} data-season-of={row.material}>
              <th className="pr-3 text-left font-normal">{row.name}</th>
              <td className="pr-3 whitespace-nowrap text-faint">
                {row.application_c?.map((c) => show(c, 'temperature', units)).join(' to ')}
                {row.application_c && !row.stated ? ' *' : ''}
              </td>
              <td className={`pr-3 text-right ${exceeds(row) ? 'font-bold text-caution' : ''}`} data-sun={exceeds(row)}>
                {row.sun_days !== null && (row.sun_days < 3650 ? row.sun_days : 'any')}
                {exceeds(row) ? ' ▲' : ''}
              </td>
              {row.months.map((weather, i) => (
                <td
                  key={i}
                  title={`${MONTHS[i]}: ${SAID[weather].words}`}
                  className={`border border-hair text-center font-semibold ${SAID[weather].ground}`}
                >
                  {SAID[weather].letter}
                </td>
              ))}
              {row.application_c === null && (
                <td colSpan={12} className="pl-2 text-faint">
                  not stuck by itself: goes up in any month
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-[11px] text-faint">
        {sheet.months.length === 0 && 'The project has no climate yet: page 1. '}C too cold · F frost · P on a primed
        face alone · D wet in the morning, dry it first · H too hot; by the mean of the month’s air. * usual of what
        sticks so, where its own data sheet says nothing. ▲ covered later than it bears the sun.
      </p>
    </details>
  );
}

/** Short enough to stand over a column. */
function degrees(celsius: number, units: 'si' | 'us'): string {
  const value = Math.round(units === 'si' ? celsius : celsius * 1.8 + 32);
  return `${value < 0 ? '−' : ''}${Math.abs(value)}°`;
}
