import { OthersList } from '../ui/OthersList';
import type { Sheet } from './sheet';

/** The list for the framer, and the temporary things: to be taken out of the report and handed over. */
export function Others({ sheet }: { sheet: Sheet }) {
  if (sheet.others.framer.length === 0 && sheet.others.temporary.length === 0) return null;
  return (
    <section>
      <h2 className="mb-1 text-[14pt] font-bold">For others on site</h2>
      <OthersList others={sheet.others} />
      <p className="mt-1">What carries loads is the engineer’s; what holds a scaffold is its own crew’s.</p>
    </section>
  );
}
