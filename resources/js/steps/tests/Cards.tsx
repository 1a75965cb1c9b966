import { useQuery } from '@tanstack/react-query';
import { get } from '../../api/client';
import { address } from '../../api/paths';
import type { TestKind } from '../../api/types';

/** How a test is made, card by card; the standard itself rules. */
export function Cards({ kind, open = false }: { kind: TestKind; open?: boolean }) {
  const all = useQuery({
    queryKey: ['procedures'],
    queryFn: () => get(address('/api/procedures', {})),
    staleTime: Infinity,
  });
  const of = all.data?.find((p) => p.kind === kind);
  if (!of) return null;
  return (
    <details className="pt-3 text-[12px]" open={open} data-procedure={kind}>
      <summary className="cursor-pointer">how it is done: {of.title.toLowerCase()}</summary>
      <ol className="grid grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] gap-2 pt-2">
        {of.cards.map((card, i) => (
          <li key={card.title} className="border border-ink p-2">
            <p className="font-bold">
              {i + 1} · {card.title}
            </p>
            <p>{card.how}</p>
            {card.caution && <p className="pt-1 text-caution">{card.caution}</p>}
          </li>
        ))}
      </ol>
      <p className="pt-1 text-faint">
        After {of.method} and common practice; the standard, its edition, the maker and who is accredited decide.
        Nothing here is a certificate.
      </p>
    </details>
  );
}
