import { beforeAll, describe, expect, it } from 'vitest';
import { deriveFilm } from '../film/derive';
import type { Feature, FilmInput } from '../model';
import { newFeature } from '../site';
import { said } from '../testing';
import { contextOf } from './context';
import { CHECKS } from './registry';
import type { CheckResult } from './types';

let film: FilmInput;
let placeId = '';
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm();
  placeId = film.locations[0]!.id;
});

const LAUNCH = '00000000-0000-4000-8000-0000000000aa';
const at = (kind: Feature['kind'], xM: number, yM: number, more: Partial<Feature> = {}): Feature =>
  newFeature(kind, {
    id: more.id ?? `${kind} ${xM} ${yM}`,
    locationId: placeId,
    shape: 'point',
    points: [{ xM, yM }],
    ...more,
  });
/** The first location flown from a launch point that stands on something, with plan-B landings so far away. */
const flownFrom = (launch: Partial<Feature>, shoresM: readonly number[] = []): FilmInput => ({
  ...film,
  features: [
    ...film.features.filter((f) => f.kind !== 'plan-b' && f.kind !== 'people'),
    at('launch', 0, 0, { id: LAUNCH, name: 'The deck', ...launch }),
    ...shoresM.map((m) => at('plan-b', m, 0, { name: `Shore ${m}` })),
  ],
  locations: film.locations.map((l) => (l.id === placeId ? { ...l, launchId: LAUNCH } : l)),
  shots: film.shots.map((s) => ({ ...s, launchId: null })),
});
const found = (input: FilmInput): Map<string, CheckResult | null> => {
  const c = contextOf(input, deriveFilm(input), { locationId: placeId, site: [], nowMs: 0 })!;
  return new Map(
    CHECKS.filter((k) => k.applies?.(c) ?? true).flatMap((k) => {
      const result = k.evaluate ? k.evaluate(c) : null;
      return k.evaluate && result === null ? [] : [[k.code, result] as const];
    }),
  );
};
const ABOARD = ['shore', 'moving-home', 'hand-launch', 'stake', 'rinsed', 'dried'];
const asked = (input: FilmInput): string[] => ABOARD.filter((code) => found(input).has(code));

describe('launching from a boat or a vehicle', () => {
  it('asks what belongs to it: nothing on the ground, hands aboard, a moving home only under way', () => {
    expect(asked(flownFrom({}))).toEqual([]);
    expect(asked(flownFrom({ movesMs: 3 }))).toEqual([]);
    expect(asked(flownFrom({ footing: 'vehicle' }))).toEqual(['hand-launch', 'rinsed', 'dried']);
    expect(asked(flownFrom({ footing: 'vehicle', movesMs: 3 }))).toContain('moving-home');
    expect(asked(flownFrom({ footing: 'boat', movesMs: 2 }))).toEqual(ABOARD);
  });

  it('wants a landing on the shore that what is left in the pack reaches, the nearest of several', () => {
    const shore = (metres: readonly number[]) => found(flownFrom({ footing: 'boat' }, metres)).get('shore')!;
    expect(shore([])).toMatchObject({ verdict: 'fail' });
    expect(shore([150])).toMatchObject({ verdict: 'pass' });
    expect(said(shore([150]).say)).toContain('Shore 150 takes');
    expect(shore([15_000])).toMatchObject({ verdict: 'fail' });
    expect(said(shore([15_000]).say)).toContain('only');
    expect(said(shore([15_000, 150]).say)).toContain('Shore 150');
    // Further never costs less: the verdict turns once, and stays turned.
    const verdicts = [100, 400, 1600, 3000, 6000, 12_000].map((m) => shore([m]).verdict);
    expect(verdicts).toEqual([...verdicts].sort().reverse());
  });

  it('gives each flight off a boat a card of its own, as over water', () => {
    const away = (input: FilmInput) =>
      deriveFilm(input)
        .budget.cards.byFlight.filter((l) => l.flight.locationId === placeId)
        .map((l) => l.away);
    expect(new Set(away(flownFrom({ footing: 'boat' })))).toEqual(new Set(['water']));
    expect(away(flownFrom({ footing: 'vehicle' }))).not.toContain('water');
  });
});

describe('what is set before it is needed', () => {
  it('asks for a free channel among people or lamps, and for the payload setting with something fitted', () => {
    const quiet = found(flownFrom({}));
    expect(quiet.has('channel')).toBe(false);
    const crowd = flownFrom({});
    expect(found({ ...crowd, features: [...crowd.features, at('people', 50, 50)] }).has('channel')).toBe(
      true,
    );
    const lit = crowd.locations.map((l) => ({ ...l, lamps: 'lit-street' as const }));
    expect(found({ ...crowd, locations: lit }).has('channel')).toBe(true);
    const gear = film.kit.gear.map((g) => ({ ...g, fitted: false }));
    expect(found({ ...film, kit: { ...film.kit, gear } }).has('payload')).toBe(false);
    const strobe = { ...gear[0]!, id: 'strobe', fitted: true, massG: 12, count: 2, aircraftIds: [] };
    expect(found({ ...film, kit: { ...film.kit, gear: [...gear, strobe] } }).has('payload')).toBe(true);
  });

  it('asks about the front lights only where the sun is low while it flies', () => {
    const at12 = film.locations.map((l) => ({ ...l, windowStart: '12:00', windowEnd: '15:00' }));
    const shots = film.shots.map((s) => ({ ...s, wants: 'any' as const, notBefore: null, notAfter: null }));
    expect(found({ ...film, shots, locations: at12 }).has('front-lights')).toBe(false);
    const at22 = film.locations.map((l) => ({ ...l, windowStart: '21:30', windowEnd: '23:00' }));
    expect(found({ ...film, shots, locations: at22 }).has('front-lights')).toBe(true);
  });

  it('tries modes and limits with an aircraft that is new or was updated since it last flew; a simulated flight is none', () => {
    const ids = film.kit.aircraft.map((a) => a.id);
    const flownOn = (day: number, simulated = false) =>
      ids.map((aircraftId, i) => ({
        ...film.kit.flightLog[0]!,
        id: `${day} ${i}`,
        aircraftId,
        simulated,
        utcMs: Date.UTC(2027, 3, day, 12),
      }));
    const asks = (firmwareOn: string | null, flightLog: FilmInput['kit']['flightLog']) => {
      const aircraft = film.kit.aircraft.map((a) => ({ ...a, firmwareOn }));
      const codes = found({ ...film, kit: { ...film.kit, aircraft, flightLog } });
      expect(codes.has('limits-set')).toBe(codes.has('stick-modes'));
      return codes.has('stick-modes');
    };
    expect(asks(null, [])).toBe(true);
    expect(asks(null, flownOn(5))).toBe(false);
    expect(asks(null, flownOn(5, true))).toBe(true);
    expect(asks('2027-04-04', flownOn(5))).toBe(false);
    expect(asks('2027-04-06', flownOn(5))).toBe(true);
    expect(asks('2027-04-06', [...flownOn(5), ...flownOn(7)])).toBe(false);
    // What is looked up after the day of the film changes nothing on it.
    expect(asks('2028-01-01', flownOn(5))).toBe(false);
  });
});
