import type { Assembly, Control, Layer, Material } from '../../api/types';
import { QuantityField } from '../../ui/QuantityField';
import { RemoveDocument } from '../../ui/RemoveDocument';
import { THREADS } from '../../ui/threads';

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
  /** the page to go to when the assembly is removed */
  after: string;
}

/** What can be done to the selected layer, straight under it: everything here has a key as well. */
export function LayerBench({ assembly, layer, at, materials, mayEdit, seed, onSeeded, onDone, setLayer, move, take, carry, pick, change, after }: Props) {
  const material = layer && materials.get(layer.material);
  if (!layer || at === null) {
    return (
      <div className="flex h-[66px] flex-wrap items-center gap-x-5 border-y border-hair text-[12px]">
        <span className="text-faint">Choose a layer on the drawing, by mouse or with Tab and the arrows.</span>
        <label><span className="mr-1 text-faint">This is a</span><select value={assembly.kind} disabled={!mayEdit} onChange={(e) => change({ ...assembly, kind: e.target.value as Assembly['kind'] })}>{['wall', 'roof', 'floor', 'foundation'].map((k) => <option key={k}>{k}</option>)}</select></label>
        {mayEdit && <button className="act" onClick={() => pick('new')}>add a layer <span className="key">n</span></button>}
        {mayEdit && <RemoveDocument kind="assembly" id={assembly.id} name={assembly.name} lost="Its layers and findings go with it." after={after} />}
      </div>
    );
  }
  return (
    <div className="min-h-[66px] border-y border-hair pt-1 text-[12px]" data-bench={layer.id}>
      <div className="flex flex-wrap items-start gap-x-4 gap-y-1">
        <button className="act flex max-w-[17rem] items-baseline gap-2" disabled={!mayEdit} onClick={() => pick('change')}><span className="truncate">{material?.name ?? layer.material}</span><span className="key">m</span></button>
        <QuantityField
          label="Thickness" dimension="thickness" value={layer.thickness_mm} typed={layer.thickness_typed} conductivity={material?.conductivity_w_mk} most={5000} disabled={!mayEdit}
          seed={seed} onSeeded={onSeeded} onDone={onDone} width="6.5rem" onChange={(thickness_mm, thickness_typed) => setLayer({ thickness_mm, thickness_typed })}
        />
        <span role="group" aria-label="Controls this layer carries">
          {THREADS.map((t) => {
            const on = layer.controls?.includes(t.control) ?? false;
            return <button key={t.control} aria-pressed={on} disabled={!mayEdit} title={`${t.name} (Shift+${t.letter})`} onClick={() => carry(t.control)} className={`mr-1 border px-2 py-[3px] font-bold ${on ? 'border-ink bg-board' : 'border-hair bg-white'}`} style={{ color: t.colour }}>{t.letter}</button>;
          })}
        </span>
        {material?.family === 'air' && <label><span className="mr-1 text-faint">air is</span><select value={layer.air ?? 'still'} disabled={!mayEdit} onChange={(e) => setLayer({ air: e.target.value as NonNullable<Layer['air']> })}><option value="still">still</option><option value="slightly-ventilated">slightly ventilated</option><option value="ventilated">ventilated</option></select></label>}
        {mayEdit && <span className="ml-auto whitespace-nowrap">
          <button className="act" aria-label="Move inward" title="Alt+←" onClick={() => move(-1)}>←</button>{' '}
          <button className="act" aria-label="Move outward" title="Alt+→" onClick={() => move(1)}>→</button>{' '}
          <button className="act" title="n" onClick={() => pick('new')}>add</button>{' '}
          <button className="act" title="Delete" disabled={assembly.layers.length < 2} onClick={take}>take out</button>
        </span>}
      </div>
      {mayEdit && <Bridges layer={layer} material={material} setLayer={setLayer} materials={materials} />}
    </div>
  );
}

/** Framing in the layer and fasteners through it. */
function Bridges({ layer, material, setLayer, materials }: { layer: Layer; material: Material | undefined; setLayer: Props['setLayer']; materials: Map<string, Material> }) {
  if (!material || material.family === 'air' || (material.conductivity_w_mk ?? 1) > 0.2) return null;
  const framing = layer.framing;
  const fasteners = layer.fasteners;
  return (
    <details className="pb-1" open={framing !== undefined || fasteners !== undefined}>
      <summary className="text-faint">framing and fasteners</summary>
      <div className="flex flex-wrap items-start gap-x-4">
        <label><input type="checkbox" checked={framing !== undefined} onChange={(e) => setLayer({ framing: e.target.checked ? { material: 'lumber', fraction: 0.15, spacing_mm: 400 } : undefined })} /> framed with{' '}
          {framing && <select value={framing.material} onChange={(e) => setLayer({ framing: { ...framing, material: e.target.value } })}>{['lumber', 'steel-galvanised', framing.material].filter((id, i, all) => all.indexOf(id) === i).map((id) => <option key={id} value={id}>{materials.get(id)?.name ?? id}</option>)}</select>}
        </label>
        {framing && <QuantityField label="share" dimension="percent" value={Math.round(framing.fraction * 1000) / 10} least={0.1} most={99} width="4rem" onChange={(v) => setLayer({ framing: { ...framing, fraction: v / 100 } })} />}
        {framing && <QuantityField label="spacing" dimension="length" value={framing.spacing_mm} most={5000} width="5.5rem" onChange={(v) => setLayer({ framing: { ...framing, spacing_mm: v } })} />}
        <label><input type="checkbox" checked={fasteners !== undefined} onChange={(e) => setLayer({ fasteners: e.target.checked ? { per_m2: 6, diameter_mm: 6, conductivity_w_mk: 50 } : undefined })} /> fasteners through it</label>
        {fasteners && <QuantityField label="" dimension="per-area" value={fasteners.per_m2} least={0.1} most={1000} width="5rem" onChange={(v) => setLayer({ fasteners: { ...fasteners, per_m2: v } })} />}
        {fasteners && <QuantityField label="thick" dimension="length" value={fasteners.diameter_mm} most={100} width="4.5rem" onChange={(v) => setLayer({ fasteners: { ...fasteners, diameter_mm: v } })} />}
        {fasteners && <label>of <select value={fasteners.conductivity_w_mk} onChange={(e) => setLayer({ fasteners: { ...fasteners, conductivity_w_mk: Number(e.target.value) } })}>{[[50, 'steel'], [17, 'stainless steel'], [160, 'aluminium']].map(([k, name]) => <option key={k} value={k}>{name}</option>)}</select></label>}
      </div>
    </details>
  );
}
