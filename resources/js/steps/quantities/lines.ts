import type { Takeoff } from '../../api/types';
import { numbers, type Table } from '../../ui/lines';

type Delivery = NonNullable<Takeoff['deliveries']>[number];
type Point = NonNullable<Takeoff['surveys']>[number]['points'][number];
type Hole = NonNullable<Takeoff['transfers']>[number]['holes'][number];

const DAY = /^\d{4}-\d\d-\d\d$/;

export const DELIVERIES: Table<Delivery> = {
  head: ['delivery', 'id'],
  columns: 'a name, what it is called, its day or nothing, and the parts it is for',
  example: 'd1, South side, 2027-04-01, hall.wall.0, hall.wall.1',
  row: ([id, title, ...cells]) => {
    if (!id || /[\s/]/.test(id) || !title) return null;
    const [day, ...parts] = cells;
    const dated = day !== undefined && DAY.test(day);
    const named = (dated || day === '' ? parts : cells).filter((cell) => cell !== '');
    return { id, title, ...(dated ? { day } : {}), parts: named };
  },
  cells: (row) => [row.id, row.title, row.day, ...row.parts],
};

export const POINTS: Table<Point> = {
  head: ['x', 'x_mm'],
  columns: 'along from the left end, up from the foot, and how far the face stands out towards the string, in mm',
  example: '600, 1200, -4',
  row: (cells) => {
    const read = numbers(cells);
    return read?.length === 3 ? { x_mm: read[0] ?? 0, z_mm: read[1] ?? 0, off_mm: read[2] ?? 0 } : null;
  },
  cells: (row) => [row.x_mm, row.z_mm, row.off_mm],
};

export const HOLES: Table<Hole> = {
  head: ['x', 'x_mm'],
  columns: 'along and up from the datum in mm, the diameter or nothing, and what it is',
  example: '3000, 150, 14, anchor bolt',
  row: ([x, z, diameter, ...what]) => {
    const at = numbers([x, z]);
    const across = diameter === undefined || diameter === '' ? null : numbers([diameter]);
    if (!at || (diameter !== undefined && diameter !== '' && (!across || (across[0] ?? 0) <= 0))) return null;
    const said = what.join(', ').trim();
    return {
      x_mm: at[0] ?? 0,
      z_mm: at[1] ?? 0,
      ...(across ? { diameter_mm: across[0] ?? 0 } : {}),
      ...(said === '' ? {} : { what: said }),
    };
  },
  cells: (row) => [row.x_mm, row.z_mm, row.diameter_mm, row.what],
};
