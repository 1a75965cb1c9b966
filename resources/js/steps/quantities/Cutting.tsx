import type { DerivedTakeoff, Units } from '../../api/types';
import { show } from '../../quantity/show';

interface Props {
  told: DerivedTakeoff;
  units: Units;
  nameOf: (material: string) => string;
}

/** Strips of all openings and joints together, off rolls of each width. */
export function Cutting({ told, units, nameOf }: Props) {
  if (told.cuts.length === 0) return <p>No detail of the building cuts anything off a roll yet.</p>;
  return (
    <section data-cuts={told.cuts.length}>
      <p className="max-w-[44rem] pb-2">
        All openings and joints together: longest first, each on the first length that still has its width, those on the
        first roll that still has their length (first-fit decreasing). Narrow pieces come out of what wider ones leave.
      </p>
      {told.cuts.map((cut) => {
        const pieces = new Map<string, { id: string; length: number; width: number; times: number }>();
        for (const p of cut.pieces) {
          const key = `${p.id} ${p.length_mm} ${p.width_mm}`;
          const times = (pieces.get(key)?.times ?? 0) + p.times;
          pieces.set(key, { id: p.id, length: p.length_mm, width: p.width_mm, times });
        }
        return (
          <div key={`${cut.material} ${cut.roll_mm}`} className="border-t border-hair py-1" data-cut={cut.material}>
            <p className="flex flex-wrap justify-between gap-2">
              <span>
                <b>{nameOf(cut.material)}</b>, {show(cut.roll_mm, 'length', units)} wide
              </span>
              <span>
                {show(cut.run_mm / 1000, 'run', units)} off {cut.rolls} of{' '}
                {show(cut.roll_length_mm / 1000, 'run', units)}, {show(cut.waste_pct, 'percent', units)} lost across
              </span>
            </p>
            <svg viewBox="0 0 780 10" className="block w-full" aria-hidden preserveAspectRatio="none">
              {Array.from({ length: Math.min(cut.rolls, 40) }, (_, i) => {
                const shown = Math.min(cut.rolls, 40);
                const full = 776 / shown;
                const used = Math.max(0, Math.min(1, cut.run_mm / cut.roll_length_mm - i));
                return (
                  <g key={i}>
                    <rect x={2 + i * full} y="1" width={full - 2} height="8" fill="#fff" stroke="var(--color-ink)" />
                    <rect x={2 + i * full} y="1" width={(full - 2) * used} height="8" fill="var(--color-faint)" />
                  </g>
                );
              })}
            </svg>
            <p className="text-[11px] text-faint">
              {[...pieces.values()]
                .map((p) => {
                  const [, detail, piece] = /^details\/([^/]+)\/pieces\/(.+)$/.exec(p.id) ?? [];
                  return `${p.times > 1 ? `${p.times} × ` : ''}${detail ?? ''} ${piece ?? p.id} ${show(p.length, 'length', units)} × ${show(p.width, 'length', units)}`;
                })
                .join(' · ')}
            </p>
          </div>
        );
      })}
    </section>
  );
}
