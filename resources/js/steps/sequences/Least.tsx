import type { Detail } from '../../api/types';
import { QuantityField } from '../../ui/QuantityField';

interface Props {
  detail: Detail;
  mayEdit: boolean;
  edit: (detail: Detail, run?: string) => void;
}

type Unit = NonNullable<Detail['unit']>;
type Side = keyof NonNullable<Unit['joints']>;
const SIDES: Side[] = ['sill', 'head', 'jamb-left', 'jamb-right'];

/**
 * What laps are held to, and how the joint round the unit is closed: a maker's sheet may ask otherwise. What is changed
 * here by hand stands piece by piece from then on.
 */
export function Least({ detail, mayEdit, edit }: Props) {
  const laps = detail.least_laps ?? [];
  const unit = detail.unit;
  const lap = (at: number, part: { horizontal_mm?: number; end_mm?: number }) =>
    edit({ ...detail, least_laps: laps.map((row, i) => (i === at ? { ...row, ...part } : row)) }, `lap ${at}`);
  const joint = (side: Side, part: Partial<NonNullable<NonNullable<Unit['joints']>[Side]>>) => {
    if (!unit) return;
    const joints = { ...unit.joints, [side]: { outer: 'open' as const, ...unit.joints?.[side], ...part } };
    edit({ ...detail, unit: { ...unit, joints } }, `joint ${side}`);
  };
  // Of kinds that are not in it nothing can lap.
  const there = new Set(detail.pieces.flatMap((piece) => [piece.id, piece.kind as string]));
  const shown = laps.map((row, i) => ({ row, i })).filter(({ row }) => there.has(row.outer) && there.has(row.inner));
  if (shown.length === 0 && !unit) return null;
  return (
    <details className="border-t border-hair py-2" data-least>
      <summary className="font-semibold">least laps{unit ? ', joints of the unit' : ''}</summary>
      {unit && (
        <table className="my-1 w-full text-[12px]">
          <thead>
            <tr className="text-left text-faint">
              <th className="font-normal">joint</th>
              <th className="font-normal">outer</th>
              <th className="font-normal">filled</th>
              <th className="font-normal">inner seal</th>
            </tr>
          </thead>
          <tbody>
            {SIDES.map((side) => (
              <tr key={side}>
                <td>{side.replace('-', ', ')}</td>
                <td>
                  <select
                    aria-label={`outer joint, ${side}`}
                    disabled={!mayEdit}
                    value={unit.joints?.[side]?.outer ?? 'open'}
                    onChange={(e) => joint(side, { outer: e.target.value as 'open' })}
                  >
                    <option value="open">open</option>
                    <option value="adhered">bonded</option>
                    <option value="sealed">sealed</option>
                  </select>
                </td>
                {(['insulation', 'inner'] as const).map((what) => (
                  <td key={what}>
                    <input
                      type="checkbox"
                      aria-label={`${what === 'inner' ? 'inner seal' : 'filled'}, ${side}`}
                      disabled={!mayEdit}
                      checked={unit.joints?.[side]?.[what] ?? false}
                      onChange={(e) => joint(side, { [what]: e.target.checked })}
                    />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {shown.map(({ row, i }) => (
        <div key={`${row.outer} ${row.inner}`} className="flex flex-wrap items-baseline gap-x-2 text-[12px]">
          <span className="grow">
            {row.outer} over {row.inner}
          </span>
          {(['horizontal_mm', 'end_mm'] as const).map(
            (way) =>
              row[way] !== undefined && (
                <QuantityField
                  key={way}
                  label={`${way === 'end_mm' ? 'end' : 'level'} lap, ${row.outer} over ${row.inner}`}
                  hideLabel
                  dimension="length"
                  value={row[way]}
                  most={2000}
                  width="4.6rem"
                  disabled={!mayEdit}
                  onChange={(v) => lap(i, { [way]: v })}
                />
              ),
          )}
        </div>
      ))}
      <p className="text-[11px] text-faint">Level, then end. A change here takes the detail off its method.</p>
    </details>
  );
}
