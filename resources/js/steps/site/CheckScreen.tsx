import { stands } from './stands';
import { useRef, useState, type ReactNode } from 'react';
import { useSequence } from '../../api/hooks';
import type { Check, SiteCheck, SiteEvent } from '../../api/types';
import { ReadingStrip } from '../../drawing/ReadingStrip';
import { Measured } from '../../drawing/unfolded/Measured';
import { Unfolded } from '../../drawing/unfolded/Unfolded';
import { asked, askedInWords, isLook, type Asks } from '../../quantity/asked';
import { readQuantity } from '../../quantity/read';
import { show } from '../../quantity/show';
import { SeverityMark, severityColour, severityWord } from '../../ui/severity';
import { useUnits } from '../../ui/units';
import { instrumentFor, keepInstrument, type Instrument } from './instrument';
import { judge, raisesFault } from './judge';
import { MarkPicture } from './MarkPicture';
import type { Waiting } from './phone';
import type { OutboxState } from './useOutbox';
import { smaller } from './picture';
import { lastStanding, numbersOf } from './visit';

interface Props {
  check: SiteCheck;
  checks: SiteCheck[];
  /** readings of it that wait to be sent */
  waiting: Waiting[];
  photographs: SiteEvent[];
  /** photographs of it that wait on this phone */
  waitingPictures: number;
  add: OutboxState['add'];
  ensureVisit: () => string;
  go: (check: string | null) => void;
  state: ReactNode;
  phone: boolean;
}

/** A film is read in mil or µm off its gauge, a lap in inches or mm off a rule. */
const unitKeys = (film: boolean) => (film ? ['mil', 'um'] : ['in', 'mm']);
const FILM_KEYS: Record<string, string | undefined> = { in: 'mil', mm: 'um' };
const KEYS = ['7', '8', '9', '⌫', '4', '5', '6', '/', '1', '2', '3', 'in', '.', '0', '-', 'mm'];

