import { Link } from 'react-router';
import { useProjectId } from '../../api/hooks';
import type { DerivedBuilding } from '../../api/types';
import { KINDS } from '../../building/words';
import { show } from '../../quantity/show';
import { useUnits } from '../../ui/units';

interface Props {
  leakage: DerivedBuilding['leakage'];
  choose: (joint: string) => void;
  where: (joint: string) => string;
}

/** What the target leaves to leak, beside an estimate of what would, and the joints that decide it. */
export function Leakage({ leakage, choose, where }: Props) {
  const project = useProjectId();
  const { units } = useUnits();
  const joints = Object.entries(leakage.joints_l_s)
    .sort((a, b) => b[1] - a[1])
    .slice(0, 6);
  const parts = Object.values(leakage.parts_l_s).reduce((sum, flow) => sum + flow, 0);
  const over = leakage.allowed_l_s !== null && leakage.estimate_l_s > leakage.allowed_l_s;
  return (
    <section className="border-t border-hair py-2" data-leakage>
      <h2 className="font-bold">Air leakage, an estimate</h2>
      <p className={over ? 'text-caution' : ''}>
        {show(leakage.estimate_l_s, 'flow', units)} at {leakage.pressure_pa} Pa
        {leakage.allowed_l_s === null ? (
          <>
            ; no target is set in the{' '}
            <Link className="link" to={`/p/${project}/brief`}>
              brief
            </Link>
          </>
        ) : (
          `, and the target leaves ${show(leakage.allowed_l_s, 'flow', units)}`
        )}
        .
      </p>
      <ul className="text-[12px]">
        <li className="flex justify-between">
          <span>through parts and units</span>
          <span>{show(parts, 'flow', units)}</span>
        </li>
        {joints.map(([kind, flow]) => (
          <li key={kind} className="flex justify-between">
            <span>{KINDS[kind as keyof typeof KINDS]}</span>
            <span>{show(flow, 'flow', units)}</span>
          </li>
        ))}
      </ul>
      {leakage.worst[0] && leakage.worst[0].l_s >= 1 && (
        <button className="link text-left text-[12px]" onClick={() => choose(leakage.worst[0]?.joint ?? '')}>
          most of it at {where(leakage.worst[0].joint)}
        </button>
      )}
      <p className="text-[11px] text-faint">By classes of joints, before anything is tested; a test decides.</p>
    </section>
  );
}
