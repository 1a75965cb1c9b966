import { useId, useMemo, useRef, useState } from 'react';
import type { Check, Detail, Patch, Piece, RainStrip, SequenceSheet, Units } from '../api/types';
import { show } from '../quantity/show';
import { Hatch } from './Hatch';
import { drawnDepth, onBoard, planes, unfold, type Box } from './unfold';
import { useLabelScale } from './useLabelScale';

export const COLOUR: Record<string, string> = {
  sheet: '#5f7075',
  membrane: 'var(--color-air)',
  formable: 'var(--color-water)',
  tape: 'var(--color-vapour)',
  unit: 'var(--color-ink)',
  fluid: 'var(--color-water)',
  moulded: 'var(--color-vapour)',
  corner: 'var(--color-water)',
  sealant: 'var(--color-caution)',
  metal: 'var(--color-ink)',
  board: 'var(--color-heat)',
};

interface Props {
  sheet: SequenceSheet;
  step: number;
  units: Units;
  selected?: string | null;
  onSelect?: (piece: string) => void;
  measured?: Check['measured'];
  /** mm on the face to show; the whole of it where left out */
  window?: [u0: number, v0: number, u1: number, v1: number];
  dimensions?: boolean;
  /** where water goes, drawn over the pieces */
  rain?: RainStrip[] | undefined;
  strip?: RainStrip | null;
  onStrip?: (strip: RainStrip) => void;
  running?: boolean;
  /** a patch of the chosen piece, or one of its edges, pulled by so many mm along its facet, in steps of 5 */
  onDrag?: ((patch: Patch, side: number | null, by: [number, number]) => void) | undefined;
}

/** Lines along the arrises of an opening: where its returns are laid back into the hole, each mitred at its ends. */
function mitres(opening: NonNullable<Detail['opening']>): Record<string, [number, number][]> {
  const { width_mm: W, height_mm: H } = opening;
  return Object.fromEntries(
    planes(opening).flatMap(({ prefix, depth, at }) => {
      const e = drawnDepth(opening, depth);
      const shapes: [string, [number, number][]][] = [
        [
          'sill',
          [
            [0, 0],
            [e, e],
            [W - e, e],
            [W, 0],
          ],
        ],
        [
          'head',
          [
            [0, H],
            [e, H - e],
            [W - e, H - e],
            [W, H],
          ],
        ],
        [
          'jamb-left',
          [
            [0, 0],
            [e, e],
            [e, H - e],
            [0, H],
          ],
        ],
        [
          'jamb-right',
          [
            [W, 0],
            [W - e, e],
            [W - e, H - e],
            [W, H],
          ],
        ],
      ];
      return shapes.map(([name, points]): [string, [number, number][]] => [
        prefix + name,
        points.map(([u, v]) => [u + at, v]),
      ]);
    }),
  );
}

/**
 * A detail unfolded flat, seen from outside: the returns of an opening laid back into the hole, other facets one under
 * the other.
 */
