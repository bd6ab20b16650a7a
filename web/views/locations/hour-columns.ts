import type { HourWeather } from '@core/model';
import type { Quantity } from '../../format';
import { tr } from './messages';

/** Figures of an hour that are typed. */
export type HourFigure = 'windMs' | 'gustMs' | 'windFromDeg' | 'temperatureC' | 'visibilityM' | 'sure';

export interface HourColumn {
  /** What is read of it aside from its place in the table. */
  readonly label: () => string;
  readonly quantity: Quantity;
  /** What an arrow key adds, in the units shown. */
  readonly step: number;
  /** From what is stored to the quantity. */
  readonly scale: number;
}

export const HOUR_COLUMNS: Readonly<Record<HourFigure, HourColumn>> = {
  windMs: { label: () => tr('wind'), quantity: 'speed', step: 0.5, scale: 1 },
  gustMs: { label: () => tr('gusts'), quantity: 'speed', step: 0.5, scale: 1 },
  windFromDeg: { label: () => tr('from'), quantity: 'degrees', step: 5, scale: 1 },
  temperatureC: { label: () => tr('temp'), quantity: 'celsius', step: 1, scale: 1 },
  visibilityM: { label: () => tr('visibility'), quantity: 'metres', step: 500, scale: 1 },
  sure: { label: () => tr('howSure'), quantity: 'percent', step: 5, scale: 100 },
};

export const HOUR_FIGURES = Object.keys(HOUR_COLUMNS) as HourFigure[];

export type HourCell = HourFigure | 'at' | 'sky' | 'remove';

/** Whether an hour lies in a window, which may run over midnight. */
export const inWindow = (at: HourWeather['at'], windowStart: string, windowEnd: string): boolean => {
  const hour = at.slice(0, 2);
  const [from, to] = [windowStart.slice(0, 2), windowEnd.slice(0, 2)];
  return from <= to ? hour >= from && hour <= to : hour >= from || hour <= to;
};

/** Minute of the next whole hour after the last there is, or after the window begins, that has no weather yet; null where all have. */
export const nextFreeHour = (
  hours: readonly Pick<HourWeather, 'at'>[],
  windowStart: string,
): HourWeather['at'] | null => {
  const last = hours.at(-1);
  const from = last ? Number(last.at.slice(0, 2)) + 1 : Number(windowStart.slice(0, 2));
  const taken = new Set(hours.map((h) => h.at));
  const all = Array.from({ length: 24 }, (_, i) => `${String((from + i) % 24).padStart(2, '0')}:00`);
  return all.find((at) => !taken.has(at)) ?? null;
};
