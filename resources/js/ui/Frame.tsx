import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { causes, isOpen } from './causes';
import { Link, Navigate, NavLink, useLocation, useNavigate } from 'react-router';
import { useAssessment, useDocuments, useMe, useProjectId } from '../api/hooks';
import { keptWords, useKept } from '../api/kept';
import { Dialog } from './Dialog';
import { placeOf, stepOf } from './findings';
import { keepSingleKeys, singleKeysOff, useKeys, useToldKeys } from './keys';
import { Mark } from './Mark';
import { useOpened } from './opened';
import { Pick } from './Pick';
import { STEPS, stepsOf } from './steps';
import { useThread, THREADS } from './threads';
import { useUnits } from './units';

interface Props {
  sheet: string;
  children: ReactNode;
  reckoning: ReactNode;
}

/** Rail of steps, sheet, reckoning, and the title strip at the foot. Nothing at the top. */
export function Frame({ sheet, children, reckoning }: Props) {
  const project = useProjectId();
  const documents = useDocuments();
  const { units, setProject, toggle } = useUnits();
  const { thread, follow } = useThread();
  const me = useMe();
  const navigate = useNavigate();
  const { pathname, search } = useLocation();
  const [help, setHelp] = useOpened('keys');
  const [finder, setFinder] = useOpened('finder');
  const role = documents.data?.role ?? me.data?.role;
  const steps = stepsOf(role);
  const all = useOpenFindings();
  const findings = all.filter((f) => steps.some((s) => s.path === stepOf(f.subject)));
  const kept = useKept();
  const brief = documents.data?.brief.content;
  useEffect(() => {
    if (brief) setProject(brief.project.units);
  }, [brief, setProject]);

  const next = () => {
    const places = findings.map((f) => placeOf(project, f.subject));
    const here = places.indexOf(pathname + search);
    const other = places.findIndex((p, i) => i > here && p !== pathname + search);
    const place = places[other >= 0 ? other : 0];
    if (place) void navigate(place);
  };
  useKeys(
    {
      ...Object.fromEntries(steps.map((s) => [s.key, () => navigate(`/p/${project}/${s.path}`)])),
      ...Object.fromEntries(
        THREADS.map((t) => [t.letter.toLowerCase(), () => follow(thread === t.control ? null : t.control)]),
      ),
      u: { says: 'the other units', act: toggle },
      f: { says: 'next open finding', act: next },
      q: { says: 'ask of a pair of materials', act: () => navigate(`/p/${project}/contacts?ask`) },
      '/': { says: 'find a sheet or a finding', act: () => setFinder(true) },
      '?': { says: 'these keys', act: () => setHelp(true) },
    },
    [
      [steps.map((s) => s.key).join(' '), 'the steps'],
      ['w a v h', 'follow a thread: water, air, vapour, heat; again to let go'],
    ],
  );

  // An address of a step that is not theirs leads to the first of those that are.
  const step = STEPS.find((s) => pathname.split('/')[3] === s.path);
  if (step && !steps.includes(step)) return <Navigate to={`/p/${project}/${steps[0]?.path ?? ''}`} replace />;

  return (
    <div className={FRAME}>
      <nav aria-label="Steps" className={RAIL}>
        <NavLink to="/" className="px-3 pt-3 pb-2 text-lg leading-tight font-bold max-sm:py-1">
          <Mark />
          <span className="block max-sm:inline">
            Apron<span className="sr-only">, all projects</span>
          </span>
        </NavLink>
        {steps.map((step) => {
          const count = findings.filter((f) => stepOf(f.subject) === step.path).length;
          return (
            <NavLink
              key={step.path}
              to={`/p/${project}/${step.path}`}
              className={({ isActive }) => `${TAB} ${isActive ? HERE : 'border-transparent'}`}
            >
              <span className="w-3 text-[11px] text-faint">{step.key}</span>
              <span className="grow">{step.title}</span>
              <span className="font-semibold">
                <span className="sr-only">{count} open</span>
                <span aria-hidden="true">{count || '–'}</span>
              </span>
            </NavLink>
          );
        })}
        {steps === STEPS && (
          <NavLink
            to={`/p/${project}/findings`}
            className={({ isActive }) => `mt-3 max-sm:mt-0 ${TAB} ${isActive ? HERE : 'border-hair'}`}
          >
            <span className="grow">Findings</span>
            <span className="font-semibold">{findings.length || '–'}</span>
          </NavLink>
        )}
        <div className="mt-auto px-3 py-2 text-[11px] text-faint max-sm:mt-0 max-sm:whitespace-nowrap">
          <button className="link" onClick={() => setHelp(true)}>
            ? keys
          </button>
          {' · '}
          <button className="link" onClick={() => setFinder(true)}>
            / find
          </button>
          <br className="max-sm:hidden" />
          <span className="sm:hidden"> · </span>
          <Link className="link" to={`/p/${project}/record`}>
            record, people
          </Link>
        </div>
      </nav>
      <main
        tabIndex={0}
        className="relative min-w-0 overflow-auto focus-visible:outline-offset-[-2px] max-sm:overflow-x-auto"
      >
        {kept !== null && (
          <p role="status" data-kept className="border-b border-ink bg-board px-6 py-1 font-bold">
            Nothing answers: this is as it was on {keptWords(kept)}. What is changed here waits.
          </p>
        )}
        {children}
      </main>
      <aside tabIndex={0} aria-label="Reckoning" className={RECKONING}>
        {reckoning}
      </aside>
      <footer className={STRIP}>
        <Cell name="project" value={brief?.project.name ?? ''} grow />
        <Cell name="sheet" value={sheet} grow />
        <button className="border-l border-hair px-3 text-left" onClick={toggle}>
          <Label name="units · u" value={units === 'si' ? 'mm · W/m²K' : 'in · R'} />
        </button>
        <Cell name="climate" value={brief?.climate?.name ?? 'none yet'} />
        <Cell name="head school" value={brief?.project.schools?.head ?? 'shingle'} />
        <Link className="border-l border-hair px-3 pt-[4px] text-left" to="/account" title="Account, sign out">
          <Label name={`${documents.data?.role ?? me.data?.role ?? ''} · account`} value={me.data?.name ?? ''} />
        </Link>
      </footer>
      <Keys open={help} close={() => setHelp(false)} />
      <Finder open={finder} close={() => setFinder(false)} steps={steps} />
    </div>
  );
}

