import { useEffect, useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import { post, wordsOf } from '../../api/client';
import { address } from '../../api/paths';
import { useProjectId } from '../../api/hooks';
import type { Assembly } from '../../api/types';
import { CureCurve } from '../../drawing/CureCurve';
import { useUnits } from '../../ui/units';

interface Props {
  assembly: Assembly;
  /** key of the finding to be cured */
  finding: string;
  mayEdit: boolean;
  apply: (content: Assembly) => void;
  close: () => void;
}

/** What would make a finding pass: one change each or two at once, with its curve, taken over with Enter. */
export function CurePanel({ assembly, finding, mayEdit, apply, close }: Props) {
  const project = useProjectId();
  const { units } = useUnits();
  const [at, setAt] = useState(0);
  const [box, setBox] = useState<HTMLUListElement | null>(null);
  const cures = useQuery({
    queryKey: ['cures', project, finding, units, assembly],
    queryFn: ({ signal }) =>
      post(address('/api/projects/{project}/cures', { project }), { content: assembly, key: finding, units }, signal),
    retry: false,
  });
  const rows = cures.data?.cures ?? [];
  const chosen = rows[Math.min(at, rows.length - 1)];
  // The curve of a material or a method is that of the first thickness: it shows where the assembly stands.
  const drawn = chosen && chosen.curve.length > 0 ? chosen : rows.find((row) => row.curve.length > 0);
  useEffect(() => box?.focus(), [box]);
  const take = (row = chosen) => {
    if (mayEdit && row?.content) apply(row.content);
  };
  return (
    <section
      className="grid h-[214px] grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)] gap-x-4 border-y border-ink pt-1 text-[12px]"
      data-panel="cures"
      aria-label="What would make it pass"
    >
      <div className="flex min-h-0 flex-col">
        <p className="flex items-baseline justify-between gap-3">
          <span className="truncate font-bold" title={cures.data?.title}>
            {cures.data
              ? `To clear “${cures.data.title}”`
              : cures.isError
                ? wordsOf(cures.error)
                : 'looking for what would clear it …'}
          </span>
          <button className="link whitespace-nowrap text-faint" onClick={close}>
            close <span className="key">Esc</span>
          </button>
        </p>
        {cures.isSuccess && (
          <ul
            ref={setBox}
            role="listbox"
            tabIndex={0}
            aria-label="Changes that clear it"
            aria-activedescendant={`cure-${at}`}
            className="mt-1 grow overflow-auto"
            onKeyDown={(e) => {
              if (e.key === 'ArrowDown') setAt((i) => Math.min(rows.length - 1, i + 1));
              else if (e.key === 'ArrowUp') setAt((i) => Math.max(0, i - 1));
              else if (e.key === 'Enter') take();
              else if (e.key === 'Escape') close();
              else return;
              e.preventDefault();
              e.stopPropagation();
            }}
          >
            {rows.map((row, i) => (
              <li
                key={i}
                id={`cure-${i}`}
                role="option"
                aria-selected={i === at}
                className={`flex items-baseline gap-2 px-1 py-[3px] ${i === at ? 'bg-board' : ''} ${row.content ? '' : 'text-faint'}`}
                onClick={() => setAt(i)}
                onDoubleClick={() => take(row)}
                ref={(li) => {
                  if (i === at) li?.scrollIntoView({ block: 'nearest' });
                }}
              >
                <span className="grow">{row.title}</span>
                {i === at && row.content && mayEdit && (
                  <button tabIndex={-1} className="act py-0 whitespace-nowrap" onClick={() => take(row)}>
                    do it <span className="key">Enter</span>
                  </button>
                )}
              </li>
            ))}
          </ul>
        )}
        <p className="pt-1 text-[11px] text-faint">Each was assessed whole and brings no new fail or caution.</p>
      </div>
      <div>{drawn && cures.data && <CureCurve cure={drawn} measure={cures.data.measure} units={units} />}</div>
    </section>
  );
}
