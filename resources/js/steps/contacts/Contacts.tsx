import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { wordsOf } from '../../api/client';
import { useContacts, useProjectId } from '../../api/hooks';
import type { PairAnswer } from '../../api/types';
import { WAYS } from '../../material/ways';
import { show } from '../../quantity/show';
import { Frame } from '../../ui/Frame';
import { useKeys } from '../../ui/keys';
import { SeverityMark, severityColour } from '../../ui/severity';
import { useUnits } from '../../ui/units';
import { saveWorkbook } from '../../ui/workbook';
import { AskPair } from './AskPair';
import { Films } from './Films';
import { MONTHS } from './months';
import { Pair } from './Pair';
import { scheduleOf } from './schedule';
import { Season } from './Season';
import { Systems } from './Systems';
import { Triangle } from './Triangle';

/** Every pair of materials that touch, worst first; and one that is asked about before anything is drawn. */
export default function Contacts() {
  const { units } = useUnits();
  const [month, setMonth] = useState<number | null>(null);
  const sheet = useContacts(month);
  const project = useProjectId();
  const [search] = useSearchParams();
  const [chosen, setChosen] = useState<string | null>(search.get('pair'));
  const [asked, setAsked] = useState<PairAnswer | null>(null);
  const [all, setAll] = useState(false);
  const contacts = sheet.data?.contacts ?? [];
  const told = all ? contacts : contacts.filter((c) => c.severity !== 'pass');
  const pair = chosen === null ? asked : (contacts.find((c) => c.id === chosen) ?? asked);
  const walk = (by: number) => {
    const at = told.findIndex((c) => c.id === chosen);
    const next = told[(at + by + told.length) % Math.max(1, told.length)];
    if (next) setChosen(next.id);
  };
  useKeys({
    ']': { shown: '[ ]', says: 'the pair before, the next', act: () => walk(1) },
    '[': () => walk(-1),
  });
  return (
    <Frame sheet="3 Contacts" reckoning={pair && <Pair pair={pair} />}>
      <div className="px-6 py-3 max-sm:px-4">
        <AskPair
          focus={search.has('ask')}
          answered={(answer) => {
            setAsked(answer);
            if (answer !== null) setChosen(null);
          }}
        />
        {sheet.isError && (
          <p role="alert" className="text-fail">
            {wordsOf(sheet.error)}
          </p>
        )}
        {sheet.data && contacts.length === 0 && (
          <p className="max-w-[40rem] py-3 text-[15px]">
            Nothing touches yet: build an assembly or an opening, and every pair in it is judged here. A pair can be
            asked about above before anything is drawn.
          </p>
        )}
        <Systems />
        {sheet.data && <Season sheet={sheet.data} />}
        <Films />
        {contacts.length > 0 && (
          <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-6 border-t border-hair pt-3 max-lg:grid-cols-1">
            <Triangle {...{ contacts, chosen, choose: setChosen }} />
            <section>
              <h2 className="flex items-baseline justify-between border-b border-ink font-bold">
                <span>
                  {contacts.length - contacts.filter((c) => c.severity === 'pass').length} of {contacts.length} pairs
                  want something
                </span>
                <span className="text-[12px] font-normal">
                  {(sheet.data?.months.length ?? 0) > 0 && (
                    <>
                      laid in{' '}
                      <select
                        aria-label="Month it is laid in"
                        value={month ?? ''}
                        onChange={(e) => setMonth(e.target.value === '' ? null : Number(e.target.value))}
                      >
                        <option value="">fair weather</option>
                        {sheet.data?.months.map((mean, i) => (
                          <option key={i} value={i + 1}>
                            {MONTHS[i]} {show(mean, 'temperature', units)}
                          </option>
                        ))}
                      </select>{' '}
                    </>
                  )}
                  <label>
                    <input type="checkbox" checked={all} onChange={(e) => setAll(e.target.checked)} /> the others too
                  </label>{' '}
                  · <a href={`/api/projects/${project}/contacts.csv`}>CSV</a> ·{' '}
                  <button className="link" onClick={() => void saveWorkbook(scheduleOf(contacts), 'contacts.xlsx')}>
                    XLSX
                  </button>
                </span>
              </h2>
              <ul>
                {told.map((c) => (
                  <li key={c.id}>
                    <button
                      data-contact={c.id}
                      aria-pressed={c.id === chosen}
                      className={`flex w-full gap-2 border-b border-hair py-1 text-left ${c.id === chosen ? 'bg-hair' : ''}`}
                      onClick={() => setChosen(c.id)}
                    >
                      <span className="pt-[3px]">
                        <SeverityMark severity={c.severity} />
                      </span>
                      <span className="grow">
                        {c.a_name} <span className="text-faint">{WAYS[c.how]}</span> {c.b_name}
                      </span>
                      <span className={`whitespace-nowrap font-semibold ${severityColour(c.severity)}`}>
                        {c.verdict}
                      </span>
                    </button>
                  </li>
                ))}
              </ul>
            </section>
          </div>
        )}
      </div>
    </Frame>
  );
}
