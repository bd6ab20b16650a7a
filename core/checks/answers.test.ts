import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoFilm } from '../../demo';
import { deriveFilm } from '../film/derive';
import type { Answer, FilmInput } from '../model';
import { Reached } from '../testing';
import { newAnswer, sensingOffAnswer, sensingOffBecause, sheetsOf } from '.';

const film = demoFilm() as FilmInput;
const at = film.shots.findIndex((s) => s.title === 'Signal hut, smoke');
const off: FilmInput = {
  ...film,
  shots: film.shots.map((s, i) => (i === at ? { ...s, sensing: 'off' } : s)),
};
const shot = off.shots[at]!;
const said = { id: 'a', reason: 'thin branches', who: 'Pilot' };

/** Lines before the take of that shot. */
const linesOf = (input: FilmInput, answers: readonly Answer[]) => {
  const whole = { ...input, answers: [...answers] };
  const derived = deriveFilm(whole);
  const place = derived.places.get(shot.locationId)!;
  const context = {
    input: whole,
    derived,
    date: place.location.date,
    places: [place],
    place,
    flight: place.flights[0] ?? null,
    shot: derived.shots.get(shot.id)!,
    site: [],
    nowMs: place.windowFromMs,
  };
  return new Map(
    sheetsOf(context)
      .find((s) => s.moment === 'before-take')!
      .lines.map((l) => [l.id, l.status] as const),
  );
};

describe('a shot that is flown with its sensing off', () => {
  it('is held up until somebody says why, and the log keeps who and when', () => {
    expect(linesOf(film, []).has('sensing-off')).toBe(false);
    expect(linesOf(film, []).get('sensing')).toBe('open');
    // Off and on are never asked about together.
    expect(linesOf(off, []).has('sensing')).toBe(false);
    expect(linesOf(off, []).get('sensing-off')).toBe('failed');
    const answer = sensingOffBecause([], shot, said, 5000);
    expect(linesOf(off, [answer]).get('sensing-off')).toBe('waived');
    expect(sensingOffAnswer([answer], shot)).toMatchObject({ ...said, utcMs: 5000 });
    expect(sensingOffAnswer([answer], film.shots[at + 1]!)).toBeNull();
  });

  it('has nothing to say of an aircraft that senses nothing', () => {
    const aircraft = off.kit.aircraft.map((a) => ({ ...a, senses: [] }));
    expect(linesOf({ ...off, kit: { ...off.kit, aircraft } }, []).has('sensing-off')).toBe(false);
  });

  it('goes by the newest word, also of a clock that was set back', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 9999 }), { minLength: 2, maxLength: 6 }), (clocks) => {
        const given: Answer[] = [];
        for (const [i, nowMs] of clocks.entries()) {
          const reason = `reason ${i}`;
          const next = sensingOffBecause(given, shot, { ...said, id: `a${i}`, reason }, nowMs);
          reached.when('set back', next.utcMs !== nowMs);
          given.push(next);
          expect(sensingOffAnswer([...given].reverse(), shot)?.reason).toBe(reason);
        }
        const back = newAnswer(given, { ...given[0]!, id: 'b', verdict: 'open' }, 0);
        expect(sensingOffAnswer([...given, back], shot)).toBeNull();
      }),
    );
    reached.atLeast('set back', 40);
  });
});
