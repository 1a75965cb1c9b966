import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { get, post, wordsOf } from '../../api/client';
import { saveDocument } from '../../api/documents';
import { useDocuments, useProjectId } from '../../api/hooks';
import { address } from '../../api/paths';
import type { RunCure } from '../../api/types';
import { SeverityMark } from '../../ui/severity';
import { useUnits } from '../../ui/units';

interface Props {
  /** the run that says something that somebody must act on */
  run: string;
  /** the assembly that it is of */
  assembly: string;
  mayEdit: boolean;
}

const isUnderWay = (cure: RunCure) => cure.stand.state === 'queued' || cure.stand.state === 'running';

/** What would make a run pass: changes of the trade, each run through the same years, and what it came to. */
export function RunCures({ run, assembly, mayEdit }: Props) {
  const project = useProjectId();
  const { units } = useUnits();
  const client = useQueryClient();
  const doc = useDocuments().data?.assemblies.find((d) => d.key === assembly);
  const queryKey = ['run-cures', project, run, units, doc?.revision];
  const path = address('/api/projects/{project}/runs/{key}/cures', { project, key: run }, { units });
  const cures = useQuery({
    queryKey,
    queryFn: () => get(path),
    refetchInterval: (query) => (query.state.data?.some(isUnderWay) ? 1500 : false),
  });
  const start = useMutation({
    mutationFn: () => post(path, {}),
    onSuccess: (all) => client.setQueryData(queryKey, all),
  });
  const take = useMutation({
    mutationFn: async (cure: RunCure) => {
      if (doc) await saveDocument(project, doc, cure.content);
    },
  });
  const rows = cures.data ?? [];
  const done = rows.filter((c) => c.clears !== null).length;
  const bad = start.error ?? take.error ?? cures.error;
  return (
    <section className="pt-3" data-run-cures={done}>
      <h2 className="pb-1 font-bold">What would make it pass</h2>
      {bad && (
        <p role="alert" className="text-fail">
          {wordsOf(bad)}
        </p>
      )}
      {cures.isSuccess && rows.length === 0 && (
        <p>No change of the trade is left that brings nothing worse month by month.</p>
      )}
      {rows.some((c) => c.stand.state === 'none') && mayEdit && (
        <p className="pb-1">
          <button className="act" disabled={start.isPending} onClick={() => start.mutate()}>
            run {rows.length} changes
          </button>
        </p>
      )}
      {rows.some(isUnderWay) && (
        <p role="status">
          {done} of {rows.length} run
        </p>
      )}
      {rows.length > 0 && (
        <table className="w-full max-w-[52rem] text-[12px] [&_td]:py-[2px] [&_td]:pr-3 [&_th]:pr-3">
          <thead>
            <tr className="border-b border-ink text-left">
              <th>change</th>
              <th className="text-right">mould index</th>
              <th>what is left</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {rows.map((cure) => (
              <tr key={cure.hash} className="border-b border-hair" data-clears={String(cure.clears)}>
                <td>{cure.title}</td>
                <td className="text-right">{cure.mould_index?.toFixed(2) ?? '–'}</td>
                <td>
                  {cure.clears === null ? (
                    cure.stand.doing
                  ) : cure.clears ? (
                    <span className="text-pass">
                      <SeverityMark severity="pass" /> nothing
                    </span>
                  ) : (
                    cure.says
                  )}
                </td>
                <td className="text-right whitespace-nowrap">
                  {mayEdit && cure.clears && (
                    <button className="link" disabled={take.isPending} onClick={() => take.mutate(cure)}>
                      do it
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {done > 0 && done === rows.length && rows.every((c) => !c.clears) && (
        <p className="pt-1">None of them clears it alone: less rain must get in, or two of them together.</p>
      )}
      <p className="pt-1 text-[11px] text-faint">
        Each is run whole through the same years; those that bring something worse month by month are left out.
      </p>
    </section>
  );
}
