import { beforeAll, describe, expect, it } from 'vitest';
import { INTERNAL_SHARE, isUsed } from './cards-on-board';
import { deriveFilm } from '../film/derive';
import { suggestedSticks } from '../shot';
import type { CardPolicy, FilmInput } from '../model';
import { kitOnLocation } from './location-flights';
import { withChanges } from '../scheduler';
import { layDown } from './manual-edits';

let film: FilmInput;
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm() as FilmInput;
});
const withPolicy = (cardPolicy: CardPolicy, more: Partial<FilmInput['kit']> = {}): FilmInput => ({
  ...film,
  film: { ...film.film, preferences: { ...film.film.preferences, cardPolicy } },
  kit: { ...film.kit, ...more },
});
const manyCards = (n: number): FilmInput['kit']['cards'] =>
  Array.from({ length: n }, (_, i) => ({ ...film.kit.cards[0]!, id: `c${i}`, name: `Card ${i}`, usedGB: 0 }));
const codes = (input: FilmInput): string[] => deriveFilm(input).budget.warnings.map((w) => w.code);

describe('cards of a film', () => {
  it('every byte of every flight is somewhere, by flight, by place and by card', () => {
    const { budget, shots, places } = deriveFilm(film);
    for (const load of budget.cards.byFlight)
      expect(load.bytes).toBeCloseTo(
        load.flight.stops.reduce((sum, s) => sum + shots.get(s.shotId)!.facts.bytes, 0),
        0,
      );
    const whole = budget.cards.byFlight.reduce((sum, l) => sum + l.bytes, 0);
    expect([...budget.cards.byPlace.values()].reduce((a, b) => a + b, 0)).toBeCloseTo(whole, 0);
    expect(
      budget.cards.fills.reduce((sum, f) => sum + f.bytes, 0) +
        budget.cards.overBytes +
        budget.cards.internalBytes,
    ).toBeCloseTo(whole, 0);
    expect(budget.cards.byPlace.size).toBe(places.size);
  });
  it('knows which flights are over water or far away, by the distance the film takes for far', () => {
    const away = (input: FilmInput) => deriveFilm(input).budget.cards.byFlight.map((l) => l.away);
    const pans = film.locations[2]!.id;
    deriveFilm(film).budget.cards.byFlight.forEach((l) =>
      expect(l.away).toBe(l.flight.locationId === pans ? 'water' : null),
    );
    expect(
      away({ ...film, features: film.features.filter((f) => f.kind !== 'water') }).every((a) => a === null),
    ).toBe(true);
    expect(
      away({ ...film, film: { ...film.film, preferences: { ...film.film.preferences, awayM: 20 } } }).every(
        (a) => a !== null,
      ),
    ).toBe(true);
  });
  it('with cards enough a flight over water carries nothing but its own, and what is at stake is told for each habit', () => {
    const { cards } = deriveFilm(withPolicy('fresh-away', { cards: manyCards(12) })).budget;
    const wet = cards.byFlight.filter((l) => l.away === 'water');
    expect(wet.length).toBeGreaterThan(1);
    for (const l of wet) {
      expect(l.shares).toBe(false);
      expect(cards.byFlight.filter((x) => x.cardId === l.cardId)).toEqual([l]);
    }
    const [one, , fresh] = cards.policies;
    expect(fresh!.aboardS).toBeLessThan(one!.aboardS);
    expect([one!.policy, fresh!.policy]).toEqual(['one', 'fresh']);
    expect(fresh!.cards).toBe(cards.byFlight.length);
    expect(deriveFilm(withPolicy('one', { cards: manyCards(12) })).budget.cards.aboardS).toBeCloseTo(
      one!.aboardS,
      6,
    );
    expect(deriveFilm(withPolicy('fresh', { cards: manyCards(12) })).budget.cards.aboardS).toBeCloseTo(
      fresh!.aboardS,
      6,
    );
  });
  it('where no fresh card is left the flight shares one, and says so', () => {
    const poor = withPolicy('fresh-away', { cards: manyCards(1) });
    expect(deriveFilm(poor).budget.cards.byFlight.every((l) => l.cardId !== null)).toBe(true);
    expect(codes(poor)).toContain('card.shared');
    expect(codes(withPolicy('one', { cards: manyCards(1) }))).not.toContain('card.shared');
  });
  it('goes into the memory of the aircraft where no card has room, as far as that goes', () => {
    const none = withPolicy('one', { cards: [] });
    const { cards } = deriveFilm(none).budget;
    expect(codes(none)).toEqual(expect.arrayContaining(['card.internal', 'card.full']));
    for (const craft of film.kit.aircraft) {
      const inside = cards.byFlight
        .filter((l) => l.internal && l.flight.aircraftId === craft.id)
        .reduce((sum, l) => sum + l.bytes, 0);
      expect(inside).toBeLessThanOrEqual(craft.internalGB * 1e9 * INTERNAL_SHARE);
    }
    expect(cards.byFlight.every((l) => l.cardId === null)).toBe(true);
  });
  it('single frames weigh as they are kept: compressed, raw, or both', () => {
    const bytes = (stillAs: 'compressed' | 'raw' | 'both', rawMB = 44): number =>
      [
        ...deriveFilm({
          ...film,
          shots: [{ ...film.shots[0]!, records: 'stills', stills: 5, stillAs }],
          kit: {
            ...film.kit,
            aircraft: film.kit.aircraft.map((a) => ({
              ...a,
              cameras: a.cameras.map((c) => ({ ...c, stillMB: 18, rawMB })),
            })),
          },
        }).shots.values(),
      ][0]!.facts.bytes;
    expect([bytes('compressed'), bytes('raw'), bytes('both'), bytes('raw', 0)]).toEqual([
      90e6, 220e6, 310e6, 90e6,
    ]);
  });
  it('counts what was told of a card, once', () => {
    const card = film.kit.cards[2]!;
    const now = kitOnLocation(film.kit, film.film).cards.find((c) => c.id === card.id)!;
    expect([now.usedGB, isUsed(now)]).toEqual([48, true]);
    const again = kitOnLocation(kitOnLocation(film.kit, film.film), film.film).cards.find(
      (c) => c.id === card.id,
    )!;
    expect(again.usedGB).toBe(48);
    expect(deriveFilm(film).budget.cards.fills.find((f) => f.cardId === card.id)!.roomBytes).toBeCloseTo(
      128e9 * 0.97 * 0.9 - 48e9,
      0,
    );
  });
});

