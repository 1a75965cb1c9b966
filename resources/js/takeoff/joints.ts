import type { Layout } from '../api/types';

/** A joint of a layout that can be moved: of a course with the one below, or upright within a course. */
export interface LaidJoint {
  course: number;
  /** null where it is the foot of a course */
  joint: number | null;
  /** along for an upright joint, up for a level one; mm */
  at: number;
  low: number;
  high: number;
}

/** Every joint of a layout, the courses first from below, then what is upright in each. */
export function jointsOf(layout: Layout): LaidJoint[] {
  if (layout.upright) return [];
  const courses = new Map<number, Layout['pieces']>();
  for (const piece of layout.pieces) {
    if (piece.course >= 0) courses.set(piece.course, [...(courses.get(piece.course) ?? []), piece]);
  }
  const level: LaidJoint[] = [];
  const upright: LaidJoint[] = [];
  for (const [course, pieces] of courses) {
    const lefts = pieces.map((p) => p.rect[0] ?? 0);
    const rights = pieces.map((p) => p.rect[2] ?? 0);
    if (courses.has(course - 1)) {
      const foot = Math.min(...pieces.map((p) => p.rect[1] ?? 0));
      level.push({ course, joint: null, at: foot, low: Math.min(...lefts), high: Math.max(...rights) });
    }
    let counted = 0;
    pieces.forEach((piece, i) => {
      const next = pieces[i + 1];
      if (!next || (next.rect[0] ?? 0) > (piece.rect[2] ?? 0) + 0.5) return;
      upright.push({
        course,
        joint: counted,
        at: piece.rect[2] ?? 0,
        low: Math.max(piece.rect[1] ?? 0, next.rect[1] ?? 0),
        high: Math.min(piece.rect[3] ?? 0, next.rect[3] ?? 0),
      });
      counted += 1;
    });
  }
  return [...level, ...upright];
}

export const sameJoint = (a: LaidJoint | null, b: { course: number; joint?: number | null }): boolean =>
  a !== null && a.course === b.course && a.joint === (b.joint ?? null);

/** The member nearest to a place; the place itself where there are none. */
export function onMember(at: number, spacing: number | null): number {
  return spacing === null ? Math.round(at / 10) * 10 : Math.round(at / spacing) * spacing;
}
