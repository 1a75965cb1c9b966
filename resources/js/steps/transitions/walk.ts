/** A corner on plan, mm. */
export type Corner = [number, number];

const TURNS: Record<string, number> = { left: 90, l: 90, right: -90, r: -90, back: 180 };

/**
 * The plan as a person types it: corners as `0 0; 12000 0; …`, or the walk round it as `12000, left 8000, left 12000`,
 * which begins at 0 0 going along x. A turn may be an angle: `left 45`. The last side closes it.
 *
 * @return corners, or what cannot be read and what would be right
 */
export function readWalk(typed: string): { corners: Corner[] } | { why: string } {
  const text = typed.trim().replace(/[−–]/g, '-').toLowerCase();
  if (text.includes(';')) return readCorners(text);
  const words = text
    .replace(/(\d)[\s_](?=\d{3}(\D|$))/g, '$1')
    .split(/[\s,]+/)
    .filter((word) => word !== '');
  const corners: Corner[] = [[0, 0]];
  let heading = 0;
  let [x, y] = [0, 0];
  for (let i = 0; i < words.length; i++) {
    const word = words[i] ?? '';
    const turn = TURNS[word];
    if (turn !== undefined) {
      const angle = /^(\d+(\.\d+)?)(°|deg)$/.exec(words[i + 1] ?? '');
      heading += angle ? Math.sign(turn) * Number(angle[1]) : turn;
      if (angle) i++;
      continue;
    }
    const length = Number(word.replace(/mm$/, ''));
    if (!Number.isFinite(length) || length <= 0)
      return { why: `“${word}” is neither a length nor a turn; write 12000, left 8000, left 45° 3000 …` };
    x += length * Math.cos((heading * Math.PI) / 180);
    y += length * Math.sin((heading * Math.PI) / 180);
    corners.push([Math.round(x), Math.round(y)]);
  }
  const [last] = corners.slice(-1);
  if (corners.length > 3 && last && Math.abs(last[0]) <= 1 && Math.abs(last[1]) <= 1) corners.pop();
  return corners.length >= 3 ? { corners } : { why: 'at least two sides and a turn: 12000, left 8000, left 12000' };
}

function readCorners(text: string): { corners: Corner[] } | { why: string } {
  const corners: Corner[] = [];
  for (const part of text.split(';')) {
    if (part.trim() === '') continue;
    const numbers = part
      .trim()
      .split(/[\s,]+/)
      .map(Number);
    const [x, y] = numbers;
    if (numbers.length !== 2 || x === undefined || y === undefined || !numbers.every(Number.isInteger))
      return { why: `“${part.trim()}” is no corner; write x and y in whole millimetres: 12000 0` };
    corners.push([x, y]);
  }
  return corners.length >= 3 ? { corners } : { why: 'at least three corners: 0 0; 12000 0; 12000 8000' };
}

/** Corners as they are typed again. */
export const walkOf = (corners: number[][]): string => corners.map((corner) => corner.join(' ')).join('; ');
