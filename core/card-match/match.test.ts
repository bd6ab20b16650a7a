import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { numberIn, Reached } from '../testing';
import { clipFaults, matchClips, type ClipFile, type NotedTake } from './match';

const T0 = Date.UTC(2027, 4, 14, 5);
const take = (n: number, atS: number, more: Partial<NotedTake> = {}): NotedTake => ({
  id: `t${n}`,
  utcMs: T0 + atS * 1000,
  lengthS: 14,
  fps: 25,
  widthPx: 3840,
  ...more,
});
const clip = (n: number, atS: number, more: Partial<ClipFile> = {}): ClipFile => ({
  name: `DUSK_${String(n).padStart(4, '0')}.MP4`,
  endMs: T0 + atS * 1000,
  lengthS: 14,
  fps: 25,
  widthPx: 3840,
  ...more,
});
const names = (m: ReturnType<typeof matchClips>): Record<string, string> =>
  Object.fromEntries(m.pairs.map((p) => [p.take.id, p.clip.name]));

describe('clips and takes', () => {
  it('are found again whatever the camera’s clock says, one missing, one nobody planned', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(
        fc.array(fc.tuple(numberIn(40, 240), numberIn(8, 40), numberIn(0, 9)), {
          minLength: 5,
          maxLength: 14,
        }),
        numberIn(-90_000, 90_000),
        fc.nat(100),
        fc.nat(100),
        (parts, clockS, lost, extra) => {
          let atS = 0;
          // Evenly spaced takes of one length could be any of each other: a day is never that even.
          const takes = parts.map(([apart, lengthS], n) =>
            take(n, (atS += apart + 23 * (n % 5)), { lengthS: lengthS + 11 * (n % 3) }),
          );
          const all = parts.map(([, , gap], n) =>
            clip(n, (takes[n]!.utcMs - T0) / 1000 - gap - clockS, { lengthS: takes[n]!.lengthS }),
          );
          const gone = lost % parts.length;
          // Beside one that is there: beside the lost one it would be taken for it, too short.
          const stray = clip(
            99,
            (all[(gone + 1 + (extra % (parts.length - 1))) % parts.length]!.endMs - T0) / 1000 + 17,
            { lengthS: 3 },
          );
          const match = matchClips([...all.filter((_, n) => n !== gone), stray].reverse(), takes);
          expect(match.missing.map((t) => t.id)).toEqual([`t${gone}`]);
          expect(match.unplanned.map((c) => c.name)).toEqual([stray.name]);
          expect(names(match)).toEqual(
            Object.fromEntries(takes.flatMap((t, n) => (n === gone ? [] : [[t.id, all[n]!.name]]))),
          );
          expect(Math.abs(match.clockOffsetS - clockS)).toBeLessThanOrEqual(9.001);
          reached.when('clock off by hours', Math.abs(clockS) > 3600);
          reached.when('first lost', gone === 0);
        },
      ),
    );
    reached.atLeast('clock off by hours', 5);
    reached.atLeast('first lost', 5);
  });
  it('are laid beside each other as cheaply as any way that does not cross', () => {
    const cost = (c: ClipFile, t: NotedTake, offsetS: number): number => {
      const apart = Math.abs((c.endMs - t.utcMs) / 1000 + offsetS);
      return apart > 120
        ? Infinity
        : Math.min(1.2, apart / 40) +
            Math.min(0.6, Math.abs(c.lengthS! - t.lengthS) / Math.max(5, t.lengthS));
    };
    const least = (cs: readonly ClipFile[], ts: readonly NotedTake[], o: number): number => {
      const [c, ...cr] = cs;
      const [t, ...tr] = ts;
      if (!c || !t) return 0.65 * (cs.length + ts.length);
      return Math.min(cost(c, t, o) + least(cr, tr, o), 0.65 + least(cr, ts, o), 0.65 + least(cs, tr, o));
    };
    fc.assert(
      fc.property(
        fc.array(fc.tuple(numberIn(0, 300), numberIn(5, 40)), { maxLength: 5 }),
        fc.array(fc.tuple(numberIn(0, 300), numberIn(5, 40)), { maxLength: 5 }),
        (a, b) => {
          const cs = a.map(([s, lengthS], n) => clip(n, s, { lengthS })).sort((x, y) => x.endMs - y.endMs);
          const ts = b.map(([s, lengthS], n) => take(n, s, { lengthS })).sort((x, y) => x.utcMs - y.utcMs);
          const m = matchClips(cs, ts);
          const own =
            m.pairs.reduce((sum, p) => sum + cost(p.clip, p.take, m.clockOffsetS), 0) +
            0.65 * (m.unplanned.length + m.missing.length);
          expect(own).toBeCloseTo(least(cs, ts, m.clockOffsetS), 9);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('the length tells two apart that ended at about the same time, and a clear pair is surer than a doubtful one', () => {
    const takes = [take(0, 100, { lengthS: 8 }), take(1, 400, { lengthS: 30 })];
    const match = matchClips([clip(0, 95, { lengthS: 8 }), clip(1, 385, { lengthS: 12 })], takes);
    expect(names(match)).toEqual({ t0: 'DUSK_0000.MP4', t1: 'DUSK_0001.MP4' });
    expect(match.pairs[0]!.confidence).toBeGreaterThan(match.pairs[1]!.confidence);
  });
  it('nothing matches nothing: an empty card, no takes', () => {
    expect(matchClips([], [take(0, 1)])).toMatchObject({ pairs: [], clockOffsetS: 0 });
    expect(matchClips([clip(0, 1)], [])).toMatchObject({ pairs: [], missing: [] });
  });
  it('a clip is told as too short, at the wrong rate, in the wrong size; what is not known is not held against it', () => {
    const pair = (more: Partial<ClipFile>) => ({ clip: clip(0, 0, more), take: take(0, 0), confidence: 1 });
    expect(clipFaults(pair({ lengthS: 5, fps: 50, widthPx: 1920 }), 6)).toEqual([
      'too-short',
      'wrong-rate',
      'wrong-size',
    ]);
    expect(clipFaults(pair({ fps: 24.9 }), 6)).toEqual([]);
    expect(clipFaults(pair({ lengthS: null, fps: null, widthPx: null }), 6)).toEqual([]);
  });
});
