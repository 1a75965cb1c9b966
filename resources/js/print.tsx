import { createRoot } from 'react-dom/client';
import { useEffect, useState } from 'react';
import { CrewCard, RollList } from './drawing/StepCard';

import { CHAPTERS } from './report/chapters';
import { numbered, paged, type Entry } from './report/contents';
import { setToScale } from './report/scale';
import type { Sheet } from './report/sheet';
import { Title } from './report/Title';

function Report({ sheet }: { sheet: Sheet }) {
  const [contents, setContents] = useState<Entry[] | null>(sheet.cards === null ? null : []);
  // Numbers and scales are of what stands there: they are read off once it does.
  useEffect(() => {
    if (contents !== null) return;
    setToScale(document, sheet.units);
    setContents(numbered(document));
  }, [contents, sheet.units]);
  useEffect(() => {
    if (contents === null) return;
    void document.fonts.ready
      .then(() => Promise.all([...document.images].map((i) => i.decode().catch(() => undefined))))
      .then(() => {
        document.documentElement.dataset.ready = 'yes';
      });
  }, [contents]);
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
  return (
    <main>
      <Title sheet={sheet} contents={contents ?? []} />
      {CHAPTERS.map((chapter) => (
        <div key={chapter.number} data-chapter={chapter.number} data-title={chapter.title}>
          {chapter.sheets.map((Printed, i) => (
            <Printed key={i} sheet={sheet} />
          ))}
        </div>
      ))}
    </main>
  );
}

window.addEventListener('pages', (told) => paged(document, (told as CustomEvent<Record<string, number>>).detail));

const sheet = JSON.parse(document.getElementById('sheet')?.textContent ?? '{}') as Sheet;
createRoot(document.getElementById('apron') as HTMLElement).render(<Report sheet={sheet} />);
