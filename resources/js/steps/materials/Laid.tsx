import { useQuery } from '@tanstack/react-query';
import { get } from '../../api/client';
import { address } from '../../api/paths';
import { useProjectId } from '../../api/hooks';
import { FACTS, saidOf } from '../../material/product';
import { useUnits } from '../../ui/units';

/** How a product is laid, stored and cured: what its own sheet says, and the usual of its family, marked so. */
export function Laid({ material }: { material: string }) {
  const project = useProjectId();
  const { units } = useUnits();
  const laid = useQuery({
    queryKey: ['materials', project, 'laid', material],
    queryFn: () => get(address('/api/projects/{project}/materials/{material}/laid', { project, material })),
  });
  if (!laid.data) return null;
  const { product, stated } = laid.data;
  const rows = FACTS.map((fact) => ({ fact, said: saidOf(fact, product, units) })).filter(({ said }) => said !== '');
  if (rows.length === 0) return null;
  return (
    <section data-laid>
      <h3 className="mt-3 border-t border-hair pt-2 font-bold">How it is laid</h3>
      <dl>
        {rows.map(({ fact, said }) => (
          <div key={fact.key} className="flex justify-between gap-3 py-[1px]" data-fact={fact.key}>
            <dt className="shrink-0 text-faint">{fact.label}</dt>
            <dd className={`text-right ${stated.includes(fact.key) ? 'font-semibold' : ''}`}>
              {said}
              {fact.kind === 'number' ? ` ${fact.unit}` : ''}
              {stated.includes(fact.key) ? '' : ' *'}
            </dd>
          </div>
        ))}
      </dl>
      {stated.length < rows.length && (
        <p className="text-[11px] text-faint">* usual of its family, common practice: its own data sheet wins.</p>
      )}
    </section>
  );
}
