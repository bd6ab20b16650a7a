import { describe, expect, it } from 'vitest';
import { demoFilm } from '../../demo';
import type { Shot } from '../model';
import { said } from '../testing';
import { FilmDeriver } from '.';

const input = demoFilm();
const derived = new FilmDeriver().derive(input);
const sensed = [...derived.shots.values()].filter((s) => s.facts.trajectory && s.facts.aircraft);
/** Warnings about sensing of one shot, with some of its fields changed. */
const told = (id: string, fields: Partial<Shot>, sides?: readonly string[]) => {
  const shots = input.shots.map((s) => (s.id === id ? { ...s, ...fields } : s));
  const aircraft = input.kit.aircraft.map((a) => ({ ...a, senses: (sides ?? a.senses) as never }));
  const film = { ...input, shots, kit: { ...input.kit, aircraft } };
  const { warnings } = new FilmDeriver().derive(film).shots.get(id)!;
  return warnings.filter((w) => w.code.startsWith('sensing.'));
};
const FRONT = ['front'];

describe('obstacle sensing', () => {
  it('says nothing while it is on, or where the aircraft senses nothing anyway', () => {
    for (const { facts } of sensed) {
      for (const sensing of [null, 'stop', 'around'] as const)
        expect(told(facts.shot.id, { sensing }, FRONT)).toEqual([]);
      expect(told(facts.shot.id, { sensing: 'off' }, [])).toEqual([]);
    }
  });

  it('switched off is care near people, faster than a walk or unpractised, and a note otherwise', () => {
    const fast = sensed.find((s) => s.facts.trajectory!.peakSpeedMs > 2)!;
    const still = sensed.find((s) => s.facts.trajectory!.peakSpeedMs < 0.1)!;
    const off = (id: string, fields: Partial<Shot> = {}) =>
      told(id, { sensing: 'off', ...fields }, FRONT)[0]!;
    const calm = { usage: { people: 'none', property: 'wide' } } as Partial<Shot>;
    const near = { usage: { people: 'unrecognisable', property: 'wide' } } as Partial<Shot>;
    expect(off(fast.facts.shot.id, calm).severity).toBe('care');
    expect(said(off(fast.facts.shot.id, calm).say)).toContain('walking pace');
    expect(said(off(still.facts.shot.id, near).say)).toContain('people');
    const level = still.hands!.level;
    const quiet = off(still.facts.shot.id, calm);
    expect(quiet.severity).toBe(level >= 3 ? 'note' : 'care');
    // What would help takes it back.
    expect(quiet.cures[0]!.set!.fields).toEqual({ sensing: null });
  });
});
