import { show } from '../quantity/show';
import type { Sheet } from './sheet';

const CONTROLS = ['water', 'air', 'vapour', 'heat'] as const;

/** The envelope: how large it is, where each control layer breaks on its way round, and what nobody has decided. */
export function Building({ sheet }: { sheet: Sheet }) {
  const { building } = sheet.assessment;
  if (!building) return null;
  const m = (metres: number) => `${metres.toFixed(1)} m`;
  return (
    <section>
      <h2 className="mb-1 text-[14pt] font-bold">The building</h2>
      <p>
        {building.envelope_m2.toFixed(1)} m² of envelope round {building.volume_m3.toFixed(1)} m³, in{' '}
        {building.parts.length} parts that meet at {building.joints.length} joints.
      </p>
      <table className="my-2 w-full border-collapse text-[8.5pt]">
        <thead>
          <tr className="border-b border-ink text-left">
            <th>Control layer</th>
            <th>goes round</th>
            <th>carried</th>
            <th>broken</th>
            <th>undecided</th>
            <th>not needed</th>
          </tr>
        </thead>
        <tbody>
          {CONTROLS.map((control) => {
            const thread = building.threads[control];
            return (
              <tr key={control} className="border-b border-hair">
                <td>{control}</td>
                <td>{thread.closed ? 'yes' : 'no'}</td>
                <td>{m(thread.carried_m)}</td>
                <td className={thread.broken_m > 0 ? 'text-fail' : ''}>{m(thread.broken_m)}</td>
                <td>{m(thread.undecided_m)}</td>
                <td>{m(thread.not_needed_m)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p>
        U over all of it {show(building.heat.u_w_m2k, 'u', sheet.units)}, {building.heat.loss_w_k.toFixed(0)} W/K; of
        that at joints{' '}
        {Object.values(building.heat.joints_w_k)
          .reduce((sum, loss) => sum + loss, 0)
          .toFixed(0)}{' '}
        W/K by classes, an estimate.
      </p>
      {CONTROLS.flatMap((control) =>
        building.threads[control].breaks.map((b) => (
          <p key={`${control} ${b.joint}`} className="together border-t border-hair py-1">
            <b>{control}</b> breaks at {b.joint}, {m(b.length_m)}: {b.why}.
          </p>
        )),
      )}
    </section>
  );
}
