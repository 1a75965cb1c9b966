import { useState, type FormEvent } from 'react';
import { Link, useSearchParams } from 'react-router';
import { post } from '../../api/client';
import { address } from '../../api/paths';
import { Page } from '../../ui/Page';
import { useSend } from '../../ui/useSend';

/** Under an address that was mailed a password is chosen; without one, such a mail is asked for. */
export function Password() {
  const [query] = useSearchParams();
  const [email, setEmail] = useState(query.get('email') ?? '');
  const [password, setPassword] = useState('');
  const [done, setDone] = useState(false);
  const token = query.get('token');
  const { why, busy, send } = useSend();
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const sent = token
      ? send(() => post(address('/api/password', {}), { email, token, password }))
      : send(() => post(address('/api/password/lost', {}), { email }));
    setDone(await sent);
  };
  return (
    <Page title={token ? 'Choose a password' : 'A lost password'}>
      {done ? (
        <p role="status" className="py-3">
          {token ? (
            <>
              It is chosen. <a href="/sign-in">Sign in</a> with it.
            </>
          ) : (
            'Where somebody signs in with this address, a mail is on its way. What it says holds for an hour.'
          )}
        </p>
      ) : (
        <form onSubmit={(e) => void submit(e)} className="mt-3 grid max-w-[22rem] gap-3">
          <label className="grid">
            Address
            <input
              type="email"
              name="email"
              autoComplete="username"
              required
              readOnly={token !== null}
              value={email}
              onChange={(e) => setEmail(e.target.value)}
            />
          </label>
          {token && (
            <label className="grid">
              Password, twelve letters or more
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
          )}
          <button className="act justify-self-start" disabled={busy}>
            {token ? 'Choose it' : 'Mail me an address'}
          </button>
          {why && (
            <p role="alert" className="text-fail">
              {why} {token && <Link to="/password">Ask for another.</Link>}
            </p>
          )}
        </form>
      )}
    </Page>
  );
}
