import type { DerivedBuilding } from '../api/types';

type Part = DerivedBuilding['parts'][number];

const KINDS: Record<Part['kind'], string> = {
  wall: 'side',
  'foundation-wall': 'foundation, side',
  roof: 'roof',
  slab: 'slab',
  soffit: 'soffit',
  floor: 'floor',
  opening: '',
};

/** What a part is called where people read it: `hall side 2`, `hall roof`, the title of an opening. */
export function partName(id: string, part: Part | undefined, titles: Map<string, string>): string {
  const [block = '', , last = ''] = id.split('.');
  if (!part) return titles.get(id) ?? id;
  if (part.kind === 'opening') {
    const detail = last.split('#')[0] ?? '';
    return titles.get(detail) ?? detail;
  }
  const [edge = '', ...more] = last.split('@');
  const of = [block, KINDS[part.kind], edge].filter((word) => word !== '').join(' ');
  const beside = more.concat(id.includes('@') && more.length === 0 ? [id.split('@')[1] ?? ''] : []);
  const said = beside.map((what) => (what.startsWith('stretch-') ? `, ${what.slice(8)}` : ` towards ${what}`));
  return (id.includes('.roof@') || id.includes('.floor@') ? `${block} ${KINDS[part.kind]}` : of) + said.join('');
}

/** Where a joint is: the parts that meet, each named once. */
export const jointName = (joint: DerivedBuilding['joints'][number], name: (part: string) => string): string =>
  [...new Set(joint.parts.map(name))].join(' · ');
