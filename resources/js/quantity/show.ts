import type { Units } from '../api/types';
import { FT2_PER_M2, NG_PER_PERM, PA_PER_PSF, RSI_PER_R, type Dimension } from './read';

const fixed = (value: number, digits: number) =>
  value
    .toFixed(digits)
    .replace(/^-0(\.0*)?$/, '0$1')
    .replace('-', '−');

/**
 * Inches as they are read off a tape: to the nearest sixteenth where that is true to a hundredth, decimals otherwise.
 */
function inches(mm: number): string {
  if (mm < 0) return `−${inches(-mm)}`;
  const value = mm / 25.4;
  if (value > 0 && value < 0.1) return `${fixed(value * 1000, 0)} mil`;
  const sixteenths = Math.round(value * 16);
  if (Math.abs(sixteenths / 16 - value) > 0.012) return `${fixed(value, 2)} in`;
  let [top, bottom] = [sixteenths % 16, 16];
  while (top > 0 && top % 2 === 0) [top, bottom] = [top / 2, bottom / 2];
  const whole = Math.floor(sixteenths / 16);
  return top === 0 ? `${whole} in` : `${whole > 0 ? `${whole}-` : ''}${top}/${bottom} in`;
}

const trim = (value: number, digits: number) =>
  fixed(value, digits)
    .replace(/(\.\d*?)0+$/, '$1')
    .replace(/\.$/, '');

export function show(
  value: number | null | undefined,
  dimension: Dimension | 'u' | 'water' | 'rate' | 'sd' | 'volume' | 'loss' | 'flow',
  units: Units,
): string {
  if (value === null || value === undefined) return 'not computed';
  const si = units === 'si';
  switch (dimension) {
    case 'length':
    case 'thickness':
      return si ? `${trim(value, Math.abs(value) < 10 ? 2 : 1)} mm` : inches(value);
    case 'temperature':
      return si ? `${fixed(value, 1)} °C` : `${fixed(value * 1.8 + 32, 0)} °F`;
    case 'percent':
      return `${trim(value, 1)} %`;
    case 'permeance':
      return si
        ? `${value < 10 ? fixed(value, 1) : fixed(value, 0)} ng`
        : `${value / NG_PER_PERM < 10 ? fixed(value / NG_PER_PERM, 2) : fixed(value / NG_PER_PERM, 0)} perm`;
    case 'resistance':
      return si ? `${fixed(value, 2)} m²K/W` : `R-${fixed(value / RSI_PER_R, 1)}`;
    case 'per-area':
      return si ? `${trim(value, 2)} /m²` : `${trim(value / FT2_PER_M2, 2)} /ft²`;
    case 'pressure':
      return si ? `${fixed(value, 0)} Pa` : `${fixed(value / PA_PER_PSF, 1)} psf`;
    case 'area':
      return si ? `${trim(value, 1)} m²` : `${trim(value * FT2_PER_M2, 0)} ft²`;
    case 'run':
      return si ? `${trim(value, 1)} m` : `${trim(value / 0.3048, 1)} ft`;
    case 'volume':
      return si ? `${trim(value, 1)} m³` : `${trim(value * 35.3147, 0)} ft³`;
    case 'loss':
      return si ? `${trim(value, 1)} W/K` : `${trim(value * 1.89563, 1)} Btu/h·°F`;
    case 'flow':
      return si ? `${trim(value, value < 10 ? 1 : 0)} L/s` : `${trim(value * 2.11888, value < 10 ? 1 : 0)} cfm`;
    case 'u':
      return si ? `${fixed(value, 3)} W/m²K` : `${fixed(value * RSI_PER_R, 3)} Btu/h·ft²·°F`;
    case 'water':
      return si ? `${fixed(value, value > 0 && value < 10 ? 1 : 0)} g/m²` : `${fixed(value / 305.152, 3)} oz/ft²`;
    case 'rate':
      return si ? `${fixed(value, 3)} g/m²h` : `${fixed(value * 1.4337, 3)} gr/ft²h`;
    case 'sd':
      return si ? `${trim(value, 2)} m` : `${trim(value / 0.3048, 2)} ft`;
  }
}
