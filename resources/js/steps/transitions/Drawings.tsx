import { useEffect, useRef, useState } from 'react';
import { useDocuments, useMaterials, useSite } from '../../api/hooks';
import type { Building, DerivedBuilding } from '../../api/types';
import { pinned } from '../../building/pins';
import { KINDS } from '../../building/words';
import { CutDrawing } from '../../drawing/building/CutDrawing';
import { Flats } from '../../drawing/building/Flats';
import { Elevation } from '../../drawing/building/Elevation';
import { show } from '../../quantity/show';
import { useKeys } from '../../ui/keys';
import { useThread } from '../../ui/threads';
import { useUnits } from '../../ui/units';
import { Plan } from './Plan';

type Joint = DerivedBuilding['joints'][number];

interface Props {
  building: Building;
  derived: DerivedBuilding | undefined;
  chosen: string | null;
  choose: (joint: string) => void;
  called: (joint: Joint) => string;
  mayEdit: boolean;
  change: (building: Building, run?: string) => void;
}

/** The building drawn: on plan, its sides unrolled, and the sections that between them show every kind of joint. */
export function Drawings({ building, derived, chosen, choose, called, mayEdit, change }: Props) {
  const { thread } = useThread();
  const { units } = useUnits();
  const documents = useDocuments().data;
  const pins = pinned(useSite().data?.faults ?? []);
  const materials = new Map(useMaterials().data?.map((m) => [m.id, m.family ?? '']));
  const cuts = derived?.cuts ?? [];
  const [view, setView] = useState<'plan' | 'sides' | number>('plan');
  const [near, setNear] = useState(false);
  const at = typeof view === 'number' ? Math.min(view, cuts.length - 1) : view;
  const cut = typeof at === 'number' ? cuts[at] : undefined;
  // A joint that is walked to is shown where it is drawn.
  const here = cut?.joints.some((j) => j.joint === chosen) ?? false;
  const shows = chosen === null ? -1 : cuts.findIndex((c) => c.joints.some((j) => j.joint === chosen));
  const followed = useRef(chosen);
  useEffect(() => {
    // Walked on to a joint that is not on this paper: to the one that shows it.
    if (followed.current === chosen) return;
    followed.current = chosen;
    if (chosen === null || typeof at !== 'number' || here) return;
    setView(shows >= 0 ? shows : 'sides');
  }, [chosen, at, here, shows]);
  useKeys({
    p: { says: 'the plan', act: () => setView('plan') },
    e: { says: 'the sides, unrolled', act: () => setView('sides') },
    s: {
      says: 'the next section',
      act: () => setView(typeof at === 'number' ? (at + 1) % Math.max(1, cuts.length) : 0),
    },
    z: {
      says: 'the joint from near, and from far again',
      act: () => {
        if (!near && !here && shows >= 0) setView(shows);
        setNear(!near || !here);
      },
    },
  });
  const assemblies = new Map((documents?.assemblies ?? []).map((d) => [d.key, d.content]));
  const family = (material: string) => materials.get(material) ?? '';
  const drawn = { thread, chosen, choose, called };
  const tab = (is: boolean, words: string, key: string, act: () => void) => (
    <button className={`act ${is ? 'bg-ink text-white' : ''}`} aria-pressed={is} onClick={act} key={words}>
      {words} {key !== '' && <kbd>{key}</kbd>}
    </button>
  );
  return (
    <section data-drawings={typeof at === 'number' ? 'cut' : at}>
      <div className="flex flex-wrap items-baseline gap-2 pb-1 text-[12px]">
        {tab(at === 'plan', 'plan', 'p', () => setView('plan'))}
        {derived && tab(at === 'sides', 'sides', 'e', () => setView('sides'))}
        {cuts.map((c, i) =>
          tab(
            at === i,
            c.by === 'plan' ? `loop at ${show(c.level_mm ?? 0, 'length', units)}` : `section ${i + 1}`,
            i === 0 ? 's' : '',
            () => setView(i),
          ),
        )}
        {cut && shows >= 0 && tab(near && here, 'near', 'z', () => setNear(!near))}
        {cut && <span className="text-faint">{cut.kinds.map((kind) => KINDS[kind]).join(', ')}</span>}
      </div>
      {at === 'plan' && (
        <Plan
          {...{ building, derived, mayEdit, change }}
          chosen={(id) => id === chosen}
          cuts={cuts}
          open={(i) => setView(i)}
        />
      )}
      {at === 'sides' &&
        derived &&
        building.blocks
          .filter((block) => derived.elevations.some((side) => side.block === block.id))
          .map((block) => (
            <div key={block.id}>
              <Elevation {...{ derived, ...drawn }} block={block.id} units={units} pins={pins} />
              <Flats {...{ derived, thread, units }} block={block.id} />
            </div>
          ))}
      {cut && derived && <CutDrawing {...{ cut, derived, assemblies, family, near, ...drawn }} />}
    </section>
  );
}
