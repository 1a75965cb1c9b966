import { Differences } from '../revision/Differences';
import type { Sheet } from './sheet';

/** What is another since the revision before. */
export function Changes({ sheet }: { sheet: Sheet }) {
  if (!sheet.compared) return null;
  return (
    <section>
      <h2 className="mb-1 text-[14pt] font-bold">Since revision {sheet.compared.from}</h2>
      <Differences told={sheet.compared} />
    </section>
  );
}
