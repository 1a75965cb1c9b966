import type { Amount, LayerRule, Layout, Takeoff, Units } from '../../api/types';
import { useMaterials } from '../../api/hooks';
import { show } from '../../quantity/show';
import type { LaidJoint } from '../../takeoff/joints';
import { amountOf, KINDS_LAID, orderOf, whyOf } from '../../takeoff/words';
import { QuantityField } from '../../ui/QuantityField';
import { without } from '../../ui/without';

interface Props {
  layout: Layout;
  takeoff: Takeoff;
  /** what is bought of it, over all walls */
  line: Amount | undefined;
  name: string;
  mayEdit: boolean;
  units: Units;
  chosen: LaidJoint | null;
  change: (takeoff: Takeoff, run?: string) => void;
  /** puts the chosen joint back to where it was laid */
  back: (() => void) | null;
}

/** families that fasteners and tapes are of */
const METALS = ['steel', 'galvanised', 'stainless', 'aluminium', 'copper', 'brass'];
const TAPES = ['acrylic', 'butyl', 'sbs', 'foil'];

/** One layer: how it is laid, what is bought of it, and what is settled otherwise than usual. */
export function LayerForm({ layout, takeoff, line, name, mayEdit, units, chosen, change, back }: Props) {
  const materials = useMaterials().data ?? [];
  const isThis = (r: LayerRule) => r.assembly === layout.assembly && r.layer === layout.layer;
  const rule: LayerRule = takeoff.layers?.find(isThis) ?? { assembly: layout.assembly, layer: layout.layer };
  const put = (next: LayerRule, run?: string) => {
    const others = (takeoff.layers ?? []).filter((r) => !isThis(r));
    const isSaid = Object.keys(next).length > 2;
    const layers = isSaid ? [...others, next] : others;
    change({ ...takeoff, layers }, run && `${run} of ${layout.assembly} ${layout.layer}`);
  };
  const set = <K extends keyof LayerRule>(key: K, value: LayerRule[K] | undefined) =>
    put(value === undefined ? without(rule, key) : { ...rule, [key]: value }, key);
  const [long = 0, wide = 0] = layout.size_mm;
  const [level = 0, end = 0] = layout.lap_mm ?? [];
  const isRoll = layout.kind === 'sheet';
  const size = (which: 0 | 1, mm: number) => {
    const next: [number, number] = which === 0 ? [mm, wide] : [long, mm];
    // A roll is told as width and length in metres, a board by both edges.
    if (isRoll) set('roll_m', [next[1] / 1000, next[0] / 1000]);
    else set('board_mm', [next[1], next[0]]);
  };
  const field = (label: string, value: number | undefined, put1: (mm: number) => void, least: number, most: number) => (
    <QuantityField
      label={label}
      dimension="length"
      value={value}
      {...{ least, most }}
      width="6.5rem"
      disabled={!mayEdit}
      onChange={(mm) => put1(mm)}
    />
  );
  const pick = (label: string, key: 'of' | 'tape', families: string[]) => (
    <label>
      {label}
      <select
        className="block w-full"
        value={rule[key] ?? ''}
        onChange={(e) => set(key, e.target.value === '' ? undefined : e.target.value)}
      >
        <option value="">not said</option>
        {materials
          .filter((m) => families.includes(m.family ?? ''))
          .map((m) => (
            <option key={m.id} value={m.id}>
              {m.name}
            </option>
          ))}
      </select>
    </label>
  );
  return (
    <section data-layer-form={layout.layer}>
      <h2 className="font-bold">{name}</h2>
      <p className="text-faint">{KINDS_LAID[layout.as] ?? layout.as}</p>
      <p className="py-1">
        {layout.courses} {isRoll ? (layout.upright ? 'columns' : 'courses') : 'rows'}, {layout.pieces.length} pieces;{' '}
        {show(layout.net_m2, 'area', units)} drawn, {show(layout.gross_m2, 'area', units)} cut,{' '}
        <b>{show(layout.loss_pct, 'percent', units)} lost</b>. {show(layout.seams_m, 'run', units)} of joints,{' '}
        {layout.spacing_mm === null
          ? 'held all over'
          : layout.laps_over_framing
            ? 'the upright ones on members'
            : 'not all of them on members'}
        .
      </p>
      {layout.blocking_mm.length > 0 && (
        <p className="py-1 text-caution">
          Nothing stands behind its level laps: blocking at{' '}
          {layout.blocking_mm.map((mm) => show(mm, 'length', units)).join(', ')} over the foot, before it is laid.
        </p>
      )}
      {layout.bevels_m > 0 && (
        <p className="py-1" data-bevels>
          {show(layout.bevels_m, 'run', units)} of it bevelled over heads of openings, so that water runs out.
        </p>
      )}
      {line && (
        <p className="py-1" data-line={line.material}>
          In all: {amountOf(line.gross, line.what, units)}, <b>{orderOf(line, units)}</b>, {whyOf(line.why, units)}.
        </p>
      )}
      {chosen && (
        <p className="my-1 border-y border-ink py-1" data-chosen-joint>
          {chosen.joint === null ? `The foot of course ${chosen.course + 1}` : `A joint in course ${chosen.course + 1}`}
          , {show(chosen.at, 'length', units)}{' '}
          {chosen.joint === null ? 'over the foot of the wall' : 'from the left end of the side'}.{' '}
          {back && (
            <button className="link" onClick={back}>
              as it was laid
            </button>
          )}
        </p>
      )}
      <div className="grid grid-cols-2 gap-x-2 pt-1 [&_label]:block">
        {field(isRoll ? 'roll, width' : 'board, upright', wide, (mm) => size(1, mm), isRoll ? 50 : 100, 15000)}
        {field(isRoll ? 'length' : 'level', long, (mm) => size(0, mm), isRoll ? 1000 : 100, isRoll ? 500000 : 15000)}
        {isRoll && field('lap, level', level, (mm) => set('lap_mm', [mm, end]), 0, 1000)}
        {isRoll && field('at ends', end, (mm) => set('lap_mm', [level, mm]), 0, 1000)}
        {isRoll
          ? layout.upright && field('no longer than', rule.longest_mm, (mm) => set('longest_mm', mm), 300, 200000)
          : field('first row', rule.first_mm, (mm) => set('first_mm', mm), 50, 15000)}
        {field('fasteners, edge', rule.edge_mm, (mm) => set('edge_mm', mm), 20, 3000)}
        {field('in the field', rule.field_mm, (mm) => set('field_mm', mm), 20, 3000)}
        {field('edge zone', rule.zone_mm, (mm) => set('zone_mm', mm), 0, 50000)}
      </div>
      <fieldset disabled={!mayEdit} className="grid gap-1 pt-1 text-[12px]">
        {pick('fasteners are of', 'of', METALS)}
        {pick('joints are taped with', 'tape', TAPES)}
        {isRoll && (
          <label>
            <input
              type="checkbox"
              checked={rule.upright ?? false}
              onChange={(e) => set('upright', e.target.checked ? true : undefined)}
            />{' '}
            hung upright, in pieces that hands can hold
          </label>
        )}
        {isRoll && (
          <label>
            <input
              type="checkbox"
              checked={rule.uses_rest ?? false}
              onChange={(e) => set('uses_rest', e.target.checked ? true : undefined)}
            />{' '}
            what a narrow course leaves of its roll is kept for others
          </label>
        )}
        <label>
          <input
            type="checkbox"
            checked={rule.joints_anywhere ?? false}
            onChange={(e) => set('joints_anywhere', e.target.checked ? true : undefined)}
          />{' '}
          upright joints need no member behind them
        </label>
        {Object.keys(rule).length > 2 && (
          <button className="link text-left" onClick={() => put({ assembly: rule.assembly, layer: rule.layer })}>
            all as is usual
          </button>
        )}
      </fieldset>
    </section>
  );
}
