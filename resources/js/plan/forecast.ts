import type { Plan } from '../api/types';
import { numbers, type Table } from '../ui/lines';

export type Day = NonNullable<Plan['forecast']>[number];

/** A forecast as it is typed, pasted or read from a CSV file; °C, mm, %, m/s. */
export const FORECAST: Table<Day> = {
  head: ['date', 'day'],
  columns: 'day, coldest and warmest °C, rain in mm, and mean humidity in % and wind in m/s where they are known',
  example: '2027-04-26, 3, 11, 0.5, 80, 6',
  row: ([date, low, high, rain, humidity, wind, ...more]) => {
    const known = numbers([low, high, rain]);
    const rest = [humidity, wind].map((cell) => (cell === undefined || cell === '' ? null : (numbers([cell]) ?? [])));
    if (!date || !/^\d{4}-\d\d-\d\d$/.test(date) || !known || more.length > 0) return null;
    if (rest.some((cell) => cell?.length === 0)) return null;
    const [rh, blows] = rest.map((cell) => cell?.[0]);
    return {
      date,
      low_c: known[0] ?? 0,
      high_c: known[1] ?? 0,
      rain_mm: known[2] ?? 0,
      ...(rh === undefined ? {} : { rh_pct: rh }),
      ...(blows === undefined ? {} : { wind_m_s: blows }),
    };
  },
  cells: (row) => [row.date, row.low_c, row.high_c, row.rain_mm, row.rh_pct, row.wind_m_s],
};
