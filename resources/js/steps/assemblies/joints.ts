import data from '../../../../core/data/starts.json';

export const KINDS = {
  unit: 'a unit and its jamb',
  corner: 'an outside corner',
  slab: 'the edge of a floor',
  girt: 'a girt',
} as const;

export type JointKind = keyof typeof KINDS;

export type JointField =
  | 'frame_u'
  | 'frame_wide_mm'
  | 'frame_deep_mm'
  | 'glass_u'
  | 'glass_mm'
  | 'unit_wide_mm'
  | 'unit_high_mm'
  | 'cover_mm'
  | 'slab_mm'
  | 'gauge_mm'
  | 'flange_mm'
  | 'inside_c'
  | 'outside_c';

/** What the form begins with: a wood frame with three panes, of the size that ISO 10077-1 compares windows at. */
export const STARTS: Record<JointField, number> = data.joint;

type Field = [name: JointField, label: string, least: number, most: number];

const AIRS: Field[] = [
  ['inside_c', 'inside, °C', -40, 60],
  ['outside_c', 'outside, °C', -60, 50],
];

/** What is asked of each kind, with its bounds. */
export const FIELDS: Record<JointKind, Field[]> = {
  unit: [
    ['frame_u', 'frame U, W/(m²K)', 0.2, 5.5],
    ['frame_wide_mm', 'frame wide, mm', 20, 300],
    ['frame_deep_mm', 'frame deep, mm', 20, 400],
    ['glass_u', 'glass U, W/(m²K)', 0.2, 5.5],
    ['glass_mm', 'glass thick, mm', 4, 100],
    ['unit_wide_mm', 'unit wide, mm', 200, 10000],
    ['unit_high_mm', 'unit high, mm', 200, 10000],
    ['cover_mm', 'insulation over the frame, mm', 0, 200],
    ...AIRS,
  ],
  corner: AIRS,
  slab: [['slab_mm', 'floor thick, mm', 20, 1000], ...AIRS],
  girt: [['gauge_mm', 'sheet, mm', 0.3, 10], ['flange_mm', 'flange, mm', 0, 200], ...AIRS],
};
