import { describe, expect, it } from 'vitest';
import type { Building } from '../api/types';
import { saidOf, withSaid, type Of } from './connections';

const corners: Of = { kind: 'outside-corner', joint: null, between: null };
const building = (connections: Building['connections']): Building => ({ blocks: [], connections }) as Building;

describe('what is said of a joint', () => {
  it('keeps what was said beside what is said anew', () => {
    const before = building([{ joint: { kind: 'outside-corner' }, section: 'cut1', detail: 'd1' }]);
    const after = withSaid(before, corners, { threads: { air: { by: 'tape' } } });
    expect(saidOf(after, corners)).toEqual({
      joint: { kind: 'outside-corner' },
      section: 'cut1',
      detail: 'd1',
      threads: { air: { by: 'tape' } },
    });
  });

  it('takes back what is undefined, and the connection that says nothing any more', () => {
    const before = building([
      { joint: { kind: 'outside-corner' }, psi_w_mk: 0.1 },
      { joint: 'hall.wall.0', detail: 'd1' },
    ]);
    const after = withSaid(before, corners, { psi_w_mk: undefined, threads: {} });
    expect(after.connections).toEqual([{ joint: 'hall.wall.0', detail: 'd1' }]);
  });

  it('tells one joint, a pair and a kind apart, a pair either way round', () => {
    const pair: Of = { ...corners, between: ['w1', 'w2'] };
    const after = withSaid(withSaid(building(undefined), corners, { detail: 'd1' }), pair, { detail: 'd2' });
    expect(saidOf(after, { ...pair, between: ['w2', 'w1'] })?.detail).toBe('d2');
    expect(saidOf(after, corners)?.detail).toBe('d1');
    expect(saidOf(after, { ...corners, joint: 'x' })).toBeUndefined();
  });
});
