import { YearChart } from '../drawing/YearChart';

import type { Sheet } from './sheet';
/** The climate that everything is computed in. */
export function Brief({ sheet: { file, assessment, units } }: { sheet: Sheet }) {
  if (!file.climate) return null;
  return (
    <section>
      <h2 className="mb-1 text-[14pt] font-bold">Climate: {file.climate.name}</h2>
      <YearChart climate={file.climate} months={assessment.climate?.months} units={units} />
    </section>
  );
}
