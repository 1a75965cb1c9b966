import { Link } from 'react-router';
import { useProjectId } from '../../api/hooks';
import type { SequenceSheet } from '../../api/types';
import { SeverityMark, severityColour } from '../../ui/severity';

/** What the pieces of a step want of what they lie on: a primer, a test, something else. */
export function Touches({ sheet, step }: { sheet: SequenceSheet; step: number }) {
  const project = useProjectId();
  const told = new Map((sheet.touches ?? []).filter((mark) => mark.step === step).map((mark) => [mark.contact, mark]));
  if (told.size === 0) return null;
  return (
    <section className="border-t border-hair py-2" data-touches={step}>
      <h3 className="font-semibold">What they lie on</h3>
      <ul>
        {[...told.values()].map((mark) => (
          <li key={mark.contact} className="flex gap-2">
            <span className={`pt-[3px] ${severityColour(mark.severity)}`}>
              <SeverityMark severity={mark.severity} size={10} />
            </span>
            <Link to={`/p/${project}/contacts?pair=${encodeURIComponent(mark.contact)}`}>{mark.says}</Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
