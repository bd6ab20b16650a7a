import { beforeAll, describe, expect, it } from 'vitest';
import { FilmDeriver, type DerivedFilm } from '../film';
import type { FilmInput } from '../model';
import { verdictOf, type Verdict } from '../verdict';
import { daysOf } from './days';
import { partStates, type Found } from './marks';
import { nextSteps } from './next-steps';

/** The made-up film, loaded at run time: the core itself imports nobody. */
let film: FilmInput;
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm() as FilmInput;
});
const deriveFilm = (input: FilmInput): DerivedFilm => new FilmDeriver().derive(input);
const FITS: Verdict = { state: 'fits', shots: 1, failing: 0, warnings: 0, reasons: [] };
const NOT: Verdict = { ...FITS, state: 'not', failing: 3 };
const found = (more: Partial<Found> = {}): Found => ({
  verdict: FITS,
  locations: [],
  shots: [],
  unfit: 0,
  flights: 2,
  done: 0,
  ...more,
});
const codes = (input: FilmInput, verdict = FITS): string[] => nextSteps(input, verdict).map((s) => s.code);

describe('a film by day', () => {
  it('has every shot and flight on exactly one day, and the sums of the budget', () => {
    const derived = deriveFilm(film);
    const days = daysOf(derived);
    const sum = (of: (d: (typeof days)[number]) => number): number => days.reduce((n, d) => n + of(d), 0);
    expect(days.length).toBeGreaterThan(1);
    expect(days.map((d) => d.date)).toEqual(days.map((d) => d.date).toSorted());
    expect(sum((d) => d.locations.reduce((n, l) => n + l.shots, 0))).toBe(film.shots.length);
    expect(sum((d) => d.airborneS)).toBeCloseTo(derived.budget.airborneS, 6);
    expect(sum((d) => d.bytes)).toBeCloseTo(derived.budget.bytes, 0);
    expect(Math.max(...days.map((d) => d.packs))).toBe(derived.budget.packsUsed);
    for (const d of days)
      for (const [i, l] of d.locations.entries()) {
        expect(l.toMs).toBeGreaterThan(l.fromMs);
        if (i > 0) expect(l.fromMs).toBeGreaterThanOrEqual(d.locations[i - 1]!.fromMs);
      }
  });
  it('is nothing without locations', () =>
    expect(daysOf(deriveFilm({ ...film, locations: [], shots: [], subjects: [], features: [] }))).toEqual(
      [],
    ));
});

describe('what a film needs next', () => {
  it('begins with what everything waits for', () => {
    const bare: FilmInput = {
      ...film,
      film: { ...film.film, purpose: '', audience: '' },
      kit: { ...film.kit, aircraft: [], packs: [] },
      locations: [],
      shots: [],
    };
    expect(codes(bare, { ...FITS, state: 'nothing' })).toEqual(['brief', 'aircraft', 'location']);
    expect(codes({ ...film, shots: [] }, { ...FITS, state: 'nothing' })[0]).toBe('shots');
    expect(codes({ ...film, kit: { ...film.kit, packs: [] } })).toContain('pack');
    expect(codes({ ...film, locations: film.locations.map((l) => ({ ...l, placed: false })) })[0]).toBe(
      'coordinates',
    );
  });
  it('counts what does not fit, typical figures and warnings, and ends with the copies', () => {
    const typical = {
      ...film,
      kit: { ...film.kit, aircraft: film.kit.aircraft.map((a) => ({ ...a, typical: ['massKg', 'spanM'] })) },
    };
    expect(nextSteps(typical, NOT).slice(0, 2)).toEqual([
      { code: 'mend', count: 3 },
      { code: 'typical', count: 2 * film.kit.aircraft.length },
    ]);
    expect(codes({ ...film, answers: [] })).toContain('checks');
    expect(codes(film, { ...FITS, state: 'done' })).toContain('copy');
  });
});

describe('the state of each part', () => {
  it('is never fits where the verdict is not known, and never guessed', () => {
    const states = partStates(film, found({ verdict: verdictOf([], [], false) }));
    expect([states.shots, states.locations, states.light, states.flights]).toEqual([null, null, null, null]);
  });
  it('is the worst of what was found about that part alone', () => {
    const warning = (code: string, severity: 'stop' | 'care') =>
      ({
        code,
        severity,
        subject: { kind: 'film' },
        say: { key: 'x', values: {} },
        why: null,
        cures: [],
      }) as never;
    const states = partStates(
      film,
      found({
        verdict: NOT,
        locations: [warning('site.loss', 'care')],
        shots: [warning('light.wish', 'care'), warning('move.gap', 'stop')],
        unfit: 1,
      }),
    );
    expect(states).toMatchObject({
      locations: 'care',
      shots: 'stop',
      light: 'care',
      flights: 'stop',
      brief: 'fits',
    });
  });
  it('is empty where nothing was entered, and done where all was flown', () => {
    const none = { ...film, shots: [], locations: [], answers: [], kit: { ...film.kit, aircraft: [] } };
    expect(partStates(none, found({ verdict: { ...FITS, state: 'nothing' }, flights: 0 }))).toMatchObject({
      locations: 'empty',
      shots: 'empty',
      light: 'empty',
      flights: 'empty',
      checks: 'empty',
      kit: 'empty',
      field: null,
    });
    expect(partStates(film, found({ done: film.shots.length })).field).toBe('fits');
  });
});
