import { useState } from 'react';
import type { Climate } from '../../api/types';
import { MONTHS, monthX, YEAR } from '../../drawing/YearChart';
import { useUnits } from '../../ui/units';

/** The twelve months under the chart, each under its place on it; twelve numbers can be pasted into a row. */
export function MonthTable({
  climate,
  mayEdit,
  change,
}: {
  climate: Climate;
  mayEdit: boolean;
  change: (climate: Climate) => void;
}) {
  const { units } = useUnits();
  const shown = (c: number) => (units === 'si' ? c : c * 1.8 + 32);
  const stored = (v: number) => (units === 'si' ? v : (v - 32) / 1.8);
  const setMonths = (key: 'mean_c' | 'rh_pct', from: number, values: number[]) =>
    change({
      ...climate,
      name: climate.name.includes('edited') ? climate.name : `${climate.name}, edited`,
      months: climate.months.map((m, i) =>
        i >= from && values[i - from] !== undefined
          ? { ...m, [key]: key === 'mean_c' ? stored(values[i - from] as number) : values[i - from] }
          : m,
      ),
    });
  const row = (key: 'mean_c' | 'rh_pct', label: string) => (
    <div className="relative h-7">
      <span className="absolute left-0 text-[11px] text-faint">{label}</span>
      {climate.months.map((month, i) => (
        <MonthCell
          key={i}
          label={`${label} ${MONTHS[i]}`}
          left={`${((monthX(i) - 26) / YEAR.width) * 100}%`}
          width={`${(52 / YEAR.width) * 100}%`}
          disabled={!mayEdit}
          value={key === 'mean_c' ? shown(month.mean_c) : month.rh_pct}
          least={key === 'mean_c' ? shown(-70) : 1}
          most={key === 'mean_c' ? shown(60) : 100}
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

function MonthCell({
  label,
  left,
  width,
  value,
  least,
  most,
  disabled,
  change,
}: {
  label: string;
  left: string;
  width: string;
  value: number;
  least: number;
  most: number;
  disabled: boolean;
  change: (values: number[]) => void;
}) {
  const [text, setText] = useState<string | null>(null);
  const number = text === null ? value : Number(text.replace('−', '-').replace(',', '.'));
  const bad = text !== null && (text.trim() === '' || !Number.isFinite(number) || number < least || number > most);
  return (
    <input
      aria-label={label}
      aria-invalid={bad}
      title={bad ? `a number from ${least} to ${most}` : undefined}
      disabled={disabled}
      style={{ left, width }}
      className="absolute px-1 text-center"
      value={text ?? String(Math.round(value * 10) / 10).replace('-', '−')}
      onChange={(e) => {
        setText(e.target.value);
        const n = Number(e.target.value.replace('−', '-').replace(',', '.'));
        if (e.target.value.trim() !== '' && Number.isFinite(n) && n >= least && n <= most) change([n]);
      }}
      onPaste={(e) => {
        const values = e.clipboardData
          .getData('text')
          .trim()
          .split(/[\s;]+/)
          .map((v) => Number(v.replace('−', '-').replace(',', '.')));
        if (values.length > 1 && values.every((v) => Number.isFinite(v) && v >= least && v <= most)) {
          e.preventDefault();
          change(values);
        }
      }}
      onBlur={() => {
        if (!bad) setText(null);
      }}
    />
  );
}
