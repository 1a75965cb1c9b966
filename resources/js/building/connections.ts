import type { Building, DerivedBuilding } from '../api/types';

export type Connection = NonNullable<Building['connections']>[number];
export type Joint = DerivedBuilding['joints'][number];

/** What is decided of: one joint, all of a kind between two assemblies, or all of a kind. */
export interface Of {
  kind: Joint['kind'];
  joint: string | null;
  between: [string, string] | null;
}

/** What a connection says beside what it is of. */
export type Said = Partial<Omit<Connection, 'joint'>>;

export function isOf({ joint }: Connection, of: Of): boolean {
  if (typeof joint === 'string') return joint === of.joint;
  if (of.joint !== null || joint.kind !== of.kind) return false;
  return [...(joint.between ?? [])].sort().join() === [...(of.between ?? [])].sort().join();
}

export const saidOf = (building: Building, of: Of): Connection | undefined =>
  building.connections?.find((c) => isOf(c, of));

/** The building with something said anew of it; what is undefined is taken back, and a connection that says nothing. */
export function withSaid(building: Building, of: Of, said: Said): Building {
  const rest = (building.connections ?? []).filter((c) => !isOf(c, of));
  const all = Object.entries({ ...saidOf(building, of), ...said }).filter(
    ([key, value]) => key !== 'joint' && value !== undefined && !(key === 'threads' && isEmpty(value)),
  );
  const joint = of.joint ?? { kind: of.kind, ...(of.between ? { between: of.between } : {}) };
  return {
    ...building,
    connections: all.length === 0 ? rest : [...rest, { joint, ...Object.fromEntries(all) } as Connection],
  };
}

const isEmpty = (value: unknown) => Object.keys(value as object).length === 0;

/** The assemblies on either side, in one order. */
export function sidesOf(joint: Joint): [string, string] {
  const [a = '', b = ''] = joint.between;
  return a < b ? [a, b] : [b, a];
}
