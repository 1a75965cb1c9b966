import type { FanTest } from '../../api/types';
import { QuantityField } from '../../ui/QuantityField';
import { TableField } from '../../ui/TableField';
import { Typed, TypedNumber } from '../../ui/Typed';
import { without } from '../../ui/without';
import { LEAKS, READINGS, readPressures } from './lines';

interface Props {
  test: FanTest;
  /** the other fan tests of the project, one of which may be its other way */
  others: FanTest[];
  change: (test: FanTest, run?: string) => void;
}

type Target = NonNullable<FanTest['target']>;

const TARGETS: { key: keyof Target; words: string }[] = [
  { key: 'n50_1_h', words: 'air changes an hour at 50 Pa' },
  { key: 'q50_m3_h_m2', words: 'm³/(h·m²) at 50 Pa' },
  { key: 'q75_l_s_m2', words: 'L/(s·m²) at 75 Pa' },
];

/** Readings and circumstances of a test, as they are written down beside the fan. */
export function FanForm({ test, others, change }: Props) {
  const set = <K extends keyof FanTest>(key: K, value: FanTest[K] | undefined) =>
    change(value === undefined ? without(test, key) : { ...test, [key]: value }, key);
  const zeros = (label: string, key: 'zero_flow_before_pa' | 'zero_flow_after_pa') => (
    <Typed
      label={label}
      of="Pa with their sign, as -1.9, -1.7"
      value={(test[key] ?? []).join(', ')}
      read={readPressures}
      put={(read) => set(key, read.length > 0 ? read : undefined)}
    />
  );
  const number = (label: string, key: 'barometer_pa' | 'volume_m3' | 'envelope_m2', least: number, most: number) => (
    <TypedNumber label={label} value={test[key]} {...{ least, most }} put={(value) => set(key, value)} />
  );
  const target = TARGETS.find((t) => test.target?.[t.key] !== undefined);
  return (
    <div className="grid gap-1 pt-2" data-test-form={test.id}>
      <div className="flex flex-wrap items-end gap-3 text-[12px]">
        <label>
          by
          <select
            className="block"
            value={test.convention ?? 'iso-9972'}
            onChange={(e) => set('convention', e.target.value as 'iso-9972')}
          >
            <option value="iso-9972">ISO 9972</option>
            <option value="astm-e779">ASTM E779</option>
          </select>
        </label>
        {(others.length > 0 || test.other_way) && (
          <label>
            the other way, for the mean of both
            <select
              className="block"
              value={test.other_way ?? ''}
              onChange={(e) => set('other_way', e.target.value || undefined)}
            >
              <option value="">none</option>
              {test.other_way && !others.some((t) => t.id === test.other_way) && (
                <option value={test.other_way}>{test.other_way}, which is gone</option>
              )}
              {others.map((t) => (
                <option key={t.id} value={t.id}>
                  {t.title ?? t.id}
                  {t.date && `, ${t.date}`}
                </option>
              ))}
            </select>
          </label>
        )}
      </div>
      <TableField label="Readings" table={READINGS} rows={test.points} put={(points) => change({ ...test, points })} />
      <div className="flex flex-wrap items-end gap-3">
        {zeros('no flow, before', 'zero_flow_before_pa')}
        {zeros('no flow, after', 'zero_flow_after_pa')}
        {number('barometer, Pa', 'barometer_pa', 50000, 120000)}
        {number('volume, m³', 'volume_m3', 0.1, 1e7)}
        {number('envelope, m²', 'envelope_m2', 0.1, 1e7)}
      </div>
      <div className="flex flex-wrap gap-3">
        <QuantityField
          label="inside"
          dimension="temperature"
          value={test.indoor_c}
          least={-60}
          most={60}
          width="5.5rem"
          onChange={(c) => set('indoor_c', c)}
        />
        <QuantityField
          label="outside"
          dimension="temperature"
          value={test.outdoor_c}
          least={-60}
          most={60}
          width="5.5rem"
          onChange={(c) => set('outdoor_c', c)}
        />
        <QuantityField
          label="humidity inside"
          dimension="percent"
          value={test.indoor_rh_pct}
          least={0}
          most={100}
          width="5.5rem"
          onChange={(rh) => set('indoor_rh_pct', rh)}
        />
        <QuantityField
          label="outside"
          dimension="percent"
          value={test.outdoor_rh_pct}
          least={0}
          most={100}
          width="5.5rem"
          onChange={(rh) => set('outdoor_rh_pct', rh)}
        />
      </div>
      <div className="flex flex-wrap items-end gap-3 text-[12px]">
        <Typed
          label="target"
          of="a number, as 0.6; empty takes that of the brief"
          value={target ? String(test.target?.[target.key] ?? '') : ''}
          read={(typed) => {
            if (typed.trim() === '') return [];
            const read = Number(typed.trim().replace(',', '.'));
            return Number.isFinite(read) && read > 0 ? [read] : null;
          }}
          put={([read]) => set('target', read === undefined ? undefined : { [target?.key ?? 'n50_1_h']: read })}
        />
        <select
          aria-label="What the target counts"
          value={target?.key ?? 'n50_1_h'}
          disabled={!target}
          onChange={(e) => {
            const now = target && test.target?.[target.key];
            if (now !== undefined) set('target', { [e.target.value]: now });
          }}
        >
          {TARGETS.map((t) => (
            <option key={t.key} value={t.key}>
              {t.words}
            </option>
          ))}
        </select>
        <span className="text-faint">
          volume and envelope that are left empty are those of the building, a target that of the brief
        </span>
      </div>
      <TableField
        label="Leaks found"
        table={LEAKS}
        rows={test.leaks ?? []}
        put={(leaks) => change(leaks.length > 0 ? { ...test, leaks } : without(test, 'leaks'))}
      />
    </div>
  );
}
