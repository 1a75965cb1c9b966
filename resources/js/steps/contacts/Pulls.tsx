import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { wordsOf } from '../../api/client';
import { createDocument, saveDocument } from '../../api/documents';
import { useDocuments, useProjectId } from '../../api/hooks';
import type { AdhesionTest, Doc, PairAnswer } from '../../api/types';
import { freeId } from '../../ui/freeId';

type Pull = AdhesionTest['pulls'][number];

const MODES: Record<Pull['mode'], string> = {
  cohesive: 'it tore and stayed on',
  adhesive: 'it let go of the face',
  substrate: 'the face came off with it',
};

/** Strips pulled off the real face: what they say wins over a rule, in every place of the project that has the pair. */
export function Pulls({ pair }: { pair: PairAnswer }) {
  const project = useProjectId();
  const documents = useDocuments();
  const mayEdit = documents.data?.may_edit ?? false;
  const [product, on] = pair.a_over_b ? [pair.a, pair.b] : [pair.b, pair.a];
  const tests: Doc<AdhesionTest>[] = documents.data?.adhesion ?? [];
  const doc = tests.find((d) => d.content.product === product && d.content.on === on);
  const record = useMutation({
    mutationFn: async (pull: Pull) => {
      if (doc) {
        await saveDocument(project, doc, { ...doc.content, pulls: [...doc.content.pulls, pull] });
      } else {
        await createDocument(
          project,
          tests.map((d) => d.key),
          (ids) => freeId(ids, 'pull', ids.length + 1),
          (id) => Promise.resolve({ kind: 'adhesion', content: { id, product, on, pulls: [pull] } }),
        );
      }
    },
  });
  if (!['bonded', 'lapped'].includes(pair.how) || (!doc && !mayEdit)) return null;
  return (
    <section className="border-t border-hair pt-2" data-pulls>
      <h3 className="font-semibold">Pulled off the face here</h3>
      {doc ? (
        <ul>
          {doc.content.pulls.map((pull, i) => (
            <li key={i} className={pull.mode === 'adhesive' ? 'text-fail' : ''}>
              {pull.at}, {pull.by}: {MODES[pull.mode]}
              {pull.cured_days === undefined ? '' : `, after ${pull.cured_days} days`}
              {pull.newtons === undefined ? '' : `, ${pull.newtons} N on 25 mm`}
              {pull.words ? `. ${pull.words}` : ''}
            </li>
          ))}
        </ul>
      ) : (
        <p className="text-faint">
          Nothing yet. Lay 300 mm of it on the real face, let it cure, cut across and pull the tab slowly square to the
          face: what stays on says more than any rule.
        </p>
      )}
      {mayEdit && <PullForm pending={record.isPending} record={record.mutateAsync} />}
      {record.isError && (
        <p role="alert" className="text-fail">
          {wordsOf(record.error)}
        </p>
      )}
    </section>
  );
}

function PullForm({ pending, record }: { pending: boolean; record: (pull: Pull) => Promise<void> }) {
  const [said, setSaid] = useState({ at: '', by: '', mode: '' as Pull['mode'] | '', days: '', newtons: '', words: '' });
  const [why, setWhy] = useState<string | null>(null);
  const set = (part: Partial<typeof said>) => setSaid({ ...said, ...part });
  const number = (typed: string, what: string) => {
    if (typed.trim() === '') return undefined;
    const value = Number(typed.replace(',', '.'));
    if (!Number.isFinite(value) || value < 0) throw new Error(`${what}: “${typed}” is no number.`);
    return value;
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    try {
      if (said.at === '' || said.by.trim() === '' || said.mode === '')
        throw new Error('When, who, and how it came away: the three that make it a test.');
      const [days, newtons] = [number(said.days, 'days'), number(said.newtons, 'N')];
      setWhy(null);
      void record({
        at: said.at,
        by: said.by.trim(),
        mode: said.mode,
        ...(days === undefined ? {} : { cured_days: days }),
        ...(newtons === undefined ? {} : { newtons }),
        ...(said.words.trim() === '' ? {} : { words: said.words.trim() }),
      }).then(
        // The next strip of the same day is by the same hand.
        () => setSaid((was) => ({ ...was, mode: '', newtons: '', words: '' })),
        () => undefined,
      );
    } catch (error) {
      setWhy((error as Error).message);
    }
  };
  return (
    <form className="grid grid-cols-2 gap-x-2 gap-y-1 py-1 text-[12px]" onSubmit={submit}>
      <input type="date" aria-label="Day it was pulled" value={said.at} onChange={(e) => set({ at: e.target.value })} />
      <input
        aria-label="Who pulled it"
        placeholder="who"
        value={said.by}
        onChange={(e) => set({ by: e.target.value })}
      />
      <select
        aria-label="How it came away"
        className="col-span-2"
        value={said.mode}
        onChange={(e) => set({ mode: e.target.value as Pull['mode'] })}
      >
        <option value="">how it came away …</option>
        {Object.entries(MODES).map(([mode, words]) => (
          <option key={mode} value={mode}>
            {mode}: {words}
          </option>
        ))}
      </select>
      <input
        aria-label="Days it had lain"
        placeholder="days it had lain"
        value={said.days}
        onChange={(e) => set({ days: e.target.value })}
      />
      <input
        aria-label="N on 25 mm"
        placeholder="N on 25 mm"
        value={said.newtons}
        onChange={(e) => set({ newtons: e.target.value })}
      />
      <input
        aria-label="Where, and what was seen"
        className="col-span-2"
        placeholder="where, and what was seen"
        value={said.words}
        onChange={(e) => set({ words: e.target.value })}
      />
      <button className="act col-span-2 justify-self-start" disabled={pending}>
        keep this pull
      </button>
      {why !== null && (
        <p role="alert" className="col-span-2 text-fail">
          {why}
        </p>
      )}
    </form>
  );
}
