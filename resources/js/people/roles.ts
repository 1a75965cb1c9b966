import type { Role } from '../api/types';

/** What somebody does, as it is told. */
export const ROLES: Record<Role, string> = {
  consultant: 'consultant: decides',
  inspector: 'inspector: writes what is seen',
  'crew-lead': 'crew lead: cards, sizes, orders',
  reader: 'reader: only what is issued',
};

export const ROLE_NAMES = Object.keys(ROLES) as Role[];
