import { useMutation } from '@tanstack/react-query';
import { wordsOf } from '../../api/client';
import { saveDocument } from '../../api/documents';
import { useAssessment, useDocuments, useProjectId } from '../../api/hooks';
import { saidOf, sidesOf, withSaid, type Of } from '../../building/connections';
import { KINDS } from '../../building/words';
import { show } from '../../quantity/show';
import { useUnits } from '../../ui/units';

interface Props {
  /** the section that was kept, of a joint of this assembly */
  section: string;
  assembly: string;
  mayEdit: boolean;
}

/** At which joints of the building a section counts: its ψ goes into what the building loses, and its heat thread. */
export function CountsAt({ section, assembly, mayEdit }: Props) {
  const project = useProjectId();
  const { units } = useUnits();
  const doc = useDocuments().data?.building[0];
  const joints = useAssessment().data?.building?.joints ?? [];
  const save = useMutation({
    mutationFn: async (to: { of: Of; counts: boolean }) => {
      if (!doc) return;
      const said = to.counts ? { section, psi_w_mk: undefined } : { section: undefined };
      await saveDocument(project, doc, withSaid(doc.content, to.of, said));
    },
  });
  if (!doc) return null;
  const rows = new Map<string, { of: Of; between: string; length: number }>();
  for (const joint of joints) {
    if (!joint.between.includes(assembly)) continue;
    const between = sidesOf(joint);
    const name = `${joint.kind} ${between.join(' ')}`;
    const row = rows.get(name);
    rows.set(name, {
      of: { kind: joint.kind, joint: null, between },
      between: [...new Set(between)].join(' and '),
      length: (row?.length ?? 0) + joint.length_m,
    });
  }
  if (rows.size === 0) return null;
  return (
    <fieldset className="mt-2 border-t border-hair pt-2" disabled={!mayEdit || save.isPending} data-counts={section}>
      <legend className="sr-only">Where it counts in the building</legend>
      <p className="font-bold">Counts in the building at</p>
      {[...rows].map(([name, { of, between, length }]) => {
        const said = saidOf(doc.content, of)?.section;
        return (
          <label key={name} className="flex items-baseline gap-2 text-[12px]">
            <input
              type="checkbox"
              checked={said === section}
              onChange={(e) => save.mutate({ of, counts: e.target.checked })}
            />
            <span className="grow">
              {KINDS[of.kind]}, {between}
              {said !== undefined && said !== section ? ` (now ${said})` : ''}
            </span>
            <span className="text-faint">{show(length, 'run', units)}</span>
          </label>
        );
      })}
      {save.isError && (
        <p role="alert" className="text-fail">
          {wordsOf(save.error)}
        </p>
      )}
    </fieldset>
  );
}
