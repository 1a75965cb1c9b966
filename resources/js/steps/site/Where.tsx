import { useAssessment, useDocuments, useMaterials, useSequence } from '../../api/hooks';
import type { SiteCheck } from '../../api/types';
import { Section } from '../../drawing/Section';
import { Measured } from '../../drawing/unfolded/Measured';
import { Numbers } from '../../drawing/unfolded/Numbers';
import { Unfolded } from '../../drawing/unfolded/Unfolded';
import { useUnits } from '../../ui/units';

/** What a check is of as it will stand, with its place on it: the opening or joint, or the wall and its layer. */
export function Where({ check }: { check: SiteCheck | undefined }) {
  if (!check || check.of === 'plan') return <div />;
  return (
    <figure>
      {check.of === 'assembly' ? <WallOf check={check} /> : <DetailOf check={check} />}
      <figcaption className="text-center font-semibold">{check.title}</figcaption>
    </figure>
  );
}

function DetailOf({ check }: { check: SiteCheck }) {
  const { units } = useUnits();
  const sequence = useSequence(check.detail).data;
  if (!sequence) return null;
  return (
    <div className="h-[560px]">
      <Unfolded sheet={sequence} step={sequence.steps.at(-1)?.number ?? 1} units={units}>
        <Numbers />
        {check.measured && <Measured measured={check.measured} />}
      </Unfolded>
    </div>
  );
}

function WallOf({ check }: { check: SiteCheck }) {
  const { units } = useUnits();
  const assembly = useDocuments().data?.assemblies.find((d) => d.key === check.detail)?.content;
  const figures = useAssessment().data?.assemblies?.find((a) => a.id === check.detail);
  const materials = useMaterials().data;
  if (!assembly || !materials) return null;
  const layer = assembly.layers.findIndex((l) => check.place === l.id);
  return (
    <Section
      {...{ assembly, figures, units, materials: new Map(materials.map((m) => [m.id, m])) }}
      selected={layer < 0 ? null : layer}
    />
  );
}
