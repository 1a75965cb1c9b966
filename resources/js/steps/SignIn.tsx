import { useState, type FormEvent } from 'react';
import { post } from '../api/client';
import { address } from '../api/paths';
import { Mark } from '../ui/Mark';
import { forgetWhatWasSaid } from '../worker';

export function SignIn() {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [why, setWhy] = useState<string | null>(null);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    try {
      await post(address('/api/sign-in', {}), { email, password });
      await forgetWhatWasSaid();
      window.location.assign('/');
    } catch (error) {
      setWhy(error instanceof Error ? error.message : 'The server does not answer.');
    }
  };
  return (
    <main className="mx-auto mt-[16vh] w-[22rem] border border-ink p-6">
      <h1 className="mb-1 text-lg font-bold">
        <Mark /> Apron
      </h1>
      <p className="mb-4 text-faint">
        Control layers of walls and roofs insulated on the outside: specified, checked, inspected.
      </p>
      <form onSubmit={(event) => void submit(event)} className="grid gap-3">
        <label className="grid">
          Address
          <input
            type="email"
            name="email"
            autoComplete="username"
            required
            value={email}
            onChange={(e) => setEmail(e.target.value)}
          />
        </label>
        <label className="grid">
          Password
          <input
            type="password"
            name="password"
            autoComplete="current-password"
            required
            value={password}
            onChange={(e) => setPassword(e.target.value)}
          />
        </label>
        {why && (
          <p role="alert" className="text-fail">
            {why}
          </p>
        )}
        <p className="flex items-baseline justify-between">
          <button className="act">Sign in</button>
          <a className="link text-[11px]" href="/password">
            I lost my password
          </a>
        </p>
      </form>
    </main>
  );
}