export function Unfolded({
  sheet,
  step,
  units,
  selected = null,
  onSelect,
  measured = null,
  window,
  dimensions = true,
  rain,
  strip = null,
  onStrip,
  running = false,
  onDrag,
}: Props) {
  const clip = useId();
  const svg = useRef<SVGSVGElement>(null);
  const [drag, setDrag] = useState<Drag | null>(null);
  const detail = sheet.detail;
  const opening = detail.opening;
  const flat = useMemo(() => unfold(detail), [detail]);
  const [u0, v0, u1, v1] = window ?? flat.bounds;
  const scale = 1000 / Math.max(u1 - u0, v1 - v0);
  const k = useLabelScale(svg, (u1 - u0) * scale + 16, (v1 - v0) * scale + 16);
  const X = (u: number) => (u - u0) * scale;
  const Y = (v: number) => (v1 - v) * scale;
  const M = opening?.margin_mm ?? 0;
  const [W, H] = opening ? [opening.width_mm, opening.height_mm] : [0, 0];

  const box = (patch: Pick<Patch, 'facet' | 'rect'>) => {
    const [x0, y0, x1, y1] = flat.onSheet(patch.facet, patch.rect as Box);
    return { x: X(x0), y: Y(y1), width: (x1 - x0) * scale, height: (y1 - y0) * scale };
  };
  const outline = (points: [number, number][]) => `M${points.map(([u, v]) => `${X(u)} ${Y(v)}`).join('L')}z`;
  const mitre = opening
    ? Object.fromEntries(Object.entries(mitres(opening)).map(([facet, points]) => [facet, outline(points)]))
    : {};
  const walls = opening ? planes(opening) : [];

  /** A pointer's place as mm on the sheet. */
  const at = (e: React.PointerEvent): [number, number] => {
    const p = svg.current?.getScreenCTM()?.inverse();
    const x = p ? e.clientX * p.a + e.clientY * p.c + p.e : 0;
    const y = p ? e.clientX * p.b + e.clientY * p.d + p.f : 0;
    return [x / scale, -y / scale];
  };
  const take = (e: React.PointerEvent, patch: Patch, side: number | null) => {
    if (!onDrag || e.button !== 0) return;
    e.stopPropagation();
    svg.current?.setPointerCapture(e.pointerId);
    setDrag({ patch, side, from: at(e), by: [0, 0] });
  };
  const pull = (e: React.PointerEvent) => {
    if (!drag) return;
    const [x, y] = at(e);
    const [du, dv] = flat.along(drag.patch.facet, x - drag.from[0], y - drag.from[1]);
    setDrag({ ...drag, by: [Math.round(du / 5) * 5, Math.round(dv / 5) * 5] });
  };
  const drop = () => {
    if (drag && (drag.by[0] !== 0 || drag.by[1] !== 0)) onDrag?.(drag.patch, drag.side, drag.by);
    setDrag(null);
  };
  const laid = inOrder(sheet, step);
  const numbered = new Set<string>();
  const size = window ? 26 : 30;
  return (
    <svg
      viewBox={`-8 -8 ${(u1 - u0) * scale + 16} ${(v1 - v0) * scale + 16}`}
      className="block h-full w-full"
      ref={svg}
      onPointerMove={pull}
      onPointerUp={drop}
      onPointerCancel={() => setDrag(null)}
      role="group"
      aria-label={`${detail.title}, unfolded, after step ${step}`}
      data-drawing="unfolded"
      data-mm={1 / scale}
    >
      {Object.entries(mitre).map(([facet, d]) => (
        <clipPath key={facet} id={`${clip}${facet}`}>
          <path d={d} />
        </clipPath>
      ))}
      {Object.entries(flat.facets)
        .filter(([name]) => !(name in mitre))
        .map(([name, f]) => {
          const b = box({ facet: name, rect: f.extent });
          return (
            <clipPath key={name} id={`${clip}${name}`}>
              <rect
                x={Math.max(b.x, X(u0)) - 4}
                y={Math.max(b.y, Y(v1)) - 4}
                width={Math.min(b.width, (u1 - u0) * scale) + 8}
                height={Math.min(b.height, (v1 - v0) * scale) + 8}
              />
            </clipPath>
          );
        })}
      {opening ? (
        <>
          {walls.map(({ face, at }) => (
            <g key={face}>
              <rect
                {...(window
                  ? { x: X(u0), y: Y(v1), width: (u1 - u0) * scale, height: (v1 - v0) * scale }
                  : box({ facet: face, rect: [-M, -M, W + M, H + M] }))}
                fill="#fff"
                stroke="var(--color-ink)"
                strokeWidth="1.5"
              />
              <path
                d={outline([
                  [at, 0],
                  [at + W, 0],
                  [at + W, H],
                  [at, H],
                ])}
                fill="#fff"
                stroke="var(--color-ink)"
                strokeWidth="2"
              />
            </g>
          ))}
          {Object.entries(mitre).map(([facet, d]) => (
            <path key={facet} d={d} fill="none" stroke="var(--color-hair)" strokeWidth="1.2" />
          ))}
        </>
      ) : (
        Object.entries(flat.facets).map(([name, f]) => (
          <rect
            key={name}
            {...box({ facet: name, rect: f.extent })}
            fill="#fff"
            stroke="var(--color-ink)"
            strokeWidth="1.5"
          />
        ))
      )}
      {laid.map(({ piece, patch }) => {
        const b = box(patch);
        const unit = piece.kind === 'unit';
        const colour = COLOUR[piece.kind] ?? 'var(--color-ink)';
        const now = (patch.step ?? piece.step) === step;
        return (
          <g
            key={patch.id}
            clipPath={`url(#${clip}${patch.facet})`}
            onClick={() => onSelect?.(piece.id)}
            data-piece={piece.id}
            data-patch={patch.id}
            style={{
              cursor: selected === piece.id && onDrag ? 'move' : onSelect ? 'pointer' : undefined,
              touchAction: onDrag ? 'none' : undefined,
            }}
            onPointerDown={selected === piece.id ? (e) => take(e, patch, null) : undefined}
          >
            <rect {...b} fill={unit ? '#eef3f5' : '#fff'} fillOpacity={unit ? 0.82 : 1} />
            {!unit && <Hatch {...b} family={sheet.families[piece.id] ?? ''} colour={colour} />}
            <path
              d={openEdges(patch, piece, step)
                .map((e) => edgePath(e, patch, box))
                .join('')}
              fill="none"
              stroke={colour}
              strokeWidth={selected === piece.id ? 5 : now ? 3.4 : 1.4}
            />
            {unit && opening && <Frame b={b} flange={flangeOf(detail) * scale} />}
          </g>
        );
      })}
      {upcoming(detail, step).map(({ patch }) => (
        <g key={patch.id} pointerEvents="none">
          <rect {...box(patch)} fill="none" stroke="var(--color-ink)" strokeWidth="2" strokeDasharray="12 8" />
          {!window && (
            <text
              transform={`translate(${box(patch).x + 8} ${box(patch).y - 8}) scale(${k})`}
              fontSize="20"
              stroke="#fff"
              strokeWidth="6"
              paintOrder="stroke"
            >
              flap, held up until step {patch.step}
            </text>
          )}
        </g>
      ))}
      {!window &&
        detail.framing?.map((member, i) => (
          <rect
            key={`m${i}`}
            {...box(member as Pick<Patch, 'facet' | 'rect'>)}
            fill="none"
            stroke="var(--color-ink)"
            strokeWidth="1.2"
            strokeDasharray="3 7"
            pointerEvents="none"
            data-framing
          />
        ))}
      {detail.fasteners
        ?.filter((f) => laid.some(({ piece }) => f.through?.includes(piece.id)))
        .map((f) => (
          <Head
            key={f.id}
            b={box({ facet: f.facet, rect: [f.at[0] ?? 0, f.at[1] ?? 0, f.at[0] ?? 0, f.at[1] ?? 0] })}
            tight={f.through?.every((id) => f.made_for?.includes(id)) ?? false}
          />
        ))}
      {!window &&
        detail.gaps?.flatMap((gap) =>
          gap.mouths?.map((mouth, i) => (
            <rect
              key={`${gap.id}${i}`}
              {...box(mouth as Pick<Patch, 'facet' | 'rect'>)}
              fill="none"
              stroke="var(--color-ink)"
              strokeWidth="2"
              strokeDasharray="2 5"
              pointerEvents="none"
              data-gap={gap.id}
            />
          )),
        )}
      {detail.penetrations?.map((pipe) => (
        <Pipe
          key={pipe.id}
          b={box(pipe as Pick<Patch, 'facet' | 'rect'>)}
          round={detail.generated?.generator !== 'rectangular-penetration'}
        />
      ))}
      {walls.length > 1 &&
        !window &&
        walls.map(({ face }) => (
          <FacetName
            key={face}
            b={box({ facet: face, rect: [-M, -M, W + M, H + M] })}
            k={k}
            name={sheet.facets[face] ?? face}
          />
        ))}
      {!opening &&
        !window &&
        Object.entries(flat.facets).map(([name, f]) => (
          <FacetName key={name} b={box({ facet: name, rect: f.extent })} k={k} name={sheet.facets[name] ?? name} />
        ))}
      {onDrag &&
        laid
          .filter(({ piece }) => piece.id === selected)
          .map(({ patch }) => (
            <Handles
              key={`h${patch.id}`}
              b={box(
                drag?.patch === patch
                  ? { facet: patch.facet, rect: dragged(patch.rect as Box, drag.side, drag.by) }
                  : patch,
              )}
              moving={drag?.patch === patch}
              sides={flat.facets[patch.facet]}
              onTake={(e, side) => take(e, patch, side)}
            />
          ))}
      {rain?.map((r, i) => (
        <Water key={i} {...{ r, box, onStrip, running }} chosen={r === strip} />
      ))}
      {!window &&
        laid.map(({ piece, patch }) => {
          const number = patch.step ?? piece.step;
          if (
            (opening !== undefined &&
              !walls.some(
                (w) => w.face === patch.facet || (w.prefix === 'reveal-' && patch.facet === 'reveal-sill'),
              )) ||
            numbered.has(`${piece.id}${number}`)
          )
            return null;
          numbered.add(`${piece.id}${number}`);
          const b = box(patch);
          // A number under a later piece says nothing.
          const hidden = laid.some(
            (l) =>
              l.patch.facet === patch.facet &&
              (l.patch.step ?? l.piece.step) > number &&
              l.piece.kind !== 'unit' &&
              contains(box(l.patch), b.x + b.width / 2, b.y + b.height * 0.42),
          );
          if (hidden && number !== 1) return null;
          const at =
            number === 1
              ? { x: b.x + 24 + 16 * k, y: b.y + b.height - 24 - 16 * k }
              : piece.kind === 'unit'
                ? { x: b.x + b.width / 2, y: b.y + b.height / 2 }
                : { x: b.x + b.width / 2, y: b.y + b.height * (piece.role === 'pan' ? 0.5 : 0.42) };
          return (
            <g key={`n${patch.id}`} pointerEvents="none" transform={`translate(${at.x} ${at.y}) scale(${k})`}>
              <circle
                r="17"
                fill={number === step ? 'var(--color-ink)' : '#fff'}
                stroke="var(--color-ink)"
                strokeWidth="2"
              />
              <text
                y="7"
                textAnchor="middle"
                fontSize="20"
                fontWeight="700"
                fill={number === step ? '#fff' : 'var(--color-ink)'}
              >
                {number}
              </text>
            </g>
          );
        })}
      {dimensions && !window && opening && (
        <>
          <Dimension k={k} x0={X(0)} y0={Y(-M / 1.35)} x1={X(W)} y1={Y(-M / 1.35)} text={show(W, 'length', units)} />
          <Dimension
            k={k}
            x0={X(W + M / 1.25)}
            y0={Y(0)}
            x1={X(W + M / 1.25)}
            y1={Y(H)}
            text={show(H, 'length', units)}
          />
        </>
      )}
      {measured && <Measured {...{ measured, box }} size={size} />}
    </svg>
  );
}

