import type { Assembly, Control, Layer, Material } from '../../api/types';
import { Bridges } from './Bridges';
import { Surroundings } from './Surroundings';
import { QuantityField } from '../../ui/QuantityField';
import { RemoveDocument } from '../../ui/RemoveDocument';
import { THREADS } from '../../ui/threads';
import { isAir } from '../../material/families';

interface Props {
  assembly: Assembly;
  layer: Layer | undefined;
  at: number | null;
  materials: Map<string, Material>;
  mayEdit: boolean;
  seed: string | undefined;
  onSeeded: () => void;
  onDone: () => void;
  setLayer: (part: Partial<Layer>) => void;
  move: (by: number) => void;
  take: () => void;
  carry: (control: Control) => void;
  pick: (what: 'new' | 'change') => void;
  change: (assembly: Assembly) => void;
  /** the revision of the assembly that is shown */
  revision: number;
  /** the page to go to when the assembly is removed */
  after: string;
}

/** What can be done to the selected layer, straight under it: everything here has a key as well. */
export function LayerBench({
  assembly,
  layer,
  at,
  materials,
  mayEdit,
  seed,
  onSeeded,
  onDone,
  setLayer,
  move,
  take,
  carry,
  pick,
  change,
  revision,
  after,
}: Props) {
  const material = layer && materials.get(layer.material);
  if (!layer || at === null) {
    return (
      <div className="flex min-h-[66px] flex-wrap items-center gap-x-5 gap-y-1 border-y border-hair py-1 text-[12px]">
        <span className="text-faint">Choose a layer on the drawing, by mouse or with Tab and the arrows.</span>
        <label>
          <span className="mr-1 text-faint">This is a</span>
          <select
            value={assembly.kind}
            disabled={!mayEdit}
            onChange={(e) => change({ ...assembly, kind: e.target.value as Assembly['kind'] })}
          >
            {['wall', 'roof', 'floor', 'foundation'].map((k) => (
              <option key={k}>{k}</option>
            ))}
          </select>
        </label>
        <Surroundings {...{ assembly, mayEdit, change }} />
        {mayEdit && (
          <button className="act" onClick={() => pick('new')}>
            add a layer <span className="key">n</span>
          </button>
        )}
        {mayEdit && (
          <RemoveDocument
            kind="assembly"
            id={assembly.id}
            revision={revision}
            name={assembly.name}
            lost="Its layers and findings go with it."
            after={after}
          />
        )}
      </div>
    );
  }
  return (
    <div className="min-h-[66px] border-y border-hair pt-1 text-[12px]" data-bench={layer.id}>
      <div className="flex flex-wrap items-start gap-x-4 gap-y-1">
        <button
          className="act flex max-w-[17rem] items-baseline gap-2"
          disabled={!mayEdit}
          onClick={() => pick('change')}
        >
          <span className="truncate">{material?.name ?? layer.material}</span>
          <span className="key">m</span>
        </button>
        <QuantityField
          label="Thickness"
          dimension="thickness"
          value={layer.thickness_mm}
          typed={layer.thickness_typed}
          conductivity={material?.conductivity_w_mk}
          most={5000}
          disabled={!mayEdit}
          seed={seed}
          onSeeded={onSeeded}
          onDone={onDone}
          width="6.5rem"
          onChange={(thickness_mm, thickness_typed) => setLayer({ thickness_mm, thickness_typed })}
        />
        <span role="group" aria-label="Controls this layer carries">
          {THREADS.map((t) => {
            const on = layer.controls?.includes(t.control) ?? false;
            return (
              <button
                key={t.control}
                aria-pressed={on}
                disabled={!mayEdit}
                title={`${t.name} (Shift+${t.letter})`}
                onClick={() => carry(t.control)}
                className={`mr-1 border px-2 py-[3px] font-bold ${on ? 'border-ink bg-board' : 'border-hair bg-white'}`}
                style={{ color: t.colour }}
              >
                {t.letter}
              </button>
            );
          })}
        </span>
        {isAir(material?.family) && (
          <label>
            <span className="mr-1 text-faint">air is</span>
            <select
              value={layer.air ?? 'still'}
              disabled={!mayEdit}
              onChange={(e) => setLayer({ air: e.target.value as NonNullable<Layer['air']> })}
            >
              <option value="still">still</option>
              <option value="slightly-ventilated">slightly ventilated</option>
              <option value="ventilated">ventilated</option>
            </select>
          </label>
        )}
        {mayEdit && (
          <span className="ml-auto whitespace-nowrap">
            <button className="act" aria-label="Move inward" title="Alt+←" onClick={() => move(-1)}>
              ←
            </button>{' '}
            <button className="act" aria-label="Move outward" title="Alt+→" onClick={() => move(1)}>
              →
            </button>{' '}
            <button className="act" title="n" onClick={() => pick('new')}>
              add
            </button>{' '}
            <button className="act" title="Delete" disabled={assembly.layers.length < 2} onClick={take}>
              take out
            </button>
          </span>
        )}
      </div>
      {mayEdit && <Bridges roof={assembly.kind === 'roof'} {...{ layer, material, setLayer, materials }} />}
    </div>
  );
}
