import { useState } from 'react';
import type { Material } from '../../api/types';
import { Sheet } from '../../ui/Frame';

interface Props {
  open: boolean;
  title: string;
  materials: Material[];
  choose: (material: Material) => void;
  close: () => void;
  focusBack: () => void;
}

/** Find a material by typing any part of its name or family; arrows and Enter take it. */
export function MaterialPicker({ open, title, materials, choose, close, focusBack }: Props) {
  const [words, setWords] = useState('');
  const [at, setAt] = useState(0);
  const found = materials.filter((m) => words.toLowerCase().split(/\s+/).every((w) => `${m.name} ${m.family ?? ''}`.toLowerCase().includes(w)));
  const take = (material: Material | undefined) => {
    if (!material) return;
    choose(material);
    setWords('');
    setAt(0);
  };
  return (
    <Sheet open={open} close={close} title={title} focusBack={focusBack}>
      <input
        autoFocus role="combobox" aria-expanded="true" aria-controls="materials" aria-label="Find a material" className="w-full" value={words} placeholder="wool, gypsum, membrane …"
        onChange={(e) => { setWords(e.target.value); setAt(0); }}
        onKeyDown={(e) => {
          if (e.key === 'ArrowDown') setAt((i) => Math.min(found.length - 1, i + 1));
          else if (e.key === 'ArrowUp') setAt((i) => Math.max(0, i - 1));
          else if (e.key === 'Enter') take(found[at]);
          else return;
          e.preventDefault();
        }}
      />
      <ul id="materials" role="listbox" className="mt-2 h-[44vh] overflow-auto">
        {found.map((m, i) => (
          <li key={m.id} role="option" aria-selected={i === at} ref={(row) => { if (i === at) row?.scrollIntoView({ block: 'nearest' }); }}>
            <button tabIndex={-1} className={`flex w-full justify-between gap-3 px-2 py-[3px] ${i === at ? 'bg-board font-semibold' : ''}`} onClick={() => take(m)}>
              <span>{m.name}</span>
              <span className="text-faint">{m.conductivity_w_mk ? `λ ${m.conductivity_w_mk}` : 'sheet'} · {m.vapour_resistance_factor ? `μ ${m.vapour_resistance_factor}` : m.sd_m ? `sd ${m.sd_m} m` : `${m.permeance_ng_pa_s_m2} ng`}{m.source?.kind === 'from-memory' ? ' · from memory' : ''}</span>
            </button>
          </li>
        ))}
        {found.length === 0 && <li className="px-2 text-faint">Nothing by that name. Own materials come in with a project file.</li>}
      </ul>
    </Sheet>
  );
}
