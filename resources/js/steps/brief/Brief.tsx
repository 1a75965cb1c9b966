import { useEffect, useState } from 'react';
import { useClimates, useSchools, useDocuments, useProjectId } from '../../api/hooks';
import { post, Refused } from '../../api/client';
import type { Assessment, BriefContent, Climate, Doc, IndoorAir, ReadClimate } from '../../api/types';
import { MONTHS, monthX, YEAR, YearChart } from '../../drawing/YearChart';
import { Frame } from '../../ui/Frame';
import { useKeys } from '../../ui/keys';
import { QuantityField } from '../../ui/QuantityField';
import { SaveState } from '../../ui/SaveState';
import { useDraft } from '../../ui/useDraft';
import { useUnits } from '../../ui/units';

export default function Brief() {
  const documents = useDocuments();
  if (!documents.data) return <Frame sheet="1 Brief" reckoning={null}>{null}</Frame>;
  return <BriefSheet key={documents.data.id} doc={documents.data.brief as Doc<BriefContent>} mayEdit={documents.data.may_edit} />;
}

function BriefSheet({ doc, mayEdit }: { doc: Doc<BriefContent>; mayEdit: boolean }) {
  const draft = useDraft(doc, mayEdit);
  const project = useProjectId();
  const { units } = useUnits();
  const climates = useClimates();
  const schools = useSchools();
  const brief = draft.content;
  const [year, setYear] = useState<NonNullable<Assessment['climate']>['months']>();
  const [why, setWhy] = useState<string | null>(null);
  useKeys({ undo: draft.undo, redo: draft.redo });

  useEffect(() => {
    const stop = new AbortController();
    post<Assessment>(`/projects/${project}/assess`, { kind: 'brief', content: brief, units }, stop.signal)
      .then((answer) => { setYear(answer.climate?.months); setWhy(null); })
      .catch((error: unknown) => { if (error instanceof Refused) setWhy(error.message); });
    return () => stop.abort();
  }, [brief, project, units]);

  const set = (part: Partial<BriefContent>) => draft.change({ ...brief, ...part });
  const indoor = brief.indoor;
  return (
    <Frame
      sheet="1 Brief"
      reckoning={
        <>
          <h2 className="mb-1 text-[15px] font-bold">Indoor air</h2>
          <Indoor indoor={indoor} mayEdit={mayEdit} change={(next) => set({ indoor: next })} />
          {why && <p role="alert" className="my-2 whitespace-pre-line text-fail">{why}</p>}
          <h2 className="mt-3 mb-1 border-t border-hair pt-2 text-[15px] font-bold">Wind and rain</h2>
          <QuantityField label="Wind’s push on the walls" dimension="pressure" value={brief.project.wind_pressure_pa} least={1} most={5000} disabled={!mayEdit} width="6rem" onChange={(pa) => set({ project: { ...brief.project, wind_pressure_pa: pa } })} />
          <p className="text-faint">It settles how high water is held at a sill. Take it from the designer of the structure or the code.</p>
          <h2 className="mt-3 mb-1 border-t border-hair pt-2 text-[15px] font-bold">Zone</h2>
          <label className="mb-1 flex justify-between gap-2"><span className="text-faint">climate zone, for the code tables</span>
            <select aria-label="Climate zone" value={brief.climate?.zone ?? ''} disabled={!mayEdit || !brief.climate} onChange={(e) => { if (brief.climate) { const climate: Climate = { ...brief.climate, zone: e.target.value }; if (e.target.value === '') delete climate.zone; set({ climate }); } }}>
              <option value="">not said</option>{ZONES.map((z) => <option key={z}>{z}</option>)}
            </select>
          </label>
          {brief.climate && <a className="link text-faint" href={`/api/projects/${project}/hours.csv?seed=1`}>a year of hours made from these months, as CSV</a>}
          <h2 className="mt-3 mb-1 border-t border-hair pt-2 text-[15px] font-bold">Sheet</h2>
          <SaveState {...draft} mayEdit={mayEdit} />
        </>
      }
    >
      <div className="px-8 py-5">
        <div className="mb-3 flex flex-wrap items-end gap-x-6 gap-y-2">
          <label className="grid grow"><span className="text-faint">Project</span><input className="text-[17px] font-bold" value={brief.project.name} disabled={!mayEdit} maxLength={200} onChange={(e) => { if (e.target.value.trim() !== '') set({ project: { ...brief.project, name: e.target.value } }); }} /></label>
          <label className="grid"><span className="text-faint">Units</span><select value={brief.project.units} disabled={!mayEdit} onChange={(e) => set({ project: { ...brief.project, units: e.target.value as 'si' | 'us' } })}><option value="si">mm, °C, W/m²K</option><option value="us">in, °F, R</option></select></label>
          <label className="grid"><span className="text-faint">Climate</span>
            <select aria-label="Climate" value={brief.climate?.name ?? ''} disabled={!mayEdit} onChange={(e) => { const chosen = climates.data?.find((c) => c.name === e.target.value); if (chosen) set({ climate: chosen }); }}>
              {brief.climate === undefined && <option value="">choose one</option>}
              {brief.climate && !climates.data?.some((c) => c.name === brief.climate?.name) && <option>{brief.climate.name}</option>}
              {climates.data?.map((c) => <option key={c.name}>{c.name}</option>)}
            </select>
          </label>
          <ClimateFile mayEdit={mayEdit} taken={(climate) => set({ climate })} />
        </div>
        {brief.climate
          ? <><YearChart climate={brief.climate} months={year} units={units} /><MonthTable climate={brief.climate} mayEdit={mayEdit} change={(climate) => set({ climate })} /></>
          : <p className="max-w-[40rem] py-6 text-[15px]">No climate yet. Choose one of the seven made-up climates above, or read your own from an EPW weather file or a table of twelve months; its months can then be typed over or pasted into.</p>}
        <section className="mt-5 border-t border-ink pt-2">
          <h2 className="text-[15px] font-bold">Schools</h2>
          <p className="mb-2 text-[12px] text-faint">Where good practitioners disagree, this project does it so. What an opening states itself wins.</p>
          <div className="grid grid-cols-[repeat(auto-fill,minmax(14rem,1fr))] gap-x-6 gap-y-2">
            {schools.data?.map((s) => {
              const answer = (brief.project.schools as Record<string, string> | undefined)?.[s.question] ?? s.of[0]?.value;
              return (
                <label key={s.question} className="grid min-w-0 content-start"><span className="text-faint">{s.title}</span>
                  <select aria-label={s.title} className="w-full min-w-0" value={answer} disabled={!mayEdit} onChange={(e) => set({ project: { ...brief.project, schools: { ...brief.project.schools, [s.question]: e.target.value } } })}>{s.of.map((o) => <option key={o.value} value={o.value}>{o.title}</option>)}</select>
                  <span className="text-[11px] leading-tight text-faint">{s.why}</span>
                </label>
              );
            })}
          </div>
        </section>
      </div>
    </Frame>
  );
}

