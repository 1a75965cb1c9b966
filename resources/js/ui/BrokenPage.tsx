import { useEffect } from 'react';
import { Link, useLocation, useNavigate, useRouteError } from 'react-router';
import { useProjectId } from '../api/hooks';
import { wordsOf } from '../api/client';
import { draftsOf } from './draft';

/** In place of a page that stopped: what was typed lives on outside of it, and one can go on. */
export function BrokenPage() {
  const error = useRouteError();
  const project = useProjectId();
  const { pathname, search } = useLocation();
  const navigate = useNavigate();
  const here = pathname + search;
  const drafts = draftsOf(project);
  const goOn = () => void navigate(here, { replace: true });
  // A change that the page cannot show is saved where it can be, and taken back from here.
  useEffect(() => drafts.forEach((d) => d.leave()), [drafts]);
  return (
    <main role="alert" className="mx-auto mt-[12vh] max-w-[38rem] px-6" data-broken-page>
      <h1 className="pb-2 text-lg font-bold">This page stopped</h1>
      <p className="pb-2">
        The fault is Apron’s, not yours. What you typed is kept:{' '}
        {drafts.some((d) => d.dirty) ? 'it is being saved' : 'it is saved'}.
      </p>
      <p className="flex flex-wrap gap-2 py-2">
        <button autoFocus className="act" onClick={goOn}>
          go on
        </button>
        {drafts.some((d) => d.get().canUndo) && (
          <button
            className="act"
            onClick={() => {
              drafts.filter((d) => d.get().canUndo).forEach((d) => d.undo());
              goOn();
            }}
          >
            take back the last change and go on
          </button>
        )}
        {project !== '' && (
          <Link className="act" to={`/p/${project}/findings`}>
            the findings
          </Link>
        )}
        <Link className="act" to="/">
          all projects
        </Link>
      </p>
      <p className="pt-2 text-[11px] text-faint">
        If it stops again, send these words with the project’s file: {wordsOf(error)} at {here}
      </p>
    </main>
  );
}
