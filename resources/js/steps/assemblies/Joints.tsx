import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { get, post, wordsOf } from '../../api/client';
import { createDocument } from '../../api/documents';
import { useAssessment, useDocuments, useProjectId } from '../../api/hooks';
import { address } from '../../api/paths';
import type { Doc, MadeJoint, PlaneSection } from '../../api/types';
import { Joint2d } from '../../drawing/Joint2d';
import { FindingList } from '../../ui/FindingList';
import { Frame } from '../../ui/Frame';
import { freeId } from '../../ui/freeId';
import { useKeys } from '../../ui/keys';
import { TypedNumber } from '../../ui/Typed';
import { CountsAt } from './CountsAt';
import { FIELDS, KINDS, MEETS, NONE, STARTS, type JointKind } from './joints';

/** Joints of an assembly cut through, each way of making them beside the others. */
export default function Joints() {
  const project = useProjectId();
  const { key = '' } = useParams();
  const documents = useDocuments().data;
  const assessment = useAssessment().data;
  const [kind, setKind] = useState<JointKind>('unit');
  const [said, setSaid] = useState(STARTS);
  const [buck, setBuck] = useState('wood');
  const [flashing, setFlashing] = useState('membrane');
  const [shown, setShown] = useState<string | null>(null);
  const mayEdit = documents?.may_edit ?? false;
  const assembly = documents?.assemblies.find((d) => d.key === key)?.content;
  const [met, setMet] = useState<string | null>(null);
  const others = (documents?.assemblies ?? []).filter((d) => d.content.kind === MEETS[kind]);
  const meets = MEETS[kind] === undefined ? undefined : (met ?? others[0]?.key);
  const made = useMutation({
    mutationFn: () =>
      post(address('/api/projects/{project}/joints', { project }), {
        assembly: key,
        kind,
        buck,
        flashing,
        ...(meets === undefined ? {} : { meets }),
        ...said,
      }),
  });
  const all = (documents?.plane_sections ?? []).filter((d) => d.broken === null);
  const sections = all.filter((d) => (d.content.assembly ?? key) === key);
  const keep = useMutation({
    mutationFn: (joint: MadeJoint) =>
      createDocument(
        project,
        all.map((d) => d.key),
        (ids) => freeId(ids, 'cut'),
        (id) => Promise.resolve({ kind: 'plane-section', content: { ...joint.content, id } }),
      ),
    onSuccess: setShown,
  });
  const reckon = () => {
    if (!made.isPending) made.mutate();
  };
  useKeys({ g: { says: 'reckon them', act: reckon } });
  const doc = sections.find((d) => d.key === shown) ?? sections.at(-1);
  const told = doc && assessment?.plane_sections?.find((s) => s.id === doc.key);
  return (
    <Frame
      sheet="2 Joints in two dimensions"
      reckoning={
        <>
          {doc && (
            <section data-section={doc.key}>
              <h2 className="pb-1 text-[15px] font-bold">{doc.content.title ?? doc.key}</h2>
              {told && (
                <dl>
                  {[
                    ['ψ', `${digits(told.psi_w_mk)} W/(m·K)`],
                    ['fRsi', told.frsi === null ? '–' : told.frsi.toFixed(3)],
                    ['coldest inside', told.surface_min_c === null ? '–' : `${told.surface_min_c.toFixed(1)} °C`],
                    ['L2D', told.l2d_w_mk === null ? '–' : `${told.l2d_w_mk.toFixed(3)} W/(m·K)`],
                    [
                      'halving its cells changes',
                      told.halving_changes_pct === null ? '–' : `${told.halving_changes_pct.toFixed(2)} %`,
                    ],
                  ].map(([term, value]) => (
                    <div key={term} className="flex justify-between gap-3 py-[2px]">
                      <dt className="text-faint">{term}</dt>
                      <dd className="font-semibold">{value}</dd>
                    </div>
                  ))}
                </dl>
              )}
              <CountsAt section={doc.key} assembly={key} mayEdit={mayEdit} />
              <FindingList
                findings={(assessment?.findings ?? []).filter((f) => f.subject === `plane_sections/${doc.key}`)}
              />
            </section>
          )}
          <p className="mt-2 border-t border-hair pt-2 text-[11px] text-faint">
            By ISO 10211; ψ by lengths in the plane of the layer that carries air. Frame and glass are blocks that lose
            what their data sheet states; studs and fasteners are not in the cut. A screw or a bracket is a round post
            with a washer, cut through its axis; what is not round takes three dimensions. Computed, not approved.
          </p>
        </>
      }
    >
      <div className="px-6 py-3 max-sm:px-4">
        <p className="text-[12px]">
          <Link className="link text-faint" to={`/p/${project}/assemblies/${key}`}>
            ← {assembly?.name ?? key}
          </Link>
        </p>
        <h1 className="pb-1 text-[17px] font-bold">Its joints, cut through</h1>
        <fieldset className="flex flex-wrap items-start gap-3 border-y border-hair py-2">
          <label className="text-[12px]">
            joint
            <select
              aria-label="Kind of joint"
              className="block"
              value={kind}
              onChange={(e) => {
                setKind(e.target.value as JointKind);
                made.reset();
              }}
            >
              {Object.entries(KINDS).map(([k, words]) => (
                <option key={k} value={k}>
                  {words}
                </option>
              ))}
            </select>
          </label>
          {MEETS[kind] !== undefined && others.length === 0 && (
            <p className="self-end text-caution">This project has no {MEETS[kind]} that it could meet.</p>
          )}
          {FIELDS[kind].map(([name, label, least, most]) => (
            <TypedNumber
              key={name}
              {...{ label, least, most }}
              value={said[name]}
              put={(value) => setSaid((before) => ({ ...before, [name]: value ?? STARTS[name] }))}
            />
          ))}
          {meets !== undefined && (
            <label className="text-[12px]">
              on or under
              <select className="block" value={meets} onChange={(e) => setMet(e.target.value)} data-meets>
                {others.map((d) => (
                  <option key={d.key} value={d.key}>
                    {d.content.name}
                  </option>
                ))}
              </select>
            </label>
          )}
          {kind === 'unit' && (
            <>
              <label className="text-[12px]">
                buck
                <select className="block" value={buck} onChange={(e) => setBuck(e.target.value)}>
                  <option value="wood">wood</option>
                  <option value="insulating">insulating</option>
                  <option value="none">none</option>
                </select>
              </label>
              <label className="text-[12px]">
                through-flashing
                <select className="block" value={flashing} onChange={(e) => setFlashing(e.target.value)}>
                  <option value="membrane">membrane</option>
                  <option value="metal">sheet metal</option>
                </select>
              </label>
            </>
          )}
          <button className="act self-end" disabled={made.isPending} onClick={reckon}>
            {made.isPending ? 'reckoning …' : 'reckon them'} <kbd>g</kbd>
          </button>
        </fieldset>
        {made.isError && (
          <p role="alert" className="text-fail">
            {wordsOf(made.error)}
          </p>
        )}
        {made.data && (
          <table
            className="my-2 w-full max-w-[52rem] [&_td]:pl-3 [&_td:first-child]:pl-0 [&_th]:pl-3 [&_th:first-child]:pl-0"
            data-ways={made.data.length}
          >
            <thead>
              <tr className="border-b border-ink text-left">
                <th>best first</th>
                <th className="text-right">{kind === 'point' ? 'χ, W/K' : 'ψ, W/(m·K)'}</th>
                <th className="text-right">fRsi</th>
                {kind === 'unit' && <th className="text-right">U built in, W/(m²K)</th>}
                {kind === 'point' && <th className="text-right">adds to U, W/(m²K)</th>}
                <th />
              </tr>
            </thead>
            <tbody>
              {made.data.map((joint) => (
                <tr key={joint.way} className="border-b border-hair" data-way={joint.way}>
                  <td>{joint.title}</td>
                  <td className="text-right">
                    {joint.chi_w_k === null ? digits(joint.psi_w_mk) : joint.chi_w_k.toFixed(5)}
                  </td>
                  <td className="text-right">{joint.frsi?.toFixed(3) ?? '–'}</td>
                  {kind === 'unit' && <td className="text-right">{joint.installed_u_w_m2k?.toFixed(2) ?? '–'}</td>}
                  {joint.added_u_w_m2k !== null && <td className="text-right">{joint.added_u_w_m2k.toFixed(4)}</td>}
                  <td className="text-right whitespace-nowrap">
                    {mayEdit && joint.content && (
                      <button className="link" disabled={keep.isPending} onClick={() => keep.mutate(joint)}>
                        keep and draw
                      </button>
                    )}
                  </td>
                </tr>
              ))}
              {made.data.length === 0 && (
                <tr>
                  <td colSpan={4}>{NONE[kind] ?? 'This wall has no such joint.'}</td>
                </tr>
              )}
            </tbody>
          </table>
        )}
        {keep.isError && (
          <p role="alert" className="text-fail">
            {wordsOf(keep.error)}
          </p>
        )}
        {sections.length > 0 && (
          <p className="flex flex-wrap gap-2 py-2 text-[12px]">
            {sections.map((d) => (
              <button
                key={d.key}
                className={`act ${d === doc ? 'bg-ink text-white' : ''}`}
                aria-pressed={d === doc}
                onClick={() => setShown(d.key)}
              >
                {d.content.title ?? d.key}
              </button>
            ))}
          </p>
        )}
        {doc && <Drawn key={doc.key} doc={doc} />}
      </div>
    </Frame>
  );
}

/** Three digits, and no minus before nothing. */
const digits = (psi: number | null) => psi?.toFixed(3).replace(/^-(0\.000)$/, '$1') ?? '–';

function Drawn({ doc }: { doc: Doc<PlaneSection> }) {
  const project = useProjectId();
  const picture = useQuery({
    queryKey: ['section', project, doc.key, doc.revision],
    queryFn: () => get(address('/api/projects/{project}/plane-sections/{key}', { project, key: doc.key })),
  });
  return (
    <>
      {picture.isError && (
        <p role="alert" className="text-fail">
          {wordsOf(picture.error)}
        </p>
      )}
      <Joint2d section={doc.content} picture={picture.data} />
    </>
  );
}
