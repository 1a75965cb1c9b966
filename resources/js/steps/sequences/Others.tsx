import { Link } from 'react-router';
import { wordsOf } from '../../api/client';
import { useOthers, useProjectId } from '../../api/hooks';
import { Frame } from '../../ui/Frame';
import { OthersList } from '../../ui/OthersList';

/** The list for the framer, and what goes through the plane for a while, over all openings and joints. */
export default function Others() {
  const others = useOthers();
  const project = useProjectId();
  const none = others.data && others.data.framer.length + others.data.temporary.length === 0;
  return (
    <Frame sheet="5 Sequences" reckoning={null}>
      <div className="max-w-[52rem] px-14 py-6 max-sm:px-4">
        <p>
          <Link to={`/p/${project}/sequences`}>‹ sequences</Link>
        </p>
        <h1 className="my-2 text-lg font-bold">For others on site</h1>
        {others.isError && (
          <p role="alert" className="text-fail">
            {wordsOf(others.error)}
          </p>
        )}
        {none && (
          <p>
            Nothing yet: it is gathered from openings and joints. A scaffold tie, a prop or a lifting point is a
            sequence of its own, “temporary thing through the plane”.
          </p>
        )}
        {others.data && <OthersList others={others.data} />}
        {others.data && !none && (
          <p className="mt-3 text-faint">
            It is printed with the report. What carries loads is the engineer’s; what holds a scaffold is its own
            crew’s.
          </p>
        )}
      </div>
    </Frame>
  );
}
