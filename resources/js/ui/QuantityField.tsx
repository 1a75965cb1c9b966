import { useEffect, useId, useRef, useState } from 'react';
import { readQuantity, type Dimension } from '../quantity/read';
import { show } from '../quantity/show';
import { useUnits } from './units';

interface Props {
  label: string;
  dimension: Dimension;
  value: number | undefined;
  /** what was typed before, shown again when it is edited */
  typed?: string | undefined;
  conductivity?: number | undefined;
  most?: number;
  least?: number;
  hideLabel?: boolean;
  disabled?: boolean;
  width?: string;
  /** typing on the drawing hands its first character here */
  seed?: string | undefined;
  onSeeded?: () => void;
  /** after Enter or Escape: where the focus goes back to */
  onDone?: () => void;
  /** typed is undefined where the value goes back to one that had never been typed */
  onChange: (value: number, typed: string | undefined) => void;
}

/** A quantity as people write it. Shows at once what it understood, in both systems; keeps what it cannot read. */
export function QuantityField({
  label,
  dimension,
  value,
  typed,
  conductivity,
  most,
  least,
  hideLabel,
  disabled,
  width = '7.5rem',
  seed,
  onSeeded,
  onDone,
  onChange,
}: Props) {
  const { units } = useUnits();
  const [text, setText] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  // What stood here before it was typed over: a text that cannot be read must not leave half of itself behind as a
  // figure.
  const before = useRef<{ value: number; typed: string | undefined } | null>(null);
  const id = useId();
  const read = text === null ? null : readQuantity(text, dimension, units, conductivity);
  const bounds = read && 'value' in read ? outside(read.value) : null;
  const why = read && 'why' in read ? read.why : bounds;

  function outside(v: number): string | null {
    if (least !== undefined && v < least) return `at least ${show(least, dimension, units)}`;
    if (most !== undefined && v > most) return `at most ${show(most, dimension, units)}`;
    return (dimension === 'thickness' || dimension === 'length') && v <= 0 ? 'more than nothing' : null;
  }

  useEffect(() => {
    if (seed !== undefined && input.current) {
      input.current.focus();
      setText(seed);
      onSeeded?.();
    }
  }, [seed, onSeeded]);

  // “R-10” typed before the library had come could not be read then, and can be now: what is shown is what is kept.
  useEffect(() => {
    const now = text === null ? null : readQuantity(text, dimension, units, conductivity);
    if (text !== null && now && 'value' in now && now.value !== value && outside(now.value) === null)
      onChange(now.value, text.trim());
    // when the conductivity comes, not at every key
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [conductivity]);

  const other = units === 'si' ? 'us' : 'si';
  return (
    <span className="inline-block align-top">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'mr-2 text-faint'}>
        {label}
      </label>
      <input
        id={id}
        ref={input}
        style={{ width }}
        disabled={disabled}
        inputMode="text"
        autoComplete="off"
        spellCheck={false}
        value={text ?? typed ?? (value === undefined ? '' : show(value, dimension, units))}
        aria-invalid={why !== null}
        aria-describedby={`${id}-read`}
        onFocus={(event) => {
          before.current = value === undefined ? null : { value, typed };
          setText((t) => t ?? typed ?? (value === undefined ? '' : show(value, dimension, units)));
          event.target.select();
        }}
        onChange={(event) => {
          const next = event.target.value;
          setText(next);
          const now = readQuantity(next, dimension, units, conductivity);
          if ('value' in now && outside(now.value) === null) onChange(now.value, next.trim());
          else if (before.current && before.current.value !== value)
            onChange(before.current.value, before.current.typed);
        }}
        onKeyDown={(event) => {
          if (event.key !== 'Escape' && event.key !== 'Enter') return;
          event.currentTarget.blur();
          onDone?.();
        }}
        onBlur={() => {
          if (why === null) setText(null);
        }}
      />
      <span
        id={`${id}-read`}
        className={`block min-h-[1.3em] text-[11px] ${why ? 'max-w-[22rem] text-fail' : 'text-faint'}`}
        role={why ? 'alert' : undefined}
      >
        {why ??
          (read && 'value' in read
            ? `${show(read.value, dimension, units)} · ${show(read.value, dimension, other)}`
            : value === undefined
              ? ''
              : show(value, dimension, other))}
      </span>
    </span>
  );
}
