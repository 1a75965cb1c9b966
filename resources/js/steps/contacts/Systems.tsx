import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { wordsOf } from '../../api/client';
import { createDocument, saveDocument } from '../../api/documents';
import { useDocuments, useMaterials, useProjectId } from '../../api/hooks';
import type { Doc, System } from '../../api/types';
import { freeId } from '../../ui/freeId';
import { RemoveDocument } from '../../ui/RemoveDocument';

/** Products that are warranted together, by whom: what meets a stranger there is told. */
export function Systems() {
  const project = useProjectId();
  const documents = useDocuments();
  const systems: Doc<System>[] = documents.data?.systems ?? [];
  const mayEdit = documents.data?.may_edit ?? false;
  const [said, setSaid] = useState({ name: '', by: '', product: '' });
  const { find, nameOf } = useNames();
  const begin = useMutation({
    mutationFn: (content: Omit<System, 'id'>) =>
      createDocument(
        project,
        systems.map((d) => d.key),
        (ids) => freeId(ids, 's', ids.length + 1),
        (id) => Promise.resolve({ kind: 'system', content: { id, ...content } }),
      ),
  });
  const first = find(said.product);
  const add = (event: FormEvent) => {
    event.preventDefault();
    if (said.name.trim() === '' || said.by.trim() === '' || first === undefined) return;
    begin.mutate({ name: said.name.trim(), by: said.by.trim(), products: [first] });
    setSaid({ name: '', by: '', product: '' });
  };
  if (!mayEdit && systems.length === 0) return null;
  return (
    <details className="border-t border-hair py-1 text-[12px]" open={systems.length > 0} data-systems>
      <summary>systems: products that are warranted together</summary>
      {systems.map((doc) => (
        <Products key={doc.key} doc={doc} mayEdit={mayEdit} nameOf={nameOf} find={find} />
      ))}
      {mayEdit && (
        <form className="flex flex-wrap items-baseline gap-2 py-1" onSubmit={add}>
          <input
            aria-label="Name of the system"
            placeholder="name"
            value={said.name}
            onChange={(e) => setSaid({ ...said, name: e.target.value })}
          />
          <input
            aria-label="Who says so"
            placeholder="who says so"
            value={said.by}
            onChange={(e) => setSaid({ ...said, by: e.target.value })}
          />
          <input
            aria-label="Its first product"
            list="ask-materials"
            placeholder="its first product"
            value={said.product}
            onChange={(e) => setSaid({ ...said, product: e.target.value })}
          />
          <button className="act" disabled={begin.isPending || first === undefined}>
            a new system
          </button>
        </form>
      )}
      {begin.isError && (
        <p role="alert" className="text-fail">
          {wordsOf(begin.error)}
        </p>
      )}
    </details>
  );
}

function useNames() {
  const materials = useMaterials().data ?? [];
  return {
    find: (name: string) => materials.find((m) => m.name === name || m.id === name)?.id,
    nameOf: (id: string) => materials.find((m) => m.id === id)?.name ?? id,
  };
}

interface OneProps {
  doc: Doc<System>;
  mayEdit: boolean;
  find: (name: string) => string | undefined;
  nameOf: (id: string) => string;
}

function Products({ doc, mayEdit, find, nameOf }: OneProps) {
  const project = useProjectId();
  const [more, setMore] = useState('');
  const save = useMutation({
    mutationFn: (content: System) => saveDocument(project, doc, content),
  });
  const { content } = doc;
  const set = (products: string[]) => save.mutate({ ...content, products });
  const found = find(more);
  return (
    <div className="flex flex-wrap items-baseline gap-x-2 py-1" data-system={doc.key}>
      <b>{content.name}</b> <span className="text-faint">by {content.by},</span>
      <select
        aria-label={`The control layer of ${content.name}`}
        disabled={!mayEdit || save.isPending}
        value={content.plane ?? ''}
        onChange={(e) => {
          const rest = Object.entries(content).filter(([key]) => key !== 'plane');
          const plane: [string, string][] = e.target.value === '' ? [] : [['plane', e.target.value]];
          save.mutate(Object.fromEntries([...rest, ...plane]) as unknown as System);
        }}
      >
        <option value="">for no one layer:</option>
        {(['water', 'air', 'vapour', 'heat'] as const).map((plane) => (
          <option key={plane} value={plane}>
            for {plane}:
          </option>
        ))}
      </select>
      {content.products.map((id) => (
        <span key={id}>
          {nameOf(id)}
          {mayEdit && content.products.length > 1 && (
            <button
              className="link ml-1"
              aria-label={`take ${nameOf(id)} out of it`}
              onClick={() => set(content.products.filter((p) => p !== id))}
            >
              ×
            </button>
          )}
        </span>
      ))}
      {mayEdit && (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            if (found === undefined || content.products.includes(found)) return;
            set([...content.products, found]);
            setMore('');
          }}
        >
          <input
            aria-label={`One more product of ${content.name}`}
            list="ask-materials"
            placeholder="one more …"
            value={more}
            onChange={(e) => setMore(e.target.value)}
          />
        </form>
      )}
      {mayEdit && (
        <RemoveDocument
          kind="system"
          id={doc.key}
          revision={doc.revision}
          name={content.name}
          lost="What touches is judged without it."
          after={`/p/${project}/contacts`}
        />
      )}
      {save.isError && (
        <p role="alert" className="text-fail">
          {wordsOf(save.error)}
        </p>
      )}
    </div>
  );
}
