import { beforeAll, describe, expect, it } from 'vitest';
import { newRow, type Practice } from '../model';
import { deriveFilm } from '../film/derive';
import type { DerivedFilm } from '../film';
import type { FilmInput } from '../model';
import { ghostControls, markTry, profileGives, rehearsalOf, STEP_S, Try } from '../rehearsal';
import { moveOf } from '../moves';
import {
  DRILL_LEVELS,
  drillFacts,
  drillHandling,
  drillRecord,
  DRILLS,
  drillsForToday,
  TRIES_A_LEVEL,
} from '.';

let derived: DerivedFilm;
beforeAll(async () => {
  const { demoFilm } = await import('../../demo');
  derived = deriveFilm(demoFilm() as FilmInput);
});
const bases = () => [...derived.shots.values()];
const PILOT = newRow('pilot', { id: 'd0000000-0000-4000-8009-000000000001', name: 'Pilot' });
let n = 0;
const tried = (drillId: string, keepers: number, utcMs = 0): Practice => {
  n += 1;
  return newRow('practice', {
    id: `e0000000-0000-4000-8000-${String(n).padStart(12, '0')}`,
    pilotId: PILOT.id,
    moveKind: DRILLS.find((d) => d.id === drillId)!.moveKind,
    utcMs,
    handling: 'simulator',
    tries: Math.max(1, keepers),
    keepers,
    mark: 60 + keepers,
    drillId,
  });
};

describe('drills', () => {
  it('are known moves with numbers of their own, at every shot’s place and level', () => {
    for (const drill of DRILLS) {
      const parameters = moveOf(drill.moveKind)?.parameters ?? [];
      for (const [id, value] of Object.entries(drill.values)) {
        const p = parameters.find((x) => x.id === id);
        expect(p, `${drill.id} ${id}`).toBeDefined();
        expect(value).toBeGreaterThanOrEqual(p!.min);
        expect(value).toBeLessThanOrEqual(p!.max);
      }
      for (const { facts, light } of bases())
        for (const level of DRILL_LEVELS) {
          const flown = drillFacts(drill, level, facts, light);
          expect(flown, `${drill.id} at ${facts.location.name}`).not.toBeNull();
          expect(flown!.trajectory!.totalS).toBeLessThan(60);
        }
    }
  });
  it('get harder: more wind and no slower, level by level', () => {
    for (const drill of DRILLS)
      for (const { facts, light } of bases()) {
        const levels = DRILL_LEVELS.map((level) => drillFacts(drill, level, facts, light)!);
        const winds = levels.map((f) => f.location.windMs);
        const times = levels.map((f) => f.trajectory!.totalS);
        expect([...winds].sort((a, b) => a - b)).toEqual(winds);
        expect([...times].sort((a, b) => b - a)).toEqual(times);
        expect(winds[2]).toBeGreaterThan(winds[0]!);
        for (const f of levels) expect(f.location.gustMs).toBeGreaterThanOrEqual(f.location.windMs);
      }
  });
  it('can be flown well by who flies the line in still air', () => {
    const [base] = bases();
    let flown = 0;
    for (const drill of DRILLS) {
      const facts = drillFacts(drill, 2, base!.facts, base!.light)!;
      const r = rehearsalOf({ facts, light: null }, { handling: drillHandling(2), calm: true })!;
      expect(profileGives(r.craft.profile, r.trajectory), drill.id).toBe(true);
      const t = new Try(r.trajectory.start, r.craft, { ...r.place, random: () => 0.5 });
      for (let s = 0; s < r.trajectory.totalS + 2; s += STEP_S)
        t.fly(ghostControls(t.state, r.trajectory, r.craft));
      const marks = markTry(t.samples, r.trajectory, r.verticalFovDeg, r.aimM);
      expect(marks!.mark, drill.id).toBeGreaterThan(60);
      flown += 1;
    }
    expect(flown).toBe(DRILLS.length);
  });
});

describe('the five minutes of a day', () => {
  it('go on to the next level after good tries, and stay at the last', () => {
    const [drill] = DRILLS;
    const at = (keepers: number) => drillRecord([tried(drill!.id, keepers)], PILOT.id, drill!).level;
    expect([0, TRIES_A_LEVEL - 1, TRIES_A_LEVEL, 2 * TRIES_A_LEVEL, 99].map(at)).toEqual([1, 1, 2, 3, 3]);
    expect(drillRecord([tried(drill!.id, 2)], 'somebody else', drill!)).toMatchObject({
      tries: 0,
      best: null,
    });
  });
  it('want the moves of the film first, let rest what was flown today, and are the same each time', () => {
    const asked = new Set(['spiral-out']);
    const today = () => drillsForToday(PILOT, [], asked, 9e12).map((d) => d.id);
    expect(today()[0]).toBe('spiral');
    expect(today()).toEqual(today());
    expect(new Set(today()).size).toBe(3);
    const rested = drillsForToday(PILOT, [tried('spiral', 3, 9e12)], new Set(), 9e12).map((d) => d.id);
    expect(rested).not.toContain('spiral');
    const sure = {
      ...PILOT,
      levels: Object.fromEntries(DRILLS.map((d) => [d.moveKind, d.id === 'track' ? 0 : 4])),
    };
    expect(drillsForToday(sure, [], new Set(), 9e12)[0]?.id).toBe('track');
  });
});
