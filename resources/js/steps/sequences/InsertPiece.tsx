import { useState } from 'react';
import type { Detail, Material, Piece } from '../../api/types';
import { unfold } from '../../drawing/unfold';
import { usualMaterial } from '../../material/starts';

const KINDS: [Piece['kind'], string][] = [
  ['sheet', 'sheet'],
  ['membrane', 'membrane or strip'],
  ['tape', 'tape'],
  ['formable', 'formable membrane'],
  ['corner', 'corner piece'],
  ['moulded', 'moulded piece'],
  ['fluid', 'fluid coat'],
  ['sealant', 'sealant'],
  ['metal', 'metal'],
  ['board', 'board'],
];

/**
 * A piece of one's own on the drawing: in the middle of a facet, laid after all others, to be pulled into its place.
 */
export function InsertPiece({
  detail,
  materials,
  apply,
  onDone,
}: {
  detail: Detail;
  materials: Material[];
  apply: (detail: Detail, piece: string) => void;
  onDone: () => void;
}) {
  const { facets } = unfold(detail);
  const [kind, setKind] = useState<Piece['kind']>('membrane');
  const [facet, setFacet] = useState(Object.keys(facets)[0] ?? 'face');
  const [material, setMaterial] = useState<string>();
  const chosen = material ?? usualMaterial(kind) ?? materials[0]?.id ?? '';
  const insert = (event: React.FormEvent) => {
    event.preventDefault();
    const [u0, v0, u1, v1] = facets[facet]?.extent ?? [0, 0, 100, 100];
    const taken = new Set(detail.pieces.map((p) => p.id));
    let n = 1;
    while (taken.has(`own-${n}`)) n++;
    const step =
      Math.max(
        0,
        ...detail.pieces.flatMap((p) => [p.step, ...p.patches.map((q) => q.step ?? 0)]),
        ...(detail.steps ?? []).map((s) => s.number),
      ) + 1;
    const [cu, w] = [(u0 + u1) / 2, Math.min(300, u1 - u0)];
    const [cv, h] = facet === 'face' && detail.opening ? [v0 / 2, 150] : [(v0 + v1) / 2, Math.min(150, v1 - v0)];
    const piece: Piece = {
      id: `own-${n}`,
      material: chosen,
      kind,
      step,
      patches: [{ id: `own-${n}.1`, facet, rect: [cu - w / 2, cv - h / 2, cu + w / 2, cv + h / 2] }],
    };
    const next: Detail = {
      ...detail,
      pieces: [...detail.pieces, piece],
      steps: [...(detail.steps ?? []), { number: step, does: 'inserted' }],
    };
    delete next.generated;
    apply(next, piece.id);
    onDone();
  };
  return (
    <form
      onSubmit={insert}
      className="flex flex-wrap items-baseline gap-x-3 border-t border-hair py-1 text-[12px]"
      data-insert
    >
      <label>
        <span className="text-faint">piece </span>
        <select
          autoFocus
          aria-label="Kind of piece"
          value={kind}
          onChange={(e) => {
            setKind(e.target.value as Piece['kind']);
            setMaterial(undefined);
          }}
        >
          {KINDS.map(([k, words]) => (
            <option key={k} value={k}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <label>
        <span className="text-faint">of </span>
        <select
          aria-label="Material of the piece"
          className="max-w-[12rem]"
          value={chosen}
          onChange={(e) => setMaterial(e.target.value)}
        >
          {materials.some((m) => m.id === chosen) ? null : <option value={chosen}>{chosen}</option>}
          {materials.map((m) => (
            <option key={m.id} value={m.id}>
              {m.name}
            </option>
          ))}
        </select>
      </label>
      <label>
        <span className="text-faint">on </span>
        <select aria-label="Facet of the piece" value={facet} onChange={(e) => setFacet(e.target.value)}>
          {Object.keys(facets).map((f) => (
            <option key={f} value={f}>
              {f.replace('-', ' ')}
            </option>
          ))}
        </select>
      </label>
      <button className="act" type="submit">
        put it there
      </button>
      <button type="button" className="link" onClick={onDone}>
        leave it
      </button>
    </form>
  );
}
