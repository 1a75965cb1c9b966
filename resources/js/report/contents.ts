/** A numbered sheet of the report. */
export interface Entry {
  number: string;
  title: string;
  id: string;
  chapter: boolean;
}

/** Writes into the contents on which page each sheet begins, which only the printer knows. */
export function paged(root: ParentNode, pages: Record<string, number>): void {
  for (const place of root.querySelectorAll<HTMLElement>('[data-page-of]')) {
    place.textContent = String(pages[place.dataset.pageOf ?? ''] ?? '');
  }
}

/**
 * Numbers the sheets: each chapter (`data-chapter`) by its number, each heading of it by that and its place. Headings
 * bear their number; the contents lead to them.
 */
export function numbered(root: ParentNode): Entry[] {
  const entries: Entry[] = [];
  for (const chapter of root.querySelectorAll<HTMLElement>('[data-chapter]')) {
    const headings = [...chapter.querySelectorAll<HTMLElement>('h2')];
    if (headings.length === 0) continue;
    const of = chapter.dataset.chapter ?? '';
    entries.push({ number: of, title: chapter.dataset.title ?? '', id: `sheet-${of}`, chapter: true });
    headings.forEach((heading, i) => {
      const number = `${of}.${i + 1}`;
      heading.id = `sheet-${number}`;
      heading.dataset.number = number;
      entries.push({ number, title: heading.textContent ?? '', id: heading.id, chapter: false });
    });
    chapter.id = `sheet-${of}`;
  }
  return entries;
}
