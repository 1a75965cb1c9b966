import { useAssessment } from '../../api/hooks';
import type { DerivedBuilding, SiteEvent } from '../../api/types';
import { QuantityField } from '../../ui/QuantityField';

type Pin = NonNullable<SiteEvent['pin']>;
type Face = DerivedBuilding['elevations'][number]['faces'][number];

interface Props {
  pin: Pin | null;
  put: (pin: Pin | null) => void;
}

const WIDE = 330;

/** A place on a wall: tapped on its drawing, or typed. With no signal the walls are those that the phone has. */
export function PinPicker({ pin, put }: Props) {
  const building = useAssessment().data?.building;
  if (!building) return null;
  const walls = building.parts.filter((p) => p.kind === 'wall' || p.kind === 'foundation-wall');
  const faces = building.elevations.flatMap((side) => side.faces);
  const side = building.elevations.find((one) => one.faces.some((face) => face.part === pin?.part));
  const own = faces.filter((face) => face.part === pin?.part);
  return (
    <div className="grid gap-2" data-pin-picker>
      <label>
        where, on the elevation{' '}
        <select
          className="min-h-[40px]"
          value={pin?.part ?? ''}
          onChange={(e) => {
            const part = e.target.value;
            const first = faces.find((face) => face.part === part);
            put(part === '' ? null : { part, x_mm: first?.corners_mm[0]?.[0] ?? 0, z_mm: 0 });
          }}
        >
          <option value="">not on a wall</option>
          {walls.map((wall) => (
            <option key={wall.id} value={wall.id}>
              {wall.name}
            </option>
          ))}
        </select>
      </label>
      {pin && own.length > 0 && (
        <>
          <Wall
            faces={own}
            openings={
              side?.faces.filter((face) => building.parts.find((p) => p.id === face.part)?.kind === 'opening') ?? []
            }
            {...{ pin, put }}
          />
          <div className="flex flex-wrap gap-3">
            <QuantityField
              label="along, from the left"
              dimension="length"
              value={pin.x_mm}
              least={0}
              width="6rem"
              onChange={(mm) => put({ ...pin, x_mm: mm })}
            />
            <QuantityField
              label="up, from its foot"
              dimension="length"
              value={pin.z_mm}
              least={0}
              width="6rem"
              onChange={(mm) => put({ ...pin, z_mm: mm })}
            />
          </div>
        </>
      )}
    </div>
  );
}

interface WallProps {
  faces: Face[];
  /** those of its side; drawn as far as they lie in this wall */
  openings: Face[];
  pin: Pin;
  put: (pin: Pin) => void;
}

function Wall({ faces, openings, pin, put }: WallProps) {
  const corners = faces.flatMap((face) => face.corners_mm);
  const [left, right] = [Math.min(...corners.map((c) => c[0] ?? 0)), Math.max(...corners.map((c) => c[0] ?? 0))];
  const [foot, top] = [Math.min(...corners.map((c) => c[1] ?? 0)), Math.max(...corners.map((c) => c[1] ?? 0))];
  const k = Math.min(WIDE / (right - left), 200 / (top - foot));
  const [w, h] = [(right - left) * k, (top - foot) * k];
  const X = (x: number) => (x - left) * k;
  const Y = (z: number) => h - (z - foot) * k;
  const path = (of: number[][]) =>
    `M${of.map((c) => `${X(c[0] ?? 0).toFixed(1)} ${Y(c[1] ?? 0).toFixed(1)}`).join('L')}z`;
  const lie = openings.filter((o) => inside(o.corners_mm, left, right, foot, top));
  return (
    <svg
      viewBox={`-2 -14 ${w + 4} ${h + 18}`}
      className="block w-full max-w-[26rem] cursor-crosshair touch-manipulation"
      role="img"
      aria-label="The wall, to tap where it is"
      data-pin-wall={pin.part}
      onClick={(event) => {
        const box = event.currentTarget.getBoundingClientRect();
        const scale = (w + 4) / box.width;
        const x = left + ((event.clientX - box.left) * scale - 2) / k;
        const z = (h - ((event.clientY - box.top) * scale - 14)) / k;
        put({
          ...pin,
          x_mm: Math.round(Math.max(left, Math.min(right, x)) / 10) * 10,
          z_mm: Math.round(Math.max(0, Math.min(top - foot, z)) / 10) * 10,
        });
      }}
    >
      {faces.map((face, i) => (
        <path key={i} d={path(face.corners_mm)} fill="#fff" stroke="var(--color-ink)" />
      ))}
      {lie.map((face, i) => (
        <path key={i} d={path(face.corners_mm)} fill="var(--color-paper)" stroke="var(--color-ink)" />
      ))}
      <path d={`M${X(pin.x_mm)} ${Y(foot + pin.z_mm)}l-6 -13h12z`} fill="var(--color-fail)" data-pin-here />
    </svg>
  );
}

const inside = (corners: number[][], left: number, right: number, foot: number, top: number): boolean =>
  corners.every(([x = 0, z = 0]) => x >= left - 1 && x <= right + 1 && z >= foot - 1 && z <= top + 1);