interface Drag {
  patch: Patch;
  /** which edge is pulled, by its place in the rectangle; the whole patch where null */
  side: number | null;
  from: [number, number];
  by: [number, number];
}

/** A rectangle with one of its edges, or all of it, moved. */
export function dragged(rect: Box, side: number | null, [du, dv]: [number, number]): Box {
  const moved: Box = [rect[0] + du, rect[1] + dv, rect[2] + du, rect[3] + dv];
  return side === null ? moved : (rect.map((v, i) => (i === side ? moved[i] : v)) as Box);
}

/** Round the chosen piece: a knob at the middle of each edge to pull it by. */
function Handles({
  b,
  moving,
  sides,
  onTake,
}: {
  b: { x: number; y: number; width: number; height: number };
  moving: boolean;
  sides: { du: number; dv: number } | undefined;
  onTake: (e: React.PointerEvent, side: number) => void;
}) {
  // On a facet that is drawn turned round, its first edge lies at the other end.
  const [left, right] = (sides?.du ?? 1) > 0 ? [0, 2] : [2, 0];
  const [bottom, top] = (sides?.dv ?? 1) > 0 ? [1, 3] : [3, 1];
  const knobs: [number, number, number, string][] = [
    [left, b.x, b.y + b.height / 2, 'ew-resize'],
    [right, b.x + b.width, b.y + b.height / 2, 'ew-resize'],
    [top, b.x + b.width / 2, b.y, 'ns-resize'],
    [bottom, b.x + b.width / 2, b.y + b.height, 'ns-resize'],
  ];
  return (
    <g>
      {moving && (
        <rect {...b} fill="none" stroke="var(--color-ink)" strokeWidth="3" strokeDasharray="9 6" pointerEvents="none" />
      )}
      {knobs.map(([side, x, y, cursor]) => (
        <rect
          key={side}
          data-knob={side}
          x={x - 9}
          y={y - 9}
          width="18"
          height="18"
          fill="#fff"
          stroke="var(--color-ink)"
          strokeWidth="3"
          style={{ cursor, touchAction: 'none' }}
          onPointerDown={(e) => onTake(e, side)}
        />
      ))}
    </g>
  );
}

