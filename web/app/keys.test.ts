import { describe, expect, it } from 'vitest';
import { deriveFilm } from '../../core/film/derive';
import type { FilmInput } from '@core/model';
import { fieldText, readNumber } from '../format';
import { arrowHead, fit, roundStep } from '@core/drawing';
import { columnsOf } from '../views/shots/packs';

describe('numbers in fields', () => {
  it('reads comma and point, writes without noise', () => {
    expect([readNumber('28,5'), readNumber(' 3.20 '), readNumber('')]).toEqual([28.5, 3.2, NaN]);
    expect([fieldText(0.1 + 0.2), fieldText(12), fieldText(NaN)]).toEqual(['0.3', '12', '']);
  });
});

describe('drawing', () => {
  it('fits spots into a box at one scale, y up', () => {
    const { at, scale } = fit(
      [
        { x: 0, y: 0 },
        { x: 100, y: 10 },
      ],
      220,
      60,
      10,
    );
    expect(scale).toBe(2);
    expect(at({ x: 0, y: 0 }).y).toBeGreaterThan(at({ x: 0, y: 10 }).y);
  });
  it('has round scale steps and no arrow for a point', () => {
    expect([roundStep(437, 5), roundStep(9, 5), roundStep(1000, 5)]).toEqual([100, 2, 200]);
    expect(arrowHead([{ x: 1, y: 1 }], 6)).toBe('');
  });
});

describe('packs stood on end', () => {
  it('are as long as what they hold, and their pieces as long as what they cost', async () => {
    const film = (await import('../../demo')).demoFilm() as FilmInput;
    const derived = deriveFilm(film);
    for (const place of derived.places.values()) {
      for (const column of columnsOf(derived, place, film.kit.packs)) {
        expect(column.pieces.reduce((sum, p) => sum + p.wattHours, 0)).toBeCloseTo(column.usedWh, 6);
        expect(column.heldWh - column.usedWh).toBeGreaterThanOrEqual(column.reserveWh - 1e-6);
        column.pieces.forEach((p, i) => {
          if (i > 0) {
            const before = column.pieces[i - 1]!;
            expect(p.fromWh).toBeCloseTo(before.fromWh + before.wattHours, 6);
          }
        });
      }
    }
    const none = deriveFilm({
      ...film,
      film: { ...film.film, leftHome: film.kit.packs.slice(1).map((p) => p.id) },
    });
    const first = [...none.places.values()].find((p) => p.fill.hypothetical.length > 0)!;
    expect(columnsOf(none, first, film.kit.packs.slice(0, 1)).filter((c) => c.ghost)).toHaveLength(
      first.fill.hypothetical.length,
    );
  });
});
