import type { SiteSheet } from '../api/types';
import type { SeenAt } from '../drawing/building/Elevation';

/** Faults that somebody has pinned to a wall, as their last event leaves them. */
export const pinned = (faults: SiteSheet['faults']): SeenAt[] =>
  faults.flatMap((fault) =>
    fault.raised.pin
      ? [
          {
            id: fault.id,
            ...fault.raised.pin,
            words: fault.raised.words ?? '',
            open: fault.state !== 'closed',
          },
        ]
      : [],
  );
