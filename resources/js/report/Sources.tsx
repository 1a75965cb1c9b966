import type { Sheet } from './sheet';

const CAUTIONS = [
  'This report says what was computed, from which figures, and what was seen. It approves nothing and certifies nothing: local code, the makers’ instructions and the judgement of licensed people decide.',
  'Structure (fasteners through thick insulation, shear walls, cladding loads) and fire (foam behind cladding, distances to a boundary) go to the licensed designer.',
  'Vapour figures are by diffusion alone, month by month; air leakage, rain and sun are not in them.',
  'Falls from ladders and scaffold, solvents and isocyanates, knives and heavy glazing are named at the steps they belong to; the site’s own safety rules come first.',
];

/** Where each figure and each rule is from. */
export function Sources({ sheet }: { sheet: Sheet }) {
  const materials = sheet.file.materials ?? [];
  const { findings } = sheet.assessment;
  const rules = [...new Set(findings.map((f) => `${f.source.name} (${f.source.kind.replace('-', ' ')})`))].sort();
  return (
    <section>
      <h2 className="mb-2 text-[14pt] font-bold">Sources and cautions</h2>
      <table className="w-full border-collapse text-[8.5pt]">
        <thead>
          <tr className="border-b border-ink text-left">
            <th>Material</th>
            <th>Its figures are from</th>
          </tr>
        </thead>
        <tbody>
          {materials.map((m) => (
            <tr key={m.id} className="border-b border-hair">
              <td>{m.name}</td>
              <td>{m.source ? `${m.source.name} (${m.source.kind.replace('-', ' ')})` : 'no source given'}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2">Rules: {rules.join('; ')}.</p>
      <ul className="mt-3 list-disc pl-5">
        {CAUTIONS.map((c) => (
          <li key={c}>{c}</li>
        ))}
      </ul>
    </section>
  );
}
