import { demoFilm } from '@demo';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deriveFilm, FilmDeriver, type DerivedFilm } from './derive';
import type { FilmInput, Shot } from '../model';
import { numberIn } from '../testing';

const film: FilmInput = demoFilm();
const changed = (input: FilmInput, at: number, speedMs: number): FilmInput => ({
  ...input,
  shots: input.shots.map((s, i): Shot =>
    i === at % input.shots.length
      ? { ...s, takes: 1 + (at % 4), move: { ...s.move, values: { ...s.move.values, speedMs } } }
      : s,
  ),
});
const told = ({ shots, order, places, budget, charges, done }: DerivedFilm) => ({
  order,
  done,
  charges,
  budget,
  fills: [...places.values()].map((p) => p.fill),
  flights: [...places.values()].map((p) => p.flights),
  shots: [...shots.values()].map(({ facts, light, filter, unfit, flightIndex, warnings }) => ({
    wh: facts.energy?.totalWh,
    airS: facts.seconds.airS,
    light,
    filter,
    unfit,
    flightIndex,
    warnings,
  })),
});

describe('a film worked out in steps', () => {
  it('comes to what it comes to at once, whatever is asked and changed in between', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            at: fc.nat(40),
            speedMs: numberIn(1, 6),
            pause: fc.integer({ min: 1, max: 30 }),
          }),
          { minLength: 1, maxLength: 4 },
        ),
        (edits) => {
          const reckoner = new FilmDeriver();
          let [input, whole] = [film, reckoner.derive(film)];
          for (const { at, speedMs, pause } of edits) {
            const begun = changed(input, at, speedMs);
            input = changed(begun, at + 1, speedMs + 1);
            const steps = reckoner.steps(begun);
            let n = 0;
            for (let step = steps.next(); ; step = steps.next()) {
              if (step.done) {
                whole = step.value;
                break;
              }
              // Newer than what is under way: the shot in hand, and the flights a dragged one would make.
              n += 1;
              if (n % pause === 0) {
                reckoner.shot(input, whole, input.shots[at % input.shots.length]?.id ?? '');
                reckoner.flights(input);
              }
            }
            expect(n).toBeGreaterThan(input.shots.length);
            expect(told(whole)).toEqual(told(deriveFilm(begun)));
          }
          expect(told(reckoner.derive(input))).toEqual(told(deriveFilm(input)));
        },
      ),
      { numRuns: 12 },
    );
  });
});
