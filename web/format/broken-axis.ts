import { MINUTE_MS } from '@core/time';
import { STEPS_MIN } from './ticks';

/** A stretch of time on an axis that leaves out what lies between. Shares are of the axis's width, 0 to 1. */
export interface AxisPiece {
  readonly fromMs: number;
  readonly toMs: number;
  readonly left: number;
  readonly width: number;
}
export interface BrokenAxis {
  readonly pieces: readonly AxisPiece[];
  readonly stepMs: number;
}

/** Share of the width a break takes. */
const BREAK = 0.025;
/** What is empty for longer is left out, ms. */
const EMPTY_MS = 40 * MINUTE_MS;

type Span = readonly [fromMs: number, toMs: number];

const joined = (spans: readonly Span[], gapMs: number): Span[] =>
  [...spans]
    .sort((a, b) => a[0] - b[0])
    .reduce<Span[]>((all, [from, to]) => {
      const last = all.at(-1);
      if (last && from - last[1] <= gapMs) all[all.length - 1] = [last[0], Math.max(last[1], to)];
      else all.push([from, to]);
      return all;
    }, []);

/**
 * An axis over some stretches of a day: minutes have one length in all of it, its ends and ticks are round, and what is empty
 * for long is left out.
 * @param most ticks there is room for
 * @returns null without any stretch
 */
export const brokenAxis = (spans: readonly Span[], most = 13): BrokenAxis | null => {
  if (spans.length === 0) return null;
  const busy = joined(spans, EMPTY_MS);
  const roundTo = (stepMs: number): Span[] =>
    joined(
      busy.map(([from, to]) => {
        const first = Math.floor(from / stepMs) * stepMs;
        return [first, Math.max(first + stepMs, Math.ceil(to / stepMs) * stepMs)];
      }),
      stepMs,
    );
  const ticksOf = (stepMs: number): number =>
    roundTo(stepMs).reduce((sum, [from, to]) => sum + (to - from) / stepMs + 1, 0);
  const stepMs = (STEPS_MIN.find((m) => ticksOf(m * MINUTE_MS) <= most) ?? 720) * MINUTE_MS;
  const stretches = roundTo(stepMs);
  const allMs = stretches.reduce((sum, [from, to]) => sum + to - from, 0);
  const room = 1 - BREAK * (stretches.length - 1);
  let left = 0;
  const pieces = stretches.map(([fromMs, toMs]) => {
    const piece = { fromMs, toMs, left, width: ((toMs - fromMs) / allMs) * room };
    left += piece.width + BREAK;
    return piece;
  });
  return { pieces, stepMs };
};

/** Where a moment stands on the axis, as a share of its width; what is left out stands at the nearest end. */
export const shareOnAxis = (axis: BrokenAxis, ms: number): number => {
  const piece = axis.pieces.find((p) => ms <= p.toMs) ?? axis.pieces.at(-1);
  if (!piece) return 0;
  const within = Math.min(1, Math.max(0, (ms - piece.fromMs) / (piece.toMs - piece.fromMs)));
  return piece.left + within * piece.width;
};
