import { useState, type FormEvent } from 'react';
import { useDocuments, useMaterials, useProjectId, useSequence } from '../../api/hooks';
import type { SiteSheet } from '../../api/types';
import { SeverityMark, severityColour } from '../../ui/severity';
import type { OutboxState } from './useOutbox';

interface Props {
  site: SiteSheet;
  add: OutboxState['add'];
  ensureVisit: () => string;
}

/** “We used this instead”: judged again for its place alone, and kept in the record. */
export function Instead({ site, add, ensureVisit }: Props) {
  const project = useProjectId();
  return (
    <section className="mt-4 border-t border-hair pt-2" data-instead>
      <h2 className="font-bold">Used instead of what was planned</h2>
      {site.substitutions.length === 0 && <p className="text-faint">Nothing so far.</p>}
      {[...site.substitutions].reverse().map((s) => (
        <article key={s.event.id} className="border-t border-hair py-2" data-substitution={s.severity}>
          <h3 className={`flex gap-2 font-semibold ${severityColour(s.severity)}`}>
            <span className="pt-[3px]">
              <SeverityMark severity={s.severity} />
            </span>
            {s.title}
          </h3>
          <p>{s.reason}</p>
          <p>→ {s.remedy}</p>
          {s.event.photographs?.map((sha) => (
            <img
              key={sha}
              src={`/api/projects/${project}/photographs/${sha}`}
              alt={`Photograph of: ${s.title}`}
              className="h-24 border border-ink"
            />
          ))}
        </article>
      ))}
      <InsteadForm add={add} ensureVisit={ensureVisit} />
    </section>
  );
}

function InsteadForm({ add, ensureVisit }: Omit<Props, 'site'>) {
  const documents = useDocuments().data;
  const materials = useMaterials().data ?? [];
  const [said, setSaid] = useState({ of: '', part: '', material: '', words: '' });
  const type = (more: Partial<typeof said>) => setSaid((before) => ({ ...before, ...more }));
  const [why, setWhy] = useState<string | null>(null);
  const [list, id] = [said.of.split('/')[0], said.of.split('/').slice(1).join('/')];
  const sheet = useSequence(list === 'details' ? id : undefined).data;
  const nameOf = (material: string) => materials.find((m) => m.id === material)?.name ?? material;
  const parts: [string, string][] =
    list === 'assemblies'
      ? (documents?.assemblies.find((d) => d.key === id)?.content.layers ?? []).map((layer) => [
          `layers/${layer.id ?? ''}`,
          nameOf(layer.material),
        ])
      : (sheet?.detail.pieces ?? []).map((piece) => [
          `pieces/${piece.id}`,
          `${sheet?.names[piece.id] ?? piece.id}: ${nameOf(piece.material)}`,
        ]);
  const material = materials.find((m) => m.name === said.material || m.id === said.material)?.id;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (said.of === '' || said.part === '') return setWhy('Where? A wall and its layer, or an opening and its piece.');
    if (material === undefined)
      return setWhy(`“${said.material}” is no material of the project or the catalogue; choose from the list.`);
    if (said.words.trim() === '') return setWhy('Why, in a few words: what the record will be read for.');
    setWhy(null);
    add({
      kind: 'substitution',
      visit: ensureVisit(),
      place: `${said.of}/${said.part}`,
      material,
      words: said.words.trim(),
    });
    setSaid({ of: '', part: '', material: '', words: '' });
  };
  return (
    <form onSubmit={submit} className="mt-2 grid max-w-[46rem] grid-cols-2 gap-2 max-sm:grid-cols-1">
      <label className="grid min-w-0">
        In
        <select
          className="min-h-[40px] w-full min-w-0"
          value={said.of}
          onChange={(e) => type({ of: e.target.value, part: '' })}
        >
          <option value="">which wall, opening or joint …</option>
          {documents?.assemblies.map((d) => (
            <option key={d.key} value={`assemblies/${d.key}`}>
              {d.content.name}
            </option>
          ))}
          {[...(documents?.openings ?? []), ...(documents?.details ?? [])].map((d) => (
            <option key={d.key} value={`details/${d.key}`}>
              {d.content.title}
            </option>
          ))}
        </select>
      </label>
      <label className="grid min-w-0">
        instead of
        <select
          className="min-h-[40px] w-full min-w-0"
          disabled={parts.length === 0}
          value={said.part}
          onChange={(e) => type({ part: e.target.value })}
        >
          <option value="">which layer or piece …</option>
          {parts.map(([part, name]) => (
            <option key={part} value={part}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <label className="grid min-w-0">
        was used
        <input
          className="min-h-[40px] w-full min-w-0"
          list="site-materials"
          value={said.material}
          onChange={(e) => type({ material: e.target.value })}
        />
        <datalist id="site-materials">
          {materials.map((m) => (
            <option key={m.id} value={m.name} />
          ))}
        </datalist>
      </label>
      <label className="grid min-w-0">
        because
        <input
          className="min-h-[40px] w-full min-w-0"
          maxLength={2000}
          value={said.words}
          onChange={(e) => type({ words: e.target.value })}
        />
      </label>
      <button className="act min-h-[56px] justify-self-start">put it in the record</button>
      {why !== null && (
        <p role="alert" className="self-center text-fail">
          {why}
        </p>
      )}
    </form>
  );
}
