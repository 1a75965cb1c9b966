import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useDocuments, useMe, useProjectId, useSite } from '../../api/hooks';
import { keptWords, useKept } from '../../api/kept';
import { wordsOf } from '../../api/client';
import type { SiteCheck, SiteSheet } from '../../api/types';
import { asked, isLook, readInWords, worstRead } from '../../quantity/asked';
import { show } from '../../quantity/show';
import { ReadingStrip } from '../../drawing/ReadingStrip';
import { SeverityMark, severityColour, severityWord } from '../../ui/severity';
import { Frame } from '../../ui/Frame';
import { found, MOST_SHOWN } from '../../ui/pick';
import { useUnits } from '../../ui/units';
import { CheckScreen } from './CheckScreen';
import { Faults } from './Faults';
import { BringIn, NotSent } from './NotSent';
import type { DraftEvent } from './outbox';
import { useOutbox, type OutboxState } from './useOutbox';
import { useDusk } from './useDusk';
import { useTakenAlong } from './useTakenAlong';
import { stands } from './stands';
import { Where } from './Where';
import { numbersOf, openVisit } from './visit';

/** Narrower than this it is a phone: one column, no rail, no title strip. */
const PHONE = '(max-width: 640px)';

export default function Site() {
  const [phone, setPhone] = useState(window.matchMedia(PHONE).matches);
  useEffect(() => {
    const media = window.matchMedia(PHONE);
    const turn = () => setPhone(media.matches);
    media.addEventListener('change', turn);
    return () => media.removeEventListener('change', turn);
  }, []);
  const outbox = useOutbox();
  if (!outbox) return <p className="p-8 text-faint">opening the sheet …</p>;
  return <SitePage outbox={outbox} phone={phone} />;
}

