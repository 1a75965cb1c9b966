import { useState, type FormEvent } from 'react';
import { useAssessment, useProjectId } from '../../api/hooks';
import type { Fault, SiteEvent, SiteSheet } from '../../api/types';
import { show } from '../../quantity/show';
import { useUnits } from '../../ui/units';
import { SeverityMark, severityColour, severityWord } from '../../ui/severity';
import { Instead } from './Instead';
import { Photograph } from '../../drawing/Photograph';
import { PinPicker } from './PinPicker';
import type { OutboxState } from './useOutbox';

interface Props {
  site: SiteSheet;
  add: OutboxState['add'];
  ensureVisit: () => string;
}

/** Faults from raising to re-inspection; each step is added, none is overwritten. */
export function Faults({ site, add, ensureVisit }: Props) {
  const [words, setWords] = useState('');
  const [pin, setPin] = useState<NonNullable<SiteEvent['pin']> | null>(null);
  const raise = (event: FormEvent) => {
    event.preventDefault();
    if (words.trim() === '') return;
    add({
      kind: 'fault-raised',
      visit: ensureVisit(),
      severity: 'caution',
      words: words.trim(),
      ...(pin ? { pin } : {}),
    });
    setWords('');
    setPin(null);
  };
  return (
    <>
      {site.faults.length === 0 && <p>No faults. One is raised by a reading out of its bounds, or by hand below.</p>}
      {site.faults.map((fault) => (
        <FaultRow
          key={fault.id}
          fault={fault}
          add={add}
          ensureVisit={ensureVisit}
          photographs={site.photographs.filter(
            (p) => p.fault === fault.id || (p.check !== undefined && p.check === fault.raised.check),
          )}
        />
      ))}
      <form onSubmit={raise} className="mt-4 flex flex-wrap gap-2">
        <label className="grid grow">
          A fault seen, in your words
          <input
            name="words"
            className="min-h-[40px]"
            maxLength={2000}
            value={words}
            onChange={(e) => setWords(e.target.value)}
          />
        </label>
        <button className="act min-h-[56px] self-end">raise it</button>
        <div className="w-full">
          <PinPicker pin={pin} put={setPin} />
        </div>
      </form>
      <Instead site={site} add={add} ensureVisit={ensureVisit} />
    </>
  );
}

