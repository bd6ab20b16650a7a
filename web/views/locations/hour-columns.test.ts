import { describe, expect, it } from 'vitest';
import { inWindow, nextFreeHour } from './hour-columns';

const hours = (...at: string[]): { at: string }[] => at.map((time) => ({ at: time }));

describe('hours of the weather table', () => {
  it('follow the last one, or begin with the window, and go on past midnight to what is free', () => {
    expect(nextFreeHour([], '07:05')).toBe('07:00');
    expect(nextFreeHour(hours('07:00', '08:30'), '07:05')).toBe('09:00');
    expect(nextFreeHour(hours('00:00', '22:00', '23:00'), '21:00')).toBe('01:00');
    const day = Array.from({ length: 24 }, (_, h) => `${String(h).padStart(2, '0')}:00`);
    expect(nextFreeHour(hours(...day), '07:05')).toBeNull();
    expect(nextFreeHour(hours(...day.filter((at) => at !== '05:00')), '07:05')).toBe('05:00');
  });

  it('lie in a window from its first hour to its last, also over midnight', () => {
    const inside = (from: string, to: string): string[] =>
      ['00:00', '06:00', '07:00', '08:00', '09:00', '22:00', '23:00'].filter((at) => inWindow(at, from, to));
    expect(inside('07:05', '08:25')).toEqual(['07:00', '08:00']);
    expect(inside('22:30', '06:10')).toEqual(['00:00', '06:00', '22:00', '23:00']);
  });
});