/** One check at arm's length, in gloves: what to measure, where, the number, its band, and on to the next. */
export function CheckScreen({
  check,
  checks,
  waiting,
  photographs,
  waitingPictures,
  add,
  ensureVisit,
  go,
  state,
  phone,
}: Props) {
  const { units } = useUnits();
  const look = isLook(check);
  const sequence = useSequence(check.of === 'detail' ? check.detail : undefined);
  const [typed, setTyped] = useState('');
  const [looked, setLooked] = useState<boolean | null>(null);
  // Named when the box is ticked: another reading may be on its way, or have arrived, before this one is kept.
  const [corrects, setCorrects] = useState<string | null>(null);
  const camera = useRef<HTMLInputElement>(null);
  const [taken, setTaken] = useState<Blob | null>(null);
  const [instrument, setInstrument] = useState(() => instrumentFor(check.instrument));
  const at = checks.findIndex((c) => c.id === check.id);
  const next = checks[at + 1]?.id ?? null;
  // Of a film a bare number is in mil or µm, never in inches.
  const bare = check.film && /^[\d.,]+$/.test(typed.trim());
  const read =
    typed === '' ? null : readQuantity(bare ? `${typed} ${units === 'us' ? 'mil' : 'um'}` : typed, 'length', units);
  const value = read && 'value' in read ? read.value : null;
  const verdict = look
    ? looked === null
      ? null
      : looked
        ? 'pass'
        : 'fail'
    : value === null
      ? null
      : judge(value, check);
  const standing = [...check.readings, ...waiting.filter((w) => !check.readings.some((r) => r.id === w.id))];
  const last = lastStanding(standing);
  const lastSeverity = last && ('severity_of' in last ? (last as SiteCheck['readings'][number]).severity_of : null);

  const press = (key: string) =>
    setTyped((t) =>
      key === '⌫'
        ? t.replace(/ ?(mm|in|mil|um)$| ?.$/, '')
        : unitKeys(check.film).includes(key)
          ? `${t.replace(/ ?(mm|in|mil|um)$/, '')} ${key}`
          : (t.replace(/ ?(mm|in|mil|um)$/, '') + key).slice(0, 12),
    );
  const readWith = (next: Instrument) => {
    setInstrument(next);
    keepInstrument(check.instrument, next);
  };
  const keep = () => {
    if (look ? looked === null : value === null) {
      go(next);
      return;
    }
    add({
      kind: 'reading',
      visit: ensureVisit(),
      check: check.id,
      ...(look
        ? { holds: looked === true }
        : { value_mm: Math.round((value ?? 0) * 1000) / 1000, typed: typed.trim() }),
      ...(instrument.name.trim() === '' ? {} : { instrument: instrument.name.trim() }),
      ...(instrument.calibrated === '' ? {} : { calibrated: instrument.calibrated }),
      ...(corrects !== null ? { supersedes: corrects } : {}),
      asked: check.asked,
    });
    if (raisesFault(verdict, check.readings)) {
      add({
        kind: 'fault-raised',
        visit: ensureVisit(),
        check: check.id,
        severity: verdict ?? 'caution',
        words: look
          ? `${check.title}: not as it should be`
          : `${check.title}: ${typed.trim()}; asked ${asked(check, units)}`,
      });
    }
    go(next);
  };
  // It is kept on the phone first, and goes up when something answers.
  const photograph = async (file: File | undefined) => {
    if (!file) return;
    setTaken(await smaller(file));
    if (camera.current) camera.current.value = '';
  };

  return (
    <div className="text-[16px] text-black" data-check-screen={check.id}>
      {taken && (
        <MarkPicture
          picture={taken}
          keep={(marks) => {
            const marked = marks.length > 0 ? { marks } : {};
            add({ kind: 'photograph', visit: ensureVisit(), check: check.id, ...marked }, taken);
            setTaken(null);
          }}
          drop={() => setTaken(null)}
        />
      )}
      <p className="flex justify-between border-b-2 border-black px-[18px] py-[10px] text-[13px]">
        <b>
          {check.detail} · {stands(check)}
        </b>
        {state}
      </p>
      <div className="px-[18px]">
        <h1 className="pt-2 text-[22px] leading-tight font-bold">{check.title}</h1>
        <p className="py-1 text-[14px] leading-snug">
          {look
            ? check.reason
            : `${askedInWords(check, units)}${check.drawn_mm === null ? '' : `; drawn ${show(check.drawn_mm, 'length', units)}`}. ${check.reason}`}
        </p>
        <details className="text-[14px]">
          <summary className="min-h-[32px] cursor-pointer">
            {standing.length} of {check.wanted} read
            {instrument.name === '' ? '' : `, with ${instrument.name}`}
            {instrument.calibrated === '' ? '' : `, calibrated ${instrument.calibrated}`}
          </summary>
          <p className="grid grid-cols-2 gap-2 pb-2">
            <label className="grid">
              instrument
              <input
                className="min-h-[44px] min-w-0"
                maxLength={200}
                value={instrument.name}
                onChange={(e) => readWith({ ...instrument, name: e.target.value })}
              />
            </label>
            <label className="grid">
              calibrated on
              <input
                type="date"
                className="min-h-[44px] min-w-0"
                value={instrument.calibrated}
                onChange={(e) => readWith({ ...instrument, calibrated: e.target.value })}
              />
            </label>
          </p>
        </details>
        {sequence.data && (
          <div className="h-[118px] border border-black">
            <Unfolded
              sheet={sequence.data}
              step={check.step}
              units={units}
              window={windowOn(check, sequence.data.detail.opening)}
            >
              {check.measured && <Measured measured={check.measured} />}
            </Unfolded>
          </div>
        )}
        {look ? (
          <div className="grid grid-cols-2 gap-2 py-3">
            {([true, false] as const).map((v) => (
              <button
                key={String(v)}
                aria-pressed={looked === v}
                className={`min-h-[64px] border-2 border-black text-center text-[17px] font-bold ${looked === v ? 'bg-black text-white' : 'bg-white'}`}
                onClick={() => setLooked(v)}
              >
                {v ? 'as it should be' : 'not so'}
              </button>
            ))}
          </div>
        ) : (
          <>
            <input
              aria-label="Reading"
              className="mt-1 w-full border-0 bg-transparent text-center text-[52px] leading-none font-bold outline-offset-0"
              inputMode={phone ? 'none' : 'text'}
              placeholder="–"
              value={typed}
              onChange={(e) => setTyped(e.target.value)}
              onKeyDown={(e) => {
                if (e.key === 'Enter') keep();
              }}
            />
            <ReadingStrip asks={check} readings={numbersOf(standing)} value={value} units={units} />
          </>
        )}
        <p
          className={`min-h-[24px] text-[15px] font-bold ${verdict ? severityColour(verdict) : ''}`}
          role="status"
          data-verdict={verdict ?? ''}
        >
          {verdict && (
            <>
              <SeverityMark severity={verdict} size={14} /> {severityWord(verdict)}
              {value === null ? '' : offBy(value, check, units)}
              {verdict === 'pass' ? '' : `: ${check.when_failing}`}
            </>
          )}
          {!verdict && typed !== '' && read && 'why' in read && (
            <span className="text-[13px] text-fail">{read.why}</span>
          )}
          {!verdict && typed === '' && last && (
            <span className="text-[13px] font-normal">
              last:{' '}
              {last.typed ??
                (last.value_mm === undefined
                  ? last.holds
                    ? 'as it should be'
                    : 'not so'
                  : show(last.value_mm, 'length', units))}
              , {lastSeverity ? severityWord(lastSeverity).toLowerCase() : 'waiting to be sent'}
              {'by' in last ? `, ${String(last.by)}` : ''}
            </span>
          )}
        </p>
        {last && (
          <label className="flex min-h-[28px] items-center gap-2 text-[13px]">
            <input
              type="checkbox"
              className="h-5 w-5"
              checked={corrects !== null}
              onChange={(e) => setCorrects(e.target.checked ? last.id : null)}
            />
            corrects the last reading, which stays in the record
          </label>
        )}
        {!look && (
          <div className="grid grid-cols-4 gap-[8px] pb-2">
            {KEYS.map((k) => (check.film ? (FILM_KEYS[k] ?? k) : k)).map((key) => (
              <button
                key={key}
                aria-label={key === '⌫' ? 'delete' : key}
                className={`min-h-[58px] border-2 border-black text-center text-[22px] font-bold ${key === unitKeys(check.film)[units === 'si' ? 1 : 0] ? 'bg-black text-white' : 'bg-white'}`}
                onClick={() => press(key)}
              >
                {key === 'um' ? 'µm' : key}
              </button>
            ))}
          </div>
        )}
      </div>
      <input
        ref={camera}
        type="file"
        name="photograph"
        aria-label="Photograph"
        accept="image/jpeg,image/png,image/webp"
        capture="environment"
        className="sr-only"
        onChange={(e) => void photograph(e.target.files?.[0])}
      />
      <div
        className={`${phone ? 'fixed inset-x-0 bottom-0' : ''} grid min-h-[72px] grid-cols-[72px_1fr_1.35fr] border-t-2 border-black bg-white`}
      >
        <button
          aria-label="Back to the list"
          className="border-r-2 border-black text-center text-[20px] font-bold"
          onClick={() => go(null)}
        >
          ‹
        </button>
        <button className="text-center text-[16px] font-bold" onClick={() => camera.current?.click()}>
          photo · {photographs.length + waitingPictures}
        </button>
        <button className="bg-black text-center text-[16px] font-bold text-white" onClick={keep}>
          {(look ? looked === null : value === null) ? 'next' : 'keep, next'}
        </button>
      </div>
    </div>
  );
}

