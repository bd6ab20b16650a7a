import type { CheckMoment } from '@core/model';

export const MOMENT_WORDS: Readonly<Record<CheckMoment, string>> = {
  'days-before': 'Days before',
  'evening-before': 'The evening before',
  'leaving-home': 'Leaving home',
  'launch-point': 'At the launch point',
  'before-take': 'Before each take',
  'after-landing': 'After landing',
  'leaving-place': 'Leaving the location',
  'at-home': 'Back home',
};
