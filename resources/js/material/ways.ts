import type { PairAnswer } from '../api/types';

/** How the first of a pair meets the second, as a sentence has it. */
export const WAYS: Record<PairAnswer['how'], string> = {
  bonded: 'stuck to',
  lapped: 'lapped over',
  pressed: 'pressed on',
  fastened: 'driven through',
  'drains-onto': 'draining onto',
  near: 'near',
  touches: 'against',
};
