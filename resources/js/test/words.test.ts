import { describe, expect, it } from 'vitest';
import type { DerivedTest, FanTest } from '../api/types';
import { bothWays } from './words';

const fan = (id: string, pa: number, date = '2027-05-01'): FanTest => ({
  id,
  kind: 'fan',
  date,
  indoor_c: 20,
  outdoor_c: 10,
  points: [{ pressure_pa: pa, flow_m3_h: 400 }],
});
const told = (id: string, n50: number, verdict: 'pass' | 'not valid' = 'pass') =>
  ({ id, kind: 'fan', verdict, n50_1_h: n50, q50_m3_h: 100 * n50, q50_m3_h_m2: null, q75_l_s_m2: 1 }) as DerivedTest;

describe('a house tested both ways', () => {
  it('is told by the mean of both, of one day and one stage', () => {
    const [out, into] = [fan('f1', -50), fan('f2', 50)];
    const both = bothWays(out, [out, into], [told('f1', 1.2), told('f2', 1.6)]);
    expect(both?.other.id).toBe('f2');
    expect(both?.means).toEqual({ n50_1_h: 1.4, q50_m3_h: 140, q50_m3_h_m2: null, q75_l_s_m2: 1 });
  });

  it('is no pair on two days, of one way twice, or where one is no test', () => {
    const out = fan('f1', -50);
    const all = (other: FanTest, verdict: 'pass' | 'not valid' = 'pass') =>
      bothWays(out, [out, other], [told('f1', 1), told('f2', 2, verdict)]);
    expect(all(fan('f2', 50, '2027-06-01'))).toBeNull();
    expect(all(fan('f2', -40))).toBeNull();
    expect(all(fan('f2', 50), 'not valid')).toBeNull();
  });
});
