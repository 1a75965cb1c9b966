import { useState } from 'react';
import type { Amount, DerivedTakeoff, Takeoff, Units } from '../../api/types';
import { useDocuments } from '../../api/hooks';
import { address } from '../../api/paths';
import { KINDS } from '../../building/words';
import { show } from '../../quantity/show';
import { amountOf, orderOf, placesOf, whyOf } from '../../takeoff/words';
import { TableField } from '../../ui/TableField';
import { saveWorkbook } from '../../ui/workbook';
import { DELIVERIES } from './lines';
import { without } from '../../ui/without';

interface Props {
  lines: Amount[];
  takeoff: Takeoff;
  told: DerivedTakeoff;
  mayEdit: boolean;
  units: Units;
  project: string;
  nameOf: (material: string) => string;
  change: (takeoff: Takeoff, run?: string) => void;
}

/** All that is bought, in whole units, with how each follows. */
export function OrderList({ lines, takeoff, told, mayEdit, units, project, nameOf, change }: Props) {
  const documents = useDocuments().data;
  const titles = new Map(
    [...(documents?.details ?? []), ...(documents?.openings ?? [])].map((d) => [d.key, d.content.title]),
  );
  const send = () =>
    change({
      ...takeoff,
      ordered: lines.map((l) => ({
        material: l.material,
        what: l.what,
        unit: l.order.unit,
        holds: l.order.holds,
        count: l.order.count,
      })),
    });
  const sheet = () =>
    void saveWorkbook(
      {
        title: 'Order',
        columns: [
          { title: 'material', wide: 34 },
          { title: 'id', wide: 22 },
          { title: 'count', wide: 8 },
          { title: 'unit', wide: 10 },
          { title: 'each holds', wide: 12 },
          { title: 'net', wide: 12 },
          { title: 'gross', wide: 12 },
          { title: 'in', wide: 8 },
          { title: 'how gross follows', wide: 44 },
          { title: 'for', wide: 44 },
        ],
        rows: lines.map((l) => [
          nameOf(l.material),
          l.material,
          l.order.count,
          l.order.unit,
          l.order.holds,
          l.net,
          l.gross,
          l.unit,
          whyOf(l.why, units),
          l.from.join(', '),
        ]),
      },
      'order.xlsx',
    );
  const [place, setPlace] = useState('');
  const places = placesTold(told, units);
  const parts = places.find((p) => p.id === place)?.parts;
  const ours = lines.filter((l) => l.why.rule !== 'others');
  return (
    <section data-order>
      <p className="pb-1 text-[12px]">
        <label>
          of{' '}
          <select value={place} onChange={(e) => setPlace(e.target.value)} data-place>
            <option value="">the whole building</option>
            {places.map((p) => (
              <option key={p.id} value={p.id}>
                {p.words}
              </option>
            ))}
          </select>
        </label>
      </p>
      {parts ? (
        <PartLines lines={ours} {...{ parts, units, nameOf }} />
      ) : (
        <Lines lines={ours} {...{ told, units, nameOf, titles }} />
      )}
      <p className="flex flex-wrap items-baseline gap-3 pt-2">
        <a className="link" href={address('/api/projects/{project}/order.csv', { project })}>
          CSV
        </a>
        <a className="link" href={`${address('/api/projects/{project}/order.csv', { project })}?by=part`}>
          CSV by part and floor
        </a>
        <button className="link" onClick={sheet}>
          XLSX
        </button>
        {mayEdit && (
          <button className="act" onClick={send}>
            {takeoff.ordered ? 'sent out again as it is now' : 'mark it as sent out'}
          </button>
        )}
        {takeoff.ordered && told.changes.length === 0 && (
          <span className="text-faint">as it was sent out, nothing has changed</span>
        )}
      </p>
      {lines.some((l) => l.why.rule === 'others') && (
        <details className="pt-3">
          <summary className="cursor-pointer">Built by others: structure, masonry, ground</summary>
          <Lines lines={lines.filter((l) => l.why.rule === 'others')} {...{ told, units, nameOf, titles }} />
        </details>
      )}
    </section>
  );
}

