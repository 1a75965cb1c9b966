import { useRef } from 'react';
import type { Control, DerivedBuilding, Units } from '../../api/types';
import { show } from '../../quantity/show';
import { worstOf, type State } from '../../building/words';
import { THREADS } from '../../ui/threads';
import { useDrawnWidth } from '../useDrawnWidth';
import { JointMark } from './CutDrawing';

type Side = DerivedBuilding['elevations'][number];
type Joint = DerivedBuilding['joints'][number];

interface Props {
  derived: DerivedBuilding;
  /** of one block */
  block: string;
  thread: Control | null;
  chosen?: string | null;
  choose?: ((joint: string) => void) | undefined;
  called: (joint: Joint) => string;
  units: Units;
  /** what was seen on site, where it was seen */
  pins?: SeenAt[];
}

/** A thing seen at a place of a part: along its side, and up from its foot. */
export interface SeenAt {
  id: string;
  part: string;
  x_mm: number;
  z_mm: number;
  words: string;
  /** still to be mended, or looked at again */
  open: boolean;
}

const APART = 14;

const COLOURS: Record<State, string> = {
  broken: 'var(--color-fail)',
  undecided: 'var(--color-caution)',
  carried: 'var(--color-pass)',
  'not-needed': 'var(--color-faint)',
};

