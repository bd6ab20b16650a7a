import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import type { FilmInput } from '@core/model';
import { changedLocations } from './changed-locations';

let film: FilmInput;
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm();
});
const all = (): string[] => film.locations.map((l) => l.id);
const told = (before: FilmInput | null, now: FilmInput): string[] =>
  [...changedLocations(before, now)].sort();

describe('which places are another', () => {
  it('all at first, and when something all of them share changed; none when nothing did', () => {
    expect(told(null, film)).toEqual(all().sort());
    expect(told(film, { ...film, film: { ...film.film } })).toEqual(all().sort());
    expect(told(film, { ...film, kit: { ...film.kit, aircraft: [...film.kit.aircraft] } })).toEqual(
      all().sort(),
    );
    expect(told(film, { ...film, readings: [] })).toEqual([]);
    expect(told(film, { ...film, shots: [...film.shots] })).toEqual([]);
  });
  it('exactly those of which a row was changed, added or taken away', () => {
    const kinds = ['shots', 'subjects', 'features'] as const;
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        fc.nat(1000),
        fc.constantFrom('change', 'remove', 'add', 'move'),
        (kind, n, act) => {
          const list: readonly { readonly id: string; readonly locationId: string }[] = film[kind];
          const row = list[n % list.length]!;
          const elsewhere = all().find((id) => id !== row.locationId)!;
          const next = {
            change: list.map((r) => (r === row ? { ...r } : r)),
            remove: list.filter((r) => r !== row),
            add: [...list, { ...row, id: 'new' }],
            move: list.map((r) => (r === row ? { ...r, locationId: elsewhere } : r)),
          }[act];
          const now = { ...film, [kind]: next } as FilmInput;
          expect(told(film, now)).toEqual(
            act === 'move' ? [elsewhere, row.locationId].sort() : [row.locationId],
          );
        },
      ),
    );
  });
});
