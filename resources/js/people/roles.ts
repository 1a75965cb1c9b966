import type { Role } from '../api/types';

/** What somebody does, as it is told. */
export const ROLES: Record<Role, string> = {
  consultant: 'consultant: decides, and answers for it',
  inspector: 'inspector: reads all, writes what is seen on site',
  'crew-lead': 'crew lead: step cards, sizes, orders, waits',
  reader: 'reader: what is issued, and nothing else',
};

export const ROLE_NAMES = Object.keys(ROLES) as Role[];
