import { Together } from './findings';
import type { Sheet } from './sheet';

/** Every finding with its reason and its source. */
export function AllFindings({ sheet }: { sheet: Sheet }) {
  return (
    <section>
      <h2 className="mb-2 text-[14pt] font-bold">All findings</h2>
      <Together findings={sheet.assessment.findings} />
    </section>
  );
}
