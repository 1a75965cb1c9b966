import { describe, expect, it } from 'vitest';
import { placeLayers, spread, THINNEST } from '../drawing/scale';
import { writtenOut } from '../drawing/standAlone';
import { judge } from '../steps/site/judge';
import { readQuantity } from './read';
import { show } from './show';
import shared from '../../../tests/shared/quantities.json';

describe('a stored figure as it is shown', () => {
  it.each([
    [38.1, 'length', '38.1 mm', '1-1/2 in'],
    [9.525, 'length', '9.53 mm', '3/8 in'],
    [1.2192, 'thickness', '1.22 mm', '48 mil'],
    [150, 'length', '150 mm', '5.91 in'],
    [1384.3, 'length', '1384.3 mm', '54-1/2 in'],
    [-12, 'temperature', '−12.0 °C', '10 °F'],
    [1.7611018, 'resistance', '1.76 m²K/W', 'R-10.0'],
    [57.2135, 'permeance', '57 ng', '1.00 perm'],
    [0.25, 'u', '0.250 W/m²K', '0.044 Btu/h·ft²·°F'],
    [127, 'water', '127 g/m²', '0.416 oz/ft²'],
  ] as const)('%d as %s', (value, dimension, si, us) => {
    expect(show(value, dimension, 'si')).toBe(si);
    expect(show(value, dimension, 'us')).toBe(us);
  });

  it.each(shared.inches as [number, string][])('%d mm in inches, as they are read off a tape', (mm, inches) => {
    expect(show(mm, 'length', 'us')).toBe(inches);
  });

  it('says so where there is none', () => {
    expect(show(null, 'resistance', 'si')).toBe('not computed');
  });

  it('can be read back as what it was, but for its rounding', () => {
    for (let mm = 0.3; mm < 4000; mm *= 1.31) {
      for (const units of ['si', 'us'] as const) {
        const read = readQuantity(show(mm, 'length', units), 'length', units);
        expect('value' in read && Math.abs(read.value - mm)).toBeLessThanOrEqual(units === 'si' ? 0.051 : 0.32);
      }
    }
  });
});

describe('layers on a section', () => {
  it('fill the width, keep to one scale, and are never too thin to hit', () => {
    for (const sizes of [[12.7, 140, 0.2, 25], [0.2, 0.2], [300], [1, 1000, 1, 2, 3], [105, 0.6, 152.4, 25, 8]]) {
      const { edges, thickened } = placeLayers(sizes, 740);
      const widths = sizes.map((_, i) => (edges[i + 1] ?? 0) - (edges[i] ?? 0));
      if (!thickened.every(Boolean)) expect(edges.at(-1)).toBeCloseTo(740, 6);
      expect(Math.min(...widths)).toBeGreaterThanOrEqual(THINNEST - 1e-9);
      const scales = sizes.map((size, i) => (widths[i] ?? 0) / size).filter((_, i) => !thickened[i]);
      for (const scale of scales) expect(scale).toBeCloseTo(scales[0] ?? 0, 6);
    }
  });

  it('have labels in their order and apart', () => {
    const at = spread([100, 101, 102, 700, 701], 90, 46, 754);
    at.slice(1).forEach((x, i) => expect(x - (at[i] ?? 0)).toBeGreaterThanOrEqual(90 - 1e-9));
    expect(Math.max(...at)).toBeLessThanOrEqual(754);
  });
});

describe('a reading against its bound, as the server judges it', () => {
  it.each([
    [75, 'pass'],
    [74.9, 'caution'],
    [37.5, 'caution'],
    [37.4, 'fail'],
    [0, 'fail'],
  ] as const)('%d of 75 mm: %s', (value, severity) => {
    expect(judge(value, { least_mm: 75, most_mm: null })).toBe(severity);
  });
});

describe('a drawing that leaves the page', () => {
  it('has its colours written out, and what nobody defined in the colour of the text', () => {
    const ink = (name: string) => (name === '--color-ink' ? '#101418' : '');
    expect(
      writtenOut(
        '<path stroke="var(--color-ink)" fill="var(--color-gone)"/><rect fill="#fff" stroke="var(--color-ink)"/>',
        ink,
      ),
    ).toBe('<path stroke="#101418" fill="currentColor"/><rect fill="#fff" stroke="#101418"/>');
  });
});

it('what a building loses and leaks, and how large it is, is shown in either system', () => {
  expect(show(288, 'volume', 'si')).toBe('288 m³');
  expect(show(1, 'volume', 'us')).toBe('35 ft³');
  expect(show(204.3, 'loss', 'si')).toBe('204.3 W/K');
  // 1 Btu/h is 0.29307 W, 1 K is 1.8 °F.
  expect(show(0.29307107 * 1.8, 'loss', 'us')).toBe('1 Btu/h·°F');
  expect(show(190.5, 'flow', 'si')).toBe('191 L/s');
  expect(show(1.4, 'flow', 'si')).toBe('1.4 L/s');
  expect(show(100, 'flow', 'us')).toBe('212 cfm');
});
