import type { DerivedBuilding } from '../api/types';

type Joint = DerivedBuilding['joints'][number];
export type State = Joint['threads']['air'];

export const KINDS: Record<Joint['kind'], string> = {
  'outside-corner': 'outside corner',
  'inside-corner': 'inside corner',
  'assembly-change': 'one assembly to another',
  parapet: 'roof edge with parapet',
  eaves: 'eaves',
  verge: 'verge',
  ridge: 'ridge',
  'wall-above-roof': 'wall standing up from a roof',
  'wall-to-foundation': 'wall on foundation wall',
  'foundation-to-slab': 'foundation wall on slab',
  'wall-to-slab': 'foot of a wall at the ground',
  'wall-to-soffit': 'wall beginning at a soffit',
  'soffit-to-wall': 'soffit on the wall below',
  unconditioned: 'towards an unheated block',
  sill: 'sill',
  head: 'head',
  jamb: 'jamb',
  penetration: 'penetration',
  movement: 'movement joint',
};

export const STATES: Record<State, { words: string; mark: string; colour: string }> = {
  broken: { words: 'broken', mark: '■', colour: 'text-fail font-semibold' },
  undecided: { words: 'undecided', mark: '?', colour: 'text-caution' },
  carried: { words: 'carried', mark: '○', colour: 'text-pass' },
  'not-needed': { words: 'not needed', mark: '·', colour: 'text-faint' },
};

const ORDER: State[] = ['broken', 'undecided', 'carried', 'not-needed'];

/** The state that has the most to lose. */
export const worstOf = (states: State[]): State => ORDER.find((state) => states.includes(state)) ?? 'not-needed';

export const BY = {
  lap: 'lapped',
  tape: 'taped',
  bead: 'a bead',
  gasket: 'a gasket',
  fluid: 'a coat',
  foam: 'foam',
  metal: 'metal',
  continuous: 'it goes on',
  butt: 'butted',
  none: 'nothing',
} as const;

export const DRAINED: Record<DerivedBuilding['drained'][number]['why'], string> = {
  'comes-out': 'comes out',
  'goes-on': 'goes on below',
  'no-space': 'no space drains',
  'cut-off': 'cut off by level members',
  'base-closed': 'closed at the base',
  'heads-closed': 'closed over its openings',
  'onto-solid': 'onto a wall without a space',
  'not-said': 'its end is not said',
};
