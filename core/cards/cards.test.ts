import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import vectors from '../vectors/cards.json';
import { fillCards, plannableBytes, plannableSeconds, videoBytes, writeNeeded, writesFastEnough } from '.';

describe('cards', () => {
  it.each(vectors.clips)('$seconds s at $megabitsPerSecond Mbit/s', (c) => expect(videoBytes(c.megabitsPerSecond, c.seconds)).toBeCloseTo(c.bytes, 3));
  it.each(vectors.cards)('$nominalGB GB with $usedGB GB on it', (c) => expect(plannableSeconds(c, c.megabitsPerSecond)).toBeCloseTo(c.plannableSeconds, 2));
  it.each(vectors.write)('$megabitsPerSecond Mbit/s on a $classMBs MB/s card', (w) => {
    expect(writeNeeded(w.megabitsPerSecond)).toBeCloseTo(w.needMBs, 6);
    expect(writesFastEnough({ writeMBs: w.classMBs }, w.megabitsPerSecond)).toBe(w.ok);
  });

  it('nothing is lost between cards and what finds no room, and no card is filled past its room', () => {
    const card = (nominalGB: number, i: number) => ({ id: `c${i}`, name: '', nominalGB, usedGB: 0, writeMBs: 30, retired: false });
    fc.assert(fc.property(fc.array(fc.integer({ min: 1, max: 64 }), { maxLength: 4 }), fc.array(fc.integer({ min: 0, max: 20 }), { maxLength: 30 }), (sizes, clips) => {
      const cards = sizes.map(card);
      const { fills, overBytes } = fillCards(cards, clips.map((c) => c * 1e9));
      expect(fills.reduce((s, f) => s + f.bytes, 0) + overBytes).toBeCloseTo(clips.reduce((s, c) => s + c, 0) * 1e9, 0);
      fills.forEach((f, i) => expect(f.bytes).toBeLessThanOrEqual(plannableBytes(cards[i]!) + 1e-6));
    }));
  });
});
