import { FanPlot } from '../drawing/test/FanPlot';
import { STAGES, VERDICTS, worth } from '../test/words';
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
            <FanPlot {...{ test, derived }} />
            {derived && (
              <p>
                {VERDICTS[derived.verdict].words}. n {worth(derived.n, 3, '')}, r² {worth(derived.r2, 4, '')}; at 50 Pa{' '}
                {worth(derived.q50_m3_h, 0, 'm³/h')}
                {derived.q50_95_m3_h
                  ? ` (${derived.q50_95_m3_h.map((q) => q.toFixed(0)).join(' to ')} in 95 of 100)`
                  : ''}
                , {worth(derived.n50_1_h, 2, '1/h')}, {worth(derived.q50_m3_h_m2, 2, 'm³/(h·m²)')}; at 75 Pa{' '}
                {worth(derived.q75_l_s_m2, 2, 'L/(s·m²)')}.
              </p>
            )}
            {(test.leaks ?? []).map((leak, i) => (
              <p key={i}>
                leak: {leak.words}
                {leak.joint === undefined ? '' : `, ${leak.joint}`}
              </p>
            ))}
          </div>
        );
      })}
    </section>
  );
}
