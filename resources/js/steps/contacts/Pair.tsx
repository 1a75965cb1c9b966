import { Link } from 'react-router';
import { useDocuments, useProjectId } from '../../api/hooks';
import type { PairAnswer } from '../../api/types';
import { WAYS } from '../../material/ways';
import { placeOf } from '../../ui/findings';
import { useKeys } from '../../ui/keys';
import { RemoveDocument } from '../../ui/RemoveDocument';
import { SeverityMark, severityColour } from '../../ui/severity';
import { Pulls } from './Pulls';
import { useTake } from './useTake';

const CLEARS: Record<PairAnswer['clears'][number]['kind'], string> = {
  primer: 'prime with',
  instead: 'take instead',
  turned: 'lay the other one on top',
  between: 'lay between them',
};

/** What comes of a pair: why, by which rule, what clears it, and where it is. */
export function Pair({ pair }: { pair: PairAnswer }) {
  const project = useProjectId();
  const documents = useDocuments();
  const take = useTake(pair);
  const clears = pair.clears.map((remedy) => ({ remedy, places: take.changes(remedy).length }));
  useKeys(
    Object.fromEntries(
      clears
        .slice(0, 9)
        .flatMap(({ remedy, places }, i) =>
          places > 0 && !take.pending ? [[`Alt+${i + 1}`, () => take.take(remedy)] as const] : [],
        ),
    ),
    clears.some(({ places }) => places > 0) ? [['Alt 1 … 9', 'take what clears the pair']] : [],
  );
  const kept = documents.data?.asked.find((d) => `asked.${d.key}` === pair.id);
  return (
    <section data-pair={pair.verdict}>
      <h2 className={`flex gap-2 text-[15px] font-bold ${severityColour(pair.severity)}`}>
        <span className="pt-[3px]">
          <SeverityMark severity={pair.severity} />
        </span>
        {pair.verdict}
      </h2>
      <p className="py-1 font-semibold">
        {pair.a_name} {WAYS[pair.how]} {pair.b_name}
      </p>
      <p className="py-1">{pair.reason}</p>
      {pair.remedy && <p className="py-1">→ {pair.remedy}</p>}
      {pair.clears.length > 0 && (
        <>
          <h3 className="border-t border-hair pt-2 font-semibold">What clears it, tried by the same rules</h3>
          <ol className="pb-1">
            {clears.map(({ remedy, places }, i) => (
              <li key={`${remedy.kind} ${remedy.with}`} className="py-[2px]" data-clears={remedy.kind}>
                <span className="flex justify-between gap-2">
                  <span>
                    {CLEARS[remedy.kind]} {remedy.name}
                  </span>
                  {places > 0 && (
                    <button
                      className="act self-start whitespace-nowrap"
                      disabled={take.pending}
                      onClick={() => take.take(remedy)}
                    >
                      take it{places > 1 ? ` in ${places}` : ''} {i < 9 && <span className="key">Alt {i + 1}</span>}
                    </button>
                  )}
                </span>
                {remedy.kind === 'instead' && remedy.beside > 0 && (
                  <span className={`block text-[11px] ${remedy.worse.length > 0 ? 'text-caution' : 'text-faint'}`}>
                    {remedy.worse.length > 0
                      ? `but then ${remedy.worse.join('; ')}`
                      : remedy.beside === 1
                        ? 'the other that it touches there fares no worse'
                        : `none of the ${remedy.beside} others that it touches there fares worse`}
                  </span>
                )}
              </li>
            ))}
          </ol>
        </>
      )}
      {take.why !== null && (
        <p role="alert" className="text-fail">
          {take.why}
        </p>
      )}
      {pair.where.length > 0 && (
        <>
          <h3 className="border-t border-hair pt-2 font-semibold">Where</h3>
          <ul className="pb-1">
            {pair.where.map((w) => (
              <li key={w.place}>
                <Link to={placeOf(project, w.place)}>{w.title}</Link>
              </li>
            ))}
          </ul>
        </>
      )}
      {kept && documents.data?.may_edit && (
        <p>
          <RemoveDocument
            kind="asked"
            id={kept.key}
            revision={kept.revision}
            name={`${pair.a_name}, ${pair.b_name}`}
            lost="It is a question; nothing stands on it."
            after={`/p/${project}/contacts`}
          />
        </p>
      )}
      <Pulls key={pair.id} pair={pair} />
      <p className="border-t border-hair pt-2 text-[11px] text-faint">
        {pair.source.name}. Rule {pair.rule}. By family: a product’s own data sheet and a test on the real face win.
      </p>
    </section>
  );
}
