import { useClimates, useDocuments, useProjectId } from '../../api/hooks';
import { wordsOf } from '../../api/client';
import { address } from '../../api/paths';
import { useLive } from '../../api/live';
import type { BriefContent, Climate, Doc } from '../../api/types';
import { YearChart } from '../../drawing/YearChart';
import { Frame } from '../../ui/Frame';
import { useKeys } from '../../ui/keys';
import { Old } from '../../ui/Old';
import { QuantityField } from '../../ui/QuantityField';
import { SaveState } from '../../ui/SaveState';
import { useDraft } from '../../ui/useDraft';
import { useUnits } from '../../ui/units';
import { ClimateFile } from './ClimateFile';
import { FirstMinute } from './FirstMinute';
import { AirTarget } from './AirTarget';
import { Indoor } from './Indoor';
import { MonthTable } from './MonthTable';
import { Removed } from './Removed';
import { Schools } from './Schools';
import { ZONES } from '../../material/starts';

export default function Brief() {
  const documents = useDocuments();
  if (!documents.data) {
    return (
      <Frame sheet="1 Brief" reckoning={null}>
        {documents.isError && (
          <p role="alert" className="p-8 text-fail">
            {wordsOf(documents.error)}
          </p>
        )}
      </Frame>
    );
  }
  return (
    <BriefSheet
      key={documents.data.id}
      doc={documents.data.brief as Doc<BriefContent>}
      mayEdit={documents.data.may_edit}
    />
  );
}

function BriefSheet({ doc, mayEdit }: { doc: Doc<BriefContent>; mayEdit: boolean }) {
  const draft = useDraft(doc, mayEdit);
  const project = useProjectId();
  const { units } = useUnits();
  const brief = draft.content;
  const live = useLive({
    path: address('/api/projects/{project}/assess', { project }),
    body: { kind: 'brief', content: brief, units },
  });
  useKeys({
    undo: { shown: 'Ctrl+Z, Ctrl+Shift+Z', says: 'undo, redo', act: draft.undo },
    redo: draft.redo,
  });
  const set = (part: Partial<BriefContent>, run?: string) => draft.change({ ...brief, ...part }, run);
  const setProject = (part: Partial<BriefContent['project']>, run?: string) =>
    set({ project: { ...brief.project, ...part } }, run);
  const setClimate = (climate: Climate) => set({ climate });

  const reckoning = (
    <>
      <Old {...{ old: live.old, why: live.why }} />
      <h2 className="mb-1 text-[15px] font-bold">Indoor air</h2>
      <Indoor indoor={brief.indoor} mayEdit={mayEdit} change={(indoor) => set({ indoor }, 'indoor')} />
      <h2 className="mt-3 mb-1 border-t border-hair pt-2 text-[15px] font-bold">Wind and rain</h2>
      <QuantityField
        label="Wind’s push on the walls"
        dimension="pressure"
        value={brief.project.wind_pressure_pa}
        least={1}
        most={5000}
        disabled={!mayEdit}
        width="6rem"
        onChange={(pa) => setProject({ wind_pressure_pa: pa }, 'wind')}
      />
      <p className="text-faint">
        It settles how high water is held at a sill. Take it from the designer of the structure or the code.
      </p>
      <AirTarget
        target={brief.project.air_target}
        mayEdit={mayEdit}
        change={(target) => {
          const project = { ...brief.project };
          if (target) project.air_target = target;
          else delete project.air_target;
          set({ project }, 'airtightness');
        }}
      />
      {brief.climate && <Zone climate={brief.climate} mayEdit={mayEdit} change={setClimate} />}
      <h2 className="mt-3 mb-1 border-t border-hair pt-2 text-[15px] font-bold">Sheet</h2>
      <SaveState {...draft} mayEdit={mayEdit} />
    </>
  );
  return (
    <Frame sheet="1 Brief" reckoning={reckoning}>
      <div className="px-8 py-5 max-sm:px-4">
        <div className="mb-3 flex flex-wrap items-end gap-x-6 gap-y-2">
          <label className="grid grow">
            <span className="text-faint">Project</span>
            <input
              className="w-full text-[17px] font-bold"
              value={brief.project.name}
              disabled={!mayEdit}
              maxLength={200}
              onChange={(e) => {
                if (e.target.value.trim() !== '') setProject({ name: e.target.value }, 'name');
              }}
            />
          </label>
          <label className="grid">
            <span className="text-faint">Units</span>
            <select
              value={brief.project.units}
              disabled={!mayEdit}
              onChange={(e) => setProject({ units: e.target.value as 'si' | 'us' })}
            >
              <option value="si">mm, °C, W/m²K</option>
              <option value="us">in, °F, R</option>
            </select>
          </label>
          {brief.climate && <ClimateChoice climate={brief.climate} mayEdit={mayEdit} change={setClimate} />}
          {brief.climate && mayEdit && <ClimateFile taken={setClimate} />}
        </div>
        {brief.climate ? (
          <div
            tabIndex={0}
            role="group"
            aria-label="The year of the climate"
            className="max-sm:overflow-x-auto max-sm:[&>*]:min-w-[720px]"
          >
            <YearChart climate={brief.climate} months={live.answer?.climate?.months} units={units} />
            <MonthTable climate={brief.climate} mayEdit={mayEdit} change={setClimate} />
          </div>
        ) : (
          <FirstMinute mayEdit={mayEdit} take={setClimate}>
            <ClimateFile taken={setClimate} />
          </FirstMinute>
        )}
        <Schools chosen={brief.project.schools} mayEdit={mayEdit} change={(schools) => setProject({ schools })} />
        <Removed mayEdit={mayEdit} />
      </div>
    </Frame>
  );
}

