import { useEffect, useRef, useState, type PointerEvent } from 'react';
import type { SiteEvent } from '../../api/types';
import { Marked } from '../../drawing/Photograph';

type Marks = NonNullable<SiteEvent['marks']>;

interface Props {
  picture: Blob;
  keep: (marks: Marks) => void;
  drop: () => void;
}

/** A photograph just taken: a finger draws an arrow, words go with the last one; kept as it is with one tap. */
export function MarkPicture({ picture, keep, drop }: Props) {
  const [src, setSrc] = useState('');
  const [marks, setMarks] = useState<Marks>([]);
  const [begun, setBegun] = useState<[number, number] | null>(null);
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const url = URL.createObjectURL(picture);
    setSrc(url);
    return () => URL.revokeObjectURL(url);
  }, [picture]);
  const at = (event: PointerEvent): [number, number] => {
    const box = place.current?.getBoundingClientRect();
    if (!box || box.width === 0) return [0, 0];
    const share = (value: number) => Math.round(Math.max(0, Math.min(1, value)) * 1000) / 1000;
    return [share((event.clientX - box.left) / box.width), share((event.clientY - box.top) / box.height)];
  };
  const end = (event: PointerEvent) => {
    const tip = at(event);
    if (begun && Math.hypot(tip[0] - begun[0], tip[1] - begun[1]) > 0.03)
      setMarks([...marks, { from: begun, at: tip }]);
    setBegun(null);
  };
  const last = marks.at(-1);
  return (
    <div className="fixed inset-0 z-10 flex flex-col bg-white text-black" role="dialog" aria-label="The photograph">
      <p className="px-[18px] py-2 text-[14px]">Draw an arrow with a finger, if it needs one.</p>
      <div className="grid min-h-0 grow place-items-center overflow-hidden">
        <div
          ref={place}
          className="relative touch-none"
          onPointerDown={(e) => setBegun(at(e))}
          onPointerUp={end}
          onPointerCancel={() => setBegun(null)}
        >
          {src && (
            <img src={src} alt="The photograph just taken" className="max-h-[60vh] max-w-full" draggable={false} />
          )}
          <Marked marks={marks} />
        </div>
      </div>
      {last && (
        <p className="flex gap-2 px-[18px] py-2">
          <input
            aria-label="Words for the last arrow"
            placeholder="words for the last arrow"
            className="min-h-[48px] grow"
            maxLength={200}
            value={last.words ?? ''}
            onChange={(e) => {
              const { from, at: tip } = last;
              const words = e.target.value;
              const now = { ...(from ? { from } : {}), at: tip, ...(words === '' ? {} : { words }) };
              setMarks([...marks.slice(0, -1), now]);
            }}
          />
          <button className="act min-h-[48px]" onClick={() => setMarks(marks.slice(0, -1))}>
            undo
          </button>
        </p>
      )}
      <div className="grid min-h-[72px] grid-cols-[1fr_1.6fr] border-t-2 border-black">
        <button className="border-r-2 border-black text-center text-[16px] font-bold" onClick={drop}>
          not this one
        </button>
        <button className="bg-black text-center text-[16px] font-bold text-white" onClick={() => keep(marks)}>
          keep the picture
        </button>
      </div>
    </div>
  );
}
