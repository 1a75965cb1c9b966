import type { ReactNode } from 'react';
import { useDocuments } from '../api/hooks';
import type { Doc, ProjectDocuments } from '../api/types';
import { BrokenDocument } from './BrokenDocument';
import { Frame } from './Frame';

interface Props<L extends 'building' | 'plan' | 'takeoff'> {
  /** as the title strip has it */
  sheet: string;
  list: L;
  shown: (doc: ProjectDocuments[L][number], mayEdit: boolean, project: string) => ReactNode;
  /** where nobody has begun it */
  first: (mayEdit: boolean) => ReactNode;
}

/** A sheet that is one document: while it is fetched, where it cannot be read, before it is begun, and as it is. */
export function OneSheet<L extends 'building' | 'plan' | 'takeoff'>({ sheet, list, shown, first }: Props<L>) {
  const documents = useDocuments().data;
  if (!documents) {
    return (
      <Frame sheet={sheet} reckoning={null}>
        <p className="p-8 text-faint">…</p>
      </Frame>
    );
  }
  const doc = documents[list][0] as (ProjectDocuments[L][number] & Doc<unknown>) | undefined;
  if (doc?.broken != null) {
    return (
      <Frame sheet={sheet} reckoning={null}>
        <BrokenDocument doc={doc} mayEdit={documents.may_edit}>
          {null}
        </BrokenDocument>
      </Frame>
    );
  }
  return doc ? shown(doc, documents.may_edit, documents.id) : first(documents.may_edit);
}
