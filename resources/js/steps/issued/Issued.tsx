import { useProjectId, useRevisions } from '../../api/hooks';
import { Revisions } from '../../revision/Revisions';
import { Page } from '../../ui/Page';

/** What a reader sees of a project: what has been issued, and nothing else. */
export default function Issued() {
  const issued = useRevisions(useProjectId()).data;
  return (
    <Page title={issued ? `${issued.project.name}, as issued` : '…'}>
      {issued && <Revisions revisions={issued.revisions} now={false} />}
      <p className="mt-6 text-[11px] text-faint">
        Apron says what it computed and against what. It approves nothing: local code, the makers’ instructions and
        licensed practice decide.
      </p>
    </Page>
  );
}
