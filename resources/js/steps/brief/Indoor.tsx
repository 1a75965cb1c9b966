import type { IndoorAir } from '../../api/types';
import { QuantityField } from '../../ui/QuantityField';

/** How the indoor air is given, and its figures. */
export function Indoor({
  indoor,
  mayEdit,
  change,
}: {
  indoor: IndoorAir | undefined;
  mayEdit: boolean;
  change: (indoor: IndoorAir) => void;
}) {
  const kind = indoor?.kind ?? '';
  const celsius = indoor && 'temperature_c' in indoor ? indoor.temperature_c : 20;
  return (
    <>
      <label className="mb-2 grid">
        <span className="text-faint">How it is given</span>
        <select
          aria-label="Indoor air"
          value={kind}
          disabled={!mayEdit}
          onChange={(e) =>
            change(
              e.target.value === 'fixed'
                ? { kind: 'fixed', temperature_c: celsius, rh_pct: 40 }
                : e.target.value === 'moisture-production'
                  ? {
                      kind: 'moisture-production',
                      temperature_c: celsius,
                      production_kg_day: 8,
                      volume_m3: 300,
                      air_changes_h: 0.35,
                    }
                  : { kind: 'humidity-class', class: 3, temperature_c: celsius, margin: 1 },
            )
          }
        >
          {kind === '' && <option value="">choose one</option>}
          {kind === 'monthly' && <option value="monthly">twelve months, from the file</option>}
          <option value="fixed">one temperature and humidity</option>
          <option value="humidity-class">humidity class, ISO 13788</option>
          <option value="moisture-production">moisture given off, and ventilation</option>
        </select>
      </label>
      {indoor && indoor.kind !== 'monthly' && (
        <QuantityField
          label="Temperature"
          dimension="temperature"
          value={indoor.temperature_c}
          least={-30}
          most={50}
          disabled={!mayEdit}
          onChange={(v) => change({ ...indoor, temperature_c: v })}
        />
      )}
      {indoor?.kind === 'fixed' && (
        <QuantityField
          label="Humidity"
          dimension="percent"
          value={indoor.rh_pct}
          least={1}
          most={100}
          disabled={!mayEdit}
          onChange={(v) => change({ ...indoor, rh_pct: v })}
        />
      )}
      {indoor?.kind === 'moisture-production' &&
        (
          [
            ['production_kg_day', 'kg of water a day', 0],
            ['volume_m3', 'm³ of air', 1],
            ['air_changes_h', 'air changes an hour', 0.01],
          ] as const
        ).map(([name, label, least]) => (
          <label key={name} className="flex justify-between gap-2">
            <span className="text-faint">{label}</span>
            <input
              type="number"
              step="any"
              min={least}
              className="w-[6rem]"
              value={indoor[name]}
              disabled={!mayEdit}
              onChange={(e) => {
                const v = Number(e.target.value);
                if (e.target.value !== '' && v >= least) change({ ...indoor, [name]: v });
              }}
            />
          </label>
        ))}
      {indoor?.kind === 'humidity-class' && (
        <label className="grid">
          <span className="text-faint">Class</span>
          <select
            value={indoor.class}
            disabled={!mayEdit}
            onChange={(e) => change({ ...indoor, class: Number(e.target.value) })}
          >
            {[
              '1 · store',
              '2 · office, shop',
              '3 · dwelling, low occupancy',
              '4 · dwelling, high occupancy',
              '5 · pool, laundry, kitchen',
            ].map((name, i) => (
              <option key={name} value={i + 1}>
                {name}
              </option>
            ))}
          </select>
        </label>
      )}
    </>
  );
}
