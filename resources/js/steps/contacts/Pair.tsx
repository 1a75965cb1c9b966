import { Link } from 'react-router';
import { useDocuments, useProjectId } from '../../api/hooks';
import type { PairAnswer } from '../../api/types';
import { WAYS } from '../../material/ways';
import { placeOf } from '../../ui/findings';
import { RemoveDocument } from '../../ui/RemoveDocument';
import { SeverityMark, severityColour } from '../../ui/severity';

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
          <ul className="pb-1">
            {pair.clears.map((c) => (
              <li key={`${c.kind} ${c.with}`}>
                {CLEARS[c.kind]} {c.name}
              </li>
            ))}
          </ul>
        </>
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
      <p className="border-t border-hair pt-2 text-[11px] text-faint">
        {pair.source.name}. Rule {pair.rule}. By family: a product’s own data sheet and a test on the real face win.
      </p>
    </section>
  );
}