function FaultRow({
  fault,
  add,
  ensureVisit,
  photographs,
}: { fault: Fault; photographs: SiteEvent[] } & Pick<Props, 'add' | 'ensureVisit'>) {
  const project = useProjectId();
  const { units } = useUnits();
  const names = new Map(useAssessment().data?.building?.parts.map((p) => [p.id, p.name]));
  const [words, setWords] = useState('');
  const repair = (event: FormEvent) => {
    event.preventDefault();
    if (words.trim() !== '')
      add({ kind: 'fault-repaired', visit: ensureVisit(), fault: fault.id, words: words.trim() });
    setWords('');
  };
  const look = (passes: boolean) => add({ kind: 'fault-reinspected', visit: ensureVisit(), fault: fault.id, passes });
  const when = (at: string, by: string) => `${at.slice(0, 10)}, ${by}`;
  return (
    <article className="border-t border-hair py-2" data-fault={fault.id} data-state={fault.state}>
      <h2 className={`font-bold ${fault.state === 'closed' ? 'text-pass' : severityColour(fault.severity)}`}>
        <SeverityMark severity={fault.state === 'closed' ? 'pass' : fault.severity} />{' '}
        {fault.state === 'closed'
          ? 'Closed'
          : fault.state === 'repaired'
            ? 'Repaired, to be re-inspected'
            : `Open · ${severityWord(fault.severity)}`}
      </h2>
      <p>
        {fault.raised.words} <span className="text-faint">({when(fault.raised.at, fault.raised.by)})</span>
      </p>
      {fault.raised.pin && (
        <p className="text-faint" data-at={fault.raised.pin.part}>
          on {names.get(fault.raised.pin.part) ?? fault.raised.pin.part}, {show(fault.raised.pin.x_mm, 'length', units)}{' '}
          from the left, {show(fault.raised.pin.z_mm, 'length', units)} up
        </p>
      )}
      {photographs.length > 0 && (
        <p className="flex gap-2 py-1">
          {photographs.flatMap((p) =>
            (p.photographs ?? []).map((sha) => (
              <Photograph
                key={`${p.id} ${sha}`}
                src={`/api/projects/${project}/photographs/${sha}`}
                alt={`Photograph of: ${fault.raised.words ?? 'the fault'}`}
                marks={p.marks}
                className="h-24 border border-ink"
              />
            )),
          )}
        </p>
      )}
      {fault.lines !== null && fault.state !== 'closed' && (
        <p className="text-faint" data-lines={fault.lines}>
          {fault.lines === 0
            ? 'nothing stands behind it'
            : `${fault.lines} ${fault.lines === 1 ? 'edge stands' : 'edges stand'} between it and harm`}
        </p>
      )}
      {fault.state === 'open' && <Assigned fault={fault} add={add} ensureVisit={ensureVisit} />}
      {fault.repaired && (
        <p>
          Repair: {fault.repaired.words}{' '}
          <span className="text-faint">({when(fault.repaired.at, fault.repaired.by)})</span>
        </p>
      )}
      {fault.reinspected && (
        <p>
          {fault.reinspected.passes ? 'Re-inspected, in order' : 'Re-inspected, not in order'}{' '}
          <span className="text-faint">({when(fault.reinspected.at, fault.reinspected.by)})</span>
        </p>
      )}
      {fault.state === 'open' && (
        <form onSubmit={repair} className="flex flex-wrap gap-2 pt-1">
          <label className="grow">
            <span className="sr-only">The repair as done</span>
            <input
              placeholder="the repair as done"
              className="min-h-[40px] w-full"
              maxLength={2000}
              value={words}
              onChange={(e) => setWords(e.target.value)}
            />
          </label>
          <button className="act min-h-[40px] max-sm:min-h-[56px]">repaired</button>
        </form>
      )}
      {fault.state === 'repaired' && (
        <p className="flex gap-2 pt-1">
          <button className="act min-h-[40px] max-sm:min-h-[56px]" onClick={() => look(true)}>
            in order, close it
          </button>
          <button className="act min-h-[40px] max-sm:min-h-[56px]" onClick={() => look(false)}>
            not in order
          </button>
        </p>
      )}
    </article>
  );
}

/** Who mends it, and by when: said, or said anew. */
function Assigned({ fault, add, ensureVisit }: { fault: Fault } & Pick<Props, 'add' | 'ensureVisit'>) {
  const [who, setWho] = useState('');
  const [due, setDue] = useState('');
  const late = fault.due !== null && fault.due < new Date().toISOString().slice(0, 10);
  const assign = (event: FormEvent) => {
    event.preventDefault();
    if (who.trim() === '') return;
    add({
      kind: 'fault-assigned',
      visit: ensureVisit(),
      fault: fault.id,
      who: who.trim(),
      ...(due === '' ? {} : { due }),
    });
    setWho('');
    setDue('');
  };
  return (
    <>
      {fault.who !== null && (
        <p className={late ? 'font-bold text-fail' : ''} data-who={fault.who}>
          {fault.who} mends it{fault.due === null ? '' : ` by ${fault.due}`}
          {late ? ', which is past' : ''}
        </p>
      )}
      <details>
        <summary className="cursor-pointer text-faint max-sm:min-h-[44px]">
          {fault.who === null ? 'who mends it, by when' : 'somebody else, another day'}
        </summary>
        <form onSubmit={assign} className="flex flex-wrap items-end gap-2 py-1">
          <label className="grid">
            who
            <input
              name="who"
              className="min-h-[40px]"
              maxLength={200}
              value={who}
              onChange={(e) => setWho(e.target.value)}
            />
          </label>
          <label className="grid">
            by
            <input
              type="date"
              name="due"
              className="min-h-[40px]"
              value={due}
              onChange={(e) => setDue(e.target.value)}
            />
          </label>
          <button className="act min-h-[40px] max-sm:min-h-[56px]">ask them</button>
        </form>
      </details>
    </>
  );
}
