import { expect, it } from 'vitest';
import { wetPlaces, type WaterTest } from './WetPlaces';

it('gathers where water was seen by facet, in the order of the runs', () => {
  const run = (where: string, facet: string | null, after_min: number) => ({
    where,
    minutes: 5,
    ...(facet === null ? {} : { seen: { after_min, words: 'wet', facet } }),
  });
  const test = {
    kind: 'water',
    runs: [run('sill', null, 0), run('jamb', 'jamb-left', 3), run('head', 'sill', 4), run('again', 'jamb-left', 2)],
  } as unknown as WaterTest;
  expect(wetPlaces(test)).toEqual([
    {
      facet: 'jamb-left',
      runs: [
        { where: 'jamb', after_min: 3 },
        { where: 'again', after_min: 2 },
      ],
    },
    { facet: 'sill', runs: [{ where: 'head', after_min: 4 }] },
  ]);
});
