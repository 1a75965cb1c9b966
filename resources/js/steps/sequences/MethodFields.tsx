import type { Detail, Material, Method } from '../../api/types';
import { QuantityField } from '../../ui/QuantityField';
import { firstSize } from '../../material/starts';

interface Props {
  detail: Detail;
  /** what is stated for this opening alone; the rest follows the project and the trade */
  own?: Record<string, number | string> | undefined;
  methods: Method[];
  materials: Material[];
  mayEdit: boolean;
  make: (generator: string, parameters: Record<string, number | string>, run?: string) => void;
  /** after another method was taken */
  onMethod: () => void;
}

/** Figures that are asked for first, as sizes are: not behind the fold. */
const FIRST: Record<string, string | undefined> = { setback_mm: 'unit set in', insulation_mm: 'board outside' };

/** Only what a place can be made of; a material whose family nobody has said is taken as it comes. */
const usableFor = (place: Method['parameters'][number]) => {
  const families = new Set(place.of.map((o) => o.value));
  return (m: Material) => m.family === undefined || families.has(m.family);
};

const numeric = (value: unknown) => (typeof value === 'number' ? value : undefined);

/**
 * How a detail is made: the method, its sizes, the schools it lets one choose, and behind a fold the figures of the
 * trade and materials it starts from.
 */
export function MethodFields({ detail, own, methods, materials, mayEdit, make, onMethod }: Props) {
  const name = detail.generated?.generator ?? '';
  const method = methods.find((m) => m.name === name);
  if (!method) {
    const of = detail.opening;
    return of ? (
      <p className="text-faint">Edited by hand; no longer made from its sizes. Undo brings that back.</p>
    ) : null;
  }
  const given = (detail.generated?.parameters ?? {}) as Record<string, number | string>;
  const set = (parameter: string, value: number | string) =>
    make(name, { ...(own ?? given), [parameter]: value }, parameter);
  /** Back to what the project has settled, or the usual. */
  const unset = (parameter: string) =>
    make(name, Object.fromEntries(Object.entries(own ?? {}).filter(([p]) => p !== parameter)), parameter);
  const of = (kind: string) => method.parameters.filter((p) => p.kind === kind);
  return (
    <>
      {of('size').map((p) => (
        <QuantityField
          key={p.name}
          label={p.label}
          dimension="length"
          value={numeric(given[p.name])}
          disabled={!mayEdit}
          width="5.5rem"
          onChange={(v) => set(p.name, v)}
        />
      ))}
      {of('figure')
        .filter((p) => FIRST[p.name] !== undefined)
        .map((p) => (
          <QuantityField
            key={p.name}
            label={FIRST[p.name] ?? p.label}
            dimension="length"
            value={numeric(given[p.name] ?? p.value)}
            disabled={!mayEdit}
            width="5.5rem"
            onChange={(v) => set(p.name, v)}
          />
        ))}
      <label>
        <span className="mr-1 text-faint">method</span>
        <select
          aria-label="Method"
          className="max-w-[15rem]"
          value={name}
          disabled={!mayEdit}
          onChange={(e) => {
            const next = methods.find((m) => m.name === e.target.value);
            // Only the sizes go along: the materials and figures of another method are its own.
            make(e.target.value, firstSizes(next, given));
            onMethod();
          }}
        >
          <MethodOptions methods={methods} />
        </select>
      </label>
      {of('choice').map((p) => (
        <label key={p.name}>
          <span className="mr-1 text-faint">{p.label}</span>
          <select
            aria-label={p.label}
            value={own && own[p.name] === undefined ? '' : String(given[p.name] ?? p.value)}
            disabled={!mayEdit}
            onChange={(e) => {
              if (e.target.value === '') unset(p.name);
              else set(p.name, e.target.value);
            }}
          >
            {own && (
              <option value="">
                as usual
                {own[p.name] === undefined
                  ? `: ${p.of.find((o) => o.value === String(given[p.name] ?? p.value))?.title ?? ''}`
                  : ''}
              </option>
            )}
            {p.of.map((o) => (
              <option key={o.value} value={o.value}>
                {o.title}
              </option>
            ))}
          </select>
        </label>
      ))}
      <details className="basis-full text-[12px]">
        <summary className="link w-fit cursor-pointer">figures of the trade and materials it starts from</summary>
        <div className="grid max-h-[180px] grid-cols-2 gap-x-6 gap-y-1 overflow-auto py-1">
          {of('figure')
            .filter((p) => FIRST[p.name] === undefined)
            .map((p) => (
              <div key={p.name} className="flex items-baseline justify-between gap-2">
                <span className="text-faint">{p.situation}</span>
                {p.name.endsWith('_mm') ? (
                  <QuantityField
                    label={p.label}
                    hideLabel
                    dimension="length"
                    value={numeric(given[p.name] ?? p.value)}
                    disabled={!mayEdit}
                    width="5.2rem"
                    onChange={(v) => set(p.name, v)}
                  />
                ) : (
                  <input
                    type="number"
                    aria-label={p.label}
                    className="w-[5.2rem]"
                    min={p.least ?? 0}
                    {...(p.most === null ? {} : { max: p.most })}
                    value={numeric(given[p.name] ?? p.value) ?? ''}
                    disabled={!mayEdit}
                    onChange={(e) => {
                      if (e.target.value !== '') set(p.name, Number(e.target.value));
                    }}
                  />
                )}
              </div>
            ))}
          {of('material').map((p) => (
            <label key={p.name} className="flex items-baseline justify-between gap-2">
              <span className="text-faint">{p.name.replace('_material', '').replaceAll('_', ' ')}</span>
              <select
                aria-label={p.name}
                className="max-w-[13rem]"
                value={String(given[p.name] ?? p.value)}
                disabled={!mayEdit}
                onChange={(e) => set(p.name, e.target.value)}
              >
                {materials.some((m) => m.id === (given[p.name] ?? p.value)) ? null : (
                  <option value={String(given[p.name] ?? p.value)}>{String(given[p.name] ?? p.value)}</option>
                )}
                {materials.filter(usableFor(p)).map((m) => (
                  <option key={m.id} value={m.id}>
                    {m.name}
                  </option>
                ))}
              </select>
            </label>
          ))}
        </div>
      </details>
    </>
  );
}

/** Sizes a new detail starts with, as far as its method takes them, until one types one's own. */
export function firstSizes(
  method: Method | undefined,
  given: Record<string, number | string> = {},
): Record<string, number | string> {
  return Object.fromEntries(
    (method?.parameters ?? [])
      .filter((p) => p.kind === 'size')
      .map((p) => [p.name, given[p.name] ?? Math.min(firstSize(p.name), p.most ?? Infinity)]),
  );
}

export function MethodOptions({ methods }: { methods: Method[] }) {
  return (
    <>
      <optgroup label="Openings">
        {methods
          .filter((m) => m.opening)
          .map((m) => (
            <option key={m.name} value={m.name}>
              {m.title}
            </option>
          ))}
      </optgroup>
      <optgroup label="Other details">
        {methods
          .filter((m) => !m.opening)
          .map((m) => (
            <option key={m.name} value={m.name}>
              {m.title}
            </option>
          ))}
      </optgroup>
    </>
  );
}
