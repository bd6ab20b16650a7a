import fc from 'fast-check';
import { expect, it } from 'vitest';
import { MINUTE_MS } from '@core/time';
import { numberIn } from '../../core/testing';

const wholeIn = (min: number, max: number) => numberIn(min, max, max - min);
import { brokenAxis, shareOnAxis } from './broken-axis';

const spansOf = (starts: readonly number[], minutes: number): [number, number][] =>
  starts.map((s) => [s * MINUTE_MS, (s + minutes) * MINUTE_MS]);

it('a morning and an evening flight of eleven minutes each take a good part of the width', () => {
  const axis = brokenAxis(spansOf([425, 1130], 11))!;
  expect(axis.pieces).toHaveLength(2);
  for (const start of [425, 1130])
    expect(
      shareOnAxis(axis, (start + 11) * MINUTE_MS) - shareOnAxis(axis, start * MINUTE_MS),
    ).toBeGreaterThan(0.25);
});

it('keeps order, one length for a minute, round ticks, room for them, and everything on the axis', () => {
  let [broken, whole] = [0, 0];
  fc.assert(
    fc.property(
      fc.array(wholeIn(0, 1440), { minLength: 1, maxLength: 12 }),
      wholeIn(2, 90),
      wholeIn(7, 15),
      (starts, minutes, most) => {
        const spans = spansOf(starts, minutes);
        const axis = brokenAxis(spans, most)!;
        const { pieces, stepMs } = axis;
        if (pieces.length > 1) broken += 1;
        else whole += 1;
        const scale = pieces.map((p) => p.width / (p.toMs - p.fromMs));
        for (const s of scale) expect(s).toBeCloseTo(scale[0]!, 15);
        for (const p of pieces) {
          expect(p.fromMs % stepMs).toBe(0);
          expect(p.toMs % stepMs).toBe(0);
        }
        const ticks = pieces.reduce((sum, p) => sum + (p.toMs - p.fromMs) / stepMs + 1, 0);
        expect(ticks).toBeLessThanOrEqual(most);
        expect(pieces.at(-1)!.left + pieces.at(-1)!.width).toBeCloseTo(1, 9);
        for (const [from, to] of spans)
          expect(shareOnAxis(axis, to) - shareOnAxis(axis, from)).toBeCloseTo((to - from) * scale[0]!, 9);
        const order = [...spans].sort((a, b) => a[0] - b[0]).map(([from]) => shareOnAxis(axis, from));
        expect(order).toEqual([...order].sort((a, b) => a - b));
      },
    ),
  );
  expect(Math.min(broken, whole)).toBeGreaterThan(5);
});
