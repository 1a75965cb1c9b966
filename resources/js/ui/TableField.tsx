import { useId, useState } from 'react';
import { readLines, writeLines, type Table } from './lines';

interface Props<T> {
  label: string;
  table: Table<T>;
  rows: T[];
  put: (rows: T[]) => void;
}

/** A table as lines: typed, pasted from a sheet, or brought in from a CSV file. What cannot be read stays as it is. */
export function TableField<T>({ label, table, rows, put }: Props<T>) {
  const id = useId();
  const [text, setText] = useState<string | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const kept = writeLines(rows, table);
  const take = () => {
    const read = readLines(text ?? '', table);
    if ('why' in read) return setWhy(read.why);
    setWhy(null);
    setText(null);
    put(read.rows);
  };
  return (
    <div className="pt-2" data-table={label}>
      <label htmlFor={id}>
        {label} <span className="text-faint">({table.columns})</span>
      </label>
      <textarea
        id={id}
        aria-label={label}
        className="block h-[4rem] w-full max-w-[36rem]"
        value={text ?? kept}
        placeholder={table.example}
        aria-invalid={why !== null}
        onChange={(e) => setText(e.target.value)}
      />
      <p className="flex flex-wrap items-baseline gap-2">
        <button type="button" className="act" disabled={text === null} onClick={take}>
          put them there
        </button>
        <label className="link">
          from a CSV file
          <input
            type="file"
            accept=".csv,.txt,text/csv,text/plain"
            className="sr-only"
            aria-label={`${label}, from a CSV file`}
            onChange={(e) => {
              const [file] = e.target.files ?? [];
              if (file) void file.text().then(setText);
              e.target.value = '';
            }}
          />
        </label>
        {text !== null && (
          <button
            type="button"
            className="link"
            onClick={() => {
              setText(null);
              setWhy(null);
            }}
          >
            as it was
          </button>
        )}
        {why !== null && (
          <span role="alert" className="whitespace-pre-line text-fail">
            {why}
          </span>
        )}
      </p>
    </div>
  );
}
