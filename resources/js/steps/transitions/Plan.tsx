import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Building, DerivedBuilding } from '../../api/types';
import { readQuantity } from '../../quantity/read';
import { show } from '../../quantity/show';
import { THREADS, useThread } from '../../ui/threads';
import { useUnits } from '../../ui/units';
import { lengthened, lengthOf, pushed, turning } from './outline';

const SIZE = { width: 780, height: 300, edge: 46 };
/** A side that is dragged comes to rest on whole tens of millimetres. */
const STEP = 10;

interface Props {
  building: Building;
  derived: DerivedBuilding | undefined;
  chosen: (joint: string) => boolean;
  cuts: DerivedBuilding['cuts'];
  open: (cut: number) => void;
  mayEdit: boolean;
  change: (building: Building, run?: string) => void;
}

/**
 * The outlines on plan, with the threads along every wall that has the layer, corners where one stops, and where the
 * sections go. A side is moved by dragging it or by the arrows, and made as long as is typed.
 */
export function Plan({ building, derived, chosen, cuts, open, mayEdit, change }: Props) {
  const { units } = useUnits();
  const { thread } = useThread();
  const svg = useRef<SVGSVGElement>(null);
  /** as it is being dragged: a change only once the hand lets go */
  const [moved, setMoved] = useState<Building | null>(null);
  const [typing, setTyping] = useState<{ block: string; side: number; text: string } | null>(null);
  const drag = useRef<{ block: string; side: number; x: number; y: number; of: Building } | null>(null);
  const drawn = moved ?? building;
  // While a side is dragged the paper stays as it was.
  const corners = building.blocks.flatMap((block) => block.outline);
  const [xs, ys] = [corners.map((c) => c[0] ?? 0), corners.map((c) => c[1] ?? 0)];
  const [west, east, south, north] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(
    (SIZE.width - 2 * SIZE.edge) / Math.max(1, east - west),
    (SIZE.height - 2 * SIZE.edge) / Math.max(1, north - south),
  );
  const X = (x: number) => SIZE.width / 2 + (x - (west + east) / 2) * scale;
  const Y = (y: number) => SIZE.height / 2 - (y - (south + north) / 2) * scale;
  const walls = new Map(derived?.parts.map((p) => [p.id, p]));
  const stops = derived ? stopsOf(derived, chosen) : [];
  const shown = THREADS.filter((t) => thread === null || t.control === thread);

  const reshape = (of: Building, block: string, outline: number[][]): Building => ({
    ...of,
    blocks: of.blocks.map((b) => (b.id === block ? { ...b, outline } : b)),
  });
  const push = (event: PointerEvent) => {
    const held = drag.current;
    const box = svg.current?.getBoundingClientRect();
    if (!held || !box) return;
    const block = held.of.blocks.find((b) => b.id === held.block);
    if (!block) return;
    const mm = box.width > 0 ? SIZE.width / box.width / scale : 0;
    const [dx, dy] = [(event.clientX - held.x) * mm, -(event.clientY - held.y) * mm];
    const [from, to] = [block.outline[held.side] ?? [], block.outline[(held.side + 1) % block.outline.length] ?? []];
    const length = lengthOf(block.outline, held.side);
    const [ax, ay] = [((to[0] ?? 0) - (from[0] ?? 0)) / length, ((to[1] ?? 0) - (from[1] ?? 0)) / length];
    const out = (dx * ay - dy * ax) * Math.sign(turning(block.outline));
    const by = Math.round(out / STEP) * STEP;
    setMoved(by === 0 ? null : reshape(held.of, held.block, pushed(block.outline, held.side, by)));
  };
  const drop = () => {
    if (drag.current && moved) change(moved);
    drag.current = null;
    setMoved(null);
  };
  const onKey = (event: KeyboardEvent, block: Building['blocks'][number], side: number) => {
    const arrows: Record<string, number> = { ArrowUp: 1, ArrowDown: -1 };
    const way = arrows[event.key];
    if (way !== undefined) {
      event.preventDefault();
      event.stopPropagation();
      const by = way * (event.shiftKey ? 1000 : event.altKey ? STEP : 100);
      change(reshape(drawn, block.id, pushed(block.outline, side, by)), `side ${side} of ${block.id}`);
    } else if (/^[0-9]$/.test(event.key) || event.key === 'Enter') {
      event.preventDefault();
      event.stopPropagation();
      setTyping({ block: block.id, side, text: event.key === 'Enter' ? '' : event.key });
    }
  };
  const read = typing && typing.text !== '' ? readQuantity(typing.text, 'length', units) : null;
  const take = () => {
    const block = drawn.blocks.find((b) => b.id === typing?.block);
    if (typing && block && read && 'value' in read && read.value >= 1)
      change(reshape(drawn, block.id, lengthened(block.outline, typing.side, Math.round(read.value))));
    setTyping(null);
  };
  return (
    <div className="relative">
      <svg
        ref={svg}
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        className="block w-full touch-none"
        role="group"
        aria-label="The building on plan"
        data-drawing="plan"
        onPointerMove={push}
        onPointerUp={drop}
        onPointerLeave={drop}
      >
        {drawn.blocks.map((block) => {
          const [cx, cy] = middle(block.outline);
          return (
            <g key={block.id} data-block={block.id}>
              <path
                d={`M${block.outline.map((c) => `${X(c[0] ?? 0)} ${Y(c[1] ?? 0)}`).join('L')}z`}
                fill={(block.inside ?? 'conditioned') === 'conditioned' ? '#fff' : 'var(--color-board)'}
                stroke="var(--color-hair)"
                strokeDasharray={block.inside === 'open' ? '4 4' : undefined}
              />
              <text x={X(cx)} y={Y(cy) + 18} textAnchor="middle" fontSize="13" fill="var(--color-faint)">
                {block.id}
              </text>
            </g>
          );
        })}
        {drawn.blocks.flatMap((block) =>
          block.outline.flatMap((from, i) => {
            const to = block.outline[(i + 1) % block.outline.length] ?? from;
            const part = walls.get(`${block.id}.wall.${i}`) ?? walls.get(`${block.id}.foundation.${i}`);
            const [x0, y0, x1, y1] = [X(from[0] ?? 0), Y(from[1] ?? 0), X(to[0] ?? 0), Y(to[1] ?? 0)];
            const length = Math.hypot(x1 - x0, y1 - y0) || 1;
            // Outward on the drawing, whichever way the outline is walked.
            const turn = Math.sign(turning(block.outline));
            const [nx, ny] = [((y1 - y0) / length) * -turn, ((x1 - x0) / length) * turn];
            const lines = shown
              .filter((t) => part?.carries.includes(t.control))
              .map((t) => {
                const off = 4 + 6 * THREADS.indexOf(t);
                return (
                  <line
                    key={`${block.id} ${i} ${t.control}`}
                    x1={x0 + nx * off}
                    y1={y0 + ny * off}
                    x2={x1 + nx * off}
                    y2={y1 + ny * off}
                    stroke={t.colour}
                    strokeWidth={t.width - 1}
                    strokeDasharray={t.dash}
                    strokeLinecap={t.control === 'vapour' ? 'round' : undefined}
                  />
                );
              });
            const said = show(lengthOf(block.outline, i), 'length', units);
            return [
              ...lines,
              <g
                key={`${block.id} ${i} side`}
                data-side={`${block.id} ${i}`}
                role="button"
                tabIndex={mayEdit ? 0 : undefined}
                aria-label={`side ${i} of ${block.id}, ${said}: type its length, or move it with the arrows`}
                style={{ cursor: mayEdit ? 'move' : undefined }}
                onKeyDown={mayEdit ? (e) => onKey(e, block, i) : undefined}
                onPointerDown={
                  mayEdit
                    ? (e) => (drag.current = { block: block.id, side: i, x: e.clientX, y: e.clientY, of: drawn })
                    : undefined
                }
                onDoubleClick={mayEdit ? () => setTyping({ block: block.id, side: i, text: '' }) : undefined}
              >
                <line {...{ x1: x0, y1: y0, x2: x1, y2: y1 }} stroke="transparent" strokeWidth="16" />
                <line {...{ x1: x0, y1: y0, x2: x1, y2: y1 }} stroke="var(--color-ink)" strokeWidth="1.4" />
                {length > 56 && !shared(drawn, block.id, i) && (
                  <text
                    transform={`translate(${(x0 + x1) / 2 - nx * 12} ${(y0 + y1) / 2 - ny * 12}) rotate(${upright(x1 - x0, y1 - y0)})`}
                    y="4"
                    textAnchor="middle"
                    fontSize="11"
                    fill="var(--color-ink)"
                    stroke="#fff"
                    strokeWidth="3"
                    paintOrder="stroke"
                  >
                    {said}
                  </text>
                )}
              </g>,
            ];
          }),
        )}
        {cuts.map((cut, i) => {
          if (cut.by !== 'section') return null;
          const [px = 0, py = 0] = cut.through_mm;
          const [ax = 0, ay = 0] = cut.along;
          const reach = cut.lines.flatMap((l) => [l.from_mm[0] ?? 0, l.to_mm[0] ?? 0]);
          const [a, b] = [Math.min(...reach) - 28 / scale, Math.max(...reach) + 28 / scale];
          return (
            <g key={i} onClick={() => open(i)} style={{ cursor: 'pointer' }} data-section={i}>
              <line
                x1={X(px + a * ax)}
                y1={Y(py + a * ay)}
                x2={X(px + b * ax)}
                y2={Y(py + b * ay)}
                stroke="var(--color-faint)"
                strokeDasharray="12 4 2 4"
              />
              <text
                x={X(px + b * ax) + 4}
                y={Y(py + b * ay) + 4}
                fontSize="12"
                fontWeight="700"
                fill="var(--color-faint)"
              >
                {i + 1}
              </text>
            </g>
          );
        })}
        {stops.map(({ x, y, letters, isChosen }) => {
          const width = 14 + 8 * Math.max(1, letters.length);
          return (
            <g key={`${x} ${y}`} data-stops={letters} transform={`translate(${X(x)} ${Y(y)})`} pointerEvents="none">
              <rect
                x={-width / 2}
                y={-11}
                width={width}
                height={22}
                rx={11}
                fill="#fff"
                stroke={letters === '' ? 'var(--color-ink)' : 'var(--color-fail)'}
                strokeWidth={isChosen ? 3 : 1.6}
              />
              <text y={4} textAnchor="middle" fontSize="10" fontWeight="bold">
                {letters}
              </text>
            </g>
          );
        })}
      </svg>
      {typing && (
        <form
          className="absolute top-1 right-1 bg-paper p-1"
          onSubmit={(e) => {
            e.preventDefault();
            take();
          }}
        >
          <label>
            side {typing.side} of {typing.block}, long{' '}
            <input
              aria-label={`How long side ${typing.side} of ${typing.block} is`}
              autoFocus
              className="w-[7rem]"
              value={typing.text}
              onChange={(e) => setTyping({ ...typing, text: e.target.value })}
              onKeyDown={(e) => {
                if (e.key === 'Escape') setTyping(null);
              }}
              onBlur={() => setTyping(null)}
            />
          </label>
          {read && 'why' in read && (
            <span role="alert" className="pl-2 text-fail">
              {read.why}
            </span>
          )}
        </form>
      )}
    </div>
  );
}

