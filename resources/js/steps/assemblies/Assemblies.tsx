import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useDocuments, useProjectId } from '../../api/hooks';
import { wordsOf } from '../../api/client';
import { createDocument } from '../../api/documents';
import type { Assembly, Doc } from '../../api/types';
import { BrokenDocument } from '../../ui/BrokenDocument';
import { Chooser } from '../../ui/Chooser';
import { Frame } from '../../ui/Frame';
import { Examples } from './Examples';
import { freeId } from '../../ui/freeId';
import { FIRST_WALL } from '../../material/starts';

import { AssemblySheet } from './AssemblySheet';

const STEMS: Record<Assembly['kind'], string> = { wall: 'w', roof: 'r', floor: 'f', foundation: 'b' };

export default function Assemblies() {
  const documents = useDocuments();
  const { key } = useParams();
  const project = useProjectId();
  const navigate = useNavigate();
  const all = documents.data?.assemblies as Doc<Assembly>[] | undefined;
  const doc = all?.find((d) => d.key === key) ?? (key === undefined ? all?.[0] : undefined);
  const mayEdit = documents.data?.may_edit ?? false;
  const [showing, setShowing] = useState(false);
  const place = (id: string) => `/p/${project}/assemblies/${encodeURIComponent(id)}`;

  const begin = useMutation({
    mutationFn: (from: Assembly | null) =>
      createDocument(
        project,
        all?.map((d) => d.key) ?? [],
        (taken) => freeId(taken, STEMS[from?.kind ?? 'wall']),
        (id) => {
          const content = from ? { ...from, id } : { ...FIRST_WALL, id, name: `Wall ${id.slice(1)}` };
          return Promise.resolve({ kind: 'assembly', content });
        },
      ),
    onSuccess: (id) => void navigate(place(id)),
  });

  const list = (
    <div className="flex flex-wrap items-baseline gap-x-4 text-[12px]">
      <Chooser
        choices={all?.map((d) => ({ key: d.key, name: d.content.name, kind: d.content.kind })) ?? []}
        current={doc?.key}
        section="assemblies"
        what="assemblies"
        to={place}
      />
      {mayEdit && (
        <button className="link" disabled={begin.isPending} onClick={() => begin.mutate(null)}>
          new assembly
        </button>
      )}
      {mayEdit && (
        <button className="link" disabled={begin.isPending} onClick={() => setShowing(true)}>
          from an example
        </button>
      )}
      {doc && (
        <Link className="link" to={`${place(doc.key)}/beside`}>
          side by side
        </Link>
      )}
      {doc && (
        <Link className="link" to={`${place(doc.key)}/climates`}>
          over climates
        </Link>
      )}
      {doc && (
        <Link className="link" to={`${place(doc.key)}/hours`}>
          hour by hour
        </Link>
      )}
      {doc && (
        <Link className="link" to={`${place(doc.key)}/joints`}>
          its joints
        </Link>
      )}
      <Link className="link" to={`/p/${project}/materials`}>
        materials
      </Link>
      {begin.isError && (
        <p role="alert" className="w-full text-fail">
          {wordsOf(begin.error)}
        </p>
      )}
      <Examples
        open={showing}
        close={() => setShowing(false)}
        choose={(example) => {
          setShowing(false);
          begin.mutate(example.assembly);
        }}
      />
    </div>
  );
  if (!doc) {
    return (
      <Frame sheet="2 Assemblies" reckoning={null}>
        <div className="px-14 py-6 max-sm:px-4">
          {list}
          <h1 className="my-3 text-lg font-bold">Assemblies</h1>
          {documents.isError && (
            <p role="alert" className="text-fail">
              {wordsOf(documents.error)}
            </p>
          )}
          {documents.data && (
            <p className="max-w-[40rem] text-[15px]">
              {key ? `There is no assembly “${key}” in this project.` : NO_WALL}
            </p>
          )}
        </div>
      </Frame>
    );
  }
  if (doc.broken)
    return (
      <Frame sheet={`2 Assembly ${doc.key}`} reckoning={null}>
        <BrokenDocument {...{ doc, mayEdit }}>{list}</BrokenDocument>
      </Frame>
    );
  return <AssemblySheet key={doc.key} doc={doc} list={list} mayEdit={mayEdit} />;
}

const NO_WALL = 'No wall or roof yet. Begin with two layers and build it up on the drawing, inside to outside.';
