import { describe, expect, it } from 'vitest';
import { demoFilm } from '../../demo';
import type { FilmInput } from '../model';
import { dateIn } from '../time';
import { readyNow } from './ready';

const film = demoFilm();
const [place] = film.locations;
const [like] = film.shots;
/** Late morning in June, far from the day the film is planned for. */
const NOON = Date.UTC(2027, 5, 20, 10, 30);
const now = (input: FilmInput, atMs = NOON) => readyNow(input, place!, { ...like!, wants: 'any' }, atMs)!;
const withKit = (kit: Partial<FilmInput['kit']>): FilmInput => ({ ...film, kit: { ...film.kit, ...kit } });

describe('ready for chance', () => {
  it('stands today at this minute, whatever day the film is planned for, and leaves the film alone', () => {
    const before = structuredClone({ l: film.locations, s: film.shots });
    const ready = now(film);
    expect(ready.location.date).toBe(dateIn(NOON, place!.zone));
    expect(ready.shot.light!.sun.altitudeDeg).toBeGreaterThan(50);
    expect(Math.abs(ready.shot.light!.atMs - NOON)).toBeLessThan(3 * 60_000);
    expect({ l: film.locations, s: film.shots }).toEqual(before);
    const night = now(film, NOON + 12 * 3_600_000);
    expect(night.shot.light!.sun.altitudeDeg).toBeLessThan(0);
    const stops = (r: typeof ready) => {
      const { exposure } = r.shot.light!;
      return exposure.ok ? Math.log2(exposure.value.choice.iso / exposure.value.choice.shutterS ** -1) : NaN;
    };
    expect(stops(night)).toBeGreaterThan(stops(ready));
  });

  it('names the pack that flies longest first; less charge is never more minutes, and the reserve is never counted', () => {
    const { packs } = now(film);
    expect(packs.length).toBeGreaterThan(1);
    expect(packs.map((p) => p.minutes)).toEqual(packs.map((p) => p.minutes).sort((a, b) => b - a));
    const id = packs[0]!.pack.id;
    const minutesAt = (charge: number) =>
      now(withKit({ packs: film.kit.packs.map((p) => (p.id === id ? { ...p, charge } : p)) })).packs.find(
        (p) => p.pack.id === id,
      )!.minutes;
    const [full, half, reserve] = [
      minutesAt(1),
      minutesAt(0.6),
      minutesAt(film.film.preferences.reserveShare),
    ];
    expect(half).toBeLessThan(full);
    expect(half).toBeGreaterThan(0);
    expect(reserve).toBe(0);
  });

  it('names the card with most room, and the memory of the aircraft after every card', () => {
    const { cards, shot } = now(film);
    const rate = (shot.facts.mode!.megabitsPerS * 1e6) / 8;
    for (const c of cards)
      if (c.card) expect(c.minutes * 60 * rate).toBeLessThanOrEqual(c.card.nominalGB * 1e9);
    const aircraft = film.kit.aircraft.map((a) => ({ ...a, internalGB: 8 }));
    const bare = now(withKit({ cards: [], aircraft })).cards;
    expect(bare).toHaveLength(1);
    expect(bare[0]!.card).toBeNull();
    expect(bare[0]!.minutes * 60 * rate).toBeCloseTo(8e9 * 0.8, 0);
    expect(now(withKit({ aircraft })).cards.at(-1)!.card).toBeNull();
    const nothing = now(withKit({ cards: [], aircraft: aircraft.map((a) => ({ ...a, internalGB: 0 })) }));
    expect(nothing.cards).toEqual([]);
  });

  it('without an aircraft has nothing to fly with, and says so by an empty list', () =>
    expect(readyNow(film, place!, { ...like!, aircraftId: null }, NOON)!.packs).toEqual([]));
});