/** The head of a fastener: filled where every piece it goes through closes round it. */
function Head({ b, tight }: { b: { x: number; y: number }; tight: boolean }) {
  return (
    <g pointerEvents="none" data-fastener={tight ? 'tight' : 'leaks'} stroke="var(--color-ink)" strokeWidth="1.6">
      <circle cx={b.x} cy={b.y} r="4.5" fill={tight ? 'var(--color-ink)' : '#fff'} />
      <path d={`M${b.x - 4.5} ${b.y}h9M${b.x} ${b.y - 4.5}v9`} />
    </g>
  );
}

function Pipe({ b, round }: { b: { x: number; y: number; width: number; height: number }; round: boolean }) {
  const [cx, cy] = [b.x + b.width / 2, b.y + b.height / 2];
  return (
    <g pointerEvents="none">
      {round ? (
        <ellipse
          cx={cx}
          cy={cy}
          rx={b.width / 2}
          ry={b.height / 2}
          fill="#fff"
          stroke="var(--color-ink)"
          strokeWidth="2.4"
        />
      ) : (
        <rect {...b} fill="#fff" stroke="var(--color-ink)" strokeWidth="2.4" />
      )}
      <path d={`M${cx - 9} ${cy}h18M${cx} ${cy - 9}v18`} stroke="var(--color-ink)" strokeWidth="1.4" />
    </g>
  );
}

