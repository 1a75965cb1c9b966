import type { PlanePicture, PlaneSection } from '../api/types';
import { isotherm, levels } from './isotherms';

interface Props {
  section: PlaneSection;
  picture: PlanePicture | undefined;
}

const MARGIN = 24;

/** mm either way of the coldest place: so much is drawn of a section that goes far into the ground. */
const FAR = 1400;

/** The part of a section that is drawn, as left, right, low and high. */
function near(all: Bounds, at: { x: number; y: number }): Bounds {
  const [left, right, low, high] = all;
  if (right - left <= 4 * FAR && high - low <= 4 * FAR) return all;
  return [
    Math.max(left, at.x - FAR),
    Math.min(right, at.x + FAR),
    Math.max(low, at.y - FAR),
    Math.min(high, at.y + FAR),
  ];
}

/** Where it is said which side is which: in the largest of the airs of each, as far as it is drawn. */
function sides(section: PlaneSection, [left, right, low, high]: Bounds, edge: number) {
  const clipped = section.airs.map(({ rect, inside, temperature_c }) => {
    const [x0 = 0, y0 = 0, x1 = 0, y1 = 0] = rect;
    const [l, r] = [Math.max(x0, left - edge), Math.min(x1, right + edge)];
    const [b, t] = [Math.max(y0, low - edge), Math.min(y1, high + edge)];
    const side = inside ? 'inside' : 'outside';
    return {
      side,
      words: `${side} ${temperature_c} °C`,
      at: [(l + r) / 2, (b + t) / 2] as const,
      size: (r - l) * (t - b),
    };
  });
  return ['inside', 'outside'].flatMap((side) => {
    const [largest] = clipped.filter((air) => air.side === side).sort((a, b) => b.size - a.size);
    return largest ? [largest] : [];
  });
}

type Bounds = [left: number, right: number, low: number, high: number];

/** Where each line meets the right edge: it is told there how warm it is. */
function ends({ y_mm, celsius }: PlanePicture, lines: number[]): [number, number][] {
  return lines.flatMap((level): [number, number][] => {
    for (let j = 0; j + 1 < y_mm.length; j++) {
      const [a, b] = [celsius[j]?.at(-1), celsius[j + 1]?.at(-1)];
      if (a == null || b == null || a < level === b < level) continue;
      return [[level, (y_mm[j] ?? 0) + ((level - a) / (b - a)) * ((y_mm[j + 1] ?? 0) - (y_mm[j] ?? 0))]];
    }
    return [];
  });
}

/** A joint cut through, with lines of equal temperature over it and its coldest place inside. Insulation is shaded. */
export function Joint2d({ section, picture }: Props) {
  const x = section.rects.flatMap(({ rect }) => [rect[0] ?? 0, rect[2] ?? 0]);
  const y = section.rects.flatMap(({ rect }) => [rect[1] ?? 0, rect[3] ?? 0]);
  const coldest = picture?.coldest;
  const [left, right, low, high] = near(
    [Math.min(...x), Math.max(...x), Math.min(...y), Math.max(...y)],
    coldest ?? { x: 0, y: 0 },
  );
  // Of a drawing that may be so wide and so high, in px.
  const unit = Math.max((right - left) / 780, (high - low) / 400);
  const box = `${left - MARGIN * unit} ${-high - MARGIN * unit} ${right - left + 2 * MARGIN * unit} ${high - low + 2 * MARGIN * unit}`;
  const warm = picture?.celsius.flat().filter((c): c is number => c !== null) ?? [];
  const lines = warm.length === 0 ? [] : levels(Math.min(...warm), Math.max(...warm));
  const shade = (conductivity: number | undefined) =>
    conductivity === undefined ? '#fff' : conductivity <= 0.06 ? '#f3ead2' : conductivity >= 10 ? '#39434a' : '#e3e7e6';
  const filled = picture !== undefined;
  return (
    <svg
      viewBox={box}
      className="block max-h-[420px] w-full overflow-hidden"
      role="img"
      aria-label={`${section.title ?? section.id}, temperatures`}
      data-drawing="joint-2d"
    >
      {/* What is inside lies below: y goes up. */}
      <g transform="scale(1 -1)">
        {section.rects.map(({ rect, conductivity_w_mk }, i) => (
          <rect
            key={i}
            x={rect[0]}
            y={rect[1]}
            width={(rect[2] ?? 0) - (rect[0] ?? 0)}
            height={(rect[3] ?? 0) - (rect[1] ?? 0)}
            fill={shade(conductivity_w_mk)}
            stroke="var(--color-faint)"
            strokeWidth={0.5 * unit}
          />
        ))}
        {filled &&
          lines.map((level) => (
            <path
              key={level}
              d={isotherm(picture, level)}
              fill="none"
              stroke={level <= 0 ? 'var(--color-water)' : 'var(--color-heat)'}
              strokeWidth={(level % 5 === 0 ? 1.6 : 0.8) * unit}
              data-isotherm={level}
            />
          ))}
        {coldest && (
          <circle
            cx={coldest.x}
            cy={coldest.y}
            r={5 * unit}
            fill="#fff"
            stroke="var(--color-ink)"
            strokeWidth={2 * unit}
          />
        )}
      </g>
      {filled &&
        ends(picture, lines)
          .filter(([, at]) => at > low && at < high)
          .map(([level, at]) => (
            <text key={level} x={right + 3 * unit} y={-at + 4 * unit} fontSize={10 * unit} fill="var(--color-faint)">
              {level}
            </text>
          ))}
      {coldest && (
        <text
          x={Math.min(coldest.x + 9 * unit, right - 90 * unit)}
          y={-coldest.y + 4 * unit}
          fontSize={12 * unit}
          fontWeight="bold"
          stroke="#fff"
          strokeWidth={3 * unit}
          paintOrder="stroke"
        >
          {coldest.temperature.toFixed(1)} °C
        </text>
      )}
      {sides(section, [left, right, low, high], 14 * unit).map(({ words, at }) => (
        <text
          key={words}
          x={at[0]}
          y={-at[1] + 4 * unit}
          textAnchor="middle"
          fontSize={11 * unit}
          fill="var(--color-faint)"
          stroke="#fff"
          strokeWidth={3 * unit}
          paintOrder="stroke"
        >
          {words}
        </text>
      ))}
      {lines.length > 1 && (
        <text x={left} y={-high - 8 * unit} fontSize={11 * unit} fill="var(--color-faint)">
          lines every {(lines[1] ?? 0) - (lines[0] ?? 0)} K
        </text>
      )}
    </svg>
  );
}
