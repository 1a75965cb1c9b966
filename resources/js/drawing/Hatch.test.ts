import { expect, it } from 'vitest';
import data from '../../../core/data/families.json';
import { hatchOf } from '../material/families';
import { DRAWN } from './Hatch';

it('knows how to draw every family, and draws one that is not said as something plain', () => {
  for (const family of data.families) expect(DRAWN, family.id).toHaveProperty(hatchOf(family.id));
  expect(hatchOf(undefined)).toBe('plain');
  for (const [name, draw] of Object.entries(DRAWN))
    expect(draw({ x0: 0, y0: 0, x1: 60, y1: 60 }) === '', name).toBe(name === 'none');
});
