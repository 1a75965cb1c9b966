import type { Material, Units } from '../api/types';
import { NG_PER_PERM, RSI_PER_R } from '../quantity/read';

const BOX = { width: 800, left: 48, right: 14, top: 16, bottom: 208, height: 244 };

export const thicknessOf = (m: Material) => m.usual_thickness_mm ?? 25;
export const resistanceOf = (m: Material) => m.resistance_m2k_w ?? thicknessOf(m) / 1000 / (m.conductivity_w_mk ?? 1);
export const permeanceOf = (m: Material) =>
  m.permeance_ng_pa_s_m2 ?? 200 / (m.sd_m ?? ((m.vapour_resistance_factor ?? 1) * thicknessOf(m)) / 1000);

/**
 * Every material by what it lets through and what it holds back, at the thickness it is usually used in: tight on the
 * left, warm at the top.
 */
export function MaterialMap({
  materials,
  found,
  selected,
  units,
  choose,
}: {
  materials: Material[];
  found: Set<string>;
  selected: Material | undefined;
  units: Units;
  choose: (m: Material) => void;
}) {
  const { width, left, right, top, bottom, height } = BOX;
  const x = (permeance: number) =>
    left +
    ((Math.log10(Math.min(3e5, Math.max(0.02, permeance))) - Math.log10(0.02)) / (Math.log10(3e5) - Math.log10(0.02))) *
      (width - left - right);
  const y = (r: number) =>
    bottom -
    ((Math.log10(Math.min(12, Math.max(0.0003, r))) - Math.log10(0.0003)) / (Math.log10(12) - Math.log10(0.0003))) *
      (bottom - top);
  const classes = [
    [0.1 * NG_PER_PERM, 'I'],
    [NG_PER_PERM, 'II'],
    [10 * NG_PER_PERM, 'III'],
  ] as const;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="block w-full"
      role="img"
      aria-label="Materials by permeance and resistance"
      data-drawing="materials"
    >
      <path d={`M${left} ${top}V${bottom}H${width - right}`} fill="none" stroke="var(--color-ink)" strokeWidth="0.8" />
      {classes.map(([p, name]) => (
        <g key={name}>
          <path
            d={`M${x(p)} ${top}V${bottom}`}
            stroke="var(--color-vapour)"
            strokeWidth="1.6"
            strokeDasharray="0.1 6"
            strokeLinecap="round"
          />
          <text x={x(p) - 5} y={top + 9} fontSize="11" textAnchor="end" fill="var(--color-vapour)">
            class {name}
          </text>
        </g>
      ))}
      <text x={x(10 * NG_PER_PERM) + 6} y={top + 9} fontSize="11" fill="var(--color-vapour)">
        open
      </text>
      {[0.1, 1, 10, 100, 1000, 10000, 100000].map((v) => (
        <g key={v}>
          <path
            d={`M${x(units === 'si' ? v : (v * NG_PER_PERM) / 10)} ${bottom}v4`}
            stroke="var(--color-ink)"
            strokeWidth="0.8"
          />
          <text x={x(units === 'si' ? v : (v * NG_PER_PERM) / 10)} y={bottom + 16} fontSize="10" textAnchor="middle">
            {units === 'si' ? v : v / 10}
          </text>
        </g>
      ))}
      {(units === 'si' ? [0.001, 0.01, 0.1, 1, 10] : [0.01, 0.1, 1, 10, 50]).map((v) => {
        const r = units === 'si' ? v : v * RSI_PER_R;
        return (
          <g key={v}>
            <path d={`M${left - 4} ${y(r)}h4`} stroke="var(--color-ink)" strokeWidth="0.8" />
            <text x={left - 7} y={y(r) + 4} fontSize="10" textAnchor="end">
              {v}
            </text>
          </g>
        );
      })}
      {[...materials]
        .sort((a, b) => Number(a === selected) - Number(b === selected))
        .map((m) => {
          const on = found.has(m.id);
          return (
            <circle
              key={m.id}
              cx={x(permeanceOf(m))}
              cy={y(resistanceOf(m))}
              r={m === selected ? 6 : on ? 3.6 : 2}
              fill={m === selected ? 'var(--color-ink)' : on ? '#fff' : 'var(--color-hair)'}
              stroke={on || m === selected ? 'var(--color-ink)' : 'var(--color-hair)'}
              onClick={() => choose(m)}
              style={{ cursor: 'pointer' }}
            >
              <title>{m.name}</title>
            </circle>
          );
        })}
      {selected && (
        <text
          x={Math.min(width - 190, x(permeanceOf(selected)) + 10)}
          y={Math.max(top + 24, y(resistanceOf(selected)) - 8)}
          fontSize="12"
          fontWeight="700"
          stroke="var(--color-paper)"
          strokeWidth="4"
          paintOrder="stroke"
        >
          {selected.name}
        </text>
      )}
      <text x={(left + width - right) / 2} y={height - 6} fontSize="11" textAnchor="middle" fill="var(--color-faint)">
        permeance, {units === 'si' ? 'ng/Pa·s·m²' : 'perm'}, at the usual thickness
      </text>
      <text x={4} y={top - 4} fontSize="11" fill="var(--color-faint)">
        R, {units === 'si' ? 'm²K/W' : 'h·ft²·°F/Btu'}
      </text>
    </svg>
  );
}
