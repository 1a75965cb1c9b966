import { useId, useMemo, useRef, useState, type ReactNode } from 'react';
import type { Detail, Patch, SequenceSheet, Units } from '../../api/types';
import { Hatch } from '../Hatch';
import { planes, unfold, type Box } from '../unfold';
import { useLabelScale } from '../useLabelScale';
import { COLOUR } from './colours';
import { dragged, Handles } from './Handles';
import { edgePath, inOrder, openEdges, upcoming } from './laid';
import { FacetName, Frame, Head, Pipe } from './marks';
import { mitres } from './mitres';
import { Sheet, type Place } from './Sheet';

interface Props {
  sheet: SequenceSheet;
  step: number;
  units: Units;
  /** mm on the face to show, close up; the whole of it where left out */
  window?: [u0: number, v0: number, u1: number, v1: number];
  /** what may be done to the pieces; nothing where left out */
  hand?: Hand;
  /** what is drawn over them: numbers, dimensions, water, what a check measures */
  children?: ReactNode;
}

export interface Hand {
  selected: string | null;
  onSelect: (piece: string) => void;
  /** a patch of the chosen piece, or one of its edges, pulled by so many mm along its facet, in steps of 5 */
  onDrag?: ((patch: Patch, side: number | null, by: [number, number]) => void) | undefined;
}

interface Drag {
  patch: Patch;
  /** which edge is pulled, by its place in the rectangle; the whole patch where null */
  side: number | null;
  from: [number, number];
  by: [number, number];
}

/**
 * A detail unfolded flat, seen from outside: the returns of an opening laid back into the hole, other facets one under
 * the other.
 */
export function Unfolded({ sheet, step, units, window, hand, children }: Props) {
  const { selected = null, onSelect, onDrag } = hand ?? {};
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
  const place: Place = { sheet, step, units, close: window !== undefined, box, X, Y, k };
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
      <Sheet.Provider value={place}>{children}</Sheet.Provider>
    </svg>
  );
}

/** How wide the flange of the unit is drawn, in mm. */
const flangeOf = (detail: Detail) => {
  const flange = detail.generated?.parameters.flange_mm;
  return typeof flange === 'number' ? flange : 35;
};
