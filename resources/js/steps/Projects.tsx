import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState, type FormEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { get, post } from '../api/client';
import { address } from '../api/paths';
import { useMe } from '../api/hooks';
import { Mark } from '../ui/Mark';
import { firstOf } from '../ui/steps';

export function Projects() {
  const projects = useQuery({
    queryKey: ['projects'],
    queryFn: () => get(address('/api/projects', {})),
  });
  const me = useMe();
  const navigate = useNavigate();
  const client = useQueryClient();
  const file = useRef<HTMLInputElement>(null);
  const [name, setName] = useState('');
  const [units, setUnits] = useState('si');
  const [why, setWhy] = useState<string | null>(null);
  const consultant = me.data?.role === 'consultant';

  const open = async (made: Promise<{ id: string }>) => {
    try {
      const { id } = await made;
      await client.invalidateQueries({ queryKey: ['projects'] });
      navigate(`/p/${id}/brief`);
    } catch (error) {
      setWhy(error instanceof Error ? error.message : 'The server does not answer.');
    }
  };
  const create = (event: FormEvent) => {
    event.preventDefault();
    void open(post(address('/api/projects', {}), { name, units }));
  };
  const bring = (chosen: File | undefined) => {
    if (!chosen) return;
    const form = new FormData();
    form.append('file', chosen);
    void open(post(address('/api/projects/import', {}), form));
    if (file.current) file.current.value = '';
  };

  return (
    <main className="mx-auto mt-[8vh] max-w-[44rem] px-6">
      <h1 className="mb-6 text-lg font-bold">
        <Mark /> Apron
      </h1>
      <h2 className="border-b border-ink pb-1 font-bold">Projects</h2>
      <ul>
        {projects.data?.map((p) => (
          <li key={p.id} className="flex justify-between border-b border-hair py-2">
            <Link className="link font-semibold" to={`/p/${p.id}/${firstOf(p.role)}`}>
              {p.name}
            </Link>
            <span className="text-faint">
              {p.role}, {p.updated.slice(0, 10)}
            </span>
          </li>
        ))}
      </ul>
      {projects.data?.length === 0 && (
        <p className="py-3">No project yet. Begin one below, or bring a project file in.</p>
      )}
      {consultant && (
        <>
          <form onSubmit={create} className="mt-6 flex items-end gap-3">
            <label className="grid grow">
              A new project
              <input name="name" required maxLength={200} value={name} onChange={(e) => setName(e.target.value)} />
            </label>
            <label className="grid">
              Units
              <select value={units} onChange={(e) => setUnits(e.target.value)}>
                <option value="si">mm, °C, W/m²K</option>
                <option value="us">in, °F, R</option>
              </select>
            </label>
            <button className="act">Begin</button>
          </form>
          <label className="mt-4 block">
            Bring in a project file, JSON or ZIP
            <br />
            <input
              ref={file}
              type="file"
              name="file"
              accept=".json,.zip"
              onChange={(e) => bring(e.target.files?.[0])}
            />
          </label>
        </>
      )}
      {why && (
        <p role="alert" className="mt-3 whitespace-pre-line text-fail">
          {why}
        </p>
      )}
      {me.data && (
        <p className="mt-8 flex gap-4 border-t border-hair pt-2">
          <Link className="link" to="/account">
            {me.data.name}, {me.data.role}
          </Link>
          {me.data.admin && (
            <Link className="link" to="/people">
              people of the practice
            </Link>
          )}
        </p>
      )}
      <p className="mt-6 text-[11px] text-faint">
        Apron says what it computed and against what. It approves nothing: local code, the makers’ instructions and
        licensed practice decide. Structure and fire go to the licensed designer.
      </p>
    </main>
  );
}
