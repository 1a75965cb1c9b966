import { useEffect, useMemo, useState, type KeyboardEvent } from 'react';
import { useSearchParams } from 'react-router';
import { ulid } from 'ulid';
import { useContacts, useMaterials, useProjectId } from '../../api/hooks';
import { address } from '../../api/paths';
import { useLive } from '../../api/live';
import type { Assembly, Control, Doc, Layer, Material } from '../../api/types';
import { MonthStrips } from '../../drawing/MonthStrips';
import { Section } from '../../drawing/Section';
import { Frame } from '../../ui/Frame';
import { useKeys } from '../../ui/keys';
import { useThread } from '../../ui/threads';
import { useDraft } from '../../ui/useDraft';
import { useUnits } from '../../ui/units';
import { CurePanel } from './CurePanel';
import { curable } from './curable';
import { LayerBench } from './LayerBench';
import { MaterialPicker } from './MaterialPicker';
import { Reckoning } from './Reckoning';
import { isAir } from '../../material/families';

import { AssemblyBench } from './AssemblyBench';
import { RemoveDocument } from '../../ui/RemoveDocument';

/** Keys that the section takes while it has the focus. */
const ON_THE_SECTION: [string, string][] = [
  ['← →', 'the next layer in or out'],
  ['Alt+← Alt+→', 'move the layer'],
  ['0–9 on a layer', 'type its thickness'],
  ['Enter', 'its thickness, as it is'],
  ['Delete', 'take it out'],
];

