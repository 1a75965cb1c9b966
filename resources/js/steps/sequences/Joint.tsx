import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useProjectId, useSequence } from '../../api/hooks';
import { useLive } from '../../api/live';
import { show } from '../../quantity/show';
import { Frame } from '../../ui/Frame';
import { useKeys } from '../../ui/keys';
import { Old } from '../../ui/Old';
import { QuantityField } from '../../ui/QuantityField';
import { useUnits } from '../../ui/units';
import { CLEARANCE_MM, FRAME_DEPTH_MM } from '../../material/starts';
import { address } from '../../api/paths';

type Given = {
  width_mm: number;
  height_mm: number;
  depth_mm: number;
  gap_mm: number;
  frame_mm: number;
  insulation_mm: number;
  setback_mm?: number;
};
const numeric = (value: unknown, usual: number) => (typeof value === 'number' ? value : usual);

/**
 * The joint round a unit: what is cut, pushed in and set; and what each depth of the unit in its opening costs and
 * gains.
 */
export default function Joint() {
  const { key = '' } = useParams();
  const project = useProjectId();
  const navigate = useNavigate();
  const { units } = useUnits();
  const detail = useSequence(key).data?.detail;
  const [typed, setTyped] = useState<Partial<Given>>({});
  const [kg, setKg] = useState('45');
  useKeys({
    Escape: { shown: 'Esc', says: 'back to the drawing', act: () => navigate(`/p/${project}/sequences/${key}`) },
  });
  const parameters = detail?.generated?.parameters ?? {};
  const drawn = detail?.opening
    ? { width_mm: detail.opening.width_mm, height_mm: detail.opening.height_mm, depth_mm: detail.opening.depth_mm }
    : { width_mm: 900, height_mm: 1200, depth_mm: 140 };
  const given: Given = {
    ...drawn,
    gap_mm: numeric(parameters.clearance_mm, CLEARANCE_MM),
    frame_mm: numeric(parameters.frame_depth_mm, FRAME_DEPTH_MM),
    insulation_mm: detail?.opening?.outer_board_mm ?? 0,
    ...(typeof parameters.setback_mm === 'number' ? { setback_mm: parameters.setback_mm } : {}),
    ...typed,
  };
  const live = useLive(
    detail === undefined
      ? null
      : {
          path: address('/api/projects/{project}/joinery', { project }),
          body: { ...given, unit_kg: Number(kg), units },
        },
  );
  const answer = live.answer;
  const size = (name: keyof Given, label: string) => (
    <QuantityField
      label={label}
      dimension="length"
      value={given[name]}
      width="5.5rem"
      onChange={(v) => setTyped({ ...typed, [name]: v })}
    />
  );
  const panel = (
    <>
      <h2 className="pb-1 text-[15px] font-bold">Where these figures come from</h2>
      <p className="py-1">
        Common practice. A maker’s data sheet wins, the unit’s load goes to its maker, and to the licensed designer
        where it hangs outside of the framing.
      </p>
      <p className="py-1">Heat at each depth is said in words: the two-dimensional computation is not built yet.</p>
      <p className="py-2">
        <Link className="link" to={`/p/${project}/sequences/${key}`}>
          back to the drawing
        </Link>{' '}
        <span className="key">Esc</span>
      </p>
    </>
  );
  return (
    <Frame sheet={`5 Joint ${key}`} reckoning={panel}>
      <div className="px-8 py-4 max-sm:px-4">
        <h1 className="text-[17px] font-bold">The joint of {detail?.title ?? key}</h1>
        <div className="flex flex-wrap items-start gap-x-4 py-2">
          {size('width_mm', 'opening, width')}
          {size('height_mm', 'height')}
          {size('depth_mm', 'depth of the return')}
          {size('gap_mm', 'gap each side')}
          {size('frame_mm', 'depth of the frame')}
          {size('insulation_mm', 'insulation outside of the sheathing')}
          <label>
            <span className="mr-1 text-faint">unit, kg</span>
            <input
              type="number"
              min="1"
              max="2000"
              className="w-[5rem]"
              value={kg}
              onChange={(e) => setKg(e.target.value)}
            />
          </label>
        </div>
        <Old {...{ old: live.old, why: live.why }} />
        <dl className="grid grid-cols-[13rem_minmax(0,1fr)] border-t border-ink" data-joinery={answer?.joinery.length}>
          {answer?.joinery.map((row) => (
            <div key={row.what} className="contents" data-row={row.what}>
              <dt className="border-b border-hair py-1 pr-3 font-semibold">{row.title}</dt>
              <dd className="border-b border-hair py-1">{row.text}</dd>
            </div>
          ))}
        </dl>
        <h2 className="pt-5 pb-1 text-[15px] font-bold">How deep the unit sits</h2>
        <table className="w-full border-collapse text-[12px]">
          <thead>
            <tr className="border-b border-ink text-left align-bottom">
              <th>Place</th>
              <th>set in</th>
              <th>reveal outside</th>
              <th>reveal inside</th>
              <th>flashing out</th>
              <th>past the framing</th>
              <th>air line</th>
              <th>rain</th>
              <th className="w-[32%]">costs · gains</th>
            </tr>
          </thead>
          <tbody>
            {answer?.depths.map((d) => (
              <tr key={d.place} className="border-b border-hair align-top" data-depth={d.place}>
                <td className="py-1 pr-2 font-semibold">{d.title}</td>
                {[d.setback_mm, d.outer_reveal_mm, d.inner_reveal_mm, d.sill_flashing_mm, d.overhang_mm].map((v, i) => (
                  <td key={i} className="py-1 pr-2 whitespace-nowrap">
                    {v === 0 ? '–' : show(v, 'length', units)}
                  </td>
                ))}
                <td className={`py-1 pr-2 ${d.air ? '' : 'font-semibold text-fail'}`}>
                  {d.air ? 'reached' : 'not reached'}
                </td>
                <td className="py-1 pr-2">{d.worst}</td>
                <td className="py-1">
                  {d.cost}
                  {d.cost && d.gain && ' · '}
                  {d.gain && <span className="text-pass">{d.gain}</span>}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="pt-2 text-[11px] text-faint">
          Each depth is traced with a unit on straps in a self-adhered membrane of this size. Trim goes on the reveals;
          what stands past the framing hangs on straps or brackets.
        </p>
      </div>
    </Frame>
  );
}
