import { Link } from 'react-router';
import { useContacts, useProjectId } from '../../api/hooks';
import type { SequenceSheet } from '../../api/types';
import { SeverityMark, severityColour } from '../../ui/severity';

/** What the pieces of a step want of what they lie on: a primer, a test, something else. */
export function Touches({ sheet, step }: { sheet: SequenceSheet; step: number }) {
  const project = useProjectId();
  const contacts = useContacts(null).data?.contacts ?? [];
  const places = sheet.detail.pieces
    .filter((piece) => piece.step === step || piece.patches.some((patch) => patch.step === step))
    .map((piece) => `details/${sheet.detail.id}/pieces/${piece.id}`);
  const told = contacts.filter((c) => c.severity !== 'pass' && c.places.some((place) => places.includes(place)));
  if (told.length === 0) return null;
  return (
    <section className="border-t border-hair py-2" data-touches={step}>
      <h3 className="font-semibold">What they lie on</h3>
      <ul>
        {told.map((c) => (
          <li key={c.id} className="flex gap-2">
            <span className={`pt-[3px] ${severityColour(c.severity)}`}>
              <SeverityMark severity={c.severity} size={10} />
            </span>
            <Link to={`/p/${project}/contacts?pair=${encodeURIComponent(c.id)}`}>
              {c.b_name}: {c.verdict}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
