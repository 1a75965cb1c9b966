import data from '../../../../core/data/starts.json';

export const KINDS = {
  unit: 'a unit and its jamb',
  corner: 'an outside corner',
  'inside-corner': 'an inside corner',
  slab: 'the edge of a floor',
  girt: 'a girt',
  stud: 'a stud',
  point: 'a screw or bracket',
  parapet: 'a parapet',
  foot: 'its foot on the ground',
  cellar: 'its foot in a cellar',
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
  | 'parapet_mm'
  | 'edge_mm'
  | 'deep_mm'
  | 'diameter_mm'
  | 'point_w_mk'
  | 'embedded_mm'
  | 'per_m2'
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
  'inside-corner': AIRS,
  stud: AIRS,
  point: [
    ['diameter_mm', 'across, mm', 1, 200],
    ['point_w_mk', 'conductivity, W/(m·K)', 0.02, 400],
    ['embedded_mm', 'into what bears, mm', 0, 500],
    ['per_m2', 'on each m²', 0, 200],
    ...AIRS,
  ],
  parapet: [
    ['parapet_mm', 'parapet over the roof, mm', 50, 3000],
    ['cover_mm', 'insulation round it, mm', 0, 200],
    ...AIRS,
  ],
  foot: [['edge_mm', 'insulation below the ground, mm', 0, 3000], ...AIRS],
  cellar: [
    ['deep_mm', 'ground over the floor, mm', 100, 6000],
    ['edge_mm', 'insulation below the floor, mm', 0, 3000],
    ...AIRS,
  ],
  slab: [['slab_mm', 'floor thick, mm', 20, 1000], ...AIRS],
  girt: [['gauge_mm', 'sheet, mm', 0.3, 10], ['flange_mm', 'flange, mm', 0, 200], ...AIRS],
};

/** Which assemblies a wall may meet at a joint of that kind. */
export const MEETS: Partial<Record<JointKind, string>> = { parapet: 'roof', foot: 'floor', cellar: 'floor' };

/** Why a wall has none of them. */
export const NONE: Partial<Record<JointKind, string>> = {
  unit: 'This wall has no such place: the frame is deeper than there is room for.',
  point: 'This wall has no insulation outside for a screw to go through.',
  girt: 'This wall has no insulation outside for a girt to go through.',
  stud: 'This wall has no framed layer.',
};
