import type { RainStrip } from '../../api/types';
import { onBoard } from '../unfold';
import { useSheet } from './Sheet';

const RAIN: Record<RainStrip['severity'], { colour: string; dash: string }> = {
  fail: { colour: 'var(--color-fail)', dash: '' },
  caution: { colour: 'var(--color-caution)', dash: '16 7' },
  note: { colour: 'var(--color-water)', dash: '3 7' },
  pass: { colour: 'var(--color-water)', dash: '' },
};

/** Where water goes, drawn over the pieces: one line for each strip. */
export function Water({ strips, chosen = null, onChoose, running = false }: Props) {
  return strips.map((strip, i) => <Way key={i} {...{ strip, onChoose, running }} chosen={strip === chosen} />);
}

interface Props {
  strips: RainStrip[];
  chosen?: RainStrip | null;
  onChoose?: ((strip: RainStrip) => void) | undefined;
  running?: boolean;
}

/** A line down through every facet that one strip crosses, ended by the mark of what comes of it. */
function Way({
  strip: r,
  chosen,
  onChoose,
  running,
}: Omit<Props, 'strips' | 'chosen'> & { strip: RainStrip; chosen: boolean }) {
  const { box } = useSheet();
  const points = r.route.map((p) => box({ facet: p.facet, rect: [p.u, p.v, p.u, p.v] }));
  // From the sheathing out over the board it goes on in the other plane, drawn beside: no line joins the two.
  const out = (i: number) => onBoard(r.route[i]?.facet ?? '');
  const d = points.map((p, i) => `${i === 0 || out(i) !== out(i - 1) ? 'M' : 'L'}${p.x} ${p.y}`).join('');
  const end = box({ facet: r.at.facet, rect: [r.at.u, r.at.v, r.at.u, r.at.v] });
  const { colour, dash } = RAIN[r.severity];
  return (
    <g onClick={() => onChoose?.(r)} style={{ cursor: 'pointer' }} data-water={r.outcome} data-source={r.source}>
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
