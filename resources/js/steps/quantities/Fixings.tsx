import type { DerivedTakeoff, Layout, Units } from '../../api/types';
import { show } from '../../quantity/show';

interface Props {
  told: DerivedTakeoff;
  layouts: Layout[];
  units: Units;
  nameOf: (material: string) => string;
  productOf: (layout: Layout) => string;
}

/** How many fasteners each layer of each wall takes, by what pattern, and how long they are. */
export function Fixings({ told, layouts, units, nameOf, productOf }: Props) {
  const names = new Map(told.faces.map((f) => [f.part, f.name]));
  const groups = new Map<string, DerivedTakeoff['fasteners']>();
  for (const row of told.fasteners) {
    const key = `${row.assembly} ${row.layer}`;
    groups.set(key, [...(groups.get(key) ?? []), row]);
  }
  if (groups.size === 0) return <p>No layer of the building is fastened by a pattern.</p>;
  return (
    <section data-fixings={told.fasteners.length}>
      {[...groups.values()].map((rows) => {
        const [first] = rows;
        if (!first) return null;
        const layout = layouts.find((l) => l.assembly === first.assembly && l.layer === first.layer);
        const total = rows.reduce((sum, row) => sum + row.count, 0);
        return (
          <div key={`${first.assembly} ${first.layer}`} className="border-t border-hair py-1" data-fixing={first.layer}>
            <p className="flex flex-wrap justify-between gap-2">
              <span>
                <b>{layout ? nameOf(productOf(layout)) : 'strapping'}</b>, {first.assembly}
              </span>
              <span>
                <b>{total}</b> {first.length_mm === null ? '' : `of at least ${show(first.length_mm, 'length', units)}`}
              </span>
            </p>
            <p>
              {first.edge_mm === null
                ? 'as many as its assembly states per area'
                : first.edge_mm === first.field_mm
                  ? `every ${show(first.edge_mm, 'length', units)} up each member`
                  : `${show(first.edge_mm, 'length', units)} along edges, ${show(first.field_mm, 'length', units)} in the field`}
              {first.material === null ? '' : `, ${nameOf(first.material)}`}.
              {first.engineer && (
                <span className="text-caution"> So far in front of the framing the engineer names the screw.</span>
              )}
            </p>
            <p className="text-[11px] text-faint">
              {rows.map((row) => `${names.get(row.part) ?? row.part} ${row.count}`).join(' · ')}
            </p>
          </div>
        );
      })}
      <p className="pt-2 text-[12px]">
        Boards share washers: one over a level joint holds both rows, two stand at a tee. Spacing, edge zones and what
        is of a material are settled on “as it lies”.
      </p>
    </section>
  );
}
