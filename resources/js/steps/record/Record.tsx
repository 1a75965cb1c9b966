import { useInfiniteQuery, useQuery, useQueryClient } from '@tanstack/react-query';
import { get, put } from '../../api/client';
import { useMe, useProjectId } from '../../api/hooks';
import { address } from '../../api/paths';
import { RolePick } from '../../people/RolePick';
import { Frame } from '../../ui/Frame';
import { useSend } from '../../ui/useSend';

/** Who takes part in the project, and what everybody did in it. */
export default function Record() {
  const project = useProjectId();
  const history = useInfiniteQuery({
    queryKey: ['history', project],
    initialPageParam: '',
    queryFn: ({ pageParam }) =>
      get(address('/api/projects/{project}/history', { project }, pageParam === '' ? {} : { before: pageParam })),
    getNextPageParam: (last) => (last.length >= 100 ? last[last.length - 1]?.at : undefined),
  });
  const rows = history.data?.pages.flat() ?? [];
  return (
    <Frame sheet="Record" reckoning={<Members project={project} />}>
      <div className="px-6 py-3 max-sm:px-4">
        <h1 className="pb-2 text-[17px] font-bold">What was done, by whom</h1>
        <table className="w-full border-collapse text-[12px]" data-history={rows.length}>
          <thead>
            <tr className="border-b border-ink text-left">
              <th className="w-[10rem]">When, UTC</th>
              <th className="w-[15rem]">Who</th>
              <th className="w-[9rem]">Did</th>
              <th>What</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row, i) => (
              <tr key={i} className="border-b border-hair align-top">
                <td className="whitespace-nowrap">{row.at.slice(0, 19).replace('T', ' ')}</td>
                <td>
                  {row.by}
                  {row.account && <span className="block text-[11px] text-faint">{row.account}</span>}
                </td>
                <td>{row.what}</td>
                <td className="break-words">{row.of}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {history.hasNextPage && (
          <button className="act mt-3" disabled={history.isFetching} onClick={() => void history.fetchNextPage()}>
            what was before
          </button>
        )}
      </div>
    </Frame>
  );
}

function Members({ project }: { project: string }) {
  const me = useMe().data;
  const client = useQueryClient();
  const members = useQuery({
    queryKey: ['members', project],
    queryFn: () => get(address('/api/projects/{project}/people', { project })),
    retry: false,
  });
  const { why, busy, send } = useSend();
  return (
    <section>
      <h2 className="text-[15px] font-bold">Who takes part</h2>
      {members.isError && <p className="text-faint">Its consultants say who takes part.</p>}
      {members.data?.map((m) => (
        <div key={m.id} className="border-b border-hair py-1" data-member={m.email}>
          <p>
            <b>{m.name}</b>
            {m.id === me?.id && ', you'}
          </p>
          <RolePick
            label={`What ${m.name} does here`}
            value={m.asked ? (m.role ?? '') : ''}
            none={m.role === null ? 'not asked in' : m.asked ? 'as in the practice' : `as in the practice: ${m.role}`}
            disabled={busy}
            onChange={(role) =>
              void send(async () => {
                await put(address('/api/projects/{project}/people/{user}', { project, user: m.id }), {
                  role: role === '' ? null : role,
                });
                await client.invalidateQueries({ queryKey: ['members', project] });
                await client.invalidateQueries({ queryKey: ['history', project] });
              })
            }
          />
        </div>
      ))}
      {why && (
        <p role="alert" className="text-fail">
          {why}
        </p>
      )}
      {me?.admin && (
        <p className="pt-2">
          <a className="link" href="/people">
            ask somebody into the practice
          </a>
        </p>
      )}
    </section>
  );
}
