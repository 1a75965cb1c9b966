import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { get } from '../../api/client';
import { address } from '../../api/paths';
import type { Example } from '../../api/types';
import { Dialog } from '../../ui/Dialog';
import { SeverityMark } from '../../ui/severity';
import { useUnits } from '../../ui/units';

/**
 * Assemblies that come up in the trade, each in its own climate with its verdict; taking one copies it into the
 * project.
 */
export function Examples({
  open,
  close,
  choose,
}: {
  open: boolean;
  close: () => void;
  choose: (example: Example) => void;
}) {
  const { units } = useUnits();
  const [words, setWords] = useState('');
  const examples = useQuery({
    queryKey: ['examples', units],
    queryFn: () => get(address('/api/examples', {}, { units })),
    enabled: open,
  });
  const found = (examples.data ?? []).filter((e) =>
    words
      .toLowerCase()
      .split(/\s+/)
      .every((w) => `${e.title} ${e.about} ${e.climate}`.toLowerCase().includes(w)),
  );
  return (
    <Dialog open={open} close={close} title="Begin from a worked example">
      <input
        autoFocus
        aria-label="Find an example"
        className="w-full"
        value={words}
        placeholder="stucco, roof, brick, pool …"
        onChange={(e) => setWords(e.target.value)}
      />
      {examples.isPending && <p className="py-2 text-faint">assessing them …</p>}
      <ul className="mt-2 h-[48vh] overflow-auto">
        {found.map((e) => (
          <li key={e.id} className="border-t border-hair" data-example={e.id}>
            <button className="flex w-full gap-2 py-2" onClick={() => choose(e)}>
              <span className="pt-[3px]">
                <SeverityMark severity={e.worst} />
              </span>
              <span>
                <span className="font-semibold">{e.title}</span>{' '}
                <span className="text-faint">
                  · {e.climate.replace(' (made up)', '')}, the year {e.year}
                </span>
                <span className="block">{e.about}</span>
                <span className="block text-faint">{e.says.join(' · ')}</span>
              </span>
            </button>
          </li>
        ))}
      </ul>
      <p className="pt-1 text-[11px] text-faint">
        The verdict is that of its own climate and room; in your project it is assessed anew.
      </p>
    </Dialog>
  );
}
