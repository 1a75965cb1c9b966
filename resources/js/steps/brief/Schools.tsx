import { useSchools } from '../../api/hooks';
import type { BriefContent, School } from '../../api/types';

interface Props {
  chosen: BriefContent['project']['schools'];
  mayEdit: boolean;
  change: (schools: NonNullable<BriefContent['project']['schools']>) => void;
}

/**
 * Where good practitioners disagree: what this project chose otherwise than usual, and behind a fold all there is to
 * choose.
 */
export function Schools({ chosen, mayEdit, change }: Props) {
  const schools = useSchools().data ?? [];
  const answers = (chosen ?? {}) as Record<string, string>;
  const answer = (s: School) => answers[s.question] ?? s.of[0]?.value;
  const own = schools.filter((s) => answer(s) !== s.of[0]?.value);
  return (
    <section className="mt-5 border-t border-ink pt-2">
      <h2 className="text-[15px] font-bold">Ways of working</h2>
      <p className="text-[12px] text-faint">
        Where good practitioners disagree, this project does it so. What an opening states itself wins.
      </p>
      {own.length > 0 && (
        <ul className="py-1">
          {own.map((s) => (
            <li key={s.question}>
              {s.title}: <b>{s.of.find((o) => o.value === answer(s))?.title}</b>
            </li>
          ))}
        </ul>
      )}
      <details className="pt-1" data-schools>
        <summary className="cursor-pointer">
          {own.length === 0
            ? `All ${schools.length} as is usual`
            : `The other ${schools.length - own.length} as is usual`}
          ; look at them or choose
        </summary>
        <div className="grid grid-cols-[repeat(auto-fill,minmax(14rem,1fr))] gap-x-6 gap-y-2 pt-2">
          {schools.map((s) => (
            <label key={s.question} className="grid min-w-0 content-start">
              <span className="text-faint">{s.title}</span>
              <select
                aria-label={s.title}
                className="w-full min-w-0"
                value={answer(s)}
                disabled={!mayEdit}
                onChange={(e) => change({ ...chosen, [s.question]: e.target.value } as NonNullable<Props['chosen']>)}
              >
                {s.of.map((o) => (
                  <option key={o.value} value={o.value}>
                    {o.title}
                  </option>
                ))}
              </select>
              <span className="text-[11px] leading-tight text-faint">{s.why}</span>
            </label>
          ))}
        </div>
      </details>
    </section>
  );
}
