import { expect, test } from 'vitest';
import type { DerivedBuilding } from '../api/types';
import { jointName, partName } from './names';

type Part = DerivedBuilding['parts'][number];
const part = (id: string, kind: Part['kind']): Part => ({
  id,
  kind,
  faces: 'outside',
  assembly: null,
  gross_m2: 1,
  net_m2: 1,
  carries: [],
});
const titles = new Map([['o1', 'Window by the stair']]);

test.each([
  ['hall.wall.2', 'wall', 'hall side 2'],
  ['hall.wall.1@porch', 'wall', 'hall side 1 towards porch'],
  ['hall.wall.0@stretch-w3', 'wall', 'hall side 0, w3'],
  ['hall.foundation.0', 'foundation-wall', 'hall foundation, side 0'],
  ['hall.roof', 'roof', 'hall roof'],
  ['hall.roof.2', 'roof', 'hall roof 2'],
  ['hall.floor@garage', 'floor', 'hall floor towards garage'],
  ['hall.opening.o1', 'opening', 'Window by the stair'],
  ['hall.opening.o1#2', 'opening', 'Window by the stair'],
  ['hall.opening.o9', 'opening', 'o9'],
] as const)('%s is called as people say it', (id, kind, called) => {
  expect(partName(id, part(id, kind), titles)).toBe(called);
});

test('a joint through one part names it once, and what goes through by its title', () => {
  const joint = { parts: ['hall.wall.0', 'hall.wall.0'] } as unknown as DerivedBuilding['joints'][number];
  expect(jointName(joint, (id) => partName(id, part(id, 'wall'), titles))).toBe('hall side 0');
  expect(partName('o1', undefined, titles)).toBe('Window by the stair');
});