function ClimateChoice({
  climate,
  mayEdit,
  change,
}: {
  climate: Climate;
  mayEdit: boolean;
  change: (climate: Climate) => void;
}) {
  const climates = useClimates().data ?? [];
  const own = !climates.some((c) => c.name === climate.name);
  return (
    <label className="grid">
      <span className="text-faint">Climate</span>
      <select
        aria-label="Climate"
        className="max-w-[14rem]"
        value={climate.name}
        disabled={!mayEdit}
        onChange={(e) => {
          const chosen = climates.find((c) => c.name === e.target.value);
          if (chosen) change(chosen);
        }}
      >
        {own && <option>{climate.name}</option>}
        {climates.map((c) => (
          <option key={c.name}>{c.name}</option>
        ))}
      </select>
    </label>
  );
}

function Zone({
  climate,
  mayEdit,
  change,
}: {
  climate: Climate;
  mayEdit: boolean;
  change: (climate: Climate) => void;
}) {
  const project = useProjectId();
  const take = (zone: string) => {
    const next: Climate = { ...climate, zone };
    if (zone === '') delete next.zone;
    change(next);
  };
  return (
    <>
      <h2 className="mt-3 mb-1 border-t border-hair pt-2 text-[15px] font-bold">Zone</h2>
      <label className="mb-1 flex justify-between gap-2">
        <span className="text-faint">climate zone, for the code tables</span>
        <select
          aria-label="Climate zone"
          value={climate.zone ?? ''}
          disabled={!mayEdit}
          onChange={(e) => take(e.target.value)}
        >
          <option value="">not said</option>
          {ZONES.map((z) => (
            <option key={z}>{z}</option>
          ))}
        </select>
      </label>
      <a className="link text-faint" href={`/api/projects/${project}/hours.csv?seed=1`}>
        a year of hours made from these months, as CSV
      </a>
      <Hours climate={climate} />
    </>
  );
}

/** Whose hours what is run hour by hour goes through. */
function Hours({ climate }: { climate: Climate }) {
  const weather = useDocuments().data?.weather[0]?.content;
  if (!weather) return null;
  return (
    <span className="text-[12px] text-faint" data-weather={weather.name}>
      {weather.name === climate.name
        ? 'Runs go through the hours of its weather file.'
        : `The hours kept are of “${weather.name}”, another climate: runs take a year made from these months.`}
    </span>
  );
}
