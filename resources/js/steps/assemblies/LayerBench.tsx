import type { Control, Layer, Material } from '../../api/types';
import { Bridges } from './Bridges';
import { QuantityField } from '../../ui/QuantityField';
import { THREADS } from '../../ui/threads';
import { isAir } from '../../material/families';

interface Props {
  layer: Layer;
  materials: Map<string, Material>;
  roof: boolean;
  /** there is no other layer, so that it cannot be taken out */
  only: boolean;
  /** what may be done to it; null for one who only reads */
  hand: {
    set: (part: Partial<Layer>) => void;
    move: (by: number) => void;
    take: () => void;
    carry: (control: Control) => void;
    pick: (what: 'new' | 'change') => void;
  } | null;
  /** a thickness that was begun on the drawing, and where to go when it is typed */
  typing: { seed: string | undefined; onSeeded: () => void; onDone: () => void };
}

/** What can be done to the selected layer, straight under it: everything here has a key as well. */
export function LayerBench({ layer, materials, roof, only, hand, typing }: Props) {
  const material = materials.get(layer.material);
  return (
    <div className="min-h-[66px] border-y border-hair pt-1 text-[12px]" data-bench={layer.id}>
      <div className="flex flex-wrap items-start gap-x-4 gap-y-1">
        <button
          className="act flex max-w-[17rem] items-baseline gap-2"
          disabled={!hand}
          onClick={() => hand?.pick('change')}
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
          disabled={!hand}
          {...typing}
          width="6.5rem"
          onChange={(thickness_mm, thickness_typed) => hand?.set({ thickness_mm, thickness_typed })}
        />
        <span role="group" aria-label="Controls this layer carries">
          {THREADS.map((t) => {
            const on = layer.controls?.includes(t.control) ?? false;
            return (
              <button
                key={t.control}
                aria-pressed={on}
                disabled={!hand}
                title={`${t.name} (Shift+${t.letter})`}
                onClick={() => hand?.carry(t.control)}
                className={`mr-1 border px-2 py-[3px] font-bold ${on ? 'border-ink bg-board' : 'border-hair bg-white'}`}
                style={{ color: t.colour }}
              >
                {t.letter}
              </button>
            );
          })}
        </span>
        {material?.facers && (
          <button
            className="act"
            aria-pressed={layer.turned ?? false}
            disabled={!hand}
            title="put in the other way round"
            onClick={() => hand?.set({ turned: layer.turned ? undefined : true })}
          >
            {facing(material.facers, layer.turned ?? false)} <span className="key">turn</span>
          </button>
        )}
        {isAir(material?.family) && (
          <label>
            <span className="mr-1 text-faint">air is</span>
            <select
              value={layer.air ?? 'still'}
              disabled={!hand}
              onChange={(e) => hand?.set({ air: e.target.value as NonNullable<Layer['air']> })}
            >
              <option value="still">still</option>
              <option value="slightly-ventilated">slightly ventilated</option>
              <option value="ventilated">ventilated</option>
            </select>
          </label>
        )}
        {hand && (
          <span className="ml-auto whitespace-nowrap">
            <button className="act" aria-label="Move inward" title="Alt+←" onClick={() => hand.move(-1)}>
              ←
            </button>{' '}
            <button className="act" aria-label="Move outward" title="Alt+→" onClick={() => hand.move(1)}>
              →
            </button>{' '}
            <button className="act" title="n" onClick={() => hand.pick('new')}>
              add
            </button>{' '}
            <button className="act" title="Delete" disabled={only} onClick={hand.take}>
              take out
            </button>
          </span>
        )}
      </div>
      {hand && <Bridges {...{ roof, layer, material, materials }} setLayer={hand.set} />}
    </div>
  );
}

/** What faces which way: “kraft inside”. */
function facing(facers: NonNullable<Material['facers']>, turned: boolean): string {
  return facers
    .map((f) => `${f.name.toLowerCase()} ${(f.face === 'inner') === turned ? 'outside' : 'inside'}`)
    .join(', ');
}
