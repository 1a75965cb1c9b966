import { jointName, partName } from '../building/names';
import { Settle } from '../building/Settle';
import { pinned } from '../building/pins';
import { DRAINED, KINDS, STATES, worstOf } from '../building/words';
import { CutDrawing } from '../drawing/building/CutDrawing';
import { Elevation } from '../drawing/building/Elevation';
import { Flats } from '../drawing/building/Flats';
import { show } from '../quantity/show';
import { THREADS } from '../ui/threads';
import type { Sheet } from './sheet';

/** The envelope: how large it is, where each control layer breaks on its way round, and what nobody has decided. */
export function Building({ sheet }: { sheet: Sheet }) {
  const { building } = sheet.assessment;
  if (!building) return null;
  const m = (metres: number) => show(metres, 'run', sheet.units);
  const titles = new Map([...(sheet.file.openings ?? []), ...(sheet.file.details ?? [])].map((d) => [d.id, d.title]));
  const parts = new Map(building.parts.map((p) => [p.id, p]));
  const joints = new Map(building.joints.map((j) => [j.id, j]));
  const name = (part: string) => partName(part, parts.get(part), titles);
  const where = (id: string) => {
    const joint = joints.get(id);
    return joint ? jointName(joint, name) : id;
  };
  const called = (joint: (typeof building.joints)[number]) => `${KINDS[joint.kind]}, ${jointName(joint, name)}`;
  const kinds = [...new Set(building.joints.map((j) => j.kind))];
  const assemblies = new Map((sheet.file.assemblies ?? []).map((a) => [a.id, a]));
  const families = new Map((sheet.file.materials ?? []).map((made) => [made.id, made.family ?? '']));
  const blocks = [...new Set(building.elevations.map((side) => side.block))];
  return (
    <section>
      <h2 className="mb-1 text-[14pt] font-bold">The building</h2>
      <p>
        {show(building.envelope_m2, 'area', sheet.units)} of envelope round{' '}
        {show(building.volume_m3, 'volume', sheet.units)}, in {building.parts.length} parts that meet at{' '}
        {building.joints.length} joints.
      </p>
      <table className="my-2 w-full border-collapse text-[8.5pt]">
        <thead>
          <tr className="border-b border-ink text-left">
            <th>Where parts meet</th>
            <th className="text-right">joints</th>
            <th className="pr-3 text-right">long</th>
            {THREADS.map((t) => (
              <th key={t.control}>{t.name}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {kinds.map((kind) => {
            const of = building.joints.filter((j) => j.kind === kind);
            return (
              <tr key={kind} className="border-b border-hair">
                <td>{KINDS[kind]}</td>
                <td className="text-right">{of.length}</td>
                <td className="pr-3 text-right">{m(of.reduce((sum, j) => sum + j.length_m, 0))}</td>
                {THREADS.map((t) => {
                  const worst = worstOf(of.map((j) => j.threads[t.control]));
                  const here = of.filter((j) => j.threads[t.control] === worst).length;
                  return (
                    <td key={t.control} className={STATES[worst].colour}>
                      {STATES[worst].mark} {STATES[worst].words}
                      {here < of.length ? ` at ${here}` : ''}
                    </td>
                  );
                })}
              </tr>
            );
          })}
          {(['carried_m', 'broken_m', 'undecided_m'] as const).map((metres) => (
            <tr key={metres}>
              <td colSpan={3}>{metres.replace('_m', '')}</td>
              {THREADS.map((t) => (
                <td key={t.control}>{m(building.threads[t.control][metres])}</td>
              ))}
            </tr>
          ))}
          <tr className="font-semibold">
            <td colSpan={3}>goes right round</td>
            {THREADS.map((t) => (
              <td key={t.control}>{building.threads[t.control].closed ? 'closed' : 'open'}</td>
            ))}
          </tr>
        </tbody>
      </table>
      {THREADS.flatMap((t) =>
        building.threads[t.control].breaks.map((b) => (
          <p key={`${t.control} ${b.joint}`} className="together border-t border-hair py-1">
            <b>{t.name}</b> breaks at {where(b.joint)}, {m(b.length_m)}: {b.why}.
          </p>
        )),
      )}
      <p className="mt-2">
        U over all of it {show(building.heat.u_w_m2k, 'u', sheet.units)},{' '}
        {show(building.heat.loss_w_k, 'loss', sheet.units)}; of that at joints{' '}
        {show(
          Object.values(building.heat.joints_w_k).reduce((sum, loss) => sum + loss, 0),
          'loss',
          sheet.units,
        )}{' '}
        by classes, an estimate. Air leakage at {building.leakage.pressure_pa} Pa, by classes, an estimate too:{' '}
        {show(building.leakage.estimate_l_s, 'flow', sheet.units)}
        {building.leakage.allowed_l_s === null
          ? '; no target is set'
          : `; the target leaves ${show(building.leakage.allowed_l_s, 'flow', sheet.units)}`}
        .
      </p>
      {building.cuts.map((cut, i) => (
        <figure key={i} className="together my-2">
          <CutDrawing
            {...{ cut, assemblies, called }}
            derived={building}
            family={(id) => families.get(id) ?? ''}
            thread={null}
            height={300}
          />
          <figcaption className="text-[8pt] text-faint">
            {cut.by === 'plan' ? `Loop at ${show(cut.level_mm ?? 0, 'length', sheet.units)}` : `Section ${i + 1}`}:{' '}
            {cut.kinds.map((kind) => KINDS[kind]).join(', ')}
          </figcaption>
        </figure>
      ))}
      {blocks.map((block) => (
        <div key={block} className="together">
          <Elevation
            {...{ block, called }}
            derived={building}
            thread={null}
            units={sheet.units}
            pins={pinned(sheet.site.faults)}
          />
          <Flats derived={building} block={block} thread={null} units={sheet.units} />
        </div>
      ))}
      <h3 className="mt-2 font-bold">For the meeting before the work</h3>
      {building.to_settle.length === 0 ? (
        <p>Every joint is decided.</p>
      ) : (
        <Settle rows={building.to_settle} units={sheet.units} />
      )}
      <h3 className="mt-2 font-bold">To be built as a mock-up</h3>
      <ul>
        {building.mock_ups.joints.map((row) => (
          <li key={row.kind} className="together border-t border-hair py-[2px]">
            □ {KINDS[row.kind]}: {where(row.joint)}
          </li>
        ))}
        {building.mock_ups.corners.map((row) => (
          <li key={row.kinds.join()} className="together border-t border-hair py-[2px]">
            □ corner of {row.kinds.map((kind) => KINDS[kind]).join(', ')}: {row.count} such, one at{' '}
            {row.at_mm.map((mm) => Math.round(mm)).join(' ')}
          </li>
        ))}
      </ul>
      {building.undetailed.length > 0 && <h3 className="mt-2 font-bold">Joints without a detail</h3>}
      <ul>
        {building.undetailed.map((row) => (
          <li key={`${row.kind} ${row.between.join()} ${String(row.upright)}`} className="together">
            {KINDS[row.kind]} {row.between.filter((b) => b !== '').join(' and ')}: {row.count}, {m(row.length_m)}
          </li>
        ))}
      </ul>
      {building.drained.length > 0 && <h3 className="mt-2 font-bold">What runs behind the cladding</h3>}
      <ul>
        {building.drained.map((face) => (
          <li key={face.part} className="together">
            {name(face.part)}
            {face.over.length > 0 ? `, over ${face.over.map(name).join(' and ')}` : ''}
            {face.past.length > 0 ? `, past ${face.past.join(' and ')}` : ''}: {DRAINED[face.why]}
            {face.onto ? `, behind ${name(face.onto)}` : ''}
          </li>
        ))}
      </ul>
    </section>
  );
}
