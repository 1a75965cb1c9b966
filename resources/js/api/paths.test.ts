import { expect, it } from 'vitest';
import { address } from './paths';

it('fills in what a path names, however it is called, and asks what is to be asked', () => {
  expect(address('/api/me', {})).toBe('/api/me');
  expect(address('/api/projects/{project}/sequences/{key}', { project: 'p1', key: 'a/b ?' }, { units: 'si' })).toBe(
    '/api/projects/p1/sequences/a%2Fb%20%3F?units=si',
  );
  // @ts-expect-error a path that is not described
  address('/api/nothing', {});
  // @ts-expect-error a name that is left out
  address('/api/projects/{project}', {});
});
