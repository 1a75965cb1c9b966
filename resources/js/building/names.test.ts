import { expect, test } from 'vitest';
import type { DerivedBuilding } from '../api/types';
import { jointName, partName } from './names';

type Part = DerivedBuilding['parts'][number];
const part = (id: string, kind: Part['kind'], name: string): Part => ({
  id,
  name,
  kind,
  faces: 'outside',
  assembly: null,
  gross_m2: 1,
  net_m2: 1,
  carries: [],
});
const titles = new Map([['o1', 'Window by the stair']]);

test('an opening goes by the title of its detail, a part by its own name', () => {
  expect(partName('hall.opening.o1#2', part('hall.opening.o1#2', 'opening', 'o1'), titles)).toBe('Window by the stair');
  expect(partName('hall.opening.o9', part('hall.opening.o9', 'opening', 'o9'), titles)).toBe('o9');
  expect(partName('hall.wall.2', part('hall.wall.2', 'wall', 'hall side 2'), titles)).toBe('hall side 2');
});

test('a joint through one part names it once, and what goes through by its title', () => {
  const joint = { parts: ['hall.wall.0', 'hall.wall.0'] } as unknown as DerivedBuilding['joints'][number];
  expect(jointName(joint, (id) => partName(id, part(id, 'wall', 'hall side 0'), titles))).toBe('hall side 0');
  expect(partName('o1', undefined, titles)).toBe('Window by the stair');
});
