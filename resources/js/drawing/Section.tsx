import { Fragment, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Assembly, AssemblyFigures, Control, Material, Severity, Units } from '../api/types';
import { show } from '../quantity/show';
import { Hatch } from './Hatch';
import { niceStep, placeLayers, SECTION, spread } from './scale';
import { useDrawnWidth } from './useDrawnWidth';
import { isMetal } from '../material/families';
import { Label, FramingMark, AirArrows, DrainWay, WetMonths, Threads, Touching } from './sectionMarks';

/** Narrower, and the two ends of the line under the section would meet. */
const ROOM_FOR_BOTH = 620;

interface Props {
  assembly: Assembly;
  figures: AssemblyFigures | undefined;
  materials: Map<string, Material>;
  units: Units;
  thread?: Control | null;
  selected?: number | null;
  onSelect?: (index: number) => void;
  onKeyDown?: (event: KeyboardEvent, index: number) => void;
  /** what two layers that touch want, at the edge between them */
  touching?: { id: string; edge: number; severity: Severity; says: string; to: string }[];
  /** a layer was dragged to another's place */
  onMove?: (from: number, to: number) => void;
}

/** A wall or roof cut through, to scale, inside on the left: hatches, threads, temperature and dew point over it. */
export function Section({
  assembly,
  figures,
  materials,
  units,
  thread = null,
  selected = null,
  touching = [],
  onSelect,
  onKeyDown,
  onMove,
}: Props) {
  const { left, right, top, bottom, height } = SECTION;
  const svg = useRef<SVGSVGElement>(null);
  const width = useDrawnWidth(svg, SECTION.width, 340);
  const layers = assembly.layers;
  const { edges, thickened } = placeLayers(
    layers.map((l) => l.thickness_mm),
    width - left - right,
  );
  const x = (edge: number) => left + (edges[edge] ?? 0);
  const scaled = layers.findIndex((_, i) => !thickened[i]);
  const mm = (layers[scaled]?.thickness_mm ?? 0) / ((edges[scaled + 1] ?? 0) - (edges[scaled] ?? 0));
  const middle = (i: number) => (x(i) + x(i + 1)) / 2;
  const labels = spread(
    layers.map((_, i) => middle(i)),
    Math.min(92, (width - 20) / Math.max(1, layers.length)),
    46,
    width - 46,
  );
  const profile = figures?.profiles[0];
  const temperatures = profile?.interfaces.flatMap((p) => [p.temperature_c, p.dew_point_c]) ?? [];
  const [low, high] =
    temperatures.length === 0
      ? [0, 1]
      : [Math.min(...temperatures, profile?.outdoor_c ?? 0) - 2, Math.max(...temperatures, profile?.indoor_c ?? 0) + 2];
  const y = (celsius: number) => bottom - ((celsius - low) / (high - low)) * (bottom - top);
  const step = niceStep(high - low, 4);
  const ticks = profile
    ? Array.from(
        { length: Math.floor(high / step) - Math.ceil(low / step) + 1 },
        (_, i) => (Math.ceil(low / step) + i) * step,
      )
    : [];
  const line = (key: 'temperature_c' | 'dew_point_c') =>
    profile?.interfaces.map((p, i) => `${x(i)},${y(p[key])}`).join(' ');
  const drag = useRef<{ from: number; x: number } | null>(null);
  const [over, setOver] = useState<{ from: number; to: number } | null>(null);
  /** The layer under the pointer while one is dragged; a hand that only trembles drags nothing. */
  const under = (event: PointerEvent<SVGSVGElement>): number | null => {
    if (!drag.current || Math.abs(event.clientX - drag.current.x) < 12) return null;
    const box = event.currentTarget.getBoundingClientRect();
    const at = ((event.clientX - box.left) / box.width) * width;
    const found = layers.findIndex((_, i) => at < x(i + 1));
    return found < 0 ? layers.length - 1 : found;
  };
  const faded = thread === null ? 1 : 0.28;

  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${width} ${height}`}
      className="block w-full"
      role="listbox"
      aria-label={`Section of ${assembly.name}, inside to outside`}
      data-drawing="section"
      data-mm={mm}
      onPointerMove={
        onMove &&
        ((event) => {
          const to = under(event);
          setOver(to === null || !drag.current ? null : { from: drag.current.from, to });
        })
      }
      onPointerLeave={() => {
        drag.current = null;
        setOver(null);
      }}
      onPointerUp={
        onMove &&
        ((event) => {
          const [from, to] = [drag.current?.from, under(event)];
          drag.current = null;
          setOver(null);
          if (from !== undefined && to !== null && to !== from) onMove(from, to);
        })
      }
    >
      {layers.map((layer, i) => {
        const material = materials.get(layer.material);
        const name = material?.name ?? layer.material;
        const w = x(i + 1) - x(i);
        const hit = Math.max(24, w);
        const reckoned = figures?.layers[i]?.reckoned ?? true;
        return (
          <g
            key={layer.id ?? i}
            role="option"
            aria-selected={selected === i}
            tabIndex={onSelect ? (selected === i || (selected === null && i === 0) ? 0 : -1) : undefined}
            aria-label={[
              name,
              show(layer.thickness_mm, 'thickness', units),
              ...(layer.controls?.length ? [`carries ${layer.controls.join(', ')}`] : []),
            ].join(', ')}
            data-layer={layer.id}
            onPointerDown={(event) => {
              drag.current = { from: i, x: event.clientX };
            }}
            onClick={() => onSelect?.(i)}
            onFocus={() => {
              if (selected !== i) onSelect?.(i);
            }}
            onKeyDown={(event) => onKeyDown?.(event, i)}
            style={{ cursor: onSelect ? 'pointer' : undefined }}
          >
            <g opacity={thread !== null && !layer.controls?.includes(thread) ? faded : 1}>
              <rect
                x={x(i)}
                y={top}
                width={w}
                height={bottom - top}
                fill={!reckoned ? '#f3f5f5' : thickened[i] ? '#7c8b8f' : '#fff'}
              />
              {!thickened[i] && (
                <Hatch x={x(i)} y={top} width={w} height={bottom - top} family={material?.family ?? ''} />
              )}
              {layer.framing && (
                <FramingMark
                  x={x(i)}
                  y={bottom - 66}
                  width={w}
                  height={56}
                  metal={isMetal(materials.get(layer.framing.material)?.family)}
                />
              )}
              {layer.air === 'ventilated' && <AirArrows x={middle(i)} y0={top} y1={bottom} />}
              <rect
                x={x(i)}
                y={top}
                width={w}
                height={bottom - top}
                fill="none"
                stroke="var(--color-ink)"
                strokeWidth="1"
                strokeDasharray={reckoned ? undefined : '3 3'}
              />
              {thickened[i] && (
                <path
                  d={`M${x(i) - 3} ${bottom - 22}l${w + 6} -7m${-w - 6} 12l${w + 6} -7`}
                  stroke="#fff"
                  strokeWidth="2.4"
                />
              )}
              {thickened[i] && (
                <path
                  d={`M${x(i) - 3} ${bottom - 22}l${w + 6} -7m${-w - 6} 12l${w + 6} -7`}
                  stroke="var(--color-ink)"
                  strokeWidth="0.8"
                />
              )}
            </g>
            <rect x={middle(i) - hit / 2} y={top} width={hit} height={bottom - top} fill="transparent" data-hit={i} />
          </g>
        );
      })}
      {/* Their names stand outside: shortened where there is little room, they are not what a layer is called. */}
      {layers.map((layer, i) => (
        <g key={`n${layer.id ?? i}`} aria-hidden="true" style={{ cursor: 'pointer' }} onClick={() => onSelect?.(i)}>
          <path
            d={`M${labels[i]} 40V50L${middle(i)} ${top - 2}`}
            fill="none"
            stroke="var(--color-faint)"
            strokeWidth="0.8"
          />
          <Label
            x={labels[i] ?? 0}
            name={materials.get(layer.material)?.name ?? layer.material}
            strong={selected === i}
            room={Math.min(92, (width - 20) / Math.max(1, layers.length))}
          />
        </g>
      ))}
      {selected !== null && selected < layers.length && (
        <rect
          x={x(selected) - 1.5}
          y={top - 1.5}
          width={x(selected + 1) - x(selected) + 3}
          height={bottom - top + 3}
          fill="none"
          stroke="var(--color-ink)"
          strokeWidth="3"
          pointerEvents="none"
        />
      )}
      {over !== null && over.to !== over.from && (
        <path
          d={`M${over.to > over.from ? x(over.to + 1) : x(over.to)} ${top - 10}V${bottom + 10}`}
          stroke="var(--color-ink)"
          strokeWidth="5"
          pointerEvents="none"
        />
      )}
      <g stroke="var(--color-ink)" strokeWidth="0.8" pointerEvents="none">
        <path d={`M${x(0)} ${bottom + 24}H${x(layers.length)}`} />
        {edges.map((_, i) => (
          <path key={i} d={`M${x(i)} ${bottom + 20}v8`} />
        ))}
      </g>
      {profile && (
        <g pointerEvents="none" opacity={thread === null || thread === 'heat' || thread === 'vapour' ? 1 : faded}>
          {ticks.map((t) => (
            <Fragment key={t}>
              <path d={`M${left - 6} ${y(t)}h6`} stroke="var(--color-ink)" strokeWidth="0.8" />
              <text x={left - 9} y={y(t) + 4} textAnchor="end" fontSize="11">
                {units === 'si' ? t : Math.round(t * 1.8 + 32)}
              </text>
            </Fragment>
          ))}
          <text x={left - 9} y={top - 4} textAnchor="end" fontSize="11">
            {units === 'si' ? '°C' : '°F'}
          </text>
          <polyline points={line('temperature_c')} fill="none" stroke="#fff" strokeWidth="5" />
          <polyline
            points={line('temperature_c')}
            fill="none"
            stroke="var(--color-ink)"
            strokeWidth="2"
            data-line="temperature"
          />
          <polyline points={line('dew_point_c')} fill="none" stroke="#fff" strokeWidth="4" />
          <polyline
            points={line('dew_point_c')}
            fill="none"
            stroke="var(--color-ink)"
            strokeWidth="1.4"
            strokeDasharray="2 3"
            data-line="dew point"
          />
          {profile.condensation.map((c, i) => {
            const at =
              c.interface !== undefined
                ? x(c.interface)
                : x(c.layer ?? 0) +
                  ((c.depth_mm ?? 0) / (layers[c.layer ?? 0]?.thickness_mm ?? 1)) *
                    (x((c.layer ?? 0) + 1) - x(c.layer ?? 0));
            return (
              <path
                key={i}
                d={`M${at} ${top + 8}c-4 6 -5 8 -5 10a5 5 0 0 0 10 0c0 -2 -1 -4 -5 -10z`}
                fill="var(--color-water)"
                stroke="#fff"
              />
            );
          })}
        </g>
      )}
      {figures && (thread === null || thread === 'water') && <DrainWay {...{ assembly, figures, x }} />}
      <Threads layers={layers} x={x} thread={thread} />
      {touching.map((t) => (
        <Touching key={t.id} at={x(t.edge)} {...t} />
      ))}
      {figures?.year && (
        <WetMonths
          planes={figures.year.planes}
          at={(p) =>
            p.interface !== undefined
              ? x(p.interface)
              : x(p.layer ?? 0) +
                ((p.depth_mm ?? 0) / (layers[p.layer ?? 0]?.thickness_mm ?? 1)) *
                  (x((p.layer ?? 0) + 1) - x(p.layer ?? 0))
          }
          opacity={thread === null || thread === 'vapour' ? 1 : faded}
        />
      )}
      <g
        fontSize="11"
        fill="var(--color-faint)"
        stroke="var(--color-paper)"
        strokeWidth="4"
        paintOrder="stroke"
        pointerEvents="none"
      >
        <text x={x(0)} y={bottom + 42}>
          inside{profile ? ` ${show(profile.indoor_c, 'temperature', units)}` : ''} ·{' '}
          {show(
            layers.reduce((s, l) => s + l.thickness_mm, 0),
            'length',
            units,
          )}{' '}
          overall{thickened.some(Boolean) && width >= ROOM_FOR_BOTH ? ' · broken layers thickened' : ''}
        </text>
        <text x={x(layers.length)} y={bottom + 42} textAnchor="end">
          {profile && width >= ROOM_FOR_BOTH ? `coldest month ${show(profile.outdoor_c, 'temperature', units)} ` : ''}
          outside
        </text>
        {layers.map((layer, i) => {
          const w = x(i + 1) - x(i);
          // A thread runs down the middle of the layer that carries it, so its figure stands beside.
          const beside = w > 60 && layer.controls?.some((c) => c !== 'heat') ? 22 : 0;
          return (
            !thickened[i] &&
            w >= 26 && (
              <text
                key={layer.id ?? i}
                x={middle(i) + beside}
                y={bottom + 17}
                textAnchor="middle"
                fontWeight={selected === i ? 700 : 400}
                fill="var(--color-ink)"
              >
                {show(layer.thickness_mm, 'thickness', units).replace(' mm', '')}
              </text>
            )
          );
        })}
        {profile && (
          <>
            <text x={x(0) + 6} y={y(profile.interfaces[0]?.temperature_c ?? 0) + 17} fill="var(--color-ink)">
              temperature
            </text>
            <text x={x(0) + 6} y={y(profile.interfaces[0]?.dew_point_c ?? 0) - 6} fill="var(--color-ink)">
              dew point
            </text>
          </>
        )}
      </g>
    </svg>
  );
}
