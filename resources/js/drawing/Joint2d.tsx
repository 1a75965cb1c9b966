import type { PlanePicture, PlaneSection } from '../api/types';
import { isotherm, levels } from './isotherms';

interface Props {
  section: PlaneSection;
  picture: PlanePicture | undefined;
}

const MARGIN = 24;

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
  const [left, right, low, high] = [Math.min(...x), Math.max(...x), Math.min(...y), Math.max(...y)];
  const unit = Math.max(right - left, high - low) / 780;
  const box = `${left - MARGIN * unit} ${-high - MARGIN * unit} ${right - left + 2 * MARGIN * unit} ${high - low + 2 * MARGIN * unit}`;
  const warm = picture?.celsius.flat().filter((c): c is number => c !== null) ?? [];
  const lines = warm.length === 0 ? [] : levels(Math.min(...warm), Math.max(...warm));
  const coldest = picture?.coldest;
  const shade = (conductivity: number | undefined) =>
    conductivity === undefined ? '#fff' : conductivity <= 0.06 ? '#f3ead2' : conductivity >= 10 ? '#39434a' : '#e3e7e6';
  const filled = picture !== undefined;
  return (
    <svg
      viewBox={box}
      className="block max-h-[420px] w-full"
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
        ends(picture, lines).map(([level, at]) => (
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
      <text x={left} y={-low + 16 * unit} fontSize={11 * unit} fill="var(--color-faint)">
        inside
      </text>
      <text x={left} y={-high - 8 * unit} fontSize={11 * unit} fill="var(--color-faint)">
        outside{lines.length > 1 ? ` · lines every ${(lines[1] ?? 0) - (lines[0] ?? 0)} K` : ''}
      </text>
    </svg>
  );
}
