import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { get, post, put } from '../../api/client';
import { address } from '../../api/paths';
import type { PersonRow, Role } from '../../api/types';
import { RolePick } from '../../people/RolePick';
import { Page } from '../../ui/Page';
import { useSend } from '../../ui/useSend';

/** Everybody of the practice: asked in, with another role, sent out. */
export default function People() {
  const people = useQuery({ queryKey: ['people'], queryFn: () => get(address('/api/people', {})) });
  const client = useQueryClient();
  const { why, busy, send } = useSend();
  const change = (person: PersonRow, to: { role?: Role; admin?: boolean; left?: boolean }) =>
    send(async () => {
      await put(address('/api/people/{user}', { user: person.id }), to);
      await client.invalidateQueries({ queryKey: ['people'] });
    });
  const again = (person: PersonRow) =>
    send(() => post(address('/api/people/{user}/invitation', { user: person.id }), {}));
  return (
    <Page title="People of the practice">
      {people.isError && <p className="py-3">Only who invites for the practice sees its people.</p>}
      <table className="mt-2 w-full border-collapse">
        <thead>
          <tr className="border-b border-ink text-left text-[11px] text-faint">
            <th>Name</th>
            <th className="w-[21rem]">Does, where a project says nothing else</th>
            <th className="w-[5rem]">Invites</th>
            <th className="w-[9rem]" />
          </tr>
        </thead>
        <tbody>
          {people.data?.map((p) => (
            <tr key={p.id} data-person={p.email} className={`border-b border-hair ${p.left ? 'text-faint' : ''}`}>
              <th className="py-1 text-left font-semibold">
                {p.name}
                <span className="block text-[11px] font-normal text-faint">
                  {p.email}
                  {p.guest && ', of another house'}
                  {p.invited && ', has not answered yet'}
                  {p.left && ', has left'}
                </span>
              </th>
              <td className="pr-3">
                <RolePick
                  label={`What ${p.name} does`}
                  value={p.role}
                  disabled={busy || p.left}
                  onChange={(role) => role !== '' && void change(p, { role })}
                />
              </td>
              <td>
                <input
                  type="checkbox"
                  aria-label={`${p.name} invites`}
                  checked={p.admin}
                  disabled={busy || p.left}
                  onChange={(e) => void change(p, { admin: e.target.checked })}
                />
              </td>
              <td className="text-right whitespace-nowrap">
                {p.invited && !p.left && (
                  <button className="link mr-3" disabled={busy} onClick={() => void again(p)}>
                    mail again
                  </button>
                )}
                <button className="link" disabled={busy} onClick={() => void change(p, { left: !p.left })}>
                  {p.left ? 'is back' : 'has left'}
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {why && (
        <p role="alert" className="mt-2 text-fail">
          {why}
        </p>
      )}
      {people.data && <Invite done={() => client.invalidateQueries({ queryKey: ['people'] })} />}
      <p className="mt-6 text-[11px] text-faint">
        What somebody saved, saw and signed stays under their name when they leave. Somebody of another house sees the
        projects that they are asked into, on the record of each, and no others.
      </p>
    </Page>
  );
}

function Invite({ done }: { done: () => Promise<void> }) {
  const [name, setName] = useState('');
  const [email, setEmail] = useState('');
  const [role, setRole] = useState<Role>('inspector');
  const [guest, setGuest] = useState(false);
  const [sent, setSent] = useState('');
  const { why, busy, send } = useSend();
  const invite = async (event: FormEvent) => {
    event.preventDefault();
    const asked = await send(() => post(address('/api/people', {}), { name, email, role, guest }));
    if (!asked) return;
    setSent(email);
    setName('');
    setEmail('');
    await done();
  };
  return (
    <form onSubmit={(e) => void invite(e)} className="mt-6 border-t border-ink pt-3" data-invite>
      <h2 className="font-bold">Ask somebody in</h2>
      <div className="grid grid-cols-[1fr_1fr_21rem] items-end gap-3 max-sm:grid-cols-1">
        <label className="grid">
          Name
          <input name="name" required maxLength={200} value={name} onChange={(e) => setName(e.target.value)} />
        </label>
        <label className="grid">
          Address
          <input
            type="email"
            name="email"
            required
            maxLength={200}
            value={email}
            onChange={(e) => setEmail(e.target.value)}
          />
        </label>
        <label className="grid">
          Does
          <RolePick label="Does" value={role} onChange={(to) => to !== '' && setRole(to)} />
        </label>
      </div>
      <p className="pt-2">
        <label>
          <input type="checkbox" checked={guest} onChange={(e) => setGuest(e.target.checked)} /> of another house: only
          the projects that they are asked into
        </label>
      </p>
      <p className="pt-2">
        <button className="act" disabled={busy}>
          Mail an invitation
        </button>
      </p>
      {sent !== '' && !why && <p role="status">A mail to {sent} is on its way. It holds for seven days.</p>}
      {why && (
        <p role="alert" className="text-fail">
          {why}
        </p>
      )}
    </form>
  );
}