interface Laid {
  piece: Piece;
  patch: Patch;
}

/**
 * Everything that lies at the end of a step: by step, and on each facet in the order that the core found, innermost
 * first.
 */
export function inOrder(sheet: Pick<SequenceSheet, 'detail' | 'order'>, step: number): Laid[] {
  const rank = new Map(sheet.order.map((id, i) => [id, i]));
  const laid = sheet.detail.pieces
    .flatMap((piece) => piece.patches.map((patch) => ({ piece, patch })))
    .filter(({ piece, patch }) => (patch.step ?? piece.step) <= step)
    .sort((a, b) => (a.patch.step ?? a.piece.step) - (b.patch.step ?? b.piece.step));
  // Each facet keeps the places its patches have among all of them; who stands at which follows the core.
  const ofFacet = new Map<string, Laid[]>();
  for (const one of laid) ofFacet.set(one.patch.facet, [...(ofFacet.get(one.patch.facet) ?? []), one]);
  for (const row of ofFacet.values()) row.sort((a, b) => (rank.get(a.patch.id) ?? 0) - (rank.get(b.patch.id) ?? 0));
  return laid.map(({ patch }) => ofFacet.get(patch.facet)?.shift()).filter((one) => one !== undefined);
}

/** Parts of pieces already here that come to rest later: a flap still held up. */
function upcoming(detail: Detail, step: number): Laid[] {
  return detail.pieces
    .flatMap((piece) => piece.patches.map((patch) => ({ piece, patch })))
    .filter(({ piece, patch }) => piece.step <= step && (patch.step ?? piece.step) > step);
}

const contains = (b: { x: number; y: number; width: number; height: number }, x: number, y: number) =>
  x >= b.x && x <= b.x + b.width && y >= b.y && y <= b.y + b.height;

type EdgeLine = [u0: number, v0: number, u1: number, v1: number];

