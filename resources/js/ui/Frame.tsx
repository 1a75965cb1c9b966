import { Dialog } from 'radix-ui';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { NavLink, useLocation, useNavigate } from 'react-router';
import { useAssessment, useDocuments, useMe, useProjectId } from '../api/hooks';
import { post } from '../api/client';
import { placeOf, stepOf } from './findings';
import { useKeys } from './keys';
import { Mark } from './Mark';
import { STEPS } from './steps';
import { useThread, THREADS } from './threads';
import { useUnits } from './units';

interface Props {
  sheet: string;
  children: ReactNode;
  reckoning: ReactNode;
  keys?: [string, string][];
}

/** Rail of steps, sheet, reckoning, and the title strip at the foot. Nothing at the top. */
export function Frame({ sheet, children, reckoning, keys = [] }: Props) {
  const project = useProjectId();
  const documents = useDocuments();
  const { units, setProject, toggle } = useUnits();
  const { thread, follow } = useThread();
  const me = useMe();
  const navigate = useNavigate();
  const { pathname, search } = useLocation();
  const [help, setHelp] = useState(false);
  const [finder, setFinder] = useState(false);
  const findings = useOpenFindings();
  const brief = documents.data?.brief.content;
  useEffect(() => {
    if (brief) setProject(brief.project.units);
  }, [brief, setProject]);

  const next = () => {
    const places = findings.map((f) => placeOf(project, f.subject));
    const here = places.indexOf(pathname + search);
    const other = places.findIndex((p, i) => i > here && p !== pathname + search);
    const place = places[other >= 0 ? other : 0];
    if (place) navigate(place);
  };
  useKeys({
    ...Object.fromEntries(STEPS.map((s) => [s.key, () => navigate(`/p/${project}/${s.path}`)])),
    ...Object.fromEntries(THREADS.map((t) => [t.letter.toLowerCase(), () => follow(thread === t.control ? null : t.control)])),
    u: toggle, f: next, '?': () => setHelp(true), '/': () => setFinder(true),
  });

  return (
    <div className="grid h-screen grid-cols-[132px_minmax(0,1fr)_304px] grid-rows-[minmax(0,1fr)_auto] overflow-hidden">
      <nav aria-label="Steps" className="row-span-2 flex flex-col border-r border-ink bg-board">
        <NavLink to="/" className="px-3 pt-3 pb-2 text-lg font-bold leading-tight" aria-label="All projects"><Mark /><span className="block">Apron</span></NavLink>
        {STEPS.map((step) => {
          const count = findings.filter((f) => stepOf(f.subject) === step.path).length;
          return (
            <NavLink key={step.path} to={`/p/${project}/${step.path}`} className={({ isActive }) => `flex items-baseline gap-2 border-y px-3 py-[5px] ${isActive ? '-mr-px border-ink bg-paper font-bold' : 'border-transparent'}`}>
              <span className="w-3 text-[11px] text-faint">{step.key}</span>
              <span className="grow">{step.title}</span>
              <span className={step.later ? 'text-faint' : 'font-semibold'} aria-label={step.later ? 'not built yet' : `${count} open`}>{step.later ? '·' : count || '–'}</span>
            </NavLink>
          );
        })}
        <NavLink to={`/p/${project}/findings`} className={({ isActive }) => `mt-3 flex items-baseline gap-2 border-y px-3 py-[5px] ${isActive ? '-mr-px border-ink bg-paper font-bold' : 'border-hair'}`}>
          <span className="grow">Findings</span><span className="font-semibold">{findings.length || '–'}</span>
        </NavLink>
        <div className="mt-auto px-3 py-2 text-[11px] text-faint">
          <button className="link" onClick={() => setHelp(true)}>? keys</button>{' · '}<button className="link" onClick={() => setFinder(true)}>/ find</button>
        </div>
      </nav>
      <main className="min-w-0 overflow-auto">{children}</main>
      <aside aria-label="Reckoning" className="overflow-auto border-l border-ink bg-board px-4 py-3">{reckoning}</aside>
      <footer className="col-span-2 col-start-2 flex h-[42px] border-t border-ink text-[12px]">
        <Cell name="project" value={brief?.project.name ?? ''} grow />
        <Cell name="sheet" value={sheet} grow />
        <button className="border-l border-hair px-3 text-left" onClick={toggle}><Label name="units · u" value={units === 'si' ? 'mm · W/m²K' : 'in · R'} /></button>
        <Cell name="climate" value={brief?.climate?.name ?? 'none yet'} />
        <Cell name="head school" value={brief?.project.schools?.head ?? 'shingle'} />
        <button className="border-l border-hair px-3 text-left" onClick={() => void post('/sign-out').then(() => window.location.assign('/sign-in'))} title="Sign out"><Label name={`${me.data?.role ?? ''} · sign out`} value={me.data?.name ?? ''} /></button>
      </footer>
      <Keys open={help} close={() => setHelp(false)} own={keys} />
      <Finder open={finder} close={() => setFinder(false)} />
    </div>
  );
}

