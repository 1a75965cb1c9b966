import data from '../../../core/data/families.json';

/** How a family is drawn where it is cut. */
export type HatchName =
  | 'wool'
  | 'felt'
  | 'beads'
  | 'crossed'
  | 'leaning'
  | 'boards'
  | 'grain'
  | 'plies'
  | 'stipple'
  | 'stones'
  | 'masonry'
  | 'metal'
  | 'sheet'
  | 'bitumen'
  | 'tape'
  | 'plain'
  | 'none';

export const families = data.families;

const byId = new Map(families.map((family) => [family.id, family]));

export const hatchOf = (family: string | undefined): HatchName =>
  (byId.get(family ?? '')?.hatch as HatchName | undefined) ?? 'plain';

/** Families that are offered for a material of one's own. */
export const OFFERED = data.families.filter((family) => family.offered);

export const titleOf = (family: string): string => byId.get(family)?.title ?? family;

export const isMetal = (family: string | undefined): boolean => byId.get(family ?? '')?.metal === true;

export const isAir = (family: string | undefined): boolean => family === 'air';