// On a phone the sheet comes first and the reckoning under it, the steps in a strip above both.
const FRAME = [
  'grid h-screen grid-cols-[132px_minmax(0,1fr)_304px] grid-rows-[minmax(0,1fr)_auto] overflow-hidden',
  'max-sm:flex max-sm:h-auto max-sm:min-h-screen max-sm:flex-col max-sm:overflow-visible',
].join(' ');
const RAIL = [
  'relative row-span-2 flex flex-col border-r border-ink bg-board',
  'max-sm:flex-row max-sm:items-center max-sm:overflow-x-auto max-sm:border-r-0 max-sm:border-b',
].join(' ');
const TAB = 'flex items-baseline gap-2 border-y px-3 py-[5px] max-sm:whitespace-nowrap max-sm:py-3';
const HERE = '-mr-px border-ink bg-paper font-bold';
const RECKONING = [
  'relative overflow-auto border-l border-ink bg-board px-4 py-3 focus-visible:outline-offset-[-2px]',
  'max-sm:overflow-visible max-sm:border-t max-sm:border-l-0',
].join(' ');
const STRIP = [
  'col-span-2 col-start-2 flex h-[42px] border-t border-ink text-[12px]',
  'max-sm:h-auto max-sm:flex-wrap max-sm:[&>*]:min-h-[42px]',
].join(' ');

function Label({ name, value }: { name: string; value: string }) {
  return (
    <>
      <span className="block text-[10px] leading-[14px] text-faint">{name}</span>
      <span className="block truncate leading-[17px]">{value}</span>
    </>
  );
}

function Cell({ name, value, grow = false }: { name: string; value: string; grow?: boolean }) {
  return (
    <div className={`min-w-0 border-l border-hair px-3 pt-[4px] ${grow ? 'flex-1' : 'max-w-[11rem]'}`} title={value}>
      <Label name={name} value={value} />
    </div>
  );
}

export function useOpenFindings() {
  const assessment = useAssessment();
  return useMemo(() => causes(assessment.data?.findings ?? []).stand.filter(isOpen), [assessment.data]);
}

function Keys({ open, close }: { open: boolean; close: () => void }) {
  const told = useToldKeys();
  const [off, setOff] = useState(singleKeysOff);
  const switchOff = (next: boolean) => {
    setOff(next);
    keepSingleKeys(!next);
  };
  return (
    <Dialog open={open} close={close} title="Keys">
      <dl className="grid grid-cols-[11rem_1fr] gap-x-3 gap-y-1">
        {told.map(([key, what]) => (
          <div key={key} className="contents">
            <dt className="font-semibold">{key}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
      <label className="mt-3 block">
        <input type="checkbox" checked={off} onChange={(e) => switchOff(e.target.checked)} /> switch the single keys off
      </label>
    </Dialog>
  );
}

function Finder({ open, close, steps }: { open: boolean; close: () => void; steps: typeof STEPS }) {
  const project = useProjectId();
  const documents = useDocuments().data;
  const assessment = useAssessment().data;
  const navigate = useNavigate();
  const place = (path: string) => `/p/${project}/${path}`;
  const isTheirs = (path: string) => steps.some((s) => s.path === path);
  const rows = [
    ...steps.map((s) => ({ text: `${s.key} · ${s.title}`, to: place(s.path) })),
    ...(isTheirs('assemblies') ? (documents?.assemblies ?? []) : []).map((d) => ({
      text: `Assembly ${d.key} · ${d.content.name}`,
      to: place(`assemblies/${d.key}`),
    })),
    ...[...(documents?.details ?? []), ...(documents?.openings ?? [])].map((d) => ({
      text: `Sequence ${d.key} · ${d.content.title}`,
      to: place(`sequences/${d.key}`),
    })),
    ...(assessment?.findings ?? [])
      .filter((f) => isTheirs(stepOf(f.subject)))
      .map((f) => ({
        text: `${f.severity} · ${f.title}`,
        to: placeOf(project, f.subject),
      })),
  ].map((row, i) => ({ ...row, id: String(i) }));
  return (
    <Pick
      open={open}
      close={close}
      title="Find"
      label="Find a sheet or a finding"
      rows={open ? rows : []}
      view={(row) => row.text}
      choose={(row) => {
        close();
        void navigate(row.to);
      }}
    />
  );
}
