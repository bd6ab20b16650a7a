import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoFilm } from '../../demo';
import { FilmDeriver, type DerivedFilm } from '../film';
import { exposurePlan } from '../light-timeline';
import { newRow, type FilmInput, type Take } from '../model';
import { locationLight } from '../shot';
import { Reached, said } from '../testing';
import { beforeNextFlight, eveningWork, flightSetup, lightLeft, missingAt, nextClip, practiceFrom } from '.';

const input = demoFilm();
const derive = (film: FilmInput): DerivedFilm => new FilmDeriver().derive(film);
const derived = derive(input);
const places = [...derived.places.values()];
const exposures = places.flatMap((p) =>
  p.light
    ? exposurePlan(
        p,
        derived.shots,
        input.kit,
        locationLight(p.location, p.light, input.readings, input.film.preferences),
      )
    : [],
);
const setups = places.flatMap((p) =>
  p.flights.map((f) =>
    flightSetup(f, derived.budget.cards.byFlight, exposures.find((e) => e.flight === f) ?? null),
  ),
);
const change = (film: FilmInput, a: number, b: number, what: string) =>
  beforeNextFlight(film, setups[a]!, setups[b]!).find((s) => s.what === what);

describe('before the next flight', () => {
  it('confirms everything and changes nothing when the same flight is flown again', () => {
    for (const setup of setups) {
      const steps = beforeNextFlight(input, setup, { ...setup, last: setup.first, filters: setup.filters });
      const moved = steps.filter((s) => !s.same).map((s) => s.what);
      // Light moves along a flight, and a landing in it may have changed the filter.
      expect(moved.filter((w) => w !== 'setting' && w !== 'filter')).toEqual([]);
    }
  });

  it('names the pack, card, filter and setting that come next, and says so only where they change', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: setups.length - 1 }),
        fc.integer({ min: 0, max: setups.length - 1 }),
        (a, b) => {
          const [before, next] = [setups[a]!, setups[b]!];
          const pack = change(input, a, b, 'pack')!;
          const name = input.kit.packs.find((p) => p.id === next.flight.packId)?.name;
          expect(said(pack.say)).toContain(name ?? 'No pack');
          expect(pack.same).toBe(next.flight.packId === before.flight.packId);
          reached.when('another pack', !pack.same);
          const card = change(input, a, b, 'card')!;
          // A tick on the pack holds for this pack, whatever charge a plan worked out again gives it.
          expect(pack.of).toBe(next.flight.packId ?? '');
          expect(card.of).toBe(next.load?.cardId ?? '');
          expect(card.same).toBe(next.load?.cardId !== null && next.load?.cardId === before.load?.cardId);
          reached.when('another card', !card.same);
          const setting = change(input, a, b, 'setting');
          if (next.first) expect(said(setting!.say)).toContain(`ISO ${next.first.iso}`);
          else expect(setting).toBeUndefined();
          reached.when('another setting', setting?.same === false);
          reached.when('moved', change(input, a, b, 'launch') !== undefined);
          if (next.flight.locationId !== before.flight.locationId)
            expect(change(input, a, b, 'launch')).toBeDefined();
        },
      ),
      { numRuns: 200 },
    );
    for (const what of ['another pack', 'another card', 'another setting', 'moved']) reached.atLeast(what, 5);
  });

  it('keeps packs from the cold below 10 °C', () => {
    const at = (temperatureC: number): FilmInput => ({
      ...input,
      locations: input.locations.map((l) => ({ ...l, temperatureC })),
    });
    expect(change(at(9), 0, 1, 'cold')).toBeDefined();
    expect(change(at(10), 0, 1, 'cold')).toBeUndefined();
  });
});

