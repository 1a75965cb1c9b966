import type { Sheet } from './sheet';
/** Who put the steps of which detail in order. */
export function Training({ sheet }: { sheet: Sheet }) {
  if (sheet.drills.length === 0) return null;
  return (
    <section className="together">
      <h2 className="mb-2 text-[14pt] font-bold">Training record</h2>
      <p>Who put the steps of which detail in order, before the work began.</p>
      <table className="my-2 w-full border-collapse text-[8.5pt]">
        <thead>
          <tr className="border-b border-ink text-left">
            <th>Day</th>
            <th>Who</th>
            <th>Detail</th>
            <th>Order</th>
            <th>Came to</th>
          </tr>
        </thead>
        <tbody>
          {sheet.drills.map((d, i) => (
            <tr key={i} className="border-b border-hair">
              <td>{d.at?.slice(0, 10)}</td>
              <td>{d.by}</td>
              <td>
                {d.detail} · {d.title}
              </td>
              <td>{d.order.join(' ')}</td>
              <td>
                {d.broken === 0 ? 'in order' : `${d.broken} against the reasons`},{' '}
                {d.tries === 1 ? '1 try' : `${d.tries} tries`}; the rain: {d.worst}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