function SitePage({ outbox, phone }: { outbox: OutboxState; phone: boolean }) {
  const site = useSite();
  const me = useMe().data;
  const { what, check } = useParams();
  const project = useProjectId();
  const navigate = useNavigate();
  const { units: shownIn, setProject } = useUnits();
  const documents = useDocuments();
  const units = documents.data?.brief.content.project.units;
  useEffect(() => {
    if (units) setProject(units);
  }, [units, setProject]);

  const kept = useKept();
  const taken = useTakenAlong(project, site.data, shownIn);
  const [dusk, setDusk] = useDusk();

  // The first reading of another day opens another visit.
  // One that was just opened may be sent already, and not yet be among those that the server told of.
  const opened = useRef<{ id: string; day: string } | null>(null);
  const ensureVisit = () => {
    const now = new Date();
    const day = now.toDateString();
    const id =
      (opened.current?.day === day ? opened.current.id : undefined) ??
      openVisit(site.data?.visits ?? [], outbox.now(), me?.id ?? '', now) ??
      outbox.add({ kind: 'visit' } as DraftEvent);
    opened.current = { id, day };
    return id;
  };

  const waits = outbox.waiting.length;
  const state = (
    <span role="status" data-waiting={waits} className={waits > 0 ? 'font-bold' : ''}>
      {waits > 0 ? `${waits} waiting to send` : 'all sent'}
      {kept !== null ? ` · no signal, as of ${keptWords(kept)}` : navigator.onLine ? '' : ' · no signal'}
    </span>
  );
  const refused = <NotSent outbox={outbox} />;
  const chosen = what === 'check' ? site.data?.checks.find((c) => c.id === check) : undefined;
  const [near, setNear] = useState<string | null>(null);
  const list = site.data && <CheckList site={site.data} near={setNear} />;
  const screen = chosen && site.data && (
    <CheckScreen
      key={chosen.id}
      check={chosen}
      checks={site.data.checks}
      waiting={outbox.waiting.filter((e) => e.kind === 'reading' && e.check === chosen.id)}
      photographs={site.data.photographs.filter((p) => p.check === chosen.id)}
      waitingPictures={outbox.waiting.filter((e) => e.kind === 'photograph' && e.check === chosen.id).length}
      add={outbox.add}
      ensureVisit={ensureVisit}
      state={state}
      phone={phone}
      go={(id) => navigate(id ? `/p/${project}/site/check/${encodeURIComponent(id)}` : `/p/${project}/site`)}
    />
  );
  const faults = what === 'faults' && site.data && (
    <Faults site={site.data} add={outbox.add} ensureVisit={ensureVisit} />
  );

  if (phone) {
    return (
      <div
        className="min-h-screen bg-white pb-24 text-[16px] text-black"
        data-mode="site"
        data-palette={dusk ? 'dusk' : 'sun'}
      >
        {screen ?? (
          <div className="px-[18px] py-3">
            <p className="mb-2 flex justify-between border-b-2 border-black pb-2 text-[14px]">
              <b>Site</b>
              {state}
            </p>
            {refused}
            <nav className="mb-3 grid grid-cols-2 gap-2">
              <Link className="act grid min-h-[56px] place-items-center" to={`/p/${project}/site`}>
                checks
              </Link>
              <Link className="act grid min-h-[56px] place-items-center" to={`/p/${project}/site/faults`}>
                faults · {site.data?.faults.filter((f) => f.state !== 'closed').length ?? 0}
              </Link>
            </nav>
            {faults || list}
            {!faults && <Orphans site={site.data} />}
            <BringIn outbox={outbox} />
            <p className="flex items-center justify-between gap-2 border-t border-hair pt-3 text-[14px]">
              {taken && (
                <span role="status" data-taken={taken.here} data-taken-of={taken.of}>
                  {taken.here < taken.of
                    ? `${taken.here} of ${taken.of} sheets taken along`
                    : `all ${taken.of} sheets are on this phone`}
                </span>
              )}
              <button className="act min-h-[56px]" aria-pressed={dusk} onClick={() => setDusk(!dusk)}>
                {dusk ? 'for the sun' : 'for the dusk'}
              </button>
            </p>
          </div>
        )}
      </div>
    );
  }
  return (
    <Frame
      sheet="8 Site"
      reckoning={
        <>
          <h2 className="pb-1 text-[15px] font-bold">{chosen ? chosen.title : 'Visits'}</h2>
          {state}
          {refused}
          {chosen ? (
            <Readings check={chosen} />
          ) : (
            <ul>
              {site.data?.visits.map((v) => (
                <li key={v.id} className="border-t border-hair py-1">
                  {v.at.slice(0, 10)} · {v.by}
                  {v.words ? ` · ${v.words}` : ''}
                </li>
              ))}
            </ul>
          )}
          {!chosen && <BringIn outbox={outbox} />}
        </>
      }
    >
      <div className="px-8 py-4">
        <h1 className="mb-2 flex gap-5 text-lg font-bold">
          Site{' '}
          <span className="text-[13px] font-normal">
            <Link className="link" to={`/p/${project}/site`}>
              checks
            </Link>{' '}
            ·{' '}
            <Link className="link" to={`/p/${project}/site/faults`}>
              faults
            </Link>
          </span>
        </h1>
        {site.isError && (
          <p role="alert" className="text-fail">
            {wordsOf(site.error)}
          </p>
        )}
        {screen ? (
          <div className="mx-auto max-w-[26rem] border border-ink">{screen}</div>
        ) : (
          faults ||
          (site.data && site.data.checks.length > 0 ? (
            <div className="grid grid-cols-[minmax(0,1fr)_25rem] gap-6">
              <Where
                check={
                  site.data.checks.find((c) => c.id === near) ??
                  site.data.checks.find((c) => c.verdict.severity !== null && c.verdict.severity !== 'pass') ??
                  site.data.checks[0]
                }
              />
              <div>{list}</div>
            </div>
          ) : (
            list
          ))
        )}
        {!screen && !faults && <Orphans site={site.data} />}
      </div>
    </Frame>
  );
}

