import type { Material } from '../../api/types';
import { Pick } from '../../ui/Pick';

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
  const rows = open ? materials.map((m) => ({ id: m.id, text: `${m.name} ${m.family ?? ''}`, material: m })) : [];
  return (
    <Pick
      {...{ open, title, close, focusBack, rows }}
      label="Find a material"
      placeholder="wool, gypsum, membrane …"
      nothing="Nothing by that name. Take it from its data sheet, on the page of materials."
      choose={(row) => choose(row.material)}
      view={(row) => <Line material={row.material} />}
    />
  );
}

function Line({ material: m }: { material: Material }) {
  const heat = m.conductivity_w_mk ? `λ ${m.conductivity_w_mk}` : 'sheet';
  const vapour = m.vapour_resistance_factor
    ? `μ ${m.vapour_resistance_factor}`
    : m.sd_m
      ? `sd ${m.sd_m} m`
      : `${m.permeance_ng_pa_s_m2} ng`;
  return (
    <span className="flex justify-between gap-3">
      <span>{m.name}</span>
      <span className="text-faint">
        {heat} · {vapour}
        {m.source?.kind === 'from-memory' ? ' · from memory' : ''}
      </span>
    </span>
  );
}