const ZONES = ['1A', '1B', '2A', '2B', '3A', '3B', '3C', '4A', '4B', '4C', '5A', '5B', '5C', '6A', '6B', '7', '8'];

/** A weather file or a table of months taken over as the project's climate; a damaged one is refused with its line. */
function ClimateFile({ mayEdit, taken }: { mayEdit: boolean; taken: (climate: Climate) => void }) {
  const project = useProjectId();
  const [said, setSaid] = useState<{ words: string; bad: boolean } | null>(null);
  if (!mayEdit) return null;
  const send = async (file: File) => {
    setSaid({ words: `reading ${file.name} …`, bad: false });
    const form = new FormData();
    form.append('file', file);
    try {
      const answer = await post<ReadClimate>(`/projects/${project}/climate`, form);
      taken(answer.climate);
      const rain = answer.driving_rain_mm;
      setSaid({ words: answer.hours > 0 ? `${answer.hours} hours read; zone ${answer.climate.zone ?? 'not known'} by degree days, check it.${rain && Object.values(rain).every((v) => v !== null) ? ` Driving rain in a year, mm: ${Object.entries(rain).map(([side, v]) => `${side} ${Math.round(v ?? 0)}`).join(', ')}.` : ' No rain in it.'}` : 'Twelve months read.', bad: false });
    } catch (error) {
      setSaid({ words: error instanceof Refused ? `${file.name}: ${error.message}` : 'The server does not answer.', bad: true });
    }
  };
  return (
    <div>
      <label className="act inline-block">from a file<input type="file" className="sr-only" accept=".epw,.csv,.txt,text/csv,text/plain" aria-label="Climate from a file" onChange={(e) => { const file = e.target.files?.[0]; if (file) void send(file); e.target.value = ''; }} /></label>
      {said && <p role={said.bad ? 'alert' : 'status'} className={`max-w-[26rem] pt-1 text-[12px] ${said.bad ? 'text-fail' : 'text-faint'}`} data-said="climate">{said.words}</p>}
    </div>
  );
}

