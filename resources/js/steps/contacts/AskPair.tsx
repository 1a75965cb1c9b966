import { useMutation } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { wordsOf } from '../../api/client';
import { createDocument } from '../../api/documents';
import { useDocuments, useMaterials, useProjectId } from '../../api/hooks';
import { useLive } from '../../api/live';
import { address } from '../../api/paths';
import type { AskedPair, PairAnswer } from '../../api/types';
import { WAYS } from '../../material/ways';
import { freeId } from '../../ui/freeId';
import { QuantityField } from '../../ui/QuantityField';
import { SeverityMark, severityColour } from '../../ui/severity';

/** What is said of a pair besides its two materials. */
type Said = Omit<AskedPair, 'id' | 'a' | 'b'>;

const CONDITIONS = [
  ['damp', 'damp face'],
  ['dusty', 'dusty'],
  ['frost', 'frost on it'],
  ['marine', 'salt air'],
] as const;

/** “Can this go on that, over this primer, in November?”: two materials, how they meet, and the answer at once. */
export function AskPair({ focus, answered }: { focus: boolean; answered: (answer: PairAnswer | null) => void }) {
  const project = useProjectId();
  const documents = useDocuments();
  const materials = useMaterials().data ?? [];
  const [pair, setPair] = useState<Said>({ how: 'bonded' });
  const [names, setNames] = useState({ a: '', b: '' });
  const first = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (focus) first.current?.focus();
  }, [focus]);
  const of = (name: string) => materials.find((m) => m.name === name || m.id === name)?.id;
  const [a, b] = [of(names.a), of(names.b)];
  const asked: AskedPair | null = a !== undefined && b !== undefined ? { id: 'asked', a, b, ...pair } : null;
  const live = useLive<'/api/projects/{project}/contacts/ask'>(
    asked === null
      ? null
      : { path: address('/api/projects/{project}/contacts/ask', { project }), body: { content: asked } },
  );
  const answer = asked === null || live.old ? null : (live.answer ?? null);
  useEffect(() => {
    answered(answer);
    // told once for each answer
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [answer]);
  const keep = useMutation({
    mutationFn: (content: AskedPair) =>
      createDocument(
        project,
        documents.data?.asked.map((d) => d.key) ?? [],
        (ids) => freeId(ids, 'q', ids.length + 1),
        (id) => Promise.resolve({ kind: 'asked', content: { ...content, id } }),
      ),
  });
  const set = (part: Partial<Said>) =>
    setPair(
      (now) =>
        Object.fromEntries(
          Object.entries({ ...now, ...part }).filter(([, said]) => said !== undefined),
        ) as unknown as Said,
    );
  return (
    <section className="pb-3" data-ask>
      <h1 className="pb-1 text-[17px] font-bold">
        Can this go on that? <span className="key">q</span>
      </h1>
      <datalist id="ask-materials">
        {materials.map((m) => (
          <option key={m.id} value={m.name} />
        ))}
      </datalist>
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        <input
          ref={first}
          aria-label="This material"
          list="ask-materials"
          className="w-[17rem]"
          placeholder="a tape, a bead, a coat, a metal …"
          value={names.a}
          onChange={(e) => setNames({ ...names, a: e.target.value })}
        />
        <select
          aria-label="How they meet"
          value={pair.how}
          onChange={(e) => set({ how: e.target.value as AskedPair['how'] })}
        >
          {(Object.entries(WAYS) as [AskedPair['how'], string][]).map(([how, words]) => (
            <option key={how} value={how}>
              {words}
            </option>
          ))}
        </select>
        <input
          aria-label="That material"
          list="ask-materials"
          className="w-[17rem]"
          placeholder="what it meets"
          value={names.b}
          onChange={(e) => setNames({ ...names, b: e.target.value })}
        />
        {CONDITIONS.map(([key, words]) => (
          <label key={key}>
            <input
              type="checkbox"
              checked={pair[key] ?? false}
              onChange={(e) => set({ [key]: e.target.checked || undefined })}
            />{' '}
            {words}
          </label>
        ))}
        <label>
          place{' '}
          <select
            aria-label="Wet or dry place"
            value={pair.wet_place === undefined ? '' : String(pair.wet_place)}
            onChange={(e) => set({ wet_place: e.target.value === '' ? undefined : e.target.value === 'true' })}
          >
            <option value="">not said</option>
            <option value="true">wet</option>
            <option value="false">dry</option>
          </select>
        </label>
        <QuantityField
          label="the face at"
          dimension="temperature"
          value={pair.surface_c}
          least={-60}
          most={120}
          width="5rem"
          onChange={(v) => set({ surface_c: v })}
        />
      </div>
      {[names.a, names.b].some((name) => name !== '' && of(name) === undefined) && (
        <p className="text-faint">Choose from the list: the name of a material of the project or the catalogue.</p>
      )}
      {live.why !== null && asked && (
        <p role="alert" className="text-fail">
          {live.why}
        </p>
      )}
      {answer && (
        <p role="status" className={`flex gap-2 py-1 text-[15px] font-semibold ${severityColour(answer.severity)}`}>
          <span className="pt-[3px]">
            <SeverityMark severity={answer.severity} />
          </span>
          <span>
            {answer.verdict}. <span className="font-normal">{answer.reason}</span>
          </span>
          {documents.data?.may_edit && asked && (
            <button className="act ml-auto" disabled={keep.isPending} onClick={() => keep.mutate(asked)}>
              keep it
            </button>
          )}
        </p>
      )}
      {keep.isError && (
        <p role="alert" className="text-fail">
          {wordsOf(keep.error)}
        </p>
      )}
    </section>
  );
}