function Label({ name, value }: { name: string; value: string }) {
  return <><span className="block text-[10px] leading-[14px] text-faint">{name}</span><span className="block truncate leading-[17px]">{value}</span></>;
}

function Cell({ name, value, grow = false }: { name: string; value: string; grow?: boolean }) {
  return <div className={`min-w-0 border-l border-hair px-3 pt-[4px] ${grow ? 'flex-1' : 'max-w-[11rem]'}`} title={value}><Label name={name} value={value} /></div>;
}

export function useOpenFindings() {
  const assessment = useAssessment();
  return useMemo(() => (assessment.data?.findings ?? []).filter((f) => f.severity === 'fail' || f.severity === 'caution'), [assessment.data]);
}

const COMMON: [string, string][] = [
  ['1 … 9, 0', 'the ten steps'], ['w a v h', 'follow a thread: water, air, vapour, heat; again to let go'], ['u', 'the other units'], ['f', 'next open finding'],
  ['/', 'find a sheet or a finding'], ['Ctrl+Z, Ctrl+Shift+Z', 'undo, redo'], ['?', 'these keys'],
];

function Keys({ open, close, own }: { open: boolean; close: () => void; own: [string, string][] }) {
  const [off, setOff] = useState(localStorage.getItem('single-keys') === 'off');
  return (
    <Sheet open={open} close={close} title="Keys">
      <dl className="grid grid-cols-[11rem_1fr] gap-x-3 gap-y-1">{[...own, ...COMMON].map(([key, what]) => <div key={key} className="contents"><dt className="font-semibold">{key}</dt><dd>{what}</dd></div>)}</dl>
      <label className="mt-3 block"><input type="checkbox" checked={off} onChange={(e) => { setOff(e.target.checked); localStorage.setItem('single-keys', e.target.checked ? 'off' : 'on'); }} /> switch the single keys off</label>
    </Sheet>
  );
}

function Finder({ open, close }: { open: boolean; close: () => void }) {
  const project = useProjectId();
  const documents = useDocuments();
  const assessment = useAssessment();
  const navigate = useNavigate();
  const [words, setWords] = useState('');
  const [at, setAt] = useState(0);
  const all = [
    ...STEPS.map((s) => ({ name: `${s.key} · ${s.title}`, to: `/p/${project}/${s.path}` })),
    ...(documents.data?.assemblies ?? []).map((d) => ({ name: `Assembly ${d.key} · ${d.content.name}`, to: `/p/${project}/assemblies/${d.key}` })),
    ...[...(documents.data?.details ?? []), ...(documents.data?.openings ?? [])].map((d) => ({ name: `Sequence ${d.key} · ${d.content.title}`, to: `/p/${project}/sequences/${d.key}` })),
    ...(assessment.data?.findings ?? []).map((f) => ({ name: `${f.severity} · ${f.title}`, to: placeOf(project, f.subject) })),
  ];
  const found = all.filter((row) => words.toLowerCase().split(/\s+/).every((w) => row.name.toLowerCase().includes(w))).slice(0, 12);
  const go = (to: string | undefined) => { if (to) { close(); setWords(''); setAt(0); navigate(to); } };
  return (
    <Sheet open={open} close={close} title="Find">
      <input
        autoFocus aria-label="Find a sheet or a finding" className="w-full" value={words} onChange={(e) => { setWords(e.target.value); setAt(0); }}
        onKeyDown={(e) => {
          if (e.key === 'ArrowDown') setAt((i) => Math.min(found.length - 1, i + 1));
          else if (e.key === 'ArrowUp') setAt((i) => Math.max(0, i - 1));
          else if (e.key === 'Enter') go(found[at]?.to);
          else return;
          e.preventDefault();
        }}
      />
      <ul className="mt-2 min-h-[16rem]">{found.map((row, i) => <li key={row.name + row.to}><button className={`w-full px-2 py-1 ${i === at ? 'bg-board font-semibold' : ''}`} onClick={() => go(row.to)}>{row.name}</button></li>)}</ul>
    </Sheet>
  );
}

/** A dialog laid on the sheet: one hairline frame, closed with Escape. */
export function Sheet({ open, close, title, focusBack, children }: { open: boolean; close: () => void; title: string; focusBack?: (() => void) | undefined; children: ReactNode }) {
  return (
    <Dialog.Root open={open} onOpenChange={(o) => { if (!o) close(); }}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-ink/20" />
        <Dialog.Content aria-describedby={undefined} onCloseAutoFocus={(event) => { if (focusBack) { event.preventDefault(); focusBack(); } }} className="fixed top-[12%] left-1/2 max-h-[76vh] w-[36rem] max-w-[94vw] -translate-x-1/2 overflow-auto border border-ink bg-paper p-4">
          <Dialog.Title className="mb-2 text-base font-bold">{title}</Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
