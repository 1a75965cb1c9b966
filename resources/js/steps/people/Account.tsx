import { useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import { post, put } from '../../api/client';
import { useMe } from '../../api/hooks';
import { address } from '../../api/paths';
import { Page } from '../../ui/Page';
import { useSend } from '../../ui/useSend';
import { forgetWhatWasSaid } from '../../worker';

/** One's own account: another password, everything else closed. */
export default function Account() {
  const me = useMe().data;
  const [current, setCurrent] = useState('');
  const [password, setPassword] = useState('');
  const [done, setDone] = useState('');
  const { why, busy, send } = useSend();
  const change = async (event: FormEvent) => {
    event.preventDefault();
    setDone('');
    if (!(await send(() => put(address('/api/me/password', {}), { current, password })))) return;
    setCurrent('');
    setPassword('');
    setDone('Changed. What was open elsewhere is closed.');
  };
  const everywhere = async () => {
    setDone('');
    if (await send(() => post(address('/api/sign-out-everywhere', {}), {})))
      setDone('Everything else that was open under your account is closed.');
  };
  const out = async () => {
    await post(address('/api/sign-out', {})).catch(() => undefined);
    await forgetWhatWasSaid();
    window.location.assign('/sign-in');
  };
  return (
    <Page title={me ? `${me.name}, ${me.role}` : '…'}>
      <p className="py-2">{me?.email}</p>
      <p className="flex flex-wrap gap-3">
        <button className="act" onClick={() => void out()}>
          Sign out
        </button>
        <button className="act" disabled={busy} onClick={() => void everywhere()}>
          Sign out everywhere else
        </button>
        {me?.admin && (
          <Link className="act" to="/people">
            People of the practice
          </Link>
        )}
      </p>
      <form onSubmit={(e) => void change(e)} className="mt-6 grid max-w-[22rem] gap-3 border-t border-ink pt-3">
        <h2 className="font-bold">Another password</h2>
        <label className="grid">
          The one of now
          <input
            type="password"
            name="current"
            autoComplete="current-password"
            required
            value={current}
            onChange={(e) => setCurrent(e.target.value)}
          />
        </label>
        <label className="grid">
          The new one, twelve letters or more
          <input
            type="password"
            name="password"
            autoComplete="new-password"
            required
            minLength={12}
            value={password}
            onChange={(e) => setPassword(e.target.value)}
          />
        </label>
        <button className="act justify-self-start" disabled={busy}>
          Change it
        </button>
      </form>
      {done && <p role="status">{done}</p>}
      {why && (
        <p role="alert" className="text-fail">
          {why}
        </p>
      )}
    </Page>
  );
}
