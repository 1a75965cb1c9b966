const CAPTION = 44;
const SCALE = 10;

/**
 * A drawing of the screen as a file of its own: the colours of the style sheet written out, the text in its font, a
 * caption, and drawn at 1:10 where the drawing says how many millimetres one of its units stands for (`data-mm`).
 */
export function standAlone(drawing: SVGSVGElement, title: string): string {
  const style = getComputedStyle(drawing);
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  const [x, y, width, height] = (drawing.getAttribute('viewBox') ?? '0 0 0 0').split(' ').map(Number) as [
    number,
    number,
    number,
    number,
  ];
  const mm = Number(drawing.dataset.mm ?? 0);
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('viewBox', `${x} ${y} ${width} ${height + CAPTION}`);
  if (mm > 0) {
    copy.setAttribute('width', `${round((width * mm) / SCALE)}mm`);
    copy.setAttribute('height', `${round(((height + CAPTION) * mm) / SCALE)}mm`);
  }
  copy.setAttribute('font-family', style.fontFamily);
  copy.setAttribute('fill', style.color);
  // A run of water is an animation of the screen; on paper its whole way is drawn.
  copy.querySelectorAll('[class]').forEach((e) => e.removeAttribute('class'));
  copy.querySelectorAll('[pathLength]').forEach((e) => e.removeAttribute('pathLength'));
  copy.removeAttribute('class');
  const caption = document.createElementNS('http://www.w3.org/2000/svg', 'text');
  caption.setAttribute('x', String(x + 8));
  caption.setAttribute('y', String(y + height + CAPTION - 14));
  caption.setAttribute('font-size', '23');
  caption.textContent = mm > 0 ? `${title} · seen from outside, the face 1:${SCALE}` : title;
  copy.append(caption);
  return writtenOut(new XMLSerializer().serializeToString(copy), (name) => style.getPropertyValue(name).trim());
}

/** Every `var(--name)` by what it stands for: outside of the page nobody knows the name. */
export function writtenOut(svg: string, value: (name: string) => string): string {
  return svg.replace(/var\((--[\w-]+)\)/g, (_, name: string) => value(name) || 'currentColor');
}

export function save(name: string, svg: string) {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}

const round = (n: number) => Math.round(n * 100) / 100;
