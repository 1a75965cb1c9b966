import type { DerivedBuilding } from '../api/types';

type Part = DerivedBuilding['parts'][number];

/** What a part is called: an opening, and what goes through, by the title of its detail. */
export function partName(id: string, part: Part | undefined, titles: Map<string, string>): string {
  const name = part?.name ?? id;
  return !part || part.kind === 'opening' ? (titles.get(name) ?? name) : name;
}

/** Where a joint is: the parts that meet, each named once. */
export const jointName = (joint: DerivedBuilding['joints'][number], name: (part: string) => string): string =>
  [...new Set(joint.parts.map(name))].join(' · ');