/** Whether another block, named before, has a side in the same place: its length is written once. */
function shared(building: Building, block: string, side: number): boolean {
  const ends = (outline: number[][], i: number) =>
    [outline[i]?.join(' '), outline[(i + 1) % outline.length]?.join(' ')].sort().join('|');
  const own = building.blocks.find((b) => b.id === block);
  const here = ends(own?.outline ?? [], side);
  for (const other of building.blocks) {
    if (other.id === block) return false;
    if (other.outline.some((_, i) => ends(other.outline, i) === here)) return true;
  }
  return false;
}

/** The angle of a text along a line, to be read from below or from the right. */
function upright(dx: number, dy: number): number {
  const angle = (Math.atan2(dy, dx) * 180) / Math.PI;
  return angle > 90 - 1e-6 ? angle - 180 : angle <= -90 - 1e-6 ? angle + 180 : angle;
}

/** Corners on plan at which a thread breaks, at any height, with the letters of those that do. */
function stopsOf(derived: DerivedBuilding, chosen: Props['chosen']) {
  const joints = new Map(derived.joints.map((j) => [j.id, j]));
  const stops = new Map<string, { x: number; y: number; letters: string; isChosen: boolean }>();
  for (const corner of derived.corners) {
    const [x = 0, y = 0] = corner.at_mm;
    const key = `${x} ${y}`;
    const there = stops.get(key) ?? { x, y, letters: '', isChosen: false };
    const broken = THREADS.filter((t) => corner.joints.some((id) => joints.get(id)?.threads[t.control] === 'broken'));
    const all = new Set([...there.letters, ...broken.map((t) => t.letter)]);
    stops.set(key, {
      x,
      y,
      letters: THREADS.map((t) => t.letter)
        .filter((letter) => all.has(letter))
        .join(''),
      isChosen: there.isChosen || corner.joints.some(chosen),
    });
  }
  return [...stops.values()].filter((stop) => stop.letters !== '' || stop.isChosen);
}

const middle = (outline: number[][]): [number, number] => [
  outline.reduce((sum, c) => sum + (c[0] ?? 0), 0) / outline.length,
  outline.reduce((sum, c) => sum + (c[1] ?? 0), 0) / outline.length,
];
