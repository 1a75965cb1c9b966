import { FanPlot } from '../drawing/test/FanPlot';
import { Dots } from '../drawing/test/Dots';
import { WetPlaces, type WaterTest } from '../drawing/test/WetPlaces';
import { askedOf, linesOf, STAGES, unitOf, VERDICTS } from '../test/words';
import type { Sheet } from './sheet';

/** Tests in the field: readings, line, figures with their doubt; what was simulated is marked. */
export function Tests({ sheet }: { sheet: Sheet }) {
  const { file, assessment } = sheet;
  const told = new Map((assessment.tests ?? []).map((t) => [t.id, t]));
  if (!file.tests || file.tests.length === 0) return null;
  return (
    <section>
      <h2 className="mb-1 text-[14pt] font-bold">Tests</h2>
      {file.tests.map((test) => {
        const derived = told.get(test.id);
        return (
          <div key={test.id} className="together border-t border-hair py-2">
            <h3 className="font-bold">
              {test.title ?? test.id}
              {test.date === undefined ? '' : `, ${test.date}`}
              {test.stage ? `, ${STAGES[test.stage]}` : ''}
              {test.simulated ? ' · simulated, tells nothing of the building' : ''}
            </h3>
            {test.kind === 'water' ? (
              <WaterOn test={test} sheet={sheet} />
            ) : test.kind === 'fan' ? (
              <FanPlot test={test} derived={derived?.kind === 'fan' ? derived : undefined} />
            ) : (
              <Dots
                values={derived && 'values' in derived ? derived.values : []}
                unit={unitOf(test)}
                {...askedOf(test)}
              />
            )}
            {derived && (
              <p>
                <b>{VERDICTS[derived.verdict].words}.</b>{' '}
                {linesOf(test, derived)
                  .map(([words, value]) => `${words} ${value}`)
                  .join('; ')}
                .
              </p>
            )}
            {('leaks' in test ? (test.leaks ?? []) : []).map((leak, i) => (
              <p key={i}>
                leak: {leak.words}
                {leak.joint === undefined ? '' : `, ${leak.joint}`}
              </p>
            ))}
            {test.kind === 'water' &&
              test.runs.map((run, i) => (
                <p key={i}>
                  {run.where}: {run.minutes} min
                  {run.seen ? `, water after ${run.seen.after_min} min: ${run.seen.words}` : ', dry'}
                </p>
              ))}
            {(test.by_person ?? test.instrument ?? test.place) !== undefined && (
              <p className="text-faint">
                {[
                  test.place,
                  test.by_person,
                  test.instrument,
                  test.calibrated === undefined ? undefined : `calibrated ${test.calibrated}`,
                ]
                  .filter((said) => said !== undefined)
                  .join(', ')}
              </p>
            )}
          </div>
        );
      })}
    </section>
  );
}

function WaterOn({ test, sheet }: { test: WaterTest; sheet: Sheet }) {
  const drawn = sheet.sequences.find((s) => s.detail.id === test.place);
  return drawn ? <WetPlaces test={test} sheet={drawn} units={sheet.units} /> : null;
}
