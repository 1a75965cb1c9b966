import type { Sheet } from './sheet';

/** What was taken on, by whom and why; what says something else since is open again. */
export function Acceptances({ sheet }: { sheet: Sheet }) {
  const accepted = sheet.assessment.findings.filter((f) => f.accepted !== null);
  if (accepted.length === 0) return null;
  return (
    <section>
      <h2 className="mb-1 text-[14pt] font-bold">Accepted findings</h2>
      {accepted.map((f) => (
        <p key={f.key} className="together border-t border-hair py-1">
          <b>{f.title}</b>: {f.accepted?.reason} ({f.accepted?.by}, {f.accepted?.at.slice(0, 10)})
          {f.accepted?.changed ? ' · accepted earlier, now different, and open again' : ''}
        </p>
      ))}
    </section>
  );
}
