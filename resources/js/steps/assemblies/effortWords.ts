import type { Assembly } from '../../api/types';

export const COSTS: Record<NonNullable<Assembly['cost']>, string> = {
  lean: 'less than most',
  usual: 'about as most',
  dear: 'more than most',
};

export const CREWS: Record<NonNullable<Assembly['crew']>, string> = {
  anybody: 'any crew',
  practised: 'a crew that has done it',
  trained: 'a crew trained for it',
};
