import { expect, it } from 'vitest';
import { readLines, writeLines } from '../../ui/lines';
import { LEAKS, READINGS, readPressures } from './lines';

it('reads what is written beside the fan, and says which line it cannot', () => {
  const read = readLines('pressure;flow\n-12.1;190.5\n-50.1;487;2', READINGS);
  expect(read).toEqual({
    rows: [
      { pressure_pa: -12.1, flow_m3_h: 190.5 },
      { pressure_pa: -50.1, flow_m3_h: 487, weight: 2 },
    ],
  });
  if ('rows' in read) expect(readLines(writeLines(read.rows, READINGS), READINGS)).toEqual(read);
  expect(readLines('-12.1, many', READINGS)).toHaveProperty('why');
  expect(readLines('-12.1, -4', READINGS)).toHaveProperty('why');
  const leaks = readLines('jamb:a|b, smoke at a tie, left\n, a draught', LEAKS);
  expect(leaks).toEqual({ rows: [{ words: 'smoke at a tie, left', joint: 'jamb:a|b' }, { words: 'a draught' }] });
  if ('rows' in leaks) expect(readLines(writeLines(leaks.rows, LEAKS), LEAKS)).toEqual(leaks);
  expect(readPressures('-1.9, -1.7')).toEqual([-1.9, -1.7]);
  expect(readPressures('')).toEqual([]);
  expect(readPressures('-1.9, calm')).toBeNull();
});