/** The edges of a patch less what it shares, in one plane, with the patches it is joined to: there is no edge there. */
function openEdges(patch: Patch, piece: Piece, step: number): EdgeLine[] {
  const [a, b, c, d] = patch.rect as EdgeLine;
  const siblings = piece.patches.filter(
    (other) =>
      other !== patch &&
      other.facet === patch.facet &&
      (other.step ?? piece.step) <= step &&
      other.joined?.some((label) => patch.joined?.includes(label)),
  );
  const cut = (from: number, to: number, taken: [number, number][]): [number, number][] =>
    taken.reduce<[number, number][]>(
      (left, [x, y]) =>
        left.flatMap(([p, q]): [number, number][] =>
          y <= p || x >= q
            ? [[p, q]]
            : [[p, x] as [number, number], [y, q] as [number, number]].filter(([m, n]) => m < n),
        ),
      [[from, to]],
    );
  const meeting = (where: (r: EdgeLine) => boolean, along: 0 | 1) =>
    siblings
      .map((o) => o.rect as EdgeLine)
      .filter(where)
      .map((r): [number, number] => [r[along], r[along + 2] as number]);
  return [
    ...cut(
      a,
      c,
      meeting((r) => r[3] === b, 0),
    ).map(([p, q]): EdgeLine => [p, b, q, b]),
    ...cut(
      a,
      c,
      meeting((r) => r[1] === d, 0),
    ).map(([p, q]): EdgeLine => [p, d, q, d]),
    ...cut(
      b,
      d,
      meeting((r) => r[2] === a, 1),
    ).map(([p, q]): EdgeLine => [a, p, a, q]),
    ...cut(
      b,
      d,
      meeting((r) => r[0] === c, 1),
    ).map(([p, q]): EdgeLine => [c, p, c, q]),
  ];
}

function edgePath(
  edge: EdgeLine,
  patch: Patch,
  box: (p: Pick<Patch, 'facet' | 'rect'>) => { x: number; y: number; width: number; height: number },
): string {
  const e = box({ facet: patch.facet, rect: edge });
  return `M${e.x} ${e.y}l${e.width} ${e.height}`;
}

const flangeOf = (detail: Detail) => {
  const flange = detail.generated?.parameters.flange_mm;
  return typeof flange === 'number' ? flange : 35;
};

function Frame({ b, flange }: { b: { x: number; y: number; width: number; height: number }; flange: number }) {
  const inset = (by: number) => ({ x: b.x + by, y: b.y + by, width: b.width - 2 * by, height: b.height - 2 * by });
  return (
    <>
      <rect {...inset(flange)} fill="none" stroke="var(--color-ink)" strokeWidth="2" />
      <rect {...inset(flange + 26)} fill="none" stroke="var(--color-ink)" strokeWidth="1" />
    </>
  );
}

/** Facets that lie apart are named in their upper left corner. */
function FacetName({ b, k, name }: { b: { x: number; y: number }; k: number; name: string }) {
  return (
    <text
      transform={`translate(${b.x + 8} ${b.y}) scale(${k})`}
      y="26"
      fontSize="20"
      fill="var(--color-faint)"
      stroke="#fff"
      strokeWidth="5"
      paintOrder="stroke"
      pointerEvents="none"
    >
      {name}
    </text>
  );
}

function Dimension({
  x0,
  y0,
  x1,
  y1,
  k,
  text,
}: {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
  k: number;
  text: string;
}) {
  const upright = x0 === x1;
  const [mx, my] = [(x0 + x1) / 2, (y0 + y1) / 2];
  return (
    <g pointerEvents="none">
      <path
        d={upright ? `M${x0 - 9} ${y0}h18M${x0} ${y0}V${y1}m-9 0h18` : `M${x0} ${y0 - 9}v18M${x0} ${y0}H${x1}m0 -9v18`}
        stroke="var(--color-ink)"
        strokeWidth="1.4"
      />
      <g transform={`translate(${mx} ${my}) ${upright ? 'rotate(-90) ' : ''}scale(${k})`}>
        <rect x={-text.length * 6.5} y="-15" width={text.length * 13} height="30" fill="#fff" />
        <text y="8" textAnchor="middle" fontSize="23">
          {text}
        </text>
      </g>
    </g>
  );
}

