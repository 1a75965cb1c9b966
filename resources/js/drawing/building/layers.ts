import type { Assembly, Control } from '../../api/types';

export interface LaidLayer {
  family: string;
  controls: readonly Control[];
  /** mm outward from the outline, which is the plane of the air control layer */
  from: number;
  to: number;
}

/** An assembly laid about the outline: what is inside of its air layer goes inward, the rest outward. */
export function laid(assembly: Assembly | undefined, family: (material: string) => string): LaidLayer[] {
  if (!assembly) return [];
  let depth = 0;
  let air = 0;
  const rows = assembly.layers.map((layer) => {
    const from = depth;
    depth += layer.thickness_mm;
    if (layer.controls?.includes('air')) air = depth;
    return { family: family(layer.material), controls: layer.controls ?? [], from, to: depth };
  });
  return rows.map((row) => ({ ...row, from: row.from - air, to: row.to - air }));
}

/** How far outward a control is carried, mm, the middle of the outermost layer that has it; null where none has. */
export function carriedAt(layers: LaidLayer[], control: Control): number | null {
  const at = layers.filter((layer) => layer.controls.includes(control)).pop();
  return at ? (at.from + at.to) / 2 : null;
}
