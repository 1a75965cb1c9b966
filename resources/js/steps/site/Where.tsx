import { useAssessment, useDocuments, useMaterials, useSequence } from '../../api/hooks';
import type { SiteCheck } from '../../api/types';
import { ReadingStrip } from '../../drawing/ReadingStrip';
import { Section } from '../../drawing/Section';
import { Measured } from '../../drawing/unfolded/Measured';
import { Numbers } from '../../drawing/unfolded/Numbers';
import { Unfolded } from '../../drawing/unfolded/Unfolded';
import { isLook, readInWords } from '../../quantity/asked';
import { useUnits } from '../../ui/units';
import { numbersOf } from './visit';

/** What a check is of as it will stand, with its place on it: the opening or joint, or the wall and its layer. */
export function Where({ check }: { check: SiteCheck | undefined }) {
  if (!check || check.of === 'plan') return <div />;
  return (
    <figure className="sticky top-4 self-start">
      {check.of === 'assembly' ? <WallOf check={check} /> : <DetailOf check={check} />}
      <figcaption className="text-center font-semibold">{check.title}</figcaption>
      <Strip check={check} />
    </figure>
  );
}

/** What was read of it so far, against what is asked. */
function Strip({ check }: { check: SiteCheck }) {
  const { units } = useUnits();
  const readings = numbersOf(check.readings);
  if (isLook(check) || readings.length === 0) return null;
  return (
    <div className="mx-auto mt-2 max-w-[26rem]">
      <ReadingStrip asks={check} readings={readings} units={units} />
      <p className="text-center">
        {readInWords(check.verdict, units)}; {check.wanted} wanted
      </p>
    </div>
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
