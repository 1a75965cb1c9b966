import type { SiteEvent } from '../api/types';

type Marks = NonNullable<SiteEvent['marks']>;

interface Props {
  src: string | undefined;
  alt: string;
  marks?: Marks | undefined;
  className?: string;
}

/** A photograph with the arrows and words that somebody put on it; the picture itself stays as it was taken. */
export function Photograph({ src, alt, marks = [], className = '' }: Props) {
  return (
    <span className={`relative inline-block ${className}`}>
      <img src={src} alt={alt} className="block h-full w-full" />
      <Marked marks={marks} />
    </span>
  );
}

/** Arrows and words laid over whatever they are put in. */
export function Marked({ marks }: { marks: Marks }) {
  if (marks.length === 0) return null;
  return (
    <>
      <svg
        viewBox="0 0 100 100"
        preserveAspectRatio="none"
        className="pointer-events-none absolute inset-0 h-full w-full"
        aria-hidden
      >
        {marks.map((m, i) => (m.from ? <Arrow key={i} from={m.from} at={m.at} /> : null))}
      </svg>
      {marks.map((m, i) => {
        const [x = 0, y = 0] = m.from ?? m.at;
        return m.words ? (
          <span
            key={i}
            className="pointer-events-none absolute bg-white/85 px-1 text-[11px] font-bold text-black"
            style={{ left: `${x * 100}%`, top: `${y * 100}%`, transform: `translate(${x > 0.6 ? '-100%' : '0'}, 2px)` }}
          >
            {m.words}
          </span>
        ) : null;
      })}
    </>
  );
}

function Arrow({ from, at }: { from: number[]; at: number[] }) {
  const [x0, y0] = [(from[0] ?? 0) * 100, (from[1] ?? 0) * 100];
  const [x1, y1] = [(at[0] ?? 0) * 100, (at[1] ?? 0) * 100];
  const turn = Math.atan2(y1 - y0, x1 - x0);
  const wing = (by: number) => `${x1 - 6 * Math.cos(turn + by)} ${y1 - 6 * Math.sin(turn + by)}`;
  const d = `M${x0} ${y0}L${x1} ${y1}M${wing(0.5)}L${x1} ${y1}L${wing(-0.5)}`;
  return (
    <>
      <path d={d} stroke="#fff" strokeWidth="5" fill="none" vectorEffect="non-scaling-stroke" />
      <path d={d} stroke="#ad1f1c" strokeWidth="2.5" fill="none" vectorEffect="non-scaling-stroke" />
    </>
  );
}
