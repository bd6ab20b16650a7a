import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { AID_KINDS } from '../model/aircraft';
import type { Ability, MoveValues } from '../model';
import { fly, initialValues, MOVES, moveOf, type Trajectory } from '../moves';
import { PLAIN_CONTEXT } from '../moves/types';
import { vec } from '../geometry';
import { AIDS, aidsFor } from './registry';
import { numberIn, said } from '../testing';

const subject = (speedMs = 0) => ({ aim: vec(0, 100, 3), heightM: 6, widthM: 8, headingDeg: 90, speedMs });
const flown = (kind: string, values: MoveValues = {}, speedMs = 0): Trajectory => {
  const move = moveOf(kind)!;
  const shape = move.shape({ ...initialValues(move.parameters), ...values }, subject(speedMs), PLAIN_CONTEXT);
  const f = shape.ok ? fly(shape.value, { accelMs2: 1, turnAccelDegS2: 8 }, 'in-motion', 6) : shape;
  if (!f.ok) throw new Error(said(f.reason));
  return f.value;
};
const all: Ability[] = AID_KINDS.map((kind) => ({
  kind,
  maxSpeedMs: 8,
  minDistanceM: kind === 'orbit' ? 5 : 2,
  maxDistanceM: 300,
}));
const could = (kind: string, values: MoveValues = {}, speedMs = 0): string[] =>
  aidsFor(all, moveOf(kind)!, flown(kind, values, speedMs), subject(speedMs))
    .filter((a) => a.could)
    .map((a) => a.aid.kind);

describe('aids', () => {
  it('there is one for every kind of ability, and nothing is offered that the aircraft does not have', () => {
    expect(AIDS.map((a) => a.kind).sort()).toEqual([...AID_KINDS].sort());
    expect(aidsFor([], moveOf('orbit')!, flown('orbit'), subject())).toEqual([]);
  });
  it.each([
    ['orbit', {}, 0, ['orbit', 'route', 'terrain', 'slow-sticks']],
    ['spiral-out', {}, 0, ['route', 'slow-sticks']],
    ['track', {}, 4, ['track-beside', 'line', 'terrain', 'slow-sticks']],
    ['track', { endHeightM: 20 }, 4, ['slow-sticks']],
    ['track', {}, 0, ['line', 'terrain', 'slow-sticks']],
    ['follow', {}, 4, ['track-behind', 'line', 'terrain', 'slow-sticks']],
    ['push-in', {}, 0, ['line', 'route', 'terrain', 'slow-sticks']],
    ['hold', {}, 0, ['track-in-place']],
  ])('%s with %o', (kind, values, speedMs, kinds) => expect(could(kind, values, speedMs)).toEqual(kinds));
  it('says why not: too fast, too near, too far', () => {
    const say = (kind: string, values: MoveValues): string => {
      const orbit = aidsFor(all, moveOf(kind)!, flown(kind, values), subject()).find(
        (a) => a.aid.kind === 'orbit',
      )!;
      expect(orbit.could).toBe(false);
      return orbit.limit ? said(orbit.limit) : orbit.say;
    };
    expect(say('orbit', { radiusM: 200, speedMs: 12 })).toMatch(
      /8\.0 m\/s at most; the move wants 12\.0 m\/s/,
    );
    expect(say('orbit', { radiusM: 4, speedMs: 1 })).toMatch(/5 m at least/);
    expect(say('orbit', { radiusM: 400, speedMs: 5 })).toMatch(/to 300 m/);
    expect(say('slide', {})).toMatch(/circles/);
  });
  it('an aid that could is never beyond its limits', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...MOVES.filter((m) => !['route', 'fpv-line'].includes(m.kind)).map((m) => m.kind)),
        numberIn(0.5, 15),
        (kind, speedMs) => {
          const f = flown(kind, moveOf(kind)!.parameters.some((p) => p.id === 'speedMs') ? { speedMs } : {});
          for (const a of aidsFor(all, moveOf(kind)!, f, subject()))
            if (a.could) expect(f.peakSpeedMs).toBeLessThanOrEqual(8 + 1e-6);
        },
      ),
    );
  });
});
