import { describe, expect, it } from 'vitest';
import { fitting, scales } from './scale';

describe('the scale of a drawing', () => {
  it('is the largest usual one that fits both ways', () => {
    // 9 m of wall on 180 mm of paper: 1 : 50 just fits; 3 m high on 40 mm asks for 1 : 75.
    expect(fitting([9000, 2000], [180, 200], 'si')?.of).toBe(50);
    expect(fitting([9001, 2000], [180, 200], 'si')?.of).toBe(75);
    expect(fitting([3000, 3000], [180, 40], 'si')?.words).toBe('1 : 75');
    // 30 ft on 7.5 in: 1/4 in to the foot.
    expect(fitting([9144, 1000], [190.5, 200], 'us')?.words).toBe('1/4″ = 1′-0″ (1 : 48)');
  });

  it('is none where nothing fits', () => {
    expect(fitting([1e7, 1], [100, 100], 'si')).toBeNull();
  });

  it('goes down step by step, no step more than to a half of the one before', () => {
    for (const units of ['si', 'us'] as const) {
      const all = scales(units).map((s) => s.of);
      for (let i = 1; i < all.length; i++) expect((all[i] ?? 0) / (all[i - 1] ?? 1)).toBeLessThanOrEqual(2);
    }
  });
});
