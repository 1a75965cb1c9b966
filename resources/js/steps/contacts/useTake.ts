import { saveDocument } from '../../api/documents';
import { useMutation } from '@tanstack/react-query';
import { wordsOf } from '../../api/client';
import { useDocuments, useMaterials, useMethods, useProjectId } from '../../api/hooks';
import type { Assembly, Detail, Doc, Material, Method, PairAnswer, ScheduledOpening } from '../../api/types';
import { freeId } from '../../ui/freeId';

type Clears = PairAnswer['clears'][number];

/** A document as it would be with a remedy in it. */
interface Changed {
  kind: 'assembly' | 'opening' | 'detail';
  doc: Doc<unknown>;
  content: unknown;
}

/**
 * What clears a pair, made: another material in the place of the first, in every wall, opening and joint that has it; a
 * primer or a separation as a layer of its own, in walls. What comes of it is judged as soon as it is saved.
 */
export function useTake(pair: PairAnswer) {
  const project = useProjectId();
  const documents = useDocuments();
  const methods = useMethods().data ?? [];
  const materials = useMaterials().data ?? [];
  const data = documents.data;
  const changes = (remedy: Clears): Changed[] => {
    if (!data?.may_edit || remedy.with === null) return [];
    const walls = data.assemblies.flatMap((doc) => inWall(doc, pair, remedy, materials));
    if (remedy.kind !== 'instead') return walls;
    return [
      ...walls,
      ...data.openings.flatMap((doc) => inOpening(doc, pair, remedy.with ?? '', methods)),
      ...data.details.flatMap((doc) => inDetail(doc, pair, remedy.with ?? '')),
    ];
  };
  const change = useMutation({
    mutationFn: async (remedy: Clears) => {
      for (const { kind, doc, content } of changes(remedy)) {
        await saveDocument(project, { ...doc, kind }, content);
      }
    },
  });
  return {
    changes,
    pending: change.isPending,
    why: change.isError ? wordsOf(change.error) : null,
    take: (remedy: Clears) => change.mutate(remedy),
  };
}

function inWall(doc: Doc<Assembly>, pair: PairAnswer, remedy: Clears, materials: Material[]): Changed[] {
  const isThere = (layer: Assembly['layers'][number]) =>
    layer.material === pair.a && pair.places.includes(`assemblies/${doc.key}/layers/${layer.id}`);
  const at = doc.content.layers.findIndex(isThere);
  const material = remedy.with;
  if (at < 0 || material === null) return [];
  const all = doc.content.layers;
  const added = {
    id: freeId(
      all.map((layer) => layer.id ?? ''),
      'l',
    ),
    material,
    thickness_mm: materials.find((m) => m.id === material)?.usual_thickness_mm ?? 0.2,
  };
  const layers =
    remedy.kind === 'instead'
      ? all.map((layer) => (isThere(layer) ? { ...layer, material } : layer))
      : remedy.kind === 'primer' || remedy.kind === 'between'
        ? [...all.slice(0, at), added, ...all.slice(at)]
        : null;
  return layers ? [{ kind: 'assembly', doc, content: { ...doc.content, layers } }] : [];
}

function inOpening(doc: Doc<ScheduledOpening>, pair: PairAnswer, material: string, methods: Method[]): Changed[] {
  if (!pair.places.some((place) => place.startsWith(`details/${doc.key}/`))) return [];
  const asked = methods.find((m) => m.name === doc.content.generator)?.parameters ?? [];
  const made = asked.filter(
    (p) => p.kind === 'material' && String(doc.content.parameters[p.name] ?? p.value) === pair.a,
  );
  // Not where the place takes no such material.
  if (made.length === 0 || made.some((p) => p.of.length > 0 && !p.of.some((o) => o.value === material))) return [];
  const parameters = { ...doc.content.parameters, ...Object.fromEntries(made.map((p) => [p.name, material])) };
  return [{ kind: 'opening', doc, content: { ...doc.content, parameters } }];
}

function inDetail(doc: Doc<Detail>, pair: PairAnswer, material: string): Changed[] {
  const isThere = (piece: Detail['pieces'][number]) =>
    piece.material === pair.a && pair.places.includes(`details/${doc.key}/pieces/${piece.id}`);
  if (!doc.content.pieces.some(isThere)) return [];
  const pieces = doc.content.pieces.map((piece) => (isThere(piece) ? { ...piece, material } : piece));
  return [{ kind: 'detail', doc, content: { ...doc.content, pieces } }];
}
