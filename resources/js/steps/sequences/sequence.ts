import type { Detail, ScheduledOpening } from '../../api/types';

/** An opening of the schedule, made from its sizes; or a detail that stands piece by piece. */
export type Sequence = ScheduledOpening | Detail;
export const scheduled = (content: Sequence): content is ScheduledOpening => 'generator' in content;
export const kindOf = (content: Sequence) => (scheduled(content) ? 'opening' : 'detail');
