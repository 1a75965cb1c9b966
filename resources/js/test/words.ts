import type { DerivedTest, FieldTest, TestKind } from '../api/types';

export const VERDICTS: Record<DerivedTest['verdict'], { words: string; severity: 'pass' | 'fail' | 'caution' }> = {
  pass: { words: 'a test, and as it should be', severity: 'pass' },
  fail: { words: 'a test, and not as it should be', severity: 'fail' },
  'not valid': { words: 'not valid as a test', severity: 'caution' },
};

export const STAGES = { 'before-cover': 'before the air layer is covered', 'at-end': 'at the end' } as const;

export const TEST_KINDS: Record<TestKind, string> = {
  fan: 'fan',
  water: 'water',
  smoke: 'smoke or infrared',
  adhesion: 'adhesion',
  film: 'film',
  moisture: 'moisture',
};

/** With as many figures as it is worth. */
export const worth = (value: number | null | undefined, digits: number, unit: string): string =>
  value === null || value === undefined ? 'not known' : `${value.toFixed(digits)} ${unit}`.trim();

/** What values of a test are in. */
export function unitOf(test: FieldTest): string {
  switch (test.kind) {
    case 'adhesion':
      return { 'pull-off': 'MPa', peel: 'N/mm', tail: '%' }[test.by];
    case 'film':
      return 'µm';
    case 'moisture':
      return '%';
    default:
      return '';
  }
}

/** What is asked of each value: at the least, or at the most; none of tests that have no values. */
export function askedOf(test: FieldTest): { least?: number; most?: number } {
  switch (test.kind) {
    case 'adhesion': {
      const least = test.least_mpa ?? test.least_n_mm ?? test.least_pct;
      return least === undefined ? {} : { least };
    }
    case 'film':
      return { least: test.least_um };
    case 'moisture':
      return { most: test.most_pct ?? 19 };
    default:
      return {};
  }
}

/** The figures of a test, as lines. */
export function linesOf(test: FieldTest, told: DerivedTest): [string, string][] {
  const unit = unitOf(test);
  switch (told.kind) {
    case 'fan':
      return [
        ['exponent n', worth(told.n, 3, '')],
        ['r²', worth(told.r2, 4, '')],
        ['at 50 Pa', worth(told.q50_m3_h, 0, 'm³/h')],
        ...((told.q50_95_m3_h
          ? [['in 95 of 100', `${told.q50_95_m3_h.map((q) => q.toFixed(0)).join(' to ')} m³/h`]]
          : []) as [string, string][]),
        ['air changes at 50 Pa', worth(told.n50_1_h, 2, '1/h')],
        ['by area at 50 Pa', worth(told.q50_m3_h_m2, 2, 'm³/(h·m²)')],
        ['by area at 75 Pa', worth(told.q75_l_s_m2, 2, 'L/(s·m²)')],
        [
          'leakage area at 4 Pa',
          worth(told.leakage_area_4pa_m2 === null ? null : told.leakage_area_4pa_m2 * 1e4, 0, 'cm²'),
        ],
        ...(told.both_ways
          ? [
              ['mean of both ways, with', told.both_ways.title] as [string, string],
              ['at 50 Pa, mean', worth(told.both_ways.q50_m3_h, 0, 'm³/h')] as [string, string],
              ['air changes at 50 Pa, mean', worth(told.both_ways.n50_1_h, 2, '1/h')] as [string, string],
              ['by area at 50 Pa, mean', worth(told.both_ways.q50_m3_h_m2, 2, 'm³/(h·m²)')] as [string, string],
              ['by area at 75 Pa, mean', worth(told.both_ways.q75_l_s_m2, 2, 'L/(s·m²)')] as [string, string],
            ]
          : []),
      ];
    case 'water':
      return [
        ...((told.rate_l_min_m2 === null ? [] : [['water', worth(told.rate_l_min_m2, 2, 'L/(min·m²)')]]) as [
          string,
          string,
        ][]),
        ['in all', worth(told.minutes, 0, 'min')],
        ...((told.litres === null ? [] : [['spent', worth(told.litres, 0, 'L')]]) as [string, string][]),
        ['first seen inside', told.first_min === null ? 'never' : worth(told.first_min, 1, 'min')],
        ...Object.entries(told.expected ?? {})
          .filter(([, outcome]) => outcome !== 'shed')
          .map(([facet, outcome]): [string, string] => [`rain trace, ${facet}`, outcome]),
      ];
    case 'smoke':
      return [
        ['places looked at', `${told.looked_at}`],
        ['leaks', `${told.leaks}`],
      ];
    case 'adhesion':
      return [
        ['that tell something', `${told.count}`],
        ['mean', worth(told.mean, 3, unit)],
        ['least', worth(told.least, 3, unit)],
        ['fail', worth(told.out === null ? null : 100 * told.out, 0, '%')],
      ];
    case 'film':
      return [
        ['spots', `${told.spots}`],
        ['mean', worth(told.mean, 0, unit)],
        ['thinnest spot', worth(told.least, 0, unit)],
        ...((told.by_use_um === null ? [] : [['by what was used', worth(told.by_use_um, 0, unit)]]) as [
          string,
          string,
        ][]),
      ];
    case 'moisture':
      return [
        ['readings', `${told.count}`],
        ['mean', worth(told.mean, 1, unit)],
        ['wettest', worth(told.most, 1, unit)],
        ...((told.unsure > 0 ? [['outside of what pins are good for', `${told.unsure}`]] : []) as [string, string][]),
      ];
  }
}