describe('leaving a location', () => {
  const place = places[0]!;
  const at = (nowMs: number, film = input) => missingAt(film, derive(film), place, nowMs);

  it('lists every shot that is not done, musts first, and none once all are', () => {
    const missing = at(place.windowFromMs);
    const own = [...derived.shots.values()].filter((s) => s.facts.location.id === place.location.id);
    expect(missing.map((m) => m.shotId).sort()).toEqual(own.map((s) => s.facts.shot.id).sort());
    const ranks = missing.map((m) => derived.shots.get(m.shotId)!.facts.shot.priority);
    expect(ranks.lastIndexOf('must')).toBeLessThan(
      ranks.findIndex((p) => p !== 'must') === -1 ? Infinity : ranks.findIndex((p) => p !== 'must'),
    );
    const takes = own.map(({ facts }) =>
      newRow('take', {
        id: facts.shot.id,
        locationId: place.location.id,
        shotId: facts.shot.id,
        utcMs: 1,
        rating: 'good',
      }),
    );
    const done = { ...input, takes };
    expect(missingAt(done, derive(done), derive(done).places.get(place.location.id)!, 0)).toEqual([]);
  });

  it('loses light as the window runs out, never gains it, and has none after it', () => {
    const length = place.windowToMs - place.windowFromMs;
    let before = Infinity;
    for (let i = 0; i <= 12; i += 1) {
      const lit = at(place.windowFromMs + (length * i) / 12).filter((m) => m.lightFromMs !== null).length;
      expect(lit).toBeLessThanOrEqual(before);
      before = lit;
    }
    const late = at(place.windowToMs + 1);
    expect(late.every((m) => m.lightFromMs === null)).toBe(true);
    expect(said(late[0]!.say)).toContain('does not come again');
  });

  it('finds no pack where none is along', () => {
    const bare = { ...input, kit: { ...input.kit, packs: [] } };
    const left = missingAt(
      bare,
      derive(bare),
      derive(bare).places.get(place.location.id)!,
      place.windowFromMs,
    );
    expect(left.length).toBeGreaterThan(0);
    expect(left.every((m) => m.packIds.length === 0)).toBe(true);
  });
});

describe('light left for a shot', () => {
  const own = [...derived.shots.values()].filter((s) => s.facts.shot.wants !== 'any');
  it('counts down to its end, comes when it said, and is gone after the last of it', () => {
    const reached = new Reached();
    expect(own.length).toBeGreaterThan(0);
    for (const shot of own) {
      const place = derived.places.get(shot.facts.location.id)!;
      for (let ms = place.windowFromMs; ms <= place.windowToMs; ms += 300_000) {
        const now = lightLeft(input, place, shot, ms)!;
        reached.when(now.state, true);
        if (now.state === 'later') {
          expect(now.fromMs).toBeGreaterThan(ms);
          expect(lightLeft(input, place, shot, now.fromMs)!.state).toBe('now');
        }
        if (now.state === 'now') {
          expect(now.toMs).toBeGreaterThan(ms);
          expect(lightLeft(input, place, shot, now.toMs - 1)).toEqual(now);
          const after = lightLeft(input, place, shot, now.toMs)!;
          expect(after.state === 'now' && after.toMs === now.toMs).toBe(false);
        }
      }
    }
    for (const state of ['now', 'later', 'gone']) reached.atLeast(state, 3);
    const any = [...derived.shots.values()].find((s) => s.facts.shot.wants === 'any')!;
    expect(lightLeft(input, places[0]!, any, places[0]!.windowFromMs)).toBeNull();
  });
});

describe('the name of the next clip', () => {
  const take = (utcMs: number, clip: string, more: object = {}) =>
    newRow('take', {
      id: `${utcMs}`,
      locationId: 'l',
      shotId: 's',
      utcMs,
      rating: 'good',
      cardId: 'a',
      clip,
      ...more,
    });
  it('counts on from the last that was named, by card, keeping its digits', () => {
    expect(nextClip([take(1, 'C0007.MP4')], 'a')).toBe('C0008.MP4');
    expect(nextClip([take(1, 'C0009'), take(2, ''), take(3, '')], 'a')).toBe('C0012');
    expect(nextClip([take(1, 'C0009'), take(2, '', { reason: 'not-recording' })], 'a')).toBe('C0010');
    expect(nextClip([take(2, 'B0001'), take(1, 'B0099')], 'a')).toBe('B0002');
    expect(nextClip([take(1, 'C0007')], 'b')).toBe('');
    expect(nextClip([take(1, 'no number')], 'a')).toBe('');
    expect(nextClip([], null)).toBe('');
    expect(nextClip([take(1, 'C9999')], 'a')).toBe('C10000');
  });
});

