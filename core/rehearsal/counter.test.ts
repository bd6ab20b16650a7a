import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { beatsToSeconds } from '../footage';
import { numberIn, Reached } from '../testing';
import { beatAt, beatInTheAirS } from '.';

const cut = (timelineS: number, speedFactor: number, endFactor: number | null = null) => ({
  timelineS,
  speedFactor,
  endFactor,
});

describe('beats of the music while flying', () => {
  it('last as long as in the cut at real speed, half as long flown for half speed, and stay away without music', () => {
    expect(beatInTheAirS(120, [cut(8, 1)])).toBeCloseTo(0.5, 12);
    expect(beatInTheAirS(120, [cut(8, 0.5)])).toBeCloseTo(0.25, 12);
    expect(beatInTheAirS(90, [cut(4, 1), cut(4, 2)])).toBeCloseTo((60 / 90) * 1.5, 12);
    expect(beatInTheAirS(60, [cut(4, 1, 3)])).toBeCloseTo(2, 12);
    expect(beatInTheAirS(0, [cut(8, 1)])).toBeNull();
    expect(beatInTheAirS(100, [])).toBeCloseTo(0.6, 12);
  });

  it('are as many as the cut asks for when the captured seconds are over, whatever its speed', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 64 }),
        numberIn(40, 220),
        numberIn(0.1, 16),
        fc.integer({ min: 1, max: 16 }),
        (beats, bpm, factor, perCount) => {
          const cutS = beatsToSeconds(beats, bpm);
          if (!cutS.ok) throw new Error('no tempo');
          const everyS = beatInTheAirS(bpm, [cut(cutS.value, factor)])!;
          const flownS = cutS.value * factor;
          expect(beatAt(flownS, everyS, perCount).beat).toBe(beats + 1);
          const last = beatAt(flownS - everyS / 2, everyS, perCount);
          expect(last.beat).toBe(beats);
          expect((last.count - 1) * perCount + last.inCount).toBe(beats);
          reached.when('second count', last.count > 1);
          reached.when('first count', last.count === 1);
        },
      ),
    );
    reached.atLeast('second count', 20);
    reached.atLeast('first count', 5);
  });
});
