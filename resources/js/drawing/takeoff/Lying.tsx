import { useRef, useState, type PointerEvent } from 'react';
import type { DerivedTakeoff, Layout, Units } from '../../api/types';
import { show } from '../../quantity/show';
import { jointsOf, onMember, sameJoint, type LaidJoint } from '../../takeoff/joints';
import { useDrawnWidth } from '../useDrawnWidth';

type Face = DerivedTakeoff['faces'][number];

/** A mark at a place of the face: a bracket with its packing, a hole. */
export interface Mark {
  x: number;
  z: number;
  words: string;
  worst?: boolean;
}

interface Props {
  face: Face;
  layout: Layout | undefined;
  units: Units;
  chosen?: LaidJoint | null;
  choose?: (joint: LaidJoint | null) => void;
  /** a joint was dragged to another place */
  move?: ((joint: LaidJoint, at: number) => void) | undefined;
  marks?: Mark[];
  /** what stands in its spaces, as it lies */
  lines?: number[][];
  /** screens of its spaces */
  screens?: number[][];
  /** its fasteners: along, lowest, highest, how many */
  fasteners?: number[][];
  /** no higher than this on the paper, px */
  tallest?: number;
}

const EDGE = { left: 44, right: 12, top: 16, foot: 34 };

/** One layer of one wall as its sheets or boards lie, seen from outside: laps where they lie over each other. */
export function Lying({
  face,
  layout,
  units,
  chosen = null,
  choose,
  move,
  marks = [],
  lines = [],
  screens = [],
  fasteners = [],
  tallest = 390,
}: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const width = useDrawnWidth(svg, 780, 360);
  const [dragged, setDragged] = useState<{ joint: LaidJoint; at: number } | null>(null);
  const lefts = face.cells_mm.map((c) => c[0] ?? 0);
  const rights = face.cells_mm.map((c) => c[1] ?? 0);
  const tops = face.cells_mm.map((c) => Math.max(c[3] ?? 0, c[4] ?? 0));
  const [left, right, top] = [Math.min(...lefts), Math.max(...rights), Math.max(...tops)];
  const k = Math.min((width - EDGE.left - EDGE.right) / (right - left), (tallest - EDGE.top - EDGE.foot) / top);
  const height = top * k + EDGE.top + EDGE.foot;
  const X = (mm: number) => EDGE.left + (mm - left) * k;
  const Y = (mm: number) => EDGE.top + (top - mm) * k;
  const joints = layout ? jointsOf(layout) : [];
  const isBoard = layout?.kind === 'board';
  const place = (event: PointerEvent): [number, number] => {
    const box = svg.current?.getBoundingClientRect();
    if (!box || box.width === 0) return [0, 0];
    const scale = width / box.width;
    const [px, py] = [(event.clientX - box.left) * scale, (event.clientY - box.top) * scale];
    return [left + (px - EDGE.left) / k, top - (py - EDGE.top) / k];
  };
  const drag = (event: PointerEvent) => {
    if (!dragged) return;
    const [x, z] = place(event);
    const at =
      dragged.joint.joint === null
        ? Math.max(0, Math.round(z / 10) * 10)
        : Math.abs(onMember(x, layout?.spacing_mm ?? null) - x) < 70
          ? onMember(x, layout?.spacing_mm ?? null)
          : Math.round(x / 10) * 10;
    if (at !== dragged.at) setDragged({ ...dragged, at });
  };
  const drop = () => {
    if (dragged && dragged.at !== dragged.joint.at) move?.(dragged.joint, dragged.at);
    setDragged(null);
  };
  const studs: number[] = [];
  const spacing = layout?.spacing_mm ?? null;
  if (spacing !== null && spacing * k > 6)
    for (let x = Math.ceil(left / spacing) * spacing; x <= right + 1; x += spacing) studs.push(x);
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${width} ${height.toFixed(1)}`}
      className="block w-full touch-none"
      role="group"
      aria-label={`${face.name}, as it is laid`}
      data-drawing="lying"
      data-mm={1 / k}
      data-part={face.part}
      data-layer={layout?.layer}
      onPointerMove={drag}
      onPointerUp={drop}
      onPointerLeave={drop}
    >
      {face.cells_mm.map(([l = 0, r = 0, f = 0, tl = 0, tr = 0], i) => (
        <path
          key={i}
          d={`M${X(l)} ${Y(f)}L${X(r)} ${Y(f)}L${X(r)} ${Y(tr)}L${X(l)} ${Y(tl)}z`}
          fill="#fff"
          stroke="var(--color-hair)"
        />
      ))}
      {studs.map((x) => (
        <path key={x} d={`M${X(x)} ${Y(top) - 5}V${Y(0) + 5}`} stroke="var(--color-hair)" strokeDasharray="2 3" />
      ))}
      {layout?.pieces.map((piece, i) => {
        const [l = 0, f = 0, r = 0, t = 0] = piece.rect;
        const [w, h] = [(r - l) * k, (t - f) * k];
        const number = piece.from.replace(/^\D+/, '');
        return (
          <g key={i} data-piece={piece.from} data-course={piece.course}>
            <rect
              x={X(l)}
              y={Y(t)}
              width={w}
              height={h}
              fill={isBoard ? 'var(--color-board)' : 'var(--color-ink)'}
              fillOpacity={isBoard ? (piece.course % 2 === 0 ? 0.5 : 0.9) : 0.1}
              stroke="var(--color-ink)"
              strokeWidth="0.7"
            />
            {marks.length === 0 &&
              w > 9 + number.length * 7 &&
              h > 13 &&
              !overAny((l + r) / 2, (f + t) / 2, 14 / k, face) && (
                <text x={X(l) + w / 2} y={Y(f) - h / 2 + 4} textAnchor="middle" fontSize="11" fill="var(--color-ink)">
                  {number}
                </text>
              )}
          </g>
        );
      })}
      {lines.map(([l = 0, f = 0, r = 0, t = 0], i) => (
        <path
          key={`line ${i}`}
          d={`M${X(l)} ${Y(f)}L${X(r)} ${Y(t)}`}
          stroke="var(--color-ink)"
          strokeWidth="3"
          data-strap
        />
      ))}
      {fasteners.flatMap(([x = 0, low = 0, high = 0, n = 0], i) =>
        Array.from({ length: n }, (_, j) => (
          <circle
            key={`f ${i} ${j}`}
            cx={X(x)}
            cy={Y(n > 1 ? low + ((high - low) * j) / (n - 1) : low)}
            r="1.3"
            fill="var(--color-ink)"
            data-fastener
          />
        )),
      )}
      {screens.map(([l = 0, f = 0, r = 0, t = 0], i) => (
        <path
          key={`screen ${i}`}
          d={`M${X(l)} ${Y(f)}L${X(r)} ${Y(t)}`}
          stroke="var(--color-faint)"
          strokeWidth="5"
          strokeDasharray="2 2"
          data-screen
        />
      ))}
      {face.openings_mm.map(([l = 0, s = 0, r = 0, h = 0], i) => (
        <g key={i} data-open>
          <rect
            x={X(l)}
            y={Y(h)}
            width={(r - l) * k}
            height={(h - s) * k}
            fill="var(--color-paper)"
            stroke="var(--color-ink)"
            strokeWidth="1.6"
          />
          <path
            d={`M${X(l)} ${Y(s)}L${X(r)} ${Y(h)}M${X(l)} ${Y(h)}L${X(r)} ${Y(s)}`}
            stroke="var(--color-hair)"
            strokeWidth="0.8"
          />
        </g>
      ))}
      {joints.map((joint) => {
        const held = dragged && sameJoint(dragged.joint, joint) ? dragged.at : joint.at;
        const isChosen = sameJoint(chosen, joint);
        const d =
          joint.joint === null
            ? `M${X(joint.low)} ${Y(held)}H${X(joint.high)}`
            : `M${X(held)} ${Y(joint.low)}V${Y(joint.high)}`;
        return (
          <g key={`${joint.course} ${joint.joint ?? 'foot'}`}>
            {(isChosen || held !== joint.at) && <path d={d} stroke="var(--color-ink)" strokeWidth="3.5" fill="none" />}
            {choose && (
              <path
                d={d}
                stroke="transparent"
                strokeWidth="13"
                fill="none"
                data-joint={`${joint.course} ${joint.joint ?? 'foot'}`}
                style={{ cursor: move ? (joint.joint === null ? 'ns-resize' : 'ew-resize') : 'pointer' }}
                onClick={() => choose(joint)}
                onPointerDown={move && (() => setDragged({ joint, at: joint.at }))}
              />
            )}
          </g>
        );
      })}
      {marks.map((mark, i) => (
        <g key={i} data-mark={mark.words}>
          <circle cx={X(mark.x)} cy={Y(mark.z)} r="3" fill={mark.worst ? 'var(--color-fail)' : 'var(--color-ink)'} />
          <text
            x={X(mark.x) + 5}
            y={Y(mark.z) - 4}
            fontSize="11"
            fill={mark.worst ? 'var(--color-fail)' : 'var(--color-ink)'}
          >
            {mark.words}
          </text>
        </g>
      ))}
      <text x={X(left)} y={height - 6} fontSize="11" fill="var(--color-faint)">
        {face.name}, from {face.upright ? 'outside' : 'above'}
      </text>
      <text x={X((left + right) / 2)} y={Y(0) + 16} textAnchor="middle" fontSize="11">
        {show((right - left) / 1000, 'run', units)}
      </text>
      <text
        transform={`translate(${EDGE.left - 12} ${Y(top / 2)}) rotate(-90)`}
        textAnchor="middle"
        fontSize="11"
        data-height
      >
        {show(top / 1000, 'run', units)}
      </text>
      {dragged && (
        <text x={width - EDGE.right} y={height - 6} textAnchor="end" fontSize="11" fontWeight="700">
          {show(dragged.at, 'length', units)}
        </text>
      )}
    </svg>
  );
}

/** Whether words at a place would run into an opening. */
const overAny = (x: number, z: number, off: number, face: Face): boolean =>
  face.openings_mm.some(
    ([l = 0, s = 0, r = 0, h = 0]) => x > l - off && x < r + off && z > s - off / 2 && z < h + off / 2,
  );
