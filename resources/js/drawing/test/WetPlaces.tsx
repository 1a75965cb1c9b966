import type { FieldTest, SequenceSheet, Units } from '../../api/types';
import { unfold } from '../unfold';
import { useSheet } from '../unfolded/Sheet';
import { Unfolded } from '../unfolded/Unfolded';
import { Water } from '../unfolded/Water';

export type WaterTest = Extract<FieldTest, { kind: 'water' }>;

/** Water as it was first seen on one facet: in which runs, after how long. */
export interface Wet {
  facet: string;
  runs: { where: string; after_min: number }[];
}

/** Where water was seen inside, by facet, in the order of the runs. */
export function wetPlaces(test: WaterTest): Wet[] {
  const found = new Map<string, Wet>();
  for (const { where, seen } of test.runs) {
    if (!seen?.facet) continue;
    const wet = found.get(seen.facet) ?? { facet: seen.facet, runs: [] };
    wet.runs.push({ where, after_min: seen.after_min });
    found.set(seen.facet, wet);
  }
  return [...found.values()];
}

interface Props {
  test: WaterTest;
  /** of the opening or joint that the water was put on */
  sheet: SequenceSheet;
  units: Units;
}

/** What the water was put on, laid flat: the ways of rain that do harm, and the places where water was seen. */
export function WetPlaces({ test, sheet, units }: Props) {
  const last = sheet.steps.at(-1)?.number ?? 1;
  const strips = sheet.rain.find((r) => r.step === last)?.strips ?? [];
  const known = unfold(sheet.detail).facets;
  const [on, beside] = split(wetPlaces(test), (wet) => known[wet.facet] !== undefined);
  const bad = strips.filter((s) => s.severity === 'fail' || s.severity === 'caution');
  return (
    <figure data-drawing="wet-places">
      <div className="h-[420px] print:h-[90mm]">
        <Unfolded sheet={sheet} step={last} units={units}>
          <Water strips={bad} />
          {on.map((wet) => (
            <Seen key={wet.facet} wet={wet} extent={known[wet.facet]?.extent ?? [0, 0, 0, 0]} />
          ))}
        </Unfolded>
      </div>
      <figcaption className="text-center text-[12px]">
        {on.length === 0 ? 'No water was seen on a place of this drawing' : 'Hatched: water was seen there'}
        {bad.length > 0 ? '; lines: where rain does harm on what is drawn, or leans on a bond' : ''}.
        {beside.length > 0 && ` Not on this drawing: ${beside.map((w) => w.facet).join(', ')}.`}
      </figcaption>
    </figure>
  );
}

/** A facet on which water stood, with the minutes after which it came. */
function Seen({ wet, extent }: { wet: Wet; extent: [number, number, number, number] }) {
  const { box, k } = useSheet();
  const at = box({ facet: wet.facet, rect: extent });
  const [x, y] = [at.x + at.width / 2, at.y + at.height / 2];
  const stripe = 14 * k;
  const lines = Array.from({ length: Math.ceil((at.width + at.height) / stripe) }, (_, i) => i * stripe);
  const clip = `wet-${wet.facet}`;
  return (
    <g pointerEvents="none" data-wet={wet.facet}>
      <clipPath id={clip}>
        <rect {...at} />
      </clipPath>
      <path
        clipPath={`url(#${clip})`}
        d={lines.map((d) => `M${at.x + d} ${at.y}l${-at.height} ${at.height}`).join('')}
        stroke="var(--color-fail)"
        strokeWidth={3 * k}
        fill="none"
      />
      <rect {...at} fill="none" stroke="var(--color-fail)" strokeWidth={4 * k} />
      <text
        x={x}
        y={y + 8 * k}
        textAnchor="middle"
        fontSize={24 * k}
        fontWeight="700"
        fill="var(--color-fail)"
        stroke="#fff"
        strokeWidth={7 * k}
        paintOrder="stroke"
      >
        {wet.runs.map((run) => `${run.after_min} min`).join(', ')}
      </text>
    </g>
  );
}

function split<T>(all: T[], is: (one: T) => boolean): [T[], T[]] {
  return [all.filter(is), all.filter((one) => !is(one))];
}
