import type { SiteCheck } from '../../api/types';
import { dayOf, spoken } from '../../plan/days';

/** Where in its sheet a check stands, or when it is due again. */
export function stands(check: SiteCheck): string {
  switch (check.of) {
    case 'detail':
      return `step ${check.step}`;
    case 'assembly':
      return `layer ${check.step}`;
    case 'plan':
      return check.due === null ? 'covered before the next' : `next on ${spoken(dayOf(check.due))}`;
  }
}
