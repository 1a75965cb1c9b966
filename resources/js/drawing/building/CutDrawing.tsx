import { useRef } from 'react';
import type { Assembly, Control, DerivedBuilding } from '../../api/types';
import { STATES, worstOf, type State } from '../../building/words';
import { THREADS } from '../../ui/threads';
import { Hatch } from '../Hatch';
import { useDrawnWidth } from '../useDrawnWidth';
import { carriedAt, laid, type LaidLayer } from './layers';

type Cut = DerivedBuilding['cuts'][number];
type Line = Cut['lines'][number];
type Joint = DerivedBuilding['joints'][number];
type At = readonly [number, number];

/** Round a joint that is looked at, mm to each side: some half metre of what meets there. */
const NEAR = 550;
/** A gap in a thread is so wide on paper, px: from far, and from near. */
const GAP = { far: 9, near: 34 };

interface Props {
  cut: Cut;
  derived: DerivedBuilding;
  assemblies: Map<string, Assembly>;
  family: (material: string) => string;
  thread: Control | null;
  chosen?: string | null;
  near?: boolean;
  choose?: ((joint: string) => void) | undefined;
  called: (joint: Joint) => string;
  /** px, where it is as wide as usual */
  height?: number;
}

/** The envelope cut through: assemblies to scale, the four threads through them, a gap wherever one breaks. */
export function CutDrawing({
  cut,
  derived,
  assemblies,
  family,
  thread,
  chosen = null,
  near = false,
  choose,
  called,
  height = 330,
}: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const width = useDrawnWidth(svg, 780, 380);
  const parts = new Map(derived.parts.map((p) => [p.id, p]));
  const joints = new Map(derived.joints.map((j) => [j.id, j]));
  const layersOf = (line: Line): LaidLayer[] => laid(assemblies.get(parts.get(line.part)?.assembly ?? ''), family);
  const target = near ? cut.joints.find((j) => j.joint === chosen) : undefined;
  const view = target ? around(pair(target.at_mm)) : whole(cut, layersOf);
  // No higher than what is drawn needs, where the paper is narrow.
  const needed = ((view.top - view.foot) / (view.right - view.left)) * width;
  const size = { width, height: Math.max(120, Math.min(height, needed)) };
  const k = Math.min(size.width / (view.right - view.left), size.height / (view.top - view.foot));
  const [midX, midY] = [(view.left + view.right) / 2, (view.foot + view.top) / 2];
  const px = ([a, b]: At): At => [size.width / 2 + (a - midX) * k, size.height / 2 - (b - midY) * k];
  const inView = ([x, y]: At, off: number) => x > -off && x < size.width + off && y > -off && y < size.height + off;
  const shown = THREADS.filter((t) => thread === null || t.control === thread);
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${size.width} ${size.height}`}
      className="block w-full"
      role="group"
      aria-label={cut.by === 'plan' ? `Plan at ${cut.level_mm ?? 0} mm` : 'Section'}
      data-drawing="cut"
      data-mm={1 / k}
      data-near={target ? target.joint : undefined}
    >
      {cut.lines.map((line, i) => (
        <Strip
          key={i}
          {...{ line, px, k }}
          ends={[mitre(cut, line, 'from_mm'), mitre(cut, line, 'to_mm')]}
          layers={layersOf(line)}
          isOpening={parts.get(line.part)?.kind === 'opening'}
        />
      ))}
      {shown.map((t) => (
        <g
          key={t.control}
          fill="none"
          stroke={t.colour}
          strokeWidth={t.width}
          strokeDasharray={t.dash || undefined}
          strokeLinecap={t.control === 'vapour' ? 'round' : undefined}
          data-thread={t.control}
        >
          {threadPaths(
            cut,
            joints,
            (line) => (parts.get(line.part)?.kind === 'opening' ? 0 : carriedAt(layersOf(line), t.control)),
            t.control,
            px,
            target ? GAP.near : GAP.far,
          ).map((path) => (
            <path key={path} d={path} />
          ))}
        </g>
      ))}
      {marksOf(cut, joints, thread)
        .filter((mark) => inView(px(mark.at), 12))
        .map(({ joint, at, worst, letters }, i) => (
          <JointMark
            key={`${joint.id} ${i}`}
            at={px(at)}
            id={joint.id}
            isChosen={joint.id === chosen}
            name={called(joint)}
            {...{ worst, letters, choose }}
          />
        ))}
    </svg>
  );
}

/** Where joints are cut, those with something to lose last, so that they lie on top. */
function marksOf(cut: Cut, joints: Map<string, Joint>, thread: Control | null) {
  return cut.joints
    .flatMap((point) => {
      const joint = joints.get(point.joint);
      if (!joint) return [];
      const open = THREADS.filter((t) => ['broken', 'undecided'].includes(joint.threads[t.control]));
      const letters = open
        .filter((t) => thread === null || t.control === thread)
        .map((t) => t.letter)
        .join('');
      const worst = thread ? joint.threads[thread] : worstOf(THREADS.map((t) => joint.threads[t.control]));
      return [{ joint, at: pair(point.at_mm), worst, letters }];
    })
    .sort((a, b) => a.letters.length - b.letters.length);
}

/**
 * Which way the layers of a line go at one of its ends, for each millimetre outward: along the line between two that
 * meet there, so that they are mitred; straight out where nothing else ends, or it goes on in the same plane.
 */
export function mitre(cut: Cut, line: Line, end: 'from_mm' | 'to_mm'): At {
  const [x, y] = pair(line[end]);
  const [ox, oy] = pair(line.out);
  const met = cut.lines.filter((other) => {
    const [px, py] = pair(other.out);
    const touches = [other.from_mm, other.to_mm].some((at) => Math.hypot((at[0] ?? 0) - x, (at[1] ?? 0) - y) < 1);
    return other !== line && touches && Math.abs(px * oy - py * ox) > 0.05;
  });
  const [first] = met;
  if (!first || met.length > 1) return [ox, oy];
  const [px, py] = pair(first.out);
  const share = 1 + px * ox + py * oy;
  return share < 0.3 ? [ox, oy] : [(px + ox) / share, (py + oy) / share];
}

const pair = (at: number[]): At => [at[0] ?? 0, at[1] ?? 0];

const around = ([a, b]: At) => ({ left: a - NEAR * 2, right: a + NEAR * 2, foot: b - NEAR, top: b + NEAR });

function whole(cut: Cut, layersOf: (line: Line) => LaidLayer[]) {
  const ends = cut.lines.flatMap((line) => [pair(line.from_mm), pair(line.to_mm)]);
  const thick = Math.max(200, ...cut.lines.flatMap((line) => layersOf(line).flatMap((l) => [-l.from, l.to])));
  const [as, bs] = [ends.map(([a]) => a), ends.map(([, b]) => b)];
  const pad = thick * 1.3;
  return {
    left: Math.min(...as) - pad,
    right: Math.max(...as) + pad,
    foot: Math.min(...bs) - pad,
    top: Math.max(...bs) + pad,
  };
}

/** One part in the cut: its layers, as thick as they are; a unit as its frame. */
function Strip({
  line,
  layers,
  isOpening,
  ends,
  px,
  k,
}: {
  line: Line;
  layers: LaidLayer[];
  isOpening: boolean;
  /** which way its layers end, for each millimetre outward */
  ends: [At, At];
  px: (at: At) => At;
  k: number;
}) {
  const [from, to, out] = [pair(line.from_mm), pair(line.to_mm), pair(line.out)];
  const off = ([a, b]: At, mm: number): At => [a + out[0] * mm, b + out[1] * mm];
  const quad = (d0: number, d1: number) => {
    const end = ([a, b]: At, [x, y]: At, mm: number): At => (isOpening ? off([a, b], mm) : [a + x * mm, b + y * mm]);
    const corners = [end(from, ends[0], d0), end(to, ends[1], d0), end(to, ends[1], d1), end(from, ends[0], d1)].map(
      px,
    );
    return { corners, path: `M${corners.map((c) => c.map((n) => n.toFixed(1)).join(' ')).join('L')}z` };
  };
  if (isOpening) {
    return (
      <g data-part={line.part}>
        <path d={quad(-80, 0).path} fill="#fff" stroke="var(--color-ink)" strokeWidth="1.2" />
        <path d={quad(-48, -32).path} fill="var(--color-hair)" stroke="var(--color-ink)" strokeWidth="0.6" />
      </g>
    );
  }
  if (layers.length === 0) {
    return (
      <path
        data-part={line.part}
        d={quad(-60, 60).path}
        fill="none"
        stroke="var(--color-fail)"
        strokeWidth="1.2"
        strokeDasharray="4 4"
      />
    );
  }
  const level = Math.abs(out[0]) < 1e-6 || Math.abs(out[1]) < 1e-6;
  return (
    <g data-part={line.part}>
      {layers.map((layer, i) => {
        const { corners, path } = quad(layer.from, layer.to);
        const [xs, ys] = [corners.map((c) => c[0]), corners.map((c) => c[1])];
        const box = {
          x: Math.max(-20, Math.min(...xs)),
          y: Math.max(-20, Math.min(...ys)),
          width: Math.min(1600, Math.max(...xs)) - Math.max(-20, Math.min(...xs)),
          height: Math.min(900, Math.max(...ys)) - Math.max(-20, Math.min(...ys)),
        };
        const thick = (layer.to - layer.from) * k;
        return (
          <g key={i}>
            <path d={path} fill={thick < 2 ? 'var(--color-ink)' : '#fff'} stroke="var(--color-ink)" strokeWidth="0.6" />
            {level && thick >= 7 && box.width > 3 && box.height > 3 && <Hatch {...box} family={layer.family} />}
          </g>
        );
      })}
    </g>
  );
}

/**
 * A thread along every line that carries it, and over every joint that hands it on: short of a joint at which it breaks
 * or of which nobody has said, so that the gap is seen.
 */
function threadPaths(
  cut: Cut,
  joints: Map<string, Joint>,
  carriedBy: (line: Line) => number | null,
  control: Control,
  px: (at: At) => At,
  gap: number,
): string[] {
  const jointAt = (at: At) =>
    cut.joints.find((p) => Math.hypot((p.at_mm[0] ?? 0) - at[0], (p.at_mm[1] ?? 0) - at[1]) < 2)?.joint;
  const ends = new Map<string, At[]>();
  const paths: string[] = [];
  for (const line of cut.lines) {
    const off = carriedBy(line);
    if (off === null) continue;
    const [from, to, out] = [pair(line.from_mm), pair(line.to_mm), pair(line.out)];
    const [a, b] = [from, to].map((at) => px([at[0] + out[0] * off, at[1] + out[1] * off])) as [At, At];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (length < 1) continue;
    const [dx, dy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
    const short = ([from, to] as const).map((at) => {
      const id = jointAt(at);
      const state: State | undefined = id === undefined ? undefined : joints.get(id)?.threads[control];
      return state === 'broken' || state === 'undecided' ? Math.min(gap, length / 3) : 0;
    });
    const [start, end]: [At, At] = [
      [a[0] + dx * (short[0] ?? 0), a[1] + dy * (short[0] ?? 0)],
      [b[0] - dx * (short[1] ?? 0), b[1] - dy * (short[1] ?? 0)],
    ];
    paths.push(`M${point(start)}L${point(end)}`);
    for (const [at, place, cut] of [
      [from, a, short[0]],
      [to, b, short[1]],
    ] as const) {
      const id = jointAt(at);
      if (id !== undefined && cut === 0 && joints.get(id)?.threads[control] === 'carried')
        ends.set(`${id} ${at.map(Math.round).join(' ')}`, [
          ...(ends.get(`${id} ${at.map(Math.round).join(' ')}`) ?? []),
          place,
        ]);
    }
  }
  // Handed over: from where the one carries it to where the other does.
  for (const [one, other] of ends.values()) if (one && other) paths.push(`M${point(one)}L${point(other)}`);
  return paths;
}

const point = (at: At) => at.map((n) => n.toFixed(1)).join(' ');

/** A joint on a drawing: what it has to lose as a sign and letters, by mouse and by key. */
export function JointMark({
  at,
  id,
  name,
  worst,
  letters,
  isChosen,
  choose,
}: {
  at: At;
  id: string;
  name: string;
  worst: State;
  letters: string;
  isChosen: boolean;
  choose?: ((joint: string) => void) | undefined;
}) {
  const width = letters === '' ? 10 : 12 + 8 * letters.length;
  const act = choose && {
    role: 'button',
    tabIndex: isChosen ? 0 : -1,
    onClick: () => choose(id),
    onKeyDown: (e: React.KeyboardEvent) => {
      if (e.key !== 'Enter' && e.key !== ' ') return;
      e.preventDefault();
      choose(id);
    },
  };
  return (
    <g
      transform={`translate(${at[0]} ${at[1]})`}
      aria-label={`${name}, ${STATES[worst].words}`}
      aria-pressed={choose ? isChosen : undefined}
      data-mark={id}
      data-state={worst}
      style={{ cursor: choose ? 'pointer' : undefined }}
      {...act}
    >
      <rect x="-12" y="-12" width="24" height="24" fill="transparent" />
      <rect
        x={-width / 2}
        y={letters === '' ? -5 : -7}
        width={width}
        height={letters === '' ? 10 : 14}
        rx={letters === '' ? 5 : 7}
        fill={isChosen ? 'var(--color-ink)' : '#fff'}
        stroke={letters === '' ? 'var(--color-ink)' : worst === 'broken' ? 'var(--color-fail)' : 'var(--color-caution)'}
        strokeWidth={letters === '' ? 1 : 1.8}
      />
      <text y="4" textAnchor="middle" fontSize="10" fontWeight="700" fill={isChosen ? '#fff' : 'var(--color-ink)'}>
        {letters}
      </text>
    </g>
  );
}
