import { useId, useState, type KeyboardEvent, type ReactNode } from 'react';
import { Dialog } from './Dialog';
import { found, MOST_SHOWN, type Row } from './pick';

interface Props<R extends Row> {
  open: boolean;
  close: () => void;
  title: string;
  /** the name of the field */
  label: string;
  placeholder?: string;
  rows: R[];
  view: (row: R) => ReactNode;
  choose: (row: R) => void;
  /** the row to begin at */
  at?: string | undefined;
  focusBack?: (() => void) | undefined;
  /** said where nothing is found */
  nothing?: string;
  /** above the list, as how it is grouped */
  children?: ReactNode;
}

/** One of many: found by typing, walked with the arrows, taken with Enter. */
export function Pick<R extends Row>({ open, close, title, focusBack, ...list }: Props<R>) {
  return (
    <Dialog {...{ open, close, title, focusBack }}>
      <List {...list} />
    </Dialog>
  );
}

function List<R extends Row>(props: Omit<Props<R>, 'open' | 'close' | 'title' | 'focusBack'>) {
  const { label, placeholder, rows, view, choose, nothing = 'Nothing by that name.', children } = props;
  const name = useId();
  const [words, setWords] = useState('');
  const all = found(rows, words);
  // By its id and not by its place: grouped otherwise, the same row stays chosen.
  const [id, setId] = useState(props.at);
  const at = Math.max(
    0,
    all.findIndex((r) => r.id === id),
  );
  const shown = all.slice(0, Math.max(MOST_SHOWN, at + 1));
  const chosen = shown[at];
  const go = (to: number) => setId(shown[Math.max(0, Math.min(shown.length - 1, to))]?.id);
  const keyDown = (event: KeyboardEvent) => {
    if (event.key === 'ArrowDown') go(at + 1);
    else if (event.key === 'ArrowUp') go(at - 1);
    else if (event.key === 'PageDown') go(at + 10);
    else if (event.key === 'PageUp') go(at - 10);
    else if (event.key === 'Enter') {
      if (chosen) choose(chosen);
    } else return;
    event.preventDefault();
  };
  return (
    <>
      <input
        autoFocus
        role="combobox"
        aria-expanded="true"
        aria-controls={name}
        aria-label={label}
        className="w-full"
        aria-activedescendant={chosen ? `${name}-${at}` : undefined}
        placeholder={placeholder}
        value={words}
        onChange={(e) => {
          setWords(e.target.value);
          setId(undefined);
        }}
        onKeyDown={keyDown}
      />
      {children}
      <div id={name} role="listbox" aria-label={label} tabIndex={-1} className="mt-2 h-[46vh] overflow-auto">
        {shown.map((row, i) => (
          <div key={row.id}>
            {row.group !== undefined && row.group !== shown[i - 1]?.group && (
              <p role="presentation" className="border-b border-hair px-2 pt-2 text-[11px] text-faint">
                {row.group}
              </p>
            )}
            <div
              id={`${name}-${i}`}
              role="option"
              aria-selected={i === at}
              data-pick={row.id}
              onClick={() => choose(row)}
              className={`cursor-pointer px-2 py-[3px] ${i === at ? 'bg-board font-semibold' : ''}`}
              ref={(line) => {
                if (i === at) line?.scrollIntoView({ block: 'nearest' });
              }}
            >
              {view(row)}
            </div>
          </div>
        ))}
        {all.length > shown.length && (
          <p className="px-2 py-1 text-faint">{all.length - shown.length} more: type to narrow them down.</p>
        )}
        {all.length === 0 && <p className="px-2 py-1 text-faint">{nothing}</p>}
      </div>
    </>
  );
}