/** Readings of checks that are no longer made: the detail was changed or taken out, the evidence stays. */
function Orphans({ site }: { site: SiteSheet | undefined }) {
  const { units } = useUnits();
  if (!site || site.orphans.length === 0) return null;
  return (
    <section className="mb-4" data-orphans={site.orphans.length}>
      <h2 className="border-b border-ink font-bold">Read of checks that are gone</h2>
      {site.orphans.map((gone) => (
        <div key={gone.check} className="border-b border-hair py-1">
          <p>
            {gone.title} <span className="text-faint">{gone.check}</span>
          </p>
          <ul>
            {gone.readings.map((r) => (
              <li key={r.id}>
                <SeverityMark severity={r.severity_of} /> {readingWords(r, units)}{' '}
                <span className="text-faint">
                  {r.at.slice(0, 10)}, {r.by}
                </span>
              </li>
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
}

/** A reading as it was typed, or what was seen of a look. */
function readingWords(r: SiteCheck['readings'][number], units: 'si' | 'us'): string {
  return (
    r.typed ??
    (r.value_mm === undefined
      ? r.holds
        ? 'as it should be'
        : 'not as it should be'
      : show(r.value_mm, 'length', units))
  );
}

/** So many checks are looked through by eye. */
const MANY = 12;

function CheckList({ site, near }: { site: SiteSheet; near: (check: string) => void }) {
  const { units } = useUnits();
  const project = useProjectId();
  const [words, setWords] = useState('');
  const [open, setOpen] = useState(false);
  const wanted = found(
    site.checks.map((c) => ({ id: c.id, text: `${c.detail} ${c.detail_title} ${c.title}`, check: c })),
    words,
  )
    .map((row) => row.check)
    .filter((c) => !open || c.verdict.severity !== 'pass');
  const most = wanted.slice(0, MOST_SHOWN);
  const details = [...new Set(most.map((c) => c.detail))];
  if (site.checks.length === 0)
    return (
      <p className="max-w-[40rem] text-[15px]">
        No checks yet: they are made from the assemblies and the sequences. Build a wall in step 3 or an opening in step
        5, and its laps, gaps, upturns and looks appear here.
      </p>
    );
  return (
    <>
      {site.checks.length > MANY && (
        <p className="flex flex-wrap items-center gap-x-4 pb-2">
          <input
            aria-label="Find a check"
            className="w-[12rem] max-sm:min-h-[48px]"
            placeholder="o4, upturn …"
            value={words}
            onChange={(e) => setWords(e.target.value)}
          />
          <label className="max-sm:min-h-[48px]">
            <input type="checkbox" checked={open} onChange={(e) => setOpen(e.target.checked)} /> only what does not pass
            yet
          </label>
          <span className="text-faint">
            {wanted.length} of {site.checks.length}
          </span>
        </p>
      )}
      {details.map((id) => {
        const checks = most.filter((c) => c.detail === id);
        return (
          <section key={id} className="mb-4">
            <h2 className="border-b border-ink font-bold">
              {checks[0]?.detail_title}{' '}
              <span className="font-normal text-faint">
                {checks.filter((c) => c.verdict.count > 0).length} of {checks.length} read
              </span>
            </h2>
            {checks.map((c) => (
              <Link
                key={c.id}
                to={`/p/${project}/site/check/${encodeURIComponent(c.id)}`}
                data-check={c.id}
                onMouseEnter={() => near(c.id)}
                onFocus={() => near(c.id)}
                className="flex min-h-[34px] items-center gap-3 border-b border-hair py-1 max-sm:min-h-[56px]"
              >
                <span className="w-5 shrink-0">
                  {c.verdict.severity && <SeverityMark severity={c.verdict.severity} />}
                </span>
                <span className="grow">
                  {c.title}
                  <span className={c.missed ? 'font-semibold text-caution' : 'text-faint'}> · {stands(c)}</span>
                </span>
                <span
                  className={`whitespace-nowrap font-semibold ${c.verdict.severity ? severityColour(c.verdict.severity) : 'text-faint'}`}
                >
                  {reading(c, units)}
                </span>
              </Link>
            ))}
          </section>
        );
      })}
      {wanted.length > most.length && (
        <p className="text-faint">{wanted.length - most.length} more: find them by opening or words.</p>
      )}
    </>
  );
}

function reading(check: SiteCheck, units: 'si' | 'us'): string {
  if (check.verdict.count === 0) return asked(check, units);
  const worst = worstRead(check, check.verdict);
  return worst === null
    ? check.verdict.severity === 'pass'
      ? 'as it should be'
      : 'not as it should be'
    : `${show(worst, 'length', units)} / ${asked(check, units)}`;
}

function Readings({ check }: { check: SiteCheck }) {
  const { units } = useUnits();
  const { verdict } = check;
  return (
    <>
      {verdict.count > 0 && (
        <p className="py-1">{verdict.least_mm === null ? `${verdict.count} looked` : readInWords(verdict, units)}</p>
      )}
      {!isLook(check) && check.readings.length > 0 && (
        <ReadingStrip asks={check} readings={numbersOf(check.readings)} units={units} />
      )}
      <ul>
        {check.readings.map((r) => (
          <li key={r.id} className="border-t border-hair py-1">
            <span className={severityColour(r.severity_of)}>
              <SeverityMark severity={r.severity_of} />{' '}
              {r.typed ??
                (r.value_mm === undefined
                  ? r.holds
                    ? 'as it should be'
                    : 'not as it should be'
                  : show(r.value_mm, 'length', units))}
            </span>{' '}
            <span className="text-faint">
              {severityWord(r.severity_of)} · {r.by} · {r.at.slice(0, 16).replace('T', ' ')}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}