describe('what kit and hands say of a flight', () => {
  it('a pack that does not fit its aircraft is named', () => {
    const place = film.locations[0]!.id;
    const laid = withChanges(film, layDown(film, deriveFilm(film), place).changes);
    const told = (input: FilmInput): string[] =>
      deriveFilm(input)
        .locationWarnings.get(place)!
        .map((w) => w.code);
    expect(told(laid)).not.toContain('flight.misfit');
    const wren = film.kit.packs.find((p) => p.name === 'W2')!;
    expect(
      told({ ...laid, flights: laid.flights.map((f, i) => (i === 0 ? { ...f, packId: wren.id } : f)) }),
    ).toContain('flight.misfit');
  });
  it('a camera that looks higher than it can, or into its propellers, is told', () => {
    const at = (tiltUpDeg: number, propsFromDeg: number): string[] =>
      [
        ...deriveFilm({
          ...film,
          kit: { ...film.kit, aircraft: film.kit.aircraft.map((a) => ({ ...a, tiltUpDeg, propsFromDeg })) },
        }).shots.values(),
      ]
        .flatMap((s) => s.warnings.map((w) => w.code))
        .filter((c) => c === 'move.tilt-up' || c === 'move.propellers');
    expect(at(90, 90)).toEqual([]);
    const looksUp = [...deriveFilm(film).shots.values()].filter(
      (s) =>
        s.facts.camera?.fixedTiltDeg === null &&
        (s.facts.trajectory?.samples.some((x) => x.pose.tiltDeg > 0.6) ?? false),
    ).length;
    expect(at(0, 0)).toHaveLength(looksUp);
  });
  it('the sticks that are suggested give what the move asks, and no slower ones do', () => {
    for (const s of deriveFilm(film).shots.values()) {
      const { aircraft, trajectory } = s.facts;
      const name = suggestedSticks(s.facts);
      if (!aircraft || !trajectory || !name) continue;
      expect(trajectory.peakSpeedMs).toBeLessThanOrEqual(aircraft.handling[name].maxSpeedMs * 1.001);
      if (name !== 'slow') {
        const { slow } = aircraft.handling;
        expect(
          trajectory.peakSpeedMs > slow.maxSpeedMs ||
            trajectory.peakYawDegS > slow.maxYawDegS ||
            trajectory.peakTiltDegS > slow.maxTiltDegS,
        ).toBe(true);
      }
    }
  });
});
