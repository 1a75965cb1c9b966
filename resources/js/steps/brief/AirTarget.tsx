import { useState } from 'react';
import type { BriefContent } from '../../api/types';

type Target = NonNullable<BriefContent['project']['air_target']>;
type Unit = keyof Target;

const UNITS: Record<Unit, { words: string; most: number }> = {
  n50_1_h: { words: 'air changes an hour at 50 Pa', most: 20 },
  q50_m3_h_m2: { words: 'm³/(h·m²) at 50 Pa', most: 50 },
  q75_l_s_m2: { words: 'L/(s·m²) at 75 Pa', most: 20 },
};

interface Props {
  target: Target | undefined;
  mayEdit: boolean;
  change: (target: Target | undefined) => void;
}

/** How tight the building is to be: a number, and what it counts. Empty sets none. */
export function AirTarget({ target, mayEdit, change }: Props) {
  const unit = (Object.keys(UNITS) as Unit[]).find((u) => target?.[u] !== undefined);
  const value = unit && target?.[unit];
  const [text, setText] = useState<string | null>(null);
  const [wanted, setWanted] = useState<Unit>('n50_1_h');
  const of = unit ?? wanted;
  const number = text === null ? null : Number(text.trim().replace(',', '.'));
  const why =
    text === null || text.trim() === '' || (number !== null && number >= 0.01 && number <= UNITS[of].most)
      ? null
      : `a number from 0.01 to ${UNITS[of].most}, as 0.6`;
  return (
    <div className="pt-2">
      <label>
        Airtightness{' '}
        <input
          aria-label="How tight the building is to be"
          aria-invalid={why !== null}
          className="w-[4rem]"
          inputMode="decimal"
          disabled={!mayEdit}
          value={text ?? value ?? ''}
          onChange={(e) => {
            setText(e.target.value);
            const typed = Number(e.target.value.trim().replace(',', '.'));
            if (e.target.value.trim() === '') change(undefined);
            else if (typed >= 0.01 && typed <= UNITS[of].most) change({ [of]: typed });
          }}
          onBlur={() => {
            if (why === null) setText(null);
          }}
        />
      </label>{' '}
      <select
        aria-label="What airtightness is counted by"
        disabled={!mayEdit}
        value={of}
        onChange={(e) => {
          const next = e.target.value as Unit;
          setWanted(next);
          if (value !== undefined) change({ [next]: Math.min(value, UNITS[next].most) });
        }}
      >
        {(Object.keys(UNITS) as Unit[]).map((u) => (
          <option key={u} value={u}>
            {UNITS[u].words}
          </option>
        ))}
      </select>
      {why !== null && (
        <p role="alert" className="text-fail">
          {why}
        </p>
      )}
      <p className="text-faint">The target that the building’s joints are held against; a test decides.</p>
    </div>
  );
}