function Measured({
  measured,
  box,
  size,
}: {
  measured: NonNullable<Check['measured']>;
  box: (p: Pick<Patch, 'facet' | 'rect'>) => { x: number; y: number; width: number; height: number };
  size: number;
}) {
  const [a, b] = measured.from as [number, number];
  const [c, d] = measured.to as [number, number];
  const at = box({ facet: measured.facet, rect: [Math.min(a, c), Math.min(b, d), Math.max(a, c), Math.max(b, d)] });
  const upright = at.height > at.width;
  const path = upright
    ? `M${at.x - 12} ${at.y}h24M${at.x} ${at.y}v${at.height}m-12 0h24`
    : `M${at.x} ${at.y - 12}v24M${at.x} ${at.y}h${at.width}m0 -12v24`;
  return (
    <g pointerEvents="none">
      <path d={path} fill="none" stroke="#fff" strokeWidth="12" />
      <path d={path} fill="none" stroke="var(--color-fail)" strokeWidth="6" />
      <text
        x={upright ? at.x + 20 : at.x + at.width / 2}
        y={upright ? at.y + at.height / 2 + 9 : at.y - 22}
        fontSize={size + 8}
        fontWeight="700"
        textAnchor={upright ? 'start' : 'middle'}
        fill="var(--color-fail)"
        stroke="#fff"
        strokeWidth="7"
        paintOrder="stroke"
      >
        here
      </text>
    </g>
  );
}

const RAIN: Record<RainStrip['severity'], { colour: string; dash: string }> = {
  fail: { colour: 'var(--color-fail)', dash: '' },
  caution: { colour: 'var(--color-caution)', dash: '16 7' },
  note: { colour: 'var(--color-water)', dash: '3 7' },
  pass: { colour: 'var(--color-water)', dash: '' },
};

/**
 * The way of the water in one strip: a line down through every facet it crosses, ended by the mark of what comes of it.
 */
function Water({
  r,
  box,
  chosen,
  onStrip,
  running,
}: {
  r: RainStrip;
  box: (p: Pick<Patch, 'facet' | 'rect'>) => { x: number; y: number; width: number; height: number };
  chosen: boolean;
  onStrip: ((r: RainStrip) => void) | undefined;
  running: boolean;
}) {
  const points = r.route.map((p) => box({ facet: p.facet, rect: [p.u, p.v, p.u, p.v] }));
  // From the sheathing out over the board it goes on in the other plane, drawn beside: no line joins the two.
  const out = (i: number) => onBoard(r.route[i]?.facet ?? '');
  const d = points.map((p, i) => `${i === 0 || out(i) !== out(i - 1) ? 'M' : 'L'}${p.x} ${p.y}`).join('');
  const end = box({ facet: r.at.facet, rect: [r.at.u, r.at.v, r.at.u, r.at.v] });
  const { colour, dash } = RAIN[r.severity];
  return (
    <g onClick={() => onStrip?.(r)} style={{ cursor: 'pointer' }} data-water={r.outcome} data-source={r.source}>
      <path d={d} fill="none" stroke="#fff" strokeWidth={chosen ? 13 : 8} strokeLinejoin="round" opacity="0.85" />
      <path
        d={d}
        fill="none"
        stroke={colour}
        strokeWidth={chosen ? 8 : r.severity === 'pass' ? 2.4 : 4.4}
        strokeDasharray={dash}
        strokeLinejoin="round"
        className={running ? 'water-runs' : undefined}
        pathLength={running ? 100 : undefined}
      />
      <path d={d} fill="none" stroke="transparent" strokeWidth="24" />
      {r.severity === 'fail' && (
        <rect x={end.x - 11} y={end.y - 11} width="22" height="22" fill={colour} stroke="#fff" strokeWidth="3" />
      )}
      {r.severity === 'caution' && (
        <path d={`M${end.x} ${end.y - 12}l13 22h-26z`} fill={colour} stroke="#fff" strokeWidth="3" />
      )}
    </g>
  );
}
