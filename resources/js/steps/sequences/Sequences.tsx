import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { post, wordsOf } from '../../api/client';
import { address } from '../../api/paths';
import { createDocument } from '../../api/documents';
import { useDocuments, useMethods, useProjectId } from '../../api/hooks';
import type { Doc, Method, ScheduledOpening } from '../../api/types';
import { COMPOSED, firstSizes, MethodOptions } from './MethodFields';
import { freeId } from '../../ui/freeId';
import { BrokenDocument } from '../../ui/BrokenDocument';
import { Chooser } from '../../ui/Chooser';
import { Frame } from '../../ui/Frame';

import { kindOf, scheduled, type Sequence } from './sequence';
import { SequenceView } from './SequenceView';

export default function Sequences() {
  const documents = useDocuments();
  const { key } = useParams();
  const project = useProjectId();
  const navigate = useNavigate();
  const [wanted, setWanted] = useState('');
  const [inWall, setInWall] = useState('');
  const methods = useMethods().data ?? [];
  const all: Doc<Sequence>[] | undefined =
    documents.data && [...documents.data.details, ...documents.data.openings].sort(byKey);
  const doc =
    all?.find((d) => d.key === key) ??
    (key === undefined ? (all?.find((d) => scheduled(d.content) || d.content.opening) ?? all?.[0]) : undefined);
  const mayEdit = documents.data?.may_edit ?? false;
  const place = (id: string) => `/p/${project}/sequences/${encodeURIComponent(id)}`;

  const walls = (documents.data?.assemblies ?? []).map((d) => d.content);
  const wall = walls.find((w) => w.id === inWall);
  const begin = useMutation({
    mutationFn: (method: Method) => {
      const taken = all?.map((d) => d.key) ?? [];
      return createDocument(
        project,
        taken,
        (ids) => freeId(ids, 'o', ids.length + 1),
        async (id) => {
          const title = `${method.opening ? 'Opening' : 'Detail'} ${id.slice(1)}, ${method.title}`;
          const sizes = firstSizes(method);
          // Its depth is the wall's.
          if (wall) delete sizes.depth_mm;
          const row: ScheduledOpening = {
            id,
            title,
            generator: method.name,
            parameters: sizes,
            ...(wall ? { between: [wall.id] } : {}),
          };
          const made = await post(address('/api/projects/{project}/generate', { project }), row);
          const content = { ...row, ...(made.wall ? { seen: made.wall.seen } : {}) };
          return { kind: kindOf(content), content };
        },
      );
    },
    onSuccess: (id) => void navigate(place(id)),
  });
  const make = (event: FormEvent) => {
    event.preventDefault();
    const method = methods.find((m) => m.name === wanted);
    if (method && !begin.isPending) begin.mutate(method);
    setWanted('');
  };
  const methodOf = (content: Sequence) =>
    methods.find((m) => m.name === (scheduled(content) ? content.generator : content.generated?.generator))?.title;
  const list = (
    <div className="flex flex-wrap items-baseline gap-x-4 text-[12px]">
      <Chooser
        choices={
          all?.map((d) => ({ key: d.key, name: d.content.title, kind: methodOf(d.content) ?? 'drawn by hand' })) ?? []
        }
        current={doc?.key}
        section="details"
        what="sequences"
        few={4}
        to={place}
      />
      <Link to={`/p/${project}/others`}>for others on site</Link>
      {/* Chosen first and made then: the arrow keys walk through the methods. */}
      {mayEdit && (
        <form className="flex gap-1" onSubmit={make}>
          {walls.length > 0 && (
            <select
              aria-label="New, in wall"
              className="max-w-[11rem]"
              value={inWall}
              onChange={(e) => {
                setInWall(e.target.value);
                if (e.target.value !== '' && wanted === '') setWanted(COMPOSED);
              }}
            >
              <option value="">no wall</option>
              {walls.map((w) => (
                <option key={w.id} value={w.id}>
                  {w.name}
                </option>
              ))}
            </select>
          )}
          <select
            aria-label="New detail"
            className="max-w-[16rem]"
            value={wanted}
            onChange={(e) => setWanted(e.target.value)}
          >
            <option value="" disabled>
              new …
            </option>
            <MethodOptions methods={methods} />
          </select>
          {wanted !== '' && (
            <button className="act" disabled={begin.isPending || !methods.some((m) => m.name === wanted)}>
              make it
            </button>
          )}
        </form>
      )}
      {begin.isError && (
        <p role="alert" className="w-full text-fail">
          {wordsOf(begin.error)}
        </p>
      )}
    </div>
  );
  if (!doc) {
    return (
      <Frame sheet="5 Sequences" reckoning={null}>
        <div className="px-14 py-6 max-sm:px-4">
          {list}
          <h1 className="my-3 text-lg font-bold">Sequences</h1>
          {documents.isError && (
            <p role="alert" className="text-fail">
              {wordsOf(documents.error)}
            </p>
          )}
          {documents.data && (
            <p className="max-w-[40rem] text-[15px]">
              {key ? `There is no sequence “${key}” in this project.` : NO_DETAIL}
            </p>
          )}
        </div>
      </Frame>
    );
  }
  if (doc.broken)
    return (
      <Frame sheet={`5 Sequence ${doc.key}`} reckoning={null}>
        <BrokenDocument {...{ doc, mayEdit }}>{list}</BrokenDocument>
      </Frame>
    );
  return <SequenceView key={doc.key} doc={doc} list={list} mayEdit={mayEdit} />;
}

const NO_DETAIL =
  'No detail yet. “new …” makes one by the method you choose, with its pieces, cut sizes and order; then type your own sizes.';
const byKey = (a: Doc<Sequence>, b: Doc<Sequence>) => a.key.localeCompare(b.key, 'en', { numeric: true });
