import { measured, message, type Message } from '../messages';
import { found, none, type Result } from '../units';
import type { CameraMove } from './types';
import type { MoveValues } from '../model';

/** A number that may give way: one of the move's own, or its length where that is made up of several. */
export interface Knob {
  readonly id: string;
  readonly label: string;
  readonly min: number;
  readonly max: number;
  readonly turn: (values: MoveValues, to: number) => MoveValues;
}

/** Id of the knob that changes a path's length through the numbers it is made of. */
export const LENGTH_KNOB = 'length';

/** Everything of a move that can give way, choices left out. */
export const knobsOf = (move: CameraMove): Knob[] => {
  const own = move.parameters
    .filter((p) => !p.choice)
    .map((p): Knob => ({
      id: p.id,
      label: p.label,
      min: p.min,
      max: p.max,
      turn: (values, to) => ({ ...values, [p.id]: to }),
    }));
  const { withLength } = move;
  if (!withLength || own.some((k) => k.id === 'lengthM')) return own;
  return [
    ...own,
    { id: LENGTH_KNOB, label: 'Length', min: 0.5, max: 2000, turn: (values, to) => withLength(values, to) },
  ];
};

const SCAN = 60;
const HALVINGS = 60;
/** Relative; a figure that jumps over the wanted value does not reach it. */
const TOLERANCE = 1e-3;

/** Numbers from low to high, finer towards the low end, where moves change fastest. */
const scan = (low: number, high: number): number[] =>
  Array.from({ length: SCAN + 1 }, (_, i) => low + (high - low) * (i / SCAN) ** 2);

const inLimits = (move: CameraMove, values: MoveValues): boolean =>
  move.parameters.every((p) => {
    const v = values[p.id] ?? p.initial;
    return v >= p.min - 1e-9 && v <= p.max + 1e-9;
  });

interface Place {
  readonly x: number;
  readonly off: number;
}

/** The pair of neighbours between which the figure passes the wanted value, nearest to where the knob stands. */
const bracket = (places: readonly Place[], now: number): readonly [Place, Place] | null => {
  const pairs = places
    .slice(1)
    .map((b, i) => [places[i] ?? b, b] as const)
    .filter(([a, b]) => a.off * b.off <= 0);
  const away = ([a, b]: readonly [Place, Place]): number => Math.abs((a.x + b.x) / 2 - now);
  return pairs.reduce<readonly [Place, Place] | null>(
    (best, pair) => (!best || away(pair) < away(best) ? pair : best),
    null,
  );
};

/** Halves a bracket until nothing is left of it; null where the figure is lost on the way. */
const bisect = ([a, b]: readonly [Place, Place], offAt: (x: number) => number | null): Place | null => {
  let [low, high] = [a, b];
  for (let i = 0; i < HALVINGS; i += 1) {
    const x = (low.x + high.x) / 2;
    const off = offAt(x);
    if (off === null) return null;
    if (off < 0 === low.off < 0 && low.off !== 0) low = { x, off };
    else high = { x, off };
  }
  return Math.abs(low.off) < Math.abs(high.off) ? low : high;
};

/**
 * Turns one knob until a figure has the value wanted, by bisection in the bracket nearest to where the knob stands.
 * @param measure the figure for some numbers; no answer where they describe no path
 * @param now where the knob stands, so that of several answers the nearest is taken
 * @returns numbers of the move, or how near this knob gets
 */
export const solveBy = (
  move: CameraMove,
  values: MoveValues,
  knob: Knob,
  now: number,
  measure: (values: MoveValues) => number | null,
  wanted: number,
): Result<MoveValues, Message> => {
  const offAt = (x: number): number | null => {
    const tried = knob.turn(values, x);
    const figure = inLimits(move, tried) ? measure(tried) : null;
    return figure === null || !Number.isFinite(figure) ? null : figure - wanted;
  };
  const places = scan(knob.min, knob.max).flatMap((x): Place[] => {
    const off = offAt(x);
    return off === null ? [] : [{ x, off }];
  });
  const pair = bracket(places, now);
  const place = pair && bisect(pair, offAt);
  const reached = place && Math.abs(place.off) <= TOLERANCE * Math.max(1, Math.abs(wanted));
  return reached ? found(knob.turn(values, place.x)) : none(nearest(places, knob, wanted));
};

const nearest = (places: readonly Place[], knob: Knob, wanted: number): Message => {
  const close = places.reduce<Place | null>(
    (best, p) => (!best || Math.abs(p.off) < Math.abs(best.off) ? p : best),
    null,
  );
  if (!close) return message('path.knob-no-path', { number: knob.label });
  return message('path.knob-nearest', {
    number: knob.label,
    nearest: measured(wanted + close.off, 'count', 1),
    at: measured(close.x, 'count', 1),
  });
};
