import { describe, expect, it } from 'vitest';
import table from '../../../tests/shared/quantities.json';
import { readQuantity, type Dimension } from './read';

describe('the shared table of typed quantities', () => {
  for (const [typed, dimension, units, conductivity, value] of table.cases as [
    string,
    Dimension,
    'si' | 'us',
    number | null,
    number | null,
  ][]) {
    it(`${typed || '(nothing)'} as ${dimension} in ${units}`, () => {
      const read = readQuantity(typed, dimension, units, conductivity ?? undefined);
      if (value === null) expect(read).toHaveProperty('why');
      else expect((read as { value: number }).value).toBeCloseTo(value, 9);
    });
  }
});
