import type { Assembly, Material, Method, MethodParameter, SequenceSheet } from '../../api/types';
import { QuantityField } from '../../ui/QuantityField';
import { firstSize } from '../../material/starts';

type Parameters = Record<string, number | string>;

interface Props {
  sheet: SequenceSheet;
  /** what is stated for this opening alone; the rest follows its wall, the project and the trade */
  own?: Parameters | undefined;
  methods: Method[];
  materials: Material[];
  /** walls that it can stand in */
  walls: Assembly[];
  mayEdit: boolean;
  make: (generator: string, parameters: Parameters, run?: string, wall?: string) => void;
  /** after another method was taken */
  onMethod: () => void;
}

/** Figures that are asked for first, as sizes are: not behind the fold. */
const FIRST: Record<string, string | undefined> = { setback_mm: 'unit set in', insulation_mm: 'board outside' };

/** What stands before one is said first; the other choices are behind the fold. */
const UNIT = 'held_by';

/** Only what a place can be made of; a material whose family nobody has said is taken as it comes. */
const usableFor = (place: MethodParameter) => {
  const families = new Set(place.of.map((o) => o.value));
  return (m: Material) => m.family === undefined || families.has(m.family);
};

const numeric = (value: unknown) => (typeof value === 'number' ? value : undefined);

/**
 * How a detail is made: the wall it stands in, the unit, the way of working and its sizes; behind a fold what it is
 * composed of, the figures of the trade and the materials it starts from.
 */
export function MethodFields({ sheet, own, methods, materials, walls, mayEdit, make, onMethod }: Props) {
  const { detail } = sheet;
  const name = detail.generated?.generator ?? '';
  const method = methods.find((m) => m.name === name);
  if (!method) {
    return detail.opening ? (
      <p className="text-faint">Edited by hand; no longer made from its sizes. Undo brings that back.</p>
    ) : null;
  }
  const given = (detail.generated?.parameters ?? {}) as Parameters;
  const stated = own ?? given;
  const set = (parameter: string, value: number | string) => make(name, { ...stated, [parameter]: value }, parameter);
  /** Back to what its wall and the project have settled, or the usual. */
  const unset = (parameter: string) =>
    make(name, Object.fromEntries(Object.entries(stated).filter(([p]) => p !== parameter)), parameter);
  const asked = sheet.asked ?? method.parameters;
  const of = (kind: string) => asked.filter((p) => p.kind === kind);
  const unit = of('choice').find((p) => p.name === UNIT);
  const choice = (p: MethodParameter) => (
    <Choice key={p.name} {...{ p, own, given, mayEdit }} set={(v) => set(p.name, v)} unset={() => unset(p.name)} />
  );
  const size = (p: MethodParameter, label: string) => (
    <span key={p.name} className="flex items-baseline gap-1">
      <QuantityField
        label={label}
        dimension="length"
        value={numeric(given[p.name] ?? p.value)}
        disabled={!mayEdit}
        width="5.2rem"
        onChange={(v) => set(p.name, v)}
      />
      {sheet.wall && own && p.name in sheet.wall.seen && (
        <FromWall stated={own[p.name] !== undefined} {...{ mayEdit }} leave={() => unset(p.name)} />
      )}
    </span>
  );
  return (
    <>
      <label>
        <span className="mr-1 text-faint">in wall</span>
        <select
          aria-label="In wall"
          className="max-w-[11rem]"
          value={sheet.wall?.id ?? ''}
          disabled={!mayEdit}
          onChange={(e) => make(name, inWall(own, given, e.target.value !== ''), undefined, e.target.value)}
        >
          <option value="">none, as stated</option>
          {walls.map((w) => (
            <option key={w.id} value={w.id}>
              {w.name}
            </option>
          ))}
        </select>
      </label>
      {unit && choice(unit)}
      <label>
        <span className="mr-1 text-faint">way</span>
        <select
          aria-label="Method"
          className="max-w-[14rem]"
          value={name}
          disabled={!mayEdit}
          onChange={(e) => {
            const next = methods.find((m) => m.name === e.target.value);
            // Only the sizes go along: the materials and figures of another method are its own.
            make(e.target.value, withoutWall(firstSizes(next, given), own));
            onMethod();
          }}
        >
          <MethodOptions methods={methods} plane={String(sheet.wall?.seen.plane ?? '')} />
        </select>
      </label>
      {of('size').map((p) => size(p, p.label))}
      {of('figure').map((p) => (FIRST[p.name] === undefined ? null : size(p, FIRST[p.name] ?? p.label)))}
      <details className="relative ml-auto text-[12px]">
        <summary className="link w-fit cursor-pointer">composed of …</summary>
        <div className="absolute right-0 z-20 max-h-[380px] w-[min(46rem,80vw)] overflow-auto border border-ink bg-paper p-3">
          <div className="grid grid-cols-2 gap-x-6 gap-y-1 pb-2 max-sm:grid-cols-1" data-composed>
            {of('choice')
              .filter((p) => p.name !== UNIT)
              .map(choice)}
          </div>
          <div className="grid grid-cols-2 gap-x-6 gap-y-1 border-t border-hair pt-2 max-sm:grid-cols-1">
            {of('figure')
              .filter((p) => FIRST[p.name] === undefined)
              .map((p) => (
                <Figure key={p.name} {...{ p, given, mayEdit }} set={(v) => set(p.name, v)} />
              ))}
            {of('material').map((p) => (
              <Made key={p.name} {...{ p, given, materials, mayEdit }} set={(v) => set(p.name, v)} />
            ))}
          </div>
        </div>
      </details>
    </>
  );
}

