import { useState } from 'react';
import type { Detail, Patch, Piece } from '../../api/types';
import { readQuantity } from '../../quantity/read';
import { show } from '../../quantity/show';
import { useUnits } from '../../ui/units';

type EdgeKind = 'open' | 'adhered' | 'sealed';
const SIDES = ['top', 'bottom', 'left', 'right'] as const;
const LABELS: Record<string, [string, string, string, string]> = {
  face: ['left', 'bottom', 'right', 'top'],
  sill: ['left', 'outer end', 'right', 'inner end'],
  head: ['left', 'outer end', 'right', 'inner end'],
};

/**
 * The patches of one piece in figures: where they lie, in which step, how their edges hold. Every change is traced at
 * once.
 */
export function PieceEditor({
  detail,
  piece,
  usualEdges,
  mayEdit,
  apply,
}: {
  detail: Detail;
  piece: Piece;
  /** how an edge of each kind holds where nothing is said */
  usualEdges: Record<string, string>;
  mayEdit: boolean;
  apply: (detail: Detail, run?: string) => void;
}) {
  const change = (patch: Patch, part: Partial<Patch>, run?: string) =>
    apply(
      withPiece(detail, { ...piece, patches: piece.patches.map((p) => (p === patch ? { ...p, ...part } : p)) }),
      run,
    );
  return (
    <section className="border-t border-hair py-2" data-editor={piece.id}>
      <h3 className="font-semibold">Where it lies</h3>
      {piece.patches.map((patch) => {
        const labels = LABELS[patch.facet] ?? ['outer end', 'bottom', 'inner end', 'top'];
        return (
          <fieldset
            key={patch.id}
            className="border-t border-hair py-1"
            disabled={!mayEdit}
            data-patch-editor={patch.id}
          >
            <legend className="sr-only">{patch.id}</legend>
            <p className="text-[11px] text-faint">
              {patch.facet.replace('-', ' ')} · step{' '}
              <input
                type="number"
                min="1"
                max="999"
                aria-label={`step of ${patch.id}`}
                className="w-[3rem]"
                value={patch.step ?? piece.step}
                onChange={(e) => {
                  const v = Number(e.target.value);
                  if (Number.isInteger(v) && v >= 1 && v <= 999) change(patch, { step: v }, `step ${patch.id}`);
                }}
              />
            </p>
            <div className="grid grid-cols-2 gap-x-2">
              {[0, 1, 2, 3].map((i) => (
                <Place
                  key={i}
                  label={`${labels[i]}`}
                  value={(patch.rect as number[])[i] ?? 0}
                  change={(v) =>
                    change(
                      patch,
                      { rect: (patch.rect as number[]).map((x, k) => (k === i ? v : x)) as Patch['rect'] },
                      `${patch.id} ${i}`,
                    )
                  }
                />
              ))}
            </div>
            <p className="flex flex-wrap gap-x-2 text-[11px]">
              {SIDES.map((side) => {
                const said = patch.edges?.[side] ?? piece.edges?.[side];
                const value = typeof said === 'string' ? said : said ? 'mixed' : (usualEdges[piece.kind] as EdgeKind);
                return (
                  <label key={side}>
                    <span className="text-faint">{side} edge </span>
                    <select
                      aria-label={`${side} edge of ${patch.id}`}
                      value={value}
                      onChange={(e) => change(patch, { edges: { ...patch.edges, [side]: e.target.value as EdgeKind } })}
                    >
                      {value === 'mixed' && <option value="mixed">in parts</option>}
                      <option value="open">open</option>
                      <option value="adhered">bonded</option>
                      <option value="sealed">sealed</option>
                    </select>
                  </label>
                );
              })}
            </p>
          </fieldset>
        );
      })}
      {mayEdit && (
        <p className="text-[11px] text-faint">
          Alt and an arrow nudge the piece by 5 mm. Pull it, or a knob at one of its edges, with the pointer. Once
          edited by hand it is no longer made from its sizes; undo brings that back.{' '}
          <button className="link" onClick={() => apply(withoutPiece(detail, piece.id))}>
            take this piece away
          </button>
        </p>
      )}
    </section>
  );
}

/** A place along the drawing, read as people write lengths; what cannot be read is kept and said. */
function Place({ label, value, change }: { label: string; value: number; change: (value: number) => void }) {
  const { units } = useUnits();
  const [text, setText] = useState<string | null>(null);
  const negative = (text ?? '').trim().startsWith('-') || (text ?? '').trim().startsWith('−');
  const read = text === null ? null : readQuantity(text.replace(/^[\s−-]+/, ''), 'length', units);
  const zero = text !== null && Number(text.replace('−', '-')) === 0;
  return (
    <label className="text-[11px]">
      <span className="text-faint">{label} </span>
      <input
        className="w-[5.2rem]"
        aria-invalid={read !== null && 'why' in read && !zero}
        title={read && 'why' in read && !zero ? read.why : undefined}
        value={text ?? show(value, 'length', units)}
        onBlur={() => {
          if (!read || 'value' in read || zero) setText(null);
        }}
        onChange={(e) => {
          setText(e.target.value);
          const now = readQuantity(e.target.value.replace(/^[\s−-]+/, ''), 'length', units);
          if (Number(e.target.value.replace('−', '-')) === 0 && e.target.value.trim() !== '') change(0);
          else if ('value' in now) change((/^[\s]*[−-]/.test(e.target.value) ? -1 : 1) * now.value);
        }}
      />
      {negative && <span className="sr-only">below nothing</span>}
    </label>
  );
}

/** The detail with one piece another; no longer made by a generator. */
export function withPiece(detail: Detail, piece: Piece): Detail {
  const next = { ...detail, pieces: detail.pieces.map((p) => (p.id === piece.id ? piece : p)) };
  delete next.generated;
  return next;
}

/** The detail without a piece, and without what its unit or a seal to it says of it. */
function withoutPiece(detail: Detail, id: string): Detail {
  const next: Detail = { ...detail, pieces: detail.pieces.filter((p) => p.id !== id) };
  if (detail.penetrations)
    next.penetrations = detail.penetrations.map((p) => ({
      ...p,
      ...(p.sealed_to ? { sealed_to: p.sealed_to.filter((s) => s !== id) } : {}),
    }));
  if (detail.unit?.flange === id) {
    next.unit = { ...detail.unit };
    delete next.unit.flange;
  }
  delete next.generated;
  return next;
}

/** The piece moved as a whole on the facet it lies on first; its patches on others stay where they are. */
export function nudged(piece: Piece, du: number, dv: number): Piece {
  return {
    ...piece,
    patches: piece.patches.map((p) =>
      p.facet === piece.patches[0]?.facet
        ? {
            ...p,
            rect: [
              (p.rect[0] ?? 0) + du,
              (p.rect[1] ?? 0) + dv,
              (p.rect[2] ?? 0) + du,
              (p.rect[3] ?? 0) + dv,
            ] as Patch['rect'],
          }
        : p,
    ),
  };
}
