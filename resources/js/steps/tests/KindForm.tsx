import { useDocuments } from '../../api/hooks';
import type { FieldTest } from '../../api/types';
import { TableField } from '../../ui/TableField';
import { Typed, TypedNumber } from '../../ui/Typed';
import { without } from '../../ui/without';
import { FORMS, LEAKS, PLACES, pulls, RUNS, SPOTS, WAYS } from './kinds';
import { readPressures } from './lines';

interface Props<T extends FieldTest = FieldTest> {
  test: T;
  change: (test: T, run?: string) => void;
}

/** What every test says of itself: which, when, with what, where. */
export function HeadFields({ test, change }: Props) {
  const documents = useDocuments().data;
  const set = (key: string, value: string) =>
    change((value.trim() === '' ? without(test, key as 'title') : { ...test, [key]: value }) as FieldTest, key);
  const text = (label: string, key: 'title' | 'by_person' | 'instrument' | 'place', width: string) => (
    <label>
      {label}
      <input
        className={`block ${width}`}
        list={key === 'place' ? 'test-places' : undefined}
        value={test[key] ?? ''}
        onChange={(e) => set(key, e.target.value)}
      />
    </label>
  );
  return (
    <div className="flex flex-wrap items-end gap-3 text-[12px]">
      {text('called', 'title', 'w-[13rem]')}
      <label>
        on
        <input type="date" className="block" value={test.date ?? ''} onChange={(e) => set('date', e.target.value)} />
      </label>
      <label>
        when
        <select className="block" value={test.stage ?? ''} onChange={(e) => set('stage', e.target.value)}>
          <option value="">not said</option>
          <option value="before-cover">before it is covered</option>
          <option value="at-end">at the end</option>
        </select>
      </label>
      {text('at', 'place', 'w-[9rem]')}
      <datalist id="test-places">
        {[...(documents?.openings ?? []), ...(documents?.details ?? [])].map((d) => (
          <option key={d.key} value={d.key}>
            {d.content.title}
          </option>
        ))}
      </datalist>
      {text('read by', 'by_person', 'w-[9rem]')}
      {text('instrument', 'instrument', 'w-[9rem]')}
      <label>
        calibrated on
        <input
          type="date"
          className="block"
          value={test.calibrated ?? ''}
          onChange={(e) => set('calibrated', e.target.value)}
        />
      </label>
    </div>
  );
}

/** What is filled in of any test but that of a fan. */
export function KindForm({ test, change }: Props<Exclude<FieldTest, { kind: 'fan' }>>) {
  const form = FORMS[test.kind];
  const by = 'by' in test ? test.by : undefined;
  type Test = typeof test;
  const set = (key: string, value: unknown) =>
    change(
      (value === undefined || (Array.isArray(value) && value.length === 0 && key !== 'runs')
        ? without(test, key as 'title')
        : { ...test, [key]: value }) as Test,
      key,
    );
  const way = (to: string) => {
    if (test.kind !== 'adhesion') return set('by', to);
    const asked = Object.values(WAYS).flatMap((keys) => Object.keys(keys));
    const kept = Object.fromEntries(Object.entries(test).filter(([key]) => !asked.includes(key)));
    change({ ...kept, ...WAYS[to], by: to, readings: [] } as unknown as Test, 'by');
  };
  const numbersOf = (label: string, value: number[], put: (read: number[]) => void) => (
    <Typed
      label={label}
      of="numbers, as 14.5, 15, 13"
      width="w-full max-w-[36rem]"
      value={value.join(', ')}
      read={(typed) => (typed.trim() === '' ? [] : readPressures(typed))}
      put={put}
    />
  );
  return (
    <div className="grid gap-1 pt-2" data-test-form={test.id}>
      <div className="flex flex-wrap items-end gap-3 text-[12px]">
        {form.by && (
          <label>
            by
            <select className="block" value={by} onChange={(e) => way(e.target.value)}>
              {form.by.map((b) => (
                <option key={b.value} value={b.value}>
                  {b.words}
                </option>
              ))}
            </select>
          </label>
        )}
        {test.kind === 'moisture' && (
          <label>
            of
            <select className="block" value={test.of} onChange={(e) => set('of', e.target.value)}>
              {['lumber', 'sheathing', 'timber', 'gypsum', 'masonry', 'concrete'].map((of) => (
                <option key={of}>{of}</option>
              ))}
            </select>
          </label>
        )}
        {form.numbers
          .filter((n) => n.by === undefined || (by !== undefined && n.by.includes(by)))
          .map((n) => (
            <TypedNumber
              key={n.key}
              label={n.label}
              value={(test as unknown as Record<string, number | undefined>)[n.key]}
              least={n.least}
              most={n.most}
              put={(value) => set(n.key, value)}
            />
          ))}
        {test.kind === 'water' && test.by === 'nozzle' && (
          <label>
            <input
              type="checkbox"
              checked={test.opens ?? false}
              onChange={(e) => set('opens', e.target.checked ? true : undefined)}
            />{' '}
            the joint opens
          </label>
        )}
        {test.kind === 'moisture' && (
          <label>
            species
            <input
              className="block w-[9rem]"
              value={test.species ?? ''}
              onChange={(e) => set('species', e.target.value.trim() === '' ? undefined : e.target.value)}
            />
          </label>
        )}
      </div>
      {test.kind === 'water' && (
        <TableField label="Runs" table={RUNS} rows={test.runs} put={(runs) => change({ ...test, runs })} />
      )}
      {test.kind === 'smoke' && (
        <>
          <TableField
            label="Looked at"
            table={PLACES}
            rows={test.looked_at ?? []}
            put={(places) => set('looked_at', places)}
          />
          <TableField label="Leaks found" table={LEAKS} rows={test.leaks ?? []} put={(leaks) => set('leaks', leaks)} />
        </>
      )}
      {test.kind === 'adhesion' && (
        <TableField
          label="Pulls"
          table={pulls(test.by === 'tail')}
          rows={test.readings}
          put={(readings) => change({ ...test, readings })}
        />
      )}
      {test.kind === 'film' && (
        <TableField label="Spots" table={SPOTS} rows={test.spots} put={(spots) => change({ ...test, spots })} />
      )}
      {test.kind === 'moisture' && numbersOf('readings, %', test.readings, (readings) => change({ ...test, readings }))}
    </div>
  );
}
