import { describe, expect, it } from 'vitest';
import { readTakeLog } from './take-log';

const FILM = '00000000-0000-4000-8000-000000000001';
const SHOT = {
  id: '00000000-0000-4000-8000-000000000002',
  locationId: '00000000-0000-4000-8000-000000000003',
};
const noted = (n: number, more: object = {}) => ({
  id: `00000000-0000-4000-8000-0000000001${String(n).padStart(2, '0')}`,
  shotId: SHOT.id,
  locationId: SHOT.locationId,
  utcMs: 1_800_000_000_000 + n,
  rating: 'good',
  ...more,
});
const log = (takes: unknown, more: object = {}): string =>
  JSON.stringify({ format: 'dusk-slate-takes', formatVersion: 1, filmId: FILM, takes, ...more });
const read = (text: string, there: readonly { id: string }[] = []) => readTakeLog(text, FILM, [SHOT], there);
const reason = (text: string): string => {
  const r = read(text);
  return r.ok ? '' : r.reason;
};

describe('a log of takes that was taken along', () => {
  it('becomes takes with what was noted, each only once, those of strange shots named', () => {
    const first = noted(1);
    const result = read(log([first, noted(2, { rating: 'no-good' }), noted(3, { shotId: FILM })]), [
      { id: first.id },
    ]);
    expect(result).toMatchObject({
      ok: true,
      value: {
        known: 1,
        strange: 1,
        takes: [{ shotId: SHOT.id, locationId: SHOT.locationId, rating: 'no-good', clip: '' }],
      },
    });
  });
  it('stands where its shot stands now, wherever it was when the page was made', () => {
    const moved = read(log([noted(1, { locationId: FILM })]));
    expect(moved.ok && moved.value.takes[0]?.locationId).toBe(SHOT.locationId);
  });
  it('is refused with a reason where it is none', () => {
    expect(reason('{')).toMatch('no readable JSON');
    expect(reason('[]')).toMatch('not a log of takes');
    expect(reason('null')).toMatch('not a log of takes');
    expect(reason(log([], { filmId: SHOT.id }))).toMatch('another film');
    expect(reason(log([], { formatVersion: 2 }))).toMatch('newer version');
    for (const broken of [{ id: 'x' }, { utcMs: 'now' }, { rating: 'great' }, { shotId: null }])
      expect(reason(log([noted(1, broken)]))).toMatch('cannot be read');
    expect(reason(log('many'))).toMatch('cannot be read');
  });
});