/** What has changed since the order was sent out, what is not in it, and what comes with which delivery. */
export function OrderNotes({ lines, takeoff, told, mayEdit, units, nameOf, change }: Omit<Props, 'project'>) {
  const joints = told.uncounted.filter((u) => u.what === 'joints');
  const spaces = told.uncounted.filter((u) => u.what === 'strapping');
  const screens = told.uncounted.filter((u) => u.what === 'screens');
  return (
    <section data-order-notes>
      {told.changes.length > 0 && (
        <div className="my-1 border-y-2 border-ink py-1" data-changes={told.changes.length}>
          <p>
            <b>Since the order was sent out</b>
          </p>
          {told.changes.map((c) => (
            <p key={`${c.material} ${c.what} ${c.unit} ${c.holds}`}>
              {nameOf(c.material)}: {c.was} → <b>{c.now}</b>{' '}
              {c.now > c.was ? `, ${c.now - c.was} more` : `, ${c.was - c.now} fewer`}{' '}
              {['roll', 'board', 'pail', 'sausage', 'can', 'length', 'piece'].includes(c.unit) ? `(${c.unit})` : ''}
            </p>
          ))}
        </div>
      )}
      {told.uncounted.length > 0 && (
        <div className="pt-3 text-caution" data-uncounted>
          <p>
            <b>Built, and not in the order</b>
          </p>
          {joints.map((u) => (
            <p key={u.kind}>
              {KINDS[u.kind as keyof typeof KINDS] ?? u.kind}: {show(u.metres, 'run', units)} without a detail
            </p>
          ))}
          {screens.map((u) => (
            <p key={u.of}>
              {u.of.replace('/', ', layer ')}: {show(u.metres, 'run', units)} of screen, at feet, heads and round
              openings
            </p>
          ))}
          {spaces.map((u) => (
            <p key={u.of}>
              {u.of.replace('/', ', layer ')}: nobody has said what stands in the space; give the layer its battens or
              girts
            </p>
          ))}
        </div>
      )}
      {told.deliveries.map((d) => (
        <div key={d.id} className="pt-3" data-delivery={d.id}>
          <p>
            <b>{d.id === 'rest' ? 'for everything else' : d.title}</b> {d.day ?? ''}
          </p>
          {d.lines.length === 0 && <p>nothing that is not there by then</p>}
          <ul className="text-[12px]">
            {d.lines.map((l) => {
              const line = lines.find(
                (a) =>
                  a.material === l.material &&
                  a.what === l.what &&
                  a.order.unit === l.unit &&
                  a.order.holds === l.holds,
              );
              return line && line.why.rule !== 'others' ? (
                <li key={`${l.material} ${l.what} ${l.unit} ${l.holds}`} className="flex justify-between gap-2">
                  <span>{nameOf(l.material)}</span>
                  <span className="whitespace-nowrap">
                    {orderOf({ ...line, order: { ...line.order, count: l.count } }, units)}
                  </span>
                </li>
              ) : null;
            })}
          </ul>
        </div>
      ))}
      {mayEdit && (
        <details className="pt-3">
          <summary className="cursor-pointer">Deliveries</summary>
          <p className="text-[11px] text-faint">
            Parts: {told.faces.map((f) => f.part).join(' · ')}. What the first delivery leaves over is used by the next.
          </p>
          <TableField
            label="Deliveries"
            table={DELIVERIES}
            rows={takeoff.deliveries ?? []}
            put={(deliveries) =>
              change(deliveries.length > 0 ? { ...takeoff, deliveries } : without(takeoff, 'deliveries'))
            }
          />
        </details>
      )}
    </section>
  );
}

/** Floors, and then parts, of which somebody may ask what goes there. */
function placesTold(told: DerivedTakeoff, units: Units) {
  const names = new Map(told.faces.map((f) => [f.part, f.name]));
  return [
    ...told.floors.map((f) => ({
      id: `floor ${f.level_mm}`,
      words: `the floor at ${show(f.level_mm, 'length', units)}`,
      parts: f.parts,
    })),
    ...told.floors
      .flatMap((f) => f.parts)
      .map((part) => ({ id: part, words: names.get(part) ?? part.replaceAll('.', ' '), parts: [part] })),
  ];
}

/** What of the order goes into some parts; whole units are those of the building. */
function PartLines({
  lines,
  parts,
  units,
  nameOf,
}: {
  lines: Amount[];
  parts: string[];
  units: Units;
  nameOf: (material: string) => string;
}) {
  const rows = lines
    .map((l) => ({ l, gross: l.by.reduce((sum, b) => sum + (parts.includes(b.part) ? b.gross : 0), 0) }))
    .filter(({ gross }) => gross > 0);
  return (
    <>
      <table className="w-full border-collapse text-[12px]" data-part-lines={rows.length}>
        <thead>
          <tr className="border-b border-ink text-left">
            <th>Material</th>
            <th className="pl-3 text-right">cut for it</th>
            <th className="pl-3 text-right">of all</th>
            <th className="pl-4">of the order</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ l, gross }) => (
            <tr
              key={`${l.material} ${l.what} ${l.order.unit} ${l.order.holds}`}
              data-line={l.material}
              className="border-b border-hair"
            >
              <th className="text-left font-normal">{nameOf(l.material)}</th>
              <td className="pl-3 text-right whitespace-nowrap">{amountOf(gross, l.what, units)}</td>
              <td className="pl-3 text-right whitespace-nowrap">{show((100 * gross) / l.gross, 'percent', units)}</td>
              <td className="pl-4 whitespace-nowrap">{orderOf(l, units)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-[11px] text-faint">
        A joint is told with the first of the two parts that meet there. Whole units are rounded up once, over the
        building.
      </p>
    </>
  );
}

interface LinesProps {
  lines: Amount[];
  told: DerivedTakeoff;
  units: Units;
  nameOf: (material: string) => string;
  /** of details, by their key */
  titles: Map<string, string>;
}

function Lines({ lines, told, units, nameOf, titles }: LinesProps) {
  return (
    <table className="w-full border-collapse text-[12px]" data-lines={lines.length}>
      <thead>
        <tr className="border-b border-ink text-left">
          <th>Material</th>
          <th className="pl-3 text-right">drawn</th>
          <th className="pl-3 text-right">cut</th>
          <th className="pl-4">to order</th>
          <th className="pl-4">how</th>
        </tr>
      </thead>
      <tbody>
        {lines.map((l) => (
          <tr
            key={`${l.material} ${l.what} ${l.order.unit} ${l.order.holds}`}
            data-line={l.material}
            className="border-b border-hair align-top"
          >
            <th className="text-left font-normal">
              {nameOf(l.material)}
              <span className="block text-[11px] text-faint">{placesOf(l, told.faces, titles)}</span>
            </th>
            <td className="pl-3 text-right whitespace-nowrap">{amountOf(l.net, l.what, units)}</td>
            <td className="pl-3 text-right whitespace-nowrap">{amountOf(l.gross, l.what, units)}</td>
            <td className="pl-4 font-semibold whitespace-nowrap" data-count={l.order.count}>
              {orderOf(l, units)}
            </td>
            <td className="pl-4 text-[11px] text-faint">{whyOf(l.why, units)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
