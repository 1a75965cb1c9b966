import type { Detail, RainStrip, SequenceSheet } from '../../api/types';
import { Least } from './Least';
import { PieceEditor } from './PieceEditor';
import { Touches } from './Touches';
import { Oblique } from '../../drawing/Oblique';
import { coverWords } from '../../drawing/StepCard';
import { show } from '../../quantity/show';
import { asked } from '../../quantity/asked';
import { SeverityMark, severityColour } from '../../ui/severity';
import { SaveState } from '../../ui/SaveState';
import { type DraftOf } from '../../ui/useDraft';
import { useUnits } from '../../ui/units';
import { told } from '../../drawing/reasons';

import type { Sequence } from './sequence';

const RELEASED: Record<string, string> = {
  top: 'at the top of the face',
  face: 'behind the cladding',
  unit: 'at the unit',
  penetration: 'at the pipe',
  fastener: 'at the fastener',
};

/** What is cut, laid, checked and found in a step, or what becomes of the chosen piece or strip of rain. */
export function StepPanel({
  sheet,
  step,
  piece,
  draft,
  mayEdit,
  chosen: strip,
  edit,
}: {
  edit: (detail: Detail, run?: string) => void;
  sheet: SequenceSheet;
  step: number;
  piece: string | null;
  draft: DraftOf<Sequence>;
  mayEdit: boolean;
  chosen: RainStrip | null;
}) {
  const { units } = useUnits();
  const other = units === 'si' ? 'us' : 'si';
  const now = sheet.steps.find((s) => s.number === step);
  const chosen = piece ? sheet.detail.pieces.find((p) => p.id === piece) : undefined;
  const cuts = chosen
    ? sheet.cut_list.filter((row) => row.pieces.includes(chosen.id))
    : sheet.cut_list.filter((row) => row.step === step);
  const checks = sheet.checks.filter((c) => c.step === step);
  const rain = sheet.rain.find((state) => state.step === step);
  const last = step === sheet.steps.at(-1)?.number;
  if (strip) {
    return (
      <section data-strip={strip.outcome}>
        <h2 className={`flex gap-2 pb-1 text-[15px] font-bold ${severityColour(strip.severity)}`}>
          <span className="pt-[4px]">
            <SeverityMark severity={strip.severity} />
          </span>
          {strip.outcome}
        </h2>
        <p className="text-faint">
          released {RELEASED[strip.source]}, {show(strip.u[0], 'length', units)} to {show(strip.u[1], 'length', units)}
          {(strip.lines ?? 0) > 0 ? ` · lines of defence: ${strip.lines}` : ''}
        </p>
        <ol className="list-decimal py-2 pl-5">
          {strip.path.map((words, i) => (
            <li key={i} className="py-[2px]">
              It {words}.
            </li>
          ))}
        </ol>
        <p className="border-t border-hair py-2 text-[11px] text-faint">
          Followed straight down. Wind, wicking and water that runs sideways are outside of it.
        </p>
      </section>
    );
  }
  return (
    <>
      <h2 className="pb-1 text-[15px] font-bold">
        {chosen ? sheet.names[chosen.id] : `${step} · ${now?.title ?? ''}`}
      </h2>
      {!chosen && rain && (
        <p className="border-b border-hair pb-2" data-tonight={rain.safe}>
          <span className="font-semibold">{rain.safe ? 'Work may stop here.' : 'Not to be left so overnight.'}</span>{' '}
          {rain.safe
            ? 'A shower tonight wets nothing and is trapped nowhere.'
            : `A shower tonight ${rain.worst === 'trapped' ? 'is trapped at' : 'wets'} ${rain.wets.join(', ')}; ${coverWords(rain, units)}.`}
        </p>
      )}
      {chosen && (
        <p className="text-faint">
          {sheet.materials[chosen.id]} · laid in step {chosen.step}
        </p>
      )}
      {cuts.map((row) => (
        <dl key={row.pieces.join()} className="border-t border-hair py-1">
          <div className="flex justify-between">
            <dt className="text-faint">{row.pieces.map((id) => sheet.names[id]).join(' and ')}</dt>
          </div>
          <div className="flex justify-between">
            <dt className="text-faint">cut {row.count > 1 ? `${row.count} of` : ''}</dt>
            <dd className="font-semibold" data-cut={row.pieces[0]}>
              {show(row.length_mm, 'length', units)} × {show(row.width_mm, 'length', units)}
            </dd>
          </div>
          <div className="text-right text-[11px] text-faint">
            {show(row.length_mm, 'length', other)} × {show(row.width_mm, 'length', other)}
          </div>
          <p className="text-[11px] text-faint">{sheet.materials[row.pieces[0] ?? '']}</p>
        </dl>
      ))}
      {!chosen && <Oblique sheet={sheet} step={step} />}
      {chosen && (
        <PieceEditor
          detail={sheet.detail}
          piece={chosen}
          usualEdges={sheet.usual_edges}
          mayEdit={mayEdit}
          apply={edit}
        />
      )}
      {!chosen && now && <p className="border-t border-hair py-2">{now.how}</p>}
      {!chosen &&
        now?.pieces
          .filter((p) => p.coat !== '')
          .map((p) => (
            <p key={p.id} className="border-t border-hair py-2" data-coat={p.id}>
              <span className="font-semibold">{sheet.names[p.id]}.</span> {p.coat}
            </p>
          ))}
      {!chosen && now?.caution && <p className="border-t border-hair py-2 text-caution">{now.caution}</p>}
      {!chosen && sheet.reasons.some((r) => r.after === step) && (
        <section className="border-t border-hair py-2" data-reasons={step}>
          <h3 className="font-semibold">Why not earlier</h3>
          <ul>
            {told(sheet.reasons.filter((r) => r.after === step)).map((line) => (
              <li key={line}>after {line}</li>
            ))}
          </ul>
        </section>
      )}
      {!chosen && <Touches sheet={sheet} step={step} />}
      {!chosen && step === 1 && sheet.framer.length > 0 && (
        <section className="border-t border-hair py-2" data-framer>
          <h3 className="font-semibold">Framed before it</h3>
          <ul>
            {sheet.framer.map((row) => (
              <li key={row.title} title={row.reason}>
                {row.title}
              </li>
            ))}
          </ul>
        </section>
      )}
      {!chosen && checks.length > 0 && (
        <section className="border-t border-hair py-2">
          <h3 className="font-semibold">Checked on site</h3>
          <ul>
            {checks.map((c) => (
              <li key={c.id} className="flex justify-between gap-2">
                <span>{c.title}</span>
                <span className="whitespace-nowrap font-semibold">{asked(c, units)}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {!chosen &&
        last &&
        sheet.findings.map((f) => (
          <article key={f.key} className="border-t border-hair py-2" data-finding={f.key.split('@')[0]}>
            <h3 className={`flex gap-2 font-semibold ${severityColour(f.severity)}`}>
              <span className="pt-[3px]">
                <SeverityMark severity={f.severity} />
              </span>
              {f.title}
            </h3>
            <p>{f.reason}</p>
            {f.remedy && <p className="mt-1">→ {f.remedy}</p>}
          </article>
        ))}
      {!chosen && last && <Least detail={sheet.detail} {...{ mayEdit, edit }} />}
      <p className="border-t border-hair py-2 text-[11px] text-faint">
        Figures of common practice; a maker’s data sheet wins. The rain is followed straight down: wind, wicking and
        what runs sideways are outside of it.
      </p>
      <SaveState {...draft} mayEdit={mayEdit} />
    </>
  );
}
