import { createRoot } from 'react-dom/client';
import { useEffect } from 'react';
import { CrewCard, RollList } from './drawing/StepCard';

import { CHAPTERS } from './report/chapters';
import { Together } from './report/findings';
import { Sources } from './report/Sources';
import type { Sheet } from './report/sheet';
import { Title } from './report/Title';

function Report({ sheet }: { sheet: Sheet }) {
  useEffect(() => {
    void document.fonts.ready
      .then(() => Promise.all([...document.images].map((i) => i.decode().catch(() => undefined))))
      .then(() => {
        document.documentElement.dataset.ready = 'yes';
      });
  }, []);
  if (sheet.cards !== null) {
    const units = sheet.units;
    const one = sheet.sequences[0];
    return (
      <main className="crew-pages">
        {one?.steps.map((s) => (
          <CrewCard key={s.number} sheet={one} step={s.number} units={units} />
        ))}
        {one && <RollList sheet={one} units={units} />}
      </main>
    );
  }
  const { file, assessment } = sheet;
  return (
    <main>
      <Title sheet={sheet} />
      {CHAPTERS.map((Chapter, i) => (
        <Chapter key={i} sheet={sheet} />
      ))}
      <h2 className="mb-2 text-[14pt] font-bold">All findings</h2>
      <Together findings={assessment.findings} />
      <h2 className="mb-2 text-[14pt] font-bold">Sources and cautions</h2>
      <Sources materials={file.materials ?? []} findings={assessment.findings} />
    </main>
  );
}

const sheet = JSON.parse(document.getElementById('sheet')?.textContent ?? '{}') as Sheet;
createRoot(document.getElementById('apron') as HTMLElement).render(<Report sheet={sheet} />);
