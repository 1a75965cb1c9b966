import { useMaterials } from '../../api/hooks';
import type { DerivedTakeoff, Takeoff, Units } from '../../api/types';
import type { Mark } from '../../drawing/takeoff/Lying';
import { show } from '../../quantity/show';
import { QuantityField } from '../../ui/QuantityField';
import { TableField } from '../../ui/TableField';
import { freeId } from '../../ui/freeId';
import { HOLES, POINTS } from './lines';
import { without } from '../../ui/without';

type Face = DerivedTakeoff['faces'][number];
type Survey = NonNullable<Takeoff['surveys']>[number];
type Transfer = NonNullable<Takeoff['transfers']>[number];

interface Props {
  face: Face;
  takeoff: Takeoff;
  told: DerivedTakeoff | undefined;
  mayEdit: boolean;
  units: Units;
  change: (takeoff: Takeoff, run?: string) => void;
}

/** What is marked on a wall: the packing at every bracket, and the holes that are measured from its datum. */
export function marksOf(face: Face, takeoff: Takeoff, told: DerivedTakeoff | undefined, units: Units): Mark[] {
  const survey = told?.surveys.find((s) => s.part === face.part);
  const packed = (survey?.points ?? []).map((p, i): Mark => {
    const words = i === survey?.high ? 'highest' : show(p.need_mm, 'length', units);
    return { x: p.x_mm, z: p.z_mm, words, worst: i === survey?.high };
  });
  const transfer = takeoff.transfers?.find((t) => t.part === face.part);
  const [dx = 0, dz = 0] = transfer?.datum_mm ?? [];
  const holes = (transfer?.holes ?? []).map((h): Mark => ({ x: dx + h.x_mm, z: dz + h.z_mm, words: h.what ?? 'hole' }));
  return [...(transfer ? [{ x: dx, z: dz, words: 'datum' }] : []), ...packed, ...holes];
}

/** A wall brought into plane from a string line, and what is drilled in it from one datum. */
export function PlaneForm({ face, takeoff, told, mayEdit, units, change }: Props) {
  const metals = (useMaterials().data ?? []).filter((m) => m.family !== undefined);
  const survey = takeoff.surveys?.find((s) => s.part === face.part);
  const transfer = takeoff.transfers?.find((t) => t.part === face.part);
  const packed = told?.surveys.find((s) => s.part === face.part);
  const drilled = told?.transfers.find((t) => t.part === face.part);
  const putSurvey = (next: Survey | null) => {
    const others = (takeoff.surveys ?? []).filter((s) => s.part !== face.part);
    const surveys = next ? [...others, next] : others;
    change(surveys.length > 0 ? { ...takeoff, surveys } : without(takeoff, 'surveys'), `survey of ${face.part}`);
  };
  const putTransfer = (next: Transfer | null) => {
    const others = (takeoff.transfers ?? []).filter((t) => t.part !== face.part);
    const transfers = next ? [...others, next] : others;
    change(transfers.length > 0 ? { ...takeoff, transfers } : without(takeoff, 'transfers'), `holes of ${face.part}`);
  };
  const metal = (label: string, key: 'bracket' | 'girt') =>
    survey && (
      <label className="block text-[12px]">
        {label}
        <select
          className="block w-full"
          disabled={!mayEdit}
          value={survey[key] ?? ''}
          onChange={(e) =>
            putSurvey(e.target.value === '' ? without(survey, key) : { ...survey, [key]: e.target.value })
          }
        >
          <option value="">not said</option>
          {metals.map((m) => (
            <option key={m.id} value={m.id}>
              {m.name}
            </option>
          ))}
        </select>
      </label>
    );
  return (
    <section data-plane={face.part}>
      <h2 className="font-bold">{face.name}, its plane</h2>
      {packed && (
        <p className="py-1" data-packing>
          {packed.points.length} places;{' '}
          {packed.spacers.map((s) => `${s.count} × ${show(s.size_mm, 'length', units)}`).join(', ') || 'no packing'}
          {packed.isolators > 0 && `; ${packed.isolators} isolators between unlike metals`}.
        </p>
      )}
      {mayEdit && (
        <TableField
          label="String line"
          table={POINTS}
          rows={survey?.points ?? []}
          put={(points) =>
            putSurvey(
              points.length === 0
                ? null
                : {
                    ...(survey ?? {
                      id: freeId(
                        (takeoff.surveys ?? []).map((s) => s.id),
                        's',
                      ),
                      part: face.part,
                    }),
                    points,
                  },
            )
          }
        />
      )}
      {survey && (
        <div className="grid gap-1 pt-1">
          <QuantityField
            label="packing at the highest"
            dimension="length"
            value={survey.least_mm ?? 0}
            least={0}
            most={500}
            disabled={!mayEdit}
            onChange={(mm) => putSurvey(mm > 0 ? { ...survey, least_mm: mm } : without(survey, 'least_mm'))}
          />
          {metal('brackets are of', 'bracket')}
          {metal('girts are of', 'girt')}
        </div>
      )}
      <h2 className="pt-3 font-bold">Holes from one datum</h2>
      {drilled?.holes.map((h, i) => (
        <p key={i} className="border-t border-hair py-[2px] text-[12px]" data-hole>
          {h.what === '' ? 'hole' : h.what}
          {h.diameter_mm === null ? '' : ` ⌀ ${show(h.diameter_mm, 'length', units)}`}: {show(h.x_mm, 'length', units)}{' '}
          along, {show(h.z_mm, 'length', units)} up
          {h.boards.map((b) => (
            <span key={`${b.layer} ${b.board ?? ''}`} className="block text-[11px] text-faint">
              in board {b.board} of {b.layer}: {show(b.x_mm, 'length', units)} from its left,{' '}
              {show(b.z_mm, 'length', units)} from its foot
            </span>
          ))}
        </p>
      ))}
      {mayEdit && (
        <TableField
          label="Holes"
          table={HOLES}
          rows={transfer?.holes ?? []}
          put={(holes) =>
            putTransfer(
              holes.length === 0
                ? null
                : {
                    ...(transfer ?? {
                      id: freeId(
                        (takeoff.transfers ?? []).map((t) => t.id),
                        't',
                      ),
                      part: face.part,
                      datum_mm: [Math.min(...face.cells_mm.map((c) => c[0] ?? 0)), 0],
                    }),
                    holes,
                  },
            )
          }
        />
      )}
      {transfer && mayEdit && (
        <div className="grid grid-cols-2 gap-2">
          {([0, 1] as const).map((i) => (
            <QuantityField
              key={i}
              label={i === 0 ? 'datum, along' : 'up'}
              dimension="length"
              value={transfer.datum_mm[i] ?? 0}
              least={0}
              width="6.5rem"
              onChange={(mm) =>
                putTransfer({
                  ...transfer,
                  datum_mm: i === 0 ? [mm, transfer.datum_mm[1] ?? 0] : [transfer.datum_mm[0] ?? 0, mm],
                })
              }
            />
          ))}
        </div>
      )}
    </section>
  );
}
