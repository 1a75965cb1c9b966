import { useState } from 'react';

interface Props {
  label: string;
  /** what would be right */
  of: string;
  value: string;
  read: (typed: string) => number[] | null;
  put: (read: number[]) => void;
  width?: string;
}

/** A field of numbers: taken as soon as they can be read, kept as they were typed until then. */
export function Typed({ label, of, value, read, put, width = 'w-[9rem]' }: Props) {
  const [text, setText] = useState<string | null>(null);
  const wrong = text !== null && read(text) === null;
  return (
    <label className="text-[12px]">
      {label}
      <input
        className={`block ${width}`}
        aria-invalid={wrong}
        value={text ?? value}
        onChange={(e) => {
          setText(e.target.value);
          const now = read(e.target.value);
          if (now !== null) put(now);
        }}
        onBlur={() => {
          if (!wrong) setText(null);
        }}
      />
      {wrong && (
        <span role="alert" className="block text-fail">
          “{text}”: {of}
        </span>
      )}
    </label>
  );
}

interface OneProps {
  label: string;
  value: number | undefined;
  least: number;
  most: number;
  /** nothing where it is emptied */
  put: (value: number | undefined) => void;
}

/** One number within bounds, or none. */
export function TypedNumber({ label, value, least, most, put }: OneProps) {
  return (
    <Typed
      label={label}
      of={`a number from ${least} to ${most}`}
      value={value?.toString() ?? ''}
      read={(typed) => {
        if (typed.trim() === '') return [];
        const read = Number(typed.trim().replace(',', '.'));
        return Number.isFinite(read) && read >= least && read <= most ? [read] : null;
      }}
      put={(read) => put(read[0])}
    />
  );
}