/** One assembly: its section, the bench under it, its year. */
export function AssemblySheet({ doc, list, mayEdit }: { doc: Doc<Assembly>; list: React.ReactNode; mayEdit: boolean }) {
  const draft = useDraft(doc, mayEdit);
  const project = useProjectId();
  const { units } = useUnits();
  const { thread } = useThread();
  const [params] = useSearchParams();
  const materialList = useMaterials();
  const contacts = useContacts(null).data?.contacts ?? [];
  const materials = useMemo(() => new Map((materialList.data ?? []).map((m) => [m.id, m])), [materialList.data]);
  const assembly = draft.content;
  const [selected, setSelected] = useState<number | null>(null);
  const [seed, setSeed] = useState<string>();
  const [picking, setPicking] = useState<'new' | 'change' | null>(null);
  const [curing, setCuring] = useState<string | null>(null);
  const asked = params.get('layer');
  const live = useLive({
    path: address('/api/projects/{project}/assess', { project }),
    body: { kind: 'assembly', content: assembly, units },
  });
  const assessed = live.answer;

  useEffect(() => {
    const at = assembly.layers.findIndex((l) => l.id === asked);
    if (at >= 0) setSelected(at);
    // only when a finding led here, not at every edit
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [asked]);

  const at = selected === null ? null : Math.min(selected, assembly.layers.length - 1);
  const layer = at === null ? undefined : assembly.layers[at];
  const setLayers = (layers: Layer[], select?: number, run?: string) => {
    draft.change({ ...assembly, layers }, run);
    if (select !== undefined) setSelected(Math.max(0, Math.min(layers.length - 1, select)));
  };
  const setLayer = (part: Partial<Layer>) => {
    if (at !== null)
      setLayers(
        assembly.layers.map((l, i) => (i === at ? clean({ ...l, ...part }) : l)),
        undefined,
        'thickness_mm' in part ? `thickness of ${layer?.id}` : undefined,
      );
  };
  const place = (from: number, to: number) => {
    if (to < 0 || to >= assembly.layers.length) return;
    const layers = [...assembly.layers];
    const [taken] = layers.splice(from, 1);
    layers.splice(to, 0, taken as Layer);
    setLayers(layers, to);
  };
  const move = (by: number) => {
    if (at !== null) place(at, at + by);
  };
  const take = () => {
    if (at !== null && assembly.layers.length > 1)
      setLayers(
        assembly.layers.filter((_, i) => i !== at),
        at,
      );
  };
  const choose = (material: Material) => {
    if (picking === 'new') {
      const fresh: Layer = {
        id: ulid().toLowerCase(),
        material: material.id,
        thickness_mm: material.usual_thickness_mm ?? 25,
      };
      const place = at === null ? assembly.layers.length : at + 1;
      setLayers([...assembly.layers.slice(0, place), fresh, ...assembly.layers.slice(place)], place);
    } else if (layer) {
      setLayer({ material: material.id, ...(isAir(material.family) ? {} : { air: undefined }) });
    }
    setPicking(null);
  };
  const carry = (control: Control) => {
    if (!layer) return;
    const has = layer.controls?.includes(control);
    setLayer({ controls: has ? layer.controls?.filter((c) => c !== control) : [...(layer.controls ?? []), control] });
  };
  useKeys(
    {
      undo: { shown: 'Ctrl+Z, Ctrl+Shift+Z', says: 'undo, redo', act: draft.undo },
      redo: draft.redo,
      W: { shown: 'Shift+W A V H', says: 'the layer carries this control, or no longer', act: () => carry('water') },
      A: () => carry('air'),
      V: () => carry('vapour'),
      H: () => carry('heat'),
      ...(mayEdit
        ? {
            n: { says: 'a new layer outside of it', act: () => setPicking('new') },
            m: {
              says: 'another material for it',
              act: () => {
                if (layer) setPicking('change');
              },
            },
          }
        : {}),
    },
    ON_THE_SECTION,
  );

  const keyDown = (event: KeyboardEvent, i: number) => {
    const done = () => {
      event.preventDefault();
      event.stopPropagation();
      event.nativeEvent.stopImmediatePropagation();
    };
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (by !== 0) {
      done();
      if (event.altKey) move(by);
      else setSelected(Math.max(0, Math.min(assembly.layers.length - 1, i + by)));
    } else if (!mayEdit) {
      return;
    } else if (event.key === 'Delete' || event.key === 'Backspace') {
      done();
      take();
    } else if (event.key === 'Enter') {
      done();
      setSeed('');
    } else if (/^[0-9.]$/.test(event.key) && !event.ctrlKey && !event.metaKey && !event.altKey) {
      done();
      setSeed(event.key);
    }
  };

  const figures = assessed?.assemblies?.[0];
  const worst = assessed?.findings.find(curable);
  useKeys({
    c: {
      says: 'what would clear the worst finding',
      act: () => {
        if (worst) setCuring(worst.key);
      },
    },
  });
  const touching = contacts
    .filter((c) => c.severity !== 'pass')
    .flatMap((c) =>
      assembly.layers.flatMap((layer, edge) =>
        c.places.includes(`assemblies/${assembly.id}/layers/${layer.id}`)
          ? [
              {
                id: c.id,
                edge,
                severity: c.severity,
                says: `${c.a_name}, ${c.b_name}: ${c.verdict}`,
                to: `/p/${project}/contacts?pair=${encodeURIComponent(c.id)}`,
              },
            ]
          : [],
      ),
    );
  return (
    <Frame
      sheet={`2 Assembly ${assembly.id}`}

      reckoning={
        <Reckoning
          {...{ assembly, figures, layer, at, materials, draft, mayEdit }}
          findings={assessed?.findings ?? []}
          old={live.old}
          refused={live.why}
          cure={setCuring}
        />
      }
    >
      <div className="px-6 py-3 max-sm:px-3" data-old={live.old}>
        {list}
        <label className="sr-only" htmlFor="assembly-name">
          Name
        </label>
        <input
          id="assembly-name"
          className="mt-1 w-full border-transparent bg-transparent text-[17px] font-bold"
          value={assembly.name}
          disabled={!mayEdit}
          maxLength={200}
          onChange={(e) => {
            if (e.target.value.trim() !== '') draft.change({ ...assembly, name: e.target.value }, 'name');
          }}
        />
        <Focused at={at}>
          <Section
            {...{ assembly, figures, materials, units, thread }}
            selected={at}
            touching={touching}
            onSelect={setSelected}
            onKeyDown={keyDown}
            {...(mayEdit ? { onMove: place } : {})}
          />
        </Focused>
        {curing !== null ? (
          <CurePanel
            assembly={assembly}
            finding={curing}
            mayEdit={mayEdit}
            apply={(content) => {
              draft.change(content);
              setCuring(null);
              focusLayer();
            }}
            close={() => {
              setCuring(null);
              focusLayer();
            }}
          />
        ) : (
          <>
            {layer ? (
              <LayerBench
                {...{ layer, materials }}
                roof={assembly.kind === 'roof'}
                only={assembly.layers.length < 2}
                hand={mayEdit ? { set: setLayer, move, take, carry, pick: setPicking } : null}
                typing={{ seed, onSeeded: () => setSeed(undefined), onDone: focusLayer }}
              />
            ) : (
              <AssemblyBench
                {...{ assembly, mayEdit }}
                change={draft.change}
                add={() => setPicking('new')}
                remove={
                  <RemoveDocument
                    kind="assembly"
                    id={assembly.id}
                    revision={doc.revision}
                    name={assembly.name}
                    lost="Its layers and findings go with it."
                    after={`/p/${project}/assemblies`}
                  />
                }
              />
            )}
            {figures && <MonthStrips {...{ assembly, figures, materials, units }} />}
          </>
        )}
      </div>
      <MaterialPicker
        open={picking !== null}
        title={picking === 'new' ? 'A new layer of' : 'Make this layer of'}
        materials={materialList.data ?? []}
        choose={choose}
        close={() => setPicking(null)}
        focusBack={focusLayer}
      />
    </Frame>
  );
}

/** Back to the layer on the drawing, after something was typed about it. */
function focusLayer() {
  document.querySelector<SVGGElement>('[data-drawing=section] [aria-selected=true]')?.focus({ preventScroll: true });
}

/** Keeps the focus on the selected layer as it moves through the drawing. */
function Focused({ at, children }: { at: number | null; children: React.ReactNode }) {
  const [box, setBox] = useState<HTMLDivElement | null>(null);
  useEffect(() => {
    if (at === null || !box || !(box.contains(document.activeElement) || document.activeElement === document.body))
      return;
    box.querySelectorAll<SVGGElement>('[role=option]')[at]?.focus({ preventScroll: true });
  }, [at, box]);
  return <div ref={setBox}>{children}</div>;
}

/** Leaves out what is not said, as the file does. */
function clean(layer: Layer): Layer {
  const kept = Object.fromEntries(Object.entries(layer).filter(([, value]) => value !== undefined));
  if (layer.controls?.length === 0) delete kept.controls;
  return kept as Layer;
}
