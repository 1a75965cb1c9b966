import { YearChart } from '../drawing/YearChart';

import type { Sheet } from './sheet';
/** The climate that everything is computed in. */
export function Brief({ sheet: { file, assessment, units } }: { sheet: Sheet }) {
  if (!file.climate) return null;
  return (
    <section className="together mt-4">
      <h3 className="text-[12pt] font-bold">Brief: {file.climate.name}</h3>
      <YearChart climate={file.climate} months={assessment.climate?.months} units={units} />
    </section>
  );
}
