import { Joint2d } from '../drawing/Joint2d';
import type { Sheet } from './sheet';

/** Joints cut through, with what they lose. */
export function Joints({ sheet }: { sheet: Sheet }) {
  const { file, assessment } = sheet;
  const sections = file.plane_sections ?? [];
  if (sections.length === 0) return null;
  return (
    <section>
      <h2 className="mb-1 text-[14pt] font-bold">Joints in two dimensions</h2>
      {sections.map((section) => {
        const told = assessment.plane_sections?.find((s) => s.id === section.id);
        return (
          <div key={section.id} className="together border-t border-hair py-2">
            <h3 className="font-bold">{section.title ?? section.id}</h3>
            <Joint2d section={section} picture={sheet.pictures[section.id]} />
            {told && (
              <p>
                <b>
                  ψ {told.psi_w_mk?.toFixed(3) ?? '–'} W/(m·K), fRsi {told.frsi?.toFixed(3) ?? '–'}.
                </b>{' '}
                Heat flow {told.heat_flow_w_m.toFixed(2)} W/m; halving its cells changes it by{' '}
                {told.halving_changes_pct?.toFixed(2) ?? '–'} %. ISO 10211.
              </p>
            )}
          </div>
        );
      })}
    </section>
  );
}