/** The sides of a block laid flat side by side, as they are walked: parts, openings, what every joint hands over. */
export function Elevation({ derived, block, thread, chosen = null, choose, called, units, pins = [] }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const width = useDrawnWidth(svg, 780, 380);
  const sides = derived.elevations.filter((side) => side.block === block);
  const parts = new Map(derived.parts.map((p) => [p.id, p]));
  const joints = new Map(derived.joints.map((j) => [j.id, j]));
  const levels = sides.flatMap((side) => side.faces.flatMap((face) => face.corners_mm.map((c) => c[1] ?? 0)));
  const [foot, top] = [Math.min(...levels, 0), Math.max(...levels, 1)];
  const long = sides.reduce((sum, side) => sum + side.length_mm, 0);
  const k = Math.min(
    (width - 20 - APART * Math.max(0, sides.length - 1)) / Math.max(1, long),
    190 / Math.max(1, top - foot),
  );
  const height = (top - foot) * k + 46;
  const y = (z: number) => 12 + (top - z) * k;
  const follow = THREADS.find((t) => t.control === thread);
  let at = 10;
  const laidOut = sides.map((side) => {
    const left = at;
    at += side.length_mm * k + APART;
    return { side, left };
  });
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${width} ${height}`}
      className="block w-full"
      role="group"
      aria-label={`The sides of ${block}, unrolled`}
      data-drawing="elevation"
      data-mm={1 / k}
      data-block={block}
    >
      {laidOut.map(({ side, left }) => {
        const x = (u: number) => left + u * k;
        return (
          <g key={side.edge} data-side={side.edge}>
            {side.faces.map((face, i) => {
              const part = parts.get(face.part);
              const carries = thread === null || (part?.carries.includes(thread) ?? false);
              const corners = face.corners_mm.map((c) => `${x(c[0] ?? 0).toFixed(1)} ${y(c[1] ?? 0).toFixed(1)}`);
              return (
                <path
                  key={i}
                  data-part={face.part}
                  data-carries={carries}
                  d={`M${corners.join('L')}z`}
                  fill={
                    !carries
                      ? 'var(--color-fail)'
                      : part?.kind === 'opening'
                        ? 'var(--color-paper)'
                        : (follow?.colour ?? (part?.kind === 'foundation-wall' ? 'var(--color-board)' : '#fff'))
                  }
                  fillOpacity={!carries ? 0.16 : part?.kind !== 'opening' && follow ? 0.13 : 1}
                  stroke={part?.kind === 'opening' ? 'var(--color-ink)' : 'none'}
                  strokeWidth="0.6"
                />
              );
            })}
            {side.joints.map((drawn, i) => {
              const joint = joints.get(drawn.joint);
              if (!joint) return null;
              const state = stateOf(joint, thread);
              const [x0, y0, x1, y1] = [
                x(drawn.from_mm[0] ?? 0),
                y(drawn.from_mm[1] ?? 0),
                x(drawn.to_mm[0] ?? 0),
                y(drawn.to_mm[1] ?? 0),
              ];
              return (
                <line
                  key={`${drawn.joint} ${i}`}
                  {...{ x1: x0, y1: y0, x2: x1, y2: y1 }}
                  stroke={COLOURS[state]}
                  strokeWidth={drawn.joint === chosen ? 6 : state === 'broken' ? 4 : 2}
                  strokeDasharray={state === 'broken' ? '5 7' : state === 'undecided' ? '2 4' : undefined}
                  data-joint-line={drawn.joint}
                  data-state={state}
                  onClick={choose && (() => choose(drawn.joint))}
                  style={{ cursor: choose ? 'pointer' : undefined }}
                />
              );
            })}
            {side.joints.map((drawn, i) => {
              const joint = joints.get(drawn.joint);
              if (!joint) return null;
              const state = stateOf(joint, thread);
              const isPoint = drawn.from_mm.join() === drawn.to_mm.join();
              if (state !== 'broken' && drawn.joint !== chosen && !isPoint) return null;
              const letters = THREADS.filter(
                (t) => joint.threads[t.control] === 'broken' && (thread === null || thread === t.control),
              )
                .map((t) => t.letter)
                .join('');
              return (
                <JointMark
                  key={`mark ${drawn.joint} ${i}`}
                  at={[
                    x(((drawn.from_mm[0] ?? 0) + (drawn.to_mm[0] ?? 0)) / 2),
                    y(((drawn.from_mm[1] ?? 0) + (drawn.to_mm[1] ?? 0)) / 2),
                  ]}
                  id={drawn.joint}
                  worst={state}
                  isChosen={drawn.joint === chosen}
                  name={called(joint)}
                  {...{ letters, choose }}
                />
              );
            })}
            {pins
              .filter((pin) => side.faces.some((face) => face.part === pin.part))
              .map((pin) => {
                const foot = Math.min(
                  ...side.faces.filter((f) => f.part === pin.part).flatMap((f) => f.corners_mm.map((c) => c[1] ?? 0)),
                );
                const [px, py] = [x(pin.x_mm), y(foot + pin.z_mm)];
                return (
                  <g key={pin.id} data-pin={pin.id} data-open={pin.open}>
                    <title>{pin.words}</title>
                    <path
                      d={`M${px} ${py}l-5 -11h10z`}
                      fill={pin.open ? 'var(--color-fail)' : '#fff'}
                      stroke={pin.open ? 'var(--color-fail)' : 'var(--color-ink)'}
                      strokeWidth="1.4"
                    />
                  </g>
                );
              })}
            <text x={x(side.length_mm / 2)} y={height - 18} textAnchor="middle" fontSize="11" fill="var(--color-faint)">
              {block} {side.edge}
            </text>
            <text x={x(side.length_mm / 2)} y={height - 5} textAnchor="middle" fontSize="11" fill="var(--color-faint)">
              {show(side.length_mm / 1000, 'run', units)}
              {underlay(side, parts)}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

const stateOf = (joint: Joint, thread: Control | null): State =>
  thread ? joint.threads[thread] : worstOf(THREADS.map((t) => joint.threads[t.control]));

/** What a side is built of. */
function underlay(side: Side, parts: Map<string, DerivedBuilding['parts'][number]>): string {
  const built = side.faces.map((face) => parts.get(face.part)?.assembly).filter((id): id is string => id != null);
  return built.length === 0 ? '' : ` · ${[...new Set(built)].join(', ')}`;
}