/** A size that the wall gives, or that is stated beside it and can be left to it again. */
function FromWall({ stated, mayEdit, leave }: { stated: boolean; mayEdit: boolean; leave: () => void }) {
  if (!stated) return <span className="text-faint">of the wall</span>;
  return mayEdit ? (
    <button className="link" onClick={leave}>
      as the wall
    </button>
  ) : null;
}

interface Field {
  p: MethodParameter;
  given: Parameters;
  mayEdit: boolean;
}

function Choice({
  p,
  own,
  given,
  mayEdit,
  set,
  unset,
}: Field & { own: Parameters | undefined; set: (value: string) => void; unset: () => void }) {
  const now = String(given[p.name] ?? p.value);
  return (
    <label className="flex items-baseline justify-between gap-2">
      <span className="text-faint">{p.label}</span>
      <select
        aria-label={p.label}
        className="max-w-[13rem]"
        value={own && own[p.name] === undefined ? '' : now}
        disabled={!mayEdit}
        onChange={(e) => {
          if (e.target.value === '') unset();
          else set(e.target.value);
        }}
      >
        {own && (
          <option value="">
            as usual{own[p.name] === undefined ? `: ${p.of.find((o) => o.value === now)?.title ?? ''}` : ''}
          </option>
        )}
        {p.of.map((o) => (
          <option key={o.value} value={o.value}>
            {o.title}
          </option>
        ))}
      </select>
    </label>
  );
}

function Figure({ p, given, mayEdit, set }: Field & { set: (value: number) => void }) {
  const now = numeric(given[p.name] ?? p.value);
  return (
    <div className="flex items-baseline justify-between gap-2">
      <span className="text-faint">{p.situation}</span>
      {p.name.endsWith('_mm') ? (
        <QuantityField
          label={p.label}
          hideLabel
          dimension="length"
          value={now}
          disabled={!mayEdit}
          width="5.2rem"
          onChange={set}
        />
      ) : (
        <input
          type="number"
          aria-label={p.label}
          className="w-[5.2rem]"
          min={p.least ?? 0}
          {...(p.most === null ? {} : { max: p.most })}
          value={now ?? ''}
          disabled={!mayEdit}
          onChange={(e) => {
            if (e.target.value !== '') set(Number(e.target.value));
          }}
        />
      )}
    </div>
  );
}

function Made({ p, given, materials, mayEdit, set }: Field & { materials: Material[]; set: (value: string) => void }) {
  const now = String(given[p.name] ?? p.value);
  return (
    <label className="flex items-baseline justify-between gap-2">
      <span className="text-faint">{p.name.replace('_material', '').replaceAll('_', ' ')}</span>
      <select
        aria-label={p.name}
        className="max-w-[13rem]"
        value={now}
        disabled={!mayEdit}
        onChange={(e) => set(e.target.value)}
      >
        {materials.some((m) => m.id === now) ? null : <option value={now}>{now}</option>}
        {materials.filter(usableFor(p)).map((m) => (
          <option key={m.id} value={m.id}>
            {m.name}
          </option>
        ))}
      </select>
    </label>
  );
}

/** What a wall gives is left to it; out of a wall, an opening keeps the sizes it had there. */
function inWall(own: Parameters | undefined, given: Parameters, into: boolean): Parameters {
  const stated = own ?? given;
  return into
    ? Object.fromEntries(Object.entries(stated).filter(([p]) => !OF_THE_WALL.includes(p)))
    : { ...stated, ...Object.fromEntries(Object.entries(given).filter(([p]) => OF_THE_WALL.includes(p))) };
}

/** Another way in the same wall: what the wall gives is not stated because it was drawn. */
function withoutWall(sizes: Parameters, own: Parameters | undefined): Parameters {
  return Object.fromEntries(
    Object.entries(sizes).filter(([p]) => !own || own[p] !== undefined || !OF_THE_WALL.includes(p)),
  );
}

const OF_THE_WALL = ['depth_mm', 'insulation_mm'];

/** Sizes a new detail starts with, as far as its method takes them, until one types one's own. */
export function firstSizes(method: Method | undefined, given: Parameters = {}): Parameters {
  return Object.fromEntries(
    (method?.parameters ?? [])
      .filter((p) => p.kind === 'size')
      .map((p) => [p.name, given[p.name] ?? Math.min(firstSize(p.name), p.most ?? Infinity)]),
  );
}

/** In a wall the ways of its plane come first. */
export function MethodOptions({ methods, plane = '' }: { methods: Method[]; plane?: string }) {
  const planeOf = (m: Method) => m.parameters.find((p) => p.name === 'plane')?.value;
  const openings = methods.filter((m) => m.opening);
  const fitting = openings.filter((m) => plane !== '' && (planeOf(m) === plane || m.name === COMPOSED));
  const groups: [string, Method[]][] = [
    ['Openings in this wall’s plane', fitting],
    [plane === '' ? 'Openings' : 'Openings in another plane', openings.filter((m) => !fitting.includes(m))],
    ['Other details', methods.filter((m) => !m.opening)],
  ];
  return (
    <>
      {groups
        .filter(([, of]) => of.length > 0)
        .map(([label, of]) => (
          <optgroup key={label} label={label}>
            {of.map((m) => (
              <option key={m.name} value={m.name}>
                {m.title}
              </option>
            ))}
          </optgroup>
        ))}
    </>
  );
}

/** The way that has no plane of its own and takes its wall's. */
export const COMPOSED = 'unit-in-its-wall';