function Indoor({ indoor, mayEdit, change }: { indoor: IndoorAir | undefined; mayEdit: boolean; change: (indoor: IndoorAir) => void }) {
  const kind = indoor?.kind ?? '';
  const celsius = indoor && 'temperature_c' in indoor ? indoor.temperature_c : 20;
  return (
    <>
      <label className="mb-2 grid"><span className="text-faint">How it is given</span>
        <select aria-label="Indoor air" value={kind} disabled={!mayEdit} onChange={(e) => change(e.target.value === 'fixed' ? { kind: 'fixed', temperature_c: celsius, rh_pct: 40 } : e.target.value === 'moisture-production' ? { kind: 'moisture-production', temperature_c: celsius, production_kg_day: 8, volume_m3: 300, air_changes_h: 0.35 } : { kind: 'humidity-class', class: 3, temperature_c: celsius, margin: 1 })}>
          {kind === '' && <option value="">choose one</option>}
          {kind === 'monthly' && <option value="monthly">twelve months, from the file</option>}
          <option value="fixed">one temperature and humidity</option>
          <option value="humidity-class">humidity class, ISO 13788</option>
          <option value="moisture-production">moisture given off, and ventilation</option>
        </select>
      </label>
      {indoor && indoor.kind !== 'monthly' && <QuantityField label="Temperature" dimension="temperature" value={indoor.temperature_c} least={-30} most={50} disabled={!mayEdit} onChange={(v) => change({ ...indoor, temperature_c: v })} />}
      {indoor?.kind === 'fixed' && <QuantityField label="Humidity" dimension="percent" value={indoor.rh_pct} least={1} most={100} disabled={!mayEdit} onChange={(v) => change({ ...indoor, rh_pct: v })} />}
      {indoor?.kind === 'moisture-production' && ([['production_kg_day', 'kg of water a day', 0], ['volume_m3', 'm³ of air', 1], ['air_changes_h', 'air changes an hour', 0.01]] as const).map(([name, label, least]) => (
        <label key={name} className="flex justify-between gap-2"><span className="text-faint">{label}</span><input type="number" step="any" min={least} className="w-[6rem]" value={indoor[name]} disabled={!mayEdit} onChange={(e) => { const v = Number(e.target.value); if (e.target.value !== '' && v >= least) change({ ...indoor, [name]: v }); }} /></label>
      ))}
      {indoor?.kind === 'humidity-class' && <label className="grid"><span className="text-faint">Class</span><select value={indoor.class} disabled={!mayEdit} onChange={(e) => change({ ...indoor, class: Number(e.target.value) })}>{['1 · store', '2 · office, shop', '3 · dwelling, low occupancy', '4 · dwelling, high occupancy', '5 · pool, laundry, kitchen'].map((name, i) => <option key={name} value={i + 1}>{name}</option>)}</select></label>}
    </>
  );
}

/** The twelve months under the chart, each under its place on it; twelve numbers can be pasted into a row. */
function MonthTable({ climate, mayEdit, change }: { climate: Climate; mayEdit: boolean; change: (climate: Climate) => void }) {
  const { units } = useUnits();
  const shown = (c: number) => (units === 'si' ? c : c * 1.8 + 32);
  const stored = (v: number) => (units === 'si' ? v : (v - 32) / 1.8);
  const setMonths = (key: 'mean_c' | 'rh_pct', from: number, values: number[]) => change({ ...climate, name: climate.name.includes('edited') ? climate.name : `${climate.name}, edited`, months: climate.months.map((m, i) => (i >= from && values[i - from] !== undefined ? { ...m, [key]: key === 'mean_c' ? stored(values[i - from] as number) : values[i - from] } : m)) });
  const row = (key: 'mean_c' | 'rh_pct', label: string) => (
    <div className="relative h-7">
      <span className="absolute left-0 text-[11px] text-faint">{label}</span>
      {climate.months.map((month, i) => (
        <MonthCell
          key={i} label={`${label} ${MONTHS[i]}`} left={`${((monthX(i) - 26) / YEAR.width) * 100}%`} width={`${(52 / YEAR.width) * 100}%`} disabled={!mayEdit}
          value={key === 'mean_c' ? shown(month.mean_c) : month.rh_pct} least={key === 'mean_c' ? shown(-70) : 1} most={key === 'mean_c' ? shown(60) : 100}
          change={(values) => setMonths(key, i, values)}
        />
      ))}
    </div>
  );
  return (
    <div className="mt-1">
      {row('mean_c', units === 'si' ? '°C' : '°F')}
      {row('rh_pct', '% RH')}
    </div>
  );
}

function MonthCell({ label, left, width, value, least, most, disabled, change }: { label: string; left: string; width: string; value: number; least: number; most: number; disabled: boolean; change: (values: number[]) => void }) {
  const [text, setText] = useState<string | null>(null);
  const number = text === null ? value : Number(text.replace('−', '-').replace(',', '.'));
  const bad = text !== null && (text.trim() === '' || !Number.isFinite(number) || number < least || number > most);
  return (
    <input
      aria-label={label} aria-invalid={bad} title={bad ? `a number from ${least} to ${most}` : undefined} disabled={disabled} style={{ left, width }} className="absolute px-1 text-center"
      value={text ?? String(Math.round(value * 10) / 10).replace('-', '−')}
      onChange={(e) => { setText(e.target.value); const n = Number(e.target.value.replace('−', '-').replace(',', '.')); if (e.target.value.trim() !== '' && Number.isFinite(n) && n >= least && n <= most) change([n]); }}
      onPaste={(e) => {
        const values = e.clipboardData.getData('text').trim().split(/[\s;]+/).map((v) => Number(v.replace('−', '-').replace(',', '.')));
        if (values.length > 1 && values.every((v) => Number.isFinite(v) && v >= least && v <= most)) { e.preventDefault(); change(values); }
      }}
      onBlur={() => { if (!bad) setText(null); }}
    />
  );
}