describe('takes as practice', () => {
  const shot = (id: string, kind: string) =>
    ({ id, handling: 'slow', move: { kind } }) as unknown as Parameters<typeof practiceFrom>[1][number];
  const take = (shotId: string, utcMs: number, more: Partial<Take>) =>
    newRow('take', { id: `${utcMs}`, locationId: 'l', shotId, utcMs, rating: 'good', ...more });
  it('counts every recorded take of a shot once, the good ones as keepers', () => {
    let n = 0;
    const rows = practiceFrom(
      [
        take('s', 1, {}),
        take('s', 3, { rating: 'no-good', reason: 'drifted' }),
        take('s', 2, { rating: 'no-good', reason: 'not-recording' }),
        take('t', 4, { rating: 'maybe' }),
        take('t', 9, { simulated: true }),
        take('gone', 5, {}),
      ],
      [shot('s', 'orbit'), shot('t', 'slide')],
      'a',
      () => `${(n += 1)}`,
    );
    expect(rows.map((r) => [r.moveKind, r.tries, r.keepers, r.utcMs, r.shotId])).toEqual([
      ['orbit', 2, 1, 3, 's'],
      ['slide', 1, 0, 4, 't'],
    ]);
  });
});

describe('the evening', () => {
  const [date] = input.locations.map((l) => l.date).sort();
  const pack = input.kit.packs[0]!;
  const withPack = (charge: number, more: Partial<FilmInput> = {}): FilmInput => ({
    ...input,
    ...more,
    kit: { ...input.kit, packs: [{ ...pack, charge, chargedOn: date! }] },
  });
  it('charges for a next day that is near, and brings to storage where none follows', () => {
    const alone = { locations: input.locations.map((l) => ({ ...l, date: date! })) };
    const near = {
      locations: [
        { ...input.locations[0]!, date: date! },
        { ...input.locations[0]!, id: 'x', date: '2099-01-01' },
      ],
    };
    const goal = (film: FilmInput): string => eveningWork(film, date!).packs[0]!.goal;
    expect(goal(withPack(0.3, alone))).toBe('storage');
    expect(goal(withPack(1, alone))).toBe('storage');
    expect(goal(withPack(0.55, alone))).toBe('leave');
    expect(goal(withPack(1, near))).toBe('storage');
    const [d, m, y] = [Number(date!.slice(8)), date!.slice(0, 8), eveningWork(input, date!).nextDate];
    const tomorrow = `${m}${String(d + 1).padStart(2, '0')}`;
    expect(y === null || y > date!).toBe(true);
    const next = { locations: [...alone.locations, { ...input.locations[0]!, id: 'y', date: tomorrow }] };
    expect(goal(withPack(0.3, next))).toBe('charge');
    expect(goal(withPack(1, next))).toBe('leave');
  });
  it('asks for copies until a card has them all', () => {
    const card = { ...input.kit.cards[0]!, usedGB: 0 };
    const move = (utcMs: number, act: 'record' | 'copy') =>
      newRow('cardMove', { id: String(utcMs), cardId: card.id, utcMs, act, gb: act === 'record' ? 8 : 0 });
    const wanted = input.film.preferences.copiesWanted;
    const moves = [move(1, 'record'), ...Array.from({ length: wanted }, (_, i) => move(i + 2, 'copy'))];
    moves.forEach((_, i) => {
      const film = { ...input, kit: { ...input.kit, cards: [card], cardMoves: moves.slice(0, i + 1) } };
      const { cards } = eveningWork(film, date!);
      if (i < wanted) expect(cards[0]).toMatchObject({ cardId: card.id, gb: 8, copies: i, wanted });
      else expect(cards).toEqual([]);
    });
  });
});
