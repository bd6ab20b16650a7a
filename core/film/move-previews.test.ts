import { beforeAll, describe, expect, it } from 'vitest';
import type { FilmInput } from '../model';
import { changeMoveKind, MOVES } from '../moves';
import { movePreviews } from '../shot';
import { deriveFilm } from './derive';

let film: FilmInput;
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm() as FilmInput;
});

describe('the moves a shot may be changed to', () => {
  it('are pictured as they are flown once chosen', () => {
    const compared = new Set<string>();
    const facts = [...deriveFilm(film).shots.values()].filter((_, i) => i % 6 === 0).map((s) => s.facts);
    for (const f of facts)
      for (const preview of movePreviews(f)) {
        const move = changeMoveKind(f.shot.move, preview.move.kind, f.aim)!;
        const changed: FilmInput = {
          ...film,
          shots: film.shots.map((s) => (s.id === f.shot.id ? { ...s, move } : s)),
        };
        const flown = deriveFilm(changed).shots.get(f.shot.id)!.facts.trajectory;
        if (!preview.trajectory || !flown) continue;
        compared.add(preview.move.kind);
        expect([preview.move.kind, preview.trajectory.totalS]).toEqual([preview.move.kind, flown.totalS]);
        expect(preview.inputs).toBe(flown.simultaneous);
      }
    expect(compared.size).toBeGreaterThanOrEqual(MOVES.length - 4);
  });
  it('name what the aircraft cannot: faster than it flies, a tilt its camera does not have', () => {
    const [first] = deriveFilm(film).shots.values();
    const slow = { ...first!.facts, aircraft: { ...first!.facts.aircraft!, maxSpeedMs: 0.5 } };
    const beyond = movePreviews(slow).filter((p) => p.beyond === 'speed');
    expect(beyond.length).toBeGreaterThan(10);
    expect(beyond.every((p) => p.trajectory!.peakSpeedMs > 0.5)).toBe(true);
    const fixed = { ...first!.facts, camera: { ...first!.facts.camera!, fixedTiltDeg: -20 } };
    const tilted = movePreviews(fixed).filter((p) => p.beyond === 'tilt');
    expect(tilted.map((p) => p.move.kind)).toContain('tilt-reveal');
    expect(tilted.every((p) => p.trajectory!.inputs.includes('tilt'))).toBe(true);
  });
});
