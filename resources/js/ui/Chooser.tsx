import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useAssessment } from '../api/hooks';
import type { Finding, Severity } from '../api/types';
import { useKeys } from './keys';
import { Pick } from './Pick';
import { SeverityMark, severityWord } from './severity';

export interface Choice {
  key: string;
  name: string;
  kind: string;
}

interface Props {
  choices: Choice[];
  /** the one that is open */
  current: string | undefined;
  /** the section of the project that findings speak of it in */
  section: 'assemblies' | 'details';
  to: (key: string) => string;
  /** what they are, in the plural */
  what: string;
  /** so many stand beside each other in one line */
  few?: number;
}

/** So many stand beside each other in one line, where nothing else is said; more are a list. */
const FEW = 8;
const ORDER: Severity[] = ['fail', 'caution', 'note', 'pass'];

/**
 * The assemblies or sequences of a project: a few in a line, many in a list by kind or by worst finding, walked by key.
 */
export function Chooser({ choices, current, section, to, what, few = FEW }: Props) {
  const [open, setOpen] = useState(false);
  const [by, setBy] = useState<'kind' | 'worst'>('kind');
  const navigate = useNavigate();
  const worst = worstOf(useAssessment().data?.findings ?? [], section);
  const step = (n: number) => {
    const next = choices[choices.findIndex((c) => c.key === current) + n];
    if (next) void navigate(to(next.key));
  };
  useKeys({
    l: { says: 'the list, grouped and searched', act: () => setOpen(true) },
    PageDown: { shown: 'PageDown PageUp', says: 'the next in the list, the one before', act: () => step(1) },
    PageUp: () => step(-1),
  });
  const severityOf = (key: string) => worst.get(key) ?? 'pass';
  const rank = (key: string) => ORDER.indexOf(severityOf(key));
  const sorted = by === 'worst' ? [...choices].sort((a, b) => rank(a.key) - rank(b.key)) : choices;
  const rows = sorted.map((c) => ({
    ...c,
    id: c.key,
    text: `${c.key} ${c.name} ${c.kind}`,
    group: by === 'kind' ? c.kind : severityWord(severityOf(c.key)),
  }));
  const now = choices.find((c) => c.key === current);
  return (
    <>
      {choices.length <= few &&
        choices.map((c) => (
          <Link
            key={c.key}
            to={to(c.key)}
            aria-current={c === now ? 'page' : undefined}
            className={c === now ? 'font-bold' : 'link text-faint'}
          >
            {c.key} {c.name}
          </Link>
        ))}
      {choices.length > few && (
        <button className="act" onClick={() => setOpen(true)} data-chooser={choices.length}>
          {now ? `${now.key}, one of ${choices.length}` : `${choices.length} ${what}`} <span className="key">l</span>
        </button>
      )}
      <Pick
        open={open}
        close={() => setOpen(false)}
        title={`${choices.length} ${what}`}
        label={`Find among ${what}`}
        rows={rows}
        at={current}
        choose={(row) => {
          setOpen(false);
          void navigate(to(row.key));
        }}
        view={(row) => (
          <span className="flex items-baseline gap-2">
            <SeverityMark severity={severityOf(row.key)} />
            <span className="w-[4.5rem] shrink-0 truncate">{row.key}</span>
            <span className="truncate">{row.name}</span>
          </span>
        )}
      >
        <p className="flex gap-4 pt-2 text-[12px]">
          {(['kind', 'worst'] as const).map((how) => (
            <label key={how}>
              <input type="radio" name="grouped" checked={by === how} onChange={() => setBy(how)} /> by{' '}
              {how === 'kind' ? 'kind' : 'worst finding'}
            </label>
          ))}
        </p>
      </Pick>
    </>
  );
}

/** The worst that is said of each, by its id. */
function worstOf(findings: Finding[], section: string): Map<string, Severity> {
  const worst = new Map<string, Severity>();
  for (const { subject, severity } of findings) {
    const [where, id] = subject.split('/');
    const before = worst.get(id ?? '');
    if (where !== section || id === undefined) continue;
    if (before === undefined || ORDER.indexOf(severity) < ORDER.indexOf(before)) worst.set(id, severity);
  }
  return worst;
}
