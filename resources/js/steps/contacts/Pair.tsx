import { useMutation } from '@tanstack/react-query';
import { Link } from 'react-router';
import { ulid } from 'ulid';
import { put, wordsOf } from '../../api/client';
import { address } from '../../api/paths';
import { documentSaved } from '../../api/queries';
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
  const take = useTake(pair);
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
              <li key={`${c.kind} ${c.with}`} className="flex justify-between gap-2">
                <span>
                  {CLEARS[c.kind]} {c.name}
                </span>
                {c.kind === 'instead' && c.with !== null && take.possible && (
                  <button className="act self-start" disabled={take.pending} onClick={() => take.instead(c.with ?? '')}>
                    take it
                  </button>
                )}
              </li>
            ))}
          </ul>
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
      <p className="border-t border-hair pt-2 text-[11px] text-faint">
        {pair.source.name}. Rule {pair.rule}. By family: a product’s own data sheet and a test on the real face win.
      </p>
    </section>
  );
}

/**
 * Another material in the place of the first, in every wall that has the pair. What it touches there is judged again as
 * soon as it is saved; what an opening is made of is changed with its method.
 */
function useTake(pair: PairAnswer) {
  const project = useProjectId();
  const documents = useDocuments();
  const walls = (documents.data?.assemblies ?? []).filter((doc) =>
    doc.content.layers.some(
      (layer) => layer.material === pair.a && pair.places.includes(`assemblies/${doc.key}/layers/${layer.id}`),
    ),
  );
  const change = useMutation({
    mutationFn: async (material: string) => {
      for (const doc of walls) {
        const layers = doc.content.layers.map((layer) =>
          layer.material === pair.a && pair.places.includes(`assemblies/${doc.key}/layers/${layer.id}`)
            ? { ...layer, material }
            : layer,
        );
        const path = address('/api/projects/{project}/documents/{kind}/{key}', {
          project,
          kind: 'assembly',
          key: doc.key,
        });
        documentSaved(
          project,
          await put(path, { revision: doc.revision, content: { ...doc.content, layers }, save: ulid() }),
        );
      }
    },
  });
  return {
    possible: (documents.data?.may_edit ?? false) && walls.length > 0,
    pending: change.isPending,
    why: change.isError ? wordsOf(change.error) : null,
    instead: (material: string) => change.mutate(material),
  };
}
