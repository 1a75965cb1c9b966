import { useState } from 'react';
import { useMaterials, useProjectId } from '../../api/hooks';
import { useLive } from '../../api/live';
import { address } from '../../api/paths';
import { show } from '../../quantity/show';
import { QuantityField } from '../../ui/QuantityField';
import { useUnits } from '../../ui/units';

const ON = { smooth: 'smooth sheathing', rough: 'strand board, glass mat', masonry: 'concrete, block' };
const L_GAL = 3.785412;

/** A coat: wet film from dry, litres and packs, what the gauge must show, and the vapour that the film lets through. */
export function Films() {
  const project = useProjectId();
  const { units } = useUnits();
  const materials = useMaterials().data ?? [];
  const coats = materials.filter((m) => m.family?.startsWith('fluid-'));
  const [given, setGiven] = useState({ material: '', dry_mm: 0.5, area_m2: 100, on: 'smooth', joints_m: 0 });
  const material = given.material || (coats[0]?.id ?? '');
  const said = material !== '';
  const live = useLive<'/api/projects/{project}/film'>(
    said
      ? {
          path: address('/api/projects/{project}/film', { project }),
          body: {
            material,
            dry_mm: given.dry_mm,
            area_m2: given.area_m2,
            on: given.on,
            joints_m: given.joints_m,
          },
        }
      : null,
  );
  const film = said && !live.old ? live.answer : undefined;
  const litres = (l: number) => (units === 'us' ? `${(l / L_GAL).toFixed(1)} US gal` : `${l.toFixed(1)} L`);
  return (
    <details className="border-t border-hair py-1 text-[12px]" data-films>
      <summary>films: how much of a coat</summary>
      <div className="flex flex-wrap items-baseline gap-x-3 py-1">
        <select aria-label="Coat" value={material} onChange={(e) => setGiven({ ...given, material: e.target.value })}>
          {coats.map((m) => (
            <option key={m.id} value={m.id}>
              {m.name}
            </option>
          ))}
        </select>
        <QuantityField
          label="dry film"
          dimension="length"
          value={given.dry_mm}
          most={20}
          width="5.5rem"
          onChange={(v) => setGiven({ ...given, dry_mm: v })}
        />
        <label>
          on{' '}
          <select
            aria-label="Coated face"
            value={given.on}
            onChange={(e) => setGiven({ ...given, on: e.target.value })}
          >
            {Object.entries(ON).map(([on, words]) => (
              <option key={on} value={on}>
                {words}
              </option>
            ))}
          </select>
        </label>
        <QuantityField
          label="area"
          dimension="area"
          value={given.area_m2}
          least={0.01}
          most={1e6}
          width="6rem"
          onChange={(v) => setGiven({ ...given, area_m2: v })}
        />
        <QuantityField
          label="joints"
          dimension="run"
          value={given.joints_m}
          least={0}
          most={1e6}
          width="6rem"
          onChange={(v) => setGiven({ ...given, joints_m: v })}
        />
      </div>
      {live.why !== null && said && (
        <p role="alert" className="text-fail">
          {live.why}
        </p>
      )}
      {film && (
        <p role="status" className="py-1">
          <b>{show(film.wet_mm, 'length', units)} wet</b> for {show(film.dry_mm, 'length', units)} dry, at{' '}
          {Math.round(film.solids_pct)} % solids, in {film.coats === 1 ? 'one coat' : `${film.coats} coats`}. {' '}
          <b>{litres(film.litres)}</b>
          {film.packs === null ? '' : `, ${film.packs} packs`}. {' '}
          {film.readings} readings by gauge, none under {show(film.least_reading_mm, 'length', units)}, their mean the
          film. {' '}Lets {show(film.permeance_ng_pa_s_m2, 'permeance', units)} through. Usual figures where no data
          sheet says otherwise.
        </p>
      )}
    </details>
  );
}