/** How far a reading is off its bounds, in words. */
function offBy(value: number, { least_mm, most_mm }: Asks, units: 'si' | 'us'): string {
  if (least_mm !== null && value < least_mm) return `, ${show(least_mm - value, 'length', units)} short`;
  return most_mm !== null && value > most_mm ? `, ${show(value - most_mm, 'length', units)} too much` : '';
}

/** The part of the face to show: round what is measured, in the shape of the sketch. */
function windowOn(
  check: Check,
  opening: { width_mm: number; height_mm: number; margin_mm: number } | undefined,
): [number, number, number, number] {
  const W = opening?.width_mm ?? 1000;
  const H = opening?.height_mm ?? 1000;
  const m = check.measured;
  let [u, v] = [W / 2, 0];
  if (m) {
    [u, v] = [((m.from[0] ?? 0) + (m.to[0] ?? 0)) / 2, ((m.from[1] ?? 0) + (m.to[1] ?? 0)) / 2];
    if (m.facet === 'jamb-right') u = W - u;
  } else if (check.place === 'left') u = 0;
  else if (check.place === 'right') u = W;
  const half = 300;
  const tall = 100;
  const limit = (centre: number, reach: number, low: number, high: number) =>
    Math.max(low + reach, Math.min(high - reach, centre));
  const M = opening?.margin_mm ?? 500;
  const [cu, cv] = [limit(u, half, -M, W + M), limit(v, tall, -M, H + M)];
  return [cu - half, cv - tall, cu + half, cv + tall];
}
