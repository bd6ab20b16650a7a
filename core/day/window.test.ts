import { describe, expect, it } from 'vitest';
import { LIGHT_DEFINITIONS } from '../light';
import { locationDay, pinnedMs } from './location-flights';
import { newRow } from '../model';

const preferences = { ...LIGHT_DEFINITIONS, lampsDelayMin: 20 };
const place = (date: string, windowStart: string, windowEnd: string) =>
  newRow('location', {
    id: 'l',
    filmId: 'f',
    name: '',
    latitude: 43.18,
    longitude: -4.83,
    zone: 'Europe/Madrid',
    date,
    windowStart,
    windowEnd,
  });
const hours = (date: string, from: string, to: string): number => {
  const day = locationDay(place(date, from, to), { preferences });
  return (day.windowToMs - day.windowFromMs) / 3_600_000;
};

describe('a window over midnight', () => {
  it('ends by the clock of the next day, also where the clocks change in between', () => {
    expect(hours('2027-05-14', '22:00', '04:00')).toBe(6);
    expect(hours('2027-10-30', '22:00', '04:00')).toBe(7);
    expect(hours('2027-03-27', '22:00', '04:00')).toBe(5);
    expect(hours('2027-10-31', '01:00', '04:00')).toBe(4);
  });
  it('a time pinned after midnight is that of the next day', () => {
    const at = place('2027-10-30', '22:00', '04:00');
    const day = locationDay(at, { preferences });
    expect((day.windowToMs - pinnedMs('03:30', at, day)) / 60_000).toBe(30);
    expect((pinnedMs('23:00', at, day) - day.windowFromMs) / 60_000).toBe(60);
    expect(pinnedMs('05:00', at, day)).toBeLessThan(day.windowFromMs);
  });
});
