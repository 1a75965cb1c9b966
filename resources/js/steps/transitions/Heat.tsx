import type { DerivedBuilding } from '../../api/types';
import { show } from '../../quantity/show';
import { useUnits } from '../../ui/units';
import { KINDS } from '../../building/words';

/** What the whole envelope loses, and what each kind of joint costs: an estimate by classes of joints. */
export function Heat({ heat }: { heat: DerivedBuilding['heat'] }) {
  const { units } = useUnits();
  const joints = Object.entries(heat.joints_w_k).sort((a, b) => b[1] - a[1]);
  const all = joints.reduce((sum, [, loss]) => sum + loss, 0);
  return (
    <section className="border-t border-hair py-2" data-heat>
      <h2 className="font-bold">U over all of it {show(heat.u_w_m2k, 'u', units)}</h2>
      <p>
        {show(heat.loss_w_k, 'loss', units)}, {heat.loss_w_k > 0 ? Math.round((100 * all) / heat.loss_w_k) : 0} % of it
        at joints:
      </p>
      <ul className="text-[12px]">
        {joints.map(([kind, loss]) => (
          <li key={kind} className="flex justify-between">
            <span>{KINDS[kind as keyof typeof KINDS]}</span>
            <span>{show(loss, 'loss', units)}</span>
          </li>
        ))}
      </ul>
      {heat.unknown_m2 > 0 && (
        <p className="text-caution">{show(heat.unknown_m2, 'area', units)} are of no assembly, and not in it.</p>
      )}
      <p className="text-[11px] text-faint">
        An estimate: joints by ψ where a section or somebody gives it, else by class; what is unheated or in the ground
        counted as outside.
      </p>
    </section>
  );
}
