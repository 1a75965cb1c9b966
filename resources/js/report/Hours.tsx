import { LeakCurve } from '../drawing/hours/LeakCurve';
import { MouldLines } from '../drawing/hours/MouldLines';
import { WaterYear } from '../drawing/hours/WaterYear';
import { layerNames, leakCurves, MOULD_LIMIT, mouldRows, runTitle, waterRows, weatherWords } from '../run/words';
import type { DerivedRun } from '../api/types';
import type { Sheet } from './sheet';

/** Assemblies hour by hour: what was run, the mould index of each face, the water in each layer. */
export function Hours({ sheet }: { sheet: Sheet }) {
  const { file, assessment } = sheet;
  const materials = file.materials ?? [];
  const runs = (file.runs ?? []).flatMap((run) => {
    const assembly = file.assemblies?.find((a) => a.id === run.assembly);
    const told = assessment.runs?.find((r): r is DerivedRun => r.id === run.id && 'interfaces' in r);
    return assembly && told && told.interfaces.length > 0 ? [{ run, assembly, told }] : [];
  });
  if (runs.length === 0) return null;
  return (
    <section>
      <h2 className="mb-1 text-[14pt] font-bold">Hour by hour</h2>
      {runs.map(({ run, assembly, told }) => (
        <div key={run.id} className="together border-t border-hair py-2">
          <h3 className="font-bold">
            {assembly.name}: {runTitle(run, assembly, materials)}
          </h3>
          <MouldLines lines={mouldRows(assembly, told, materials)} limit={MOULD_LIMIT} />
          <WaterYear rows={waterRows(told, layerNames(assembly, materials))} />
          <p>
            {told.steady_after_years === null
              ? 'It does not repeat itself yet.'
              : `It repeats itself after ${told.steady_after_years} years.`}{' '}
            {weatherWords(told)} One dimension, without studs.
          </p>
        </div>
      ))}
      {(file.assemblies ?? []).flatMap((assembly) =>
        leakCurves(
          assembly,
          runs.filter((r) => r.assembly === assembly),
        ).map((points, i) => (
          <div key={`${assembly.id} ${i}`} className="together border-t border-hair py-2">
            <h3 className="font-bold">{assembly.name}: how much rain it bears</h3>
            <LeakCurve points={points} limit={MOULD_LIMIT} />
          </div>
        )),
      )}
    </section>
  );
}
