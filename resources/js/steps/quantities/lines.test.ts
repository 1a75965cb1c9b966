import { expect, it } from 'vitest';
import { readLines, writeLines } from '../../ui/lines';
import { DELIVERIES, HOLES, POINTS } from './lines';

it('reads deliveries with a day, without one, and with the day left empty', () => {
  const typed = 'd1, South side, 2027-04-01, hall.wall.0, hall.wall.1\nd2, North, hall.wall.2\nd3, Rest, , hall.roof';
  const read = readLines(typed, DELIVERIES);
  expect(read).toEqual({
    rows: [
      { id: 'd1', title: 'South side', day: '2027-04-01', parts: ['hall.wall.0', 'hall.wall.1'] },
      { id: 'd2', title: 'North', parts: ['hall.wall.2'] },
      { id: 'd3', title: 'Rest', parts: ['hall.roof'] },
    ],
  });
  if ('rows' in read) expect(readLines(writeLines(read.rows, DELIVERIES), DELIVERIES)).toEqual(read);
});

it('reads points and holes, and says which line it cannot', () => {
  expect(readLines('x;z;off\n600;1200;-4', POINTS)).toEqual({ rows: [{ x_mm: 600, z_mm: 1200, off_mm: -4 }] });
  expect(readLines('600, 1200', POINTS)).toHaveProperty('why');
  expect(readLines('3000, 150, 14, anchor bolt\n10, 20', HOLES)).toEqual({
    rows: [
      { x_mm: 3000, z_mm: 150, diameter_mm: 14, what: 'anchor bolt' },
      { x_mm: 10, z_mm: 20 },
    ],
  });
  expect(readLines('3000, 150, -1', HOLES)).toHaveProperty('why');
});
