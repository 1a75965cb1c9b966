import { useMutation } from '@tanstack/react-query';
import { post, Refused, wordsOf } from '../../api/client';
import { written } from '../../api/documents';
import { address } from '../../api/paths';
import { useDocuments, useProjectId } from '../../api/hooks';
import { documentSaved } from '../../api/queries';
import type { Climate, ReadClimate, Weather } from '../../api/types';

/** A weather file or a table of months taken over as the project's climate; a damaged one is refused with its line. */
export function ClimateFile({ taken }: { taken: (climate: Climate) => void }) {
  const project = useProjectId();
  const doc = useDocuments().data?.weather[0];
  // Its hours are kept as they are, for what is run hour by hour; those of the climate before give way.
  const keeping = useMutation({
    mutationFn: async (weather: Weather) => {
      const place = { kind: 'weather', key: 'weather', revision: doc?.revision ?? 0 };
      const saved = await written(project, place, weather);
      documentSaved(project, { ...saved, content: { name: weather.name } });
    },
  });
  const reading = useMutation({
    mutationFn: (file: File) => {
      const form = new FormData();
      form.append('file', file);
      return post(address('/api/projects/{project}/climate', { project }), form);
    },
    onSuccess: async (answer) => {
      taken(answer.climate);
      if (answer.weather) await keeping.mutateAsync(answer.weather);
    },
  });
  const name = reading.variables?.name ?? '';
  const bad = reading.isError || keeping.isError;
  const said = reading.isPending
    ? `reading ${name} …`
    : keeping.isError
      ? `The months are taken, the hours could not be kept: ${wordsOf(keeping.error)}`
      : reading.data
        ? wordsFor(reading.data)
        : bad
          ? `${reading.error instanceof Refused ? `${name}: ` : ''}${wordsOf(reading.error)}`
          : '';
  return (
    <div>
      <label className="act inline-block focus-within:outline-2">
        from a file
        <input
          type="file"
          className="sr-only"
          accept=".epw,.csv,.txt,text/csv,text/plain"
          aria-label="Climate from a file"
          onChange={(e) => {
            const file = e.target.files?.[0];
            if (file) reading.mutate(file);
            e.target.value = '';
          }}
        />
      </label>
      {said !== '' && (
        <p
          role={bad ? 'alert' : 'status'}
          className={`max-w-[26rem] pt-1 text-[12px] ${bad ? 'text-fail' : 'text-faint'}`}
          data-said="climate"
        >
          {said}
        </p>
      )}
    </div>
  );
}

function wordsFor({ hours, climate, driving_rain_mm: rain }: ReadClimate): string {
  if (hours === 0) return 'Twelve months read.';
  const sides = Object.entries(rain ?? {});
  const driven = rain && sides.every(([, mm]) => mm !== null);
  const told = driven
    ? `Driving rain in a year, mm: ${sides.map(([side, mm]) => `${side} ${Math.round(mm ?? 0)}`).join(', ')}.`
    : 'No rain in it.';
  return `${hours} hours read, and kept for what is run hour by hour; zone ${climate.zone ?? 'not known'} by degree days, check it. ${told}`;
}
