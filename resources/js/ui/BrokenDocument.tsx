import type { ReactNode } from 'react';
import type { Doc } from '../api/types';
import { Revisions } from './Revisions';

/** A document that can no longer be read: why, as it stands, and what it was before. */
export function BrokenDocument({
  doc,
  mayEdit,
  children,
}: {
  doc: Doc<unknown>;
  mayEdit: boolean;
  children: ReactNode;
}) {
  return (
    <div className="px-14 py-6 max-sm:px-4" data-broken-document={doc.key}>
      {children}
      <h1 className="my-3 text-lg font-bold">{doc.key} cannot be read</h1>
      <p role="alert" className="max-w-[44rem] whitespace-pre-line border border-fail p-2 text-fail">
        {doc.broken}
      </p>
      <p className="max-w-[44rem] py-3">
        The rest of the project is not touched by it. It is left out of what is assessed until it can be read again: go
        back to an earlier revision, or put right what it names.
      </p>
      <Revisions doc={doc} mayEdit={mayEdit} />
      <details className="pt-4">
        <summary>as it stands</summary>
        <pre className="overflow-auto text-[11px]">{JSON.stringify(doc.content, null, 2)}</pre>
      </details>
    </div>
  );
}
