import { Lying } from '../drawing/takeoff/Lying';
import { show } from '../quantity/show';
import { amountOf, byProduct, orderOf, whyOf } from '../takeoff/words';
import type { Sheet } from './sheet';

/** Layer by layer how the walls are laid, and the order list. */
export function Takeoff({ sheet }: { sheet: Sheet }) {
  const { file, assessment, units } = sheet;
  const { quantities, layouts, takeoff } = assessment;
  if (!quantities || !layouts || !takeoff) return null;
  const layers = new Map(
    (file.assemblies ?? []).flatMap((a) => a.layers.map((l) => [`${a.id} ${l.id}`, l.material] as const)),
  );
  const names = new Map((file.materials ?? []).map((m) => [m.id, m.name]));
  const nameOf = (material: string) => names.get(material) ?? material;
  const groups = byProduct(layouts, (l) => layers.get(`${l.assembly} ${l.layer}`) ?? l.layer);
  const faces = new Map(takeoff.faces.map((f) => [f.part, f]));
  return (
    <section>
      <h2 className="mb-1 text-[14pt] font-bold">Quantities</h2>
      <p>
        Every wall laid out from the bottom, seen from outside, roofs, slabs and soffits seen from above: numbers are
        those of the roll or the board a piece is cut from. What is not laid out is its area, film or length with a
        share over.
      </p>
      <table className="my-2 w-full border-collapse text-[8.5pt]">
        <thead>
          <tr className="border-b border-ink text-left">
            <th>Material</th>
            <th className="text-right">drawn</th>
            <th className="text-right">cut</th>
            <th className="pl-3">to order</th>
            <th className="pl-3">how</th>
          </tr>
        </thead>
        <tbody>
          {quantities.map((l) => (
            <tr
              key={`${l.material} ${l.what} ${l.order.unit} ${l.order.holds}`}
              className="together border-b border-hair align-top"
            >
              <td>{nameOf(l.material)}</td>
              <td className="text-right whitespace-nowrap">{amountOf(l.net, l.what, units)}</td>
              <td className="text-right whitespace-nowrap">{amountOf(l.gross, l.what, units)}</td>
              <td className="pl-3">{orderOf(l, units)}</td>
              <td className="pl-3">{whyOf(l.why, units)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {[...groups].map(([material, laid]) => (
        <div key={material}>
          <h3 className="mt-2 font-bold">{nameOf(material)}</h3>
          <div className="grid grid-cols-2 gap-x-3">
            {laid.map((layout) => {
              const face = faces.get(layout.part);
              return face ? (
                <figure key={`${layout.part} ${layout.layer}`} className="together">
                  <Lying {...{ face, layout, units }} />
                  <figcaption className="text-[8pt] text-faint">
                    {face.name}: {layout.courses} courses, {show(layout.net_m2, 'area', units)} drawn,{' '}
                    {show(layout.gross_m2, 'area', units)} cut, {show(layout.loss_pct, 'percent', units)} lost
                  </figcaption>
                </figure>
              ) : null;
            })}
          </div>
        </div>
      ))}
    </section>
  );
}
