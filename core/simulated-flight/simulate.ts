import { type FilmPlan, flightSpans, type FlightPhase, type FlightSpan, type TimedFlight } from '../day';
import { between, distance, vec, type Vec3 } from '../geometry';
import { normal } from '../units';
import { inOwnAir, type OwnAir, type WindNature } from './own-air';

/** What a simulated aircraft, its pack and its pilot are like, which the plan does not know. */
export interface Nature extends WindNature {
  /** Real watt-hours for each reckoned. */
  readonly appetite: number;
  /** Real seconds of a set-up or a take for each reckoned. */
  readonly pace: number;
  /** How far single stretches stray in energy and time, one standard deviation as a share. */
  readonly spread: number;
  /** How far it wanders from its path, one standard deviation, m. */
  readonly wanderM: number;
  /** Chance that a take is good. */
  readonly keeperRate: number;
}

/** A second of a simulated flight. */
export interface FlightSample {
  readonly tS: number;
  readonly at: Vec3;
  /** Charge the controller shows, 0 to 1, in whole percent. */
  readonly share: number;
  readonly phase: FlightPhase;
  readonly shotId: string | null;
}

/** A take of a simulated flight. */
export interface SimulatedTake {
  readonly shotId: string;
  readonly endS: number;
  readonly good: boolean;
}

export interface SimulatedFlight {
  readonly samples: readonly FlightSample[];
  readonly takes: readonly SimulatedTake[];
  readonly seconds: number;
  readonly usedWh: number;
  readonly startShare: number;
  readonly endShare: number;
}

/** It does not wander lower than this over its launch point while it is in the air, m. */
const HOVER_M = 1.5;

/** How much of the way it has wandered is left a second later (Ornstein–Uhlenbeck, about 5 s). */
const WANDER_KEPT = Math.exp(-1 / 5);

/** The line of a take as it is planned, finer than the plan's own steps of it, in the way it is flown. */
const lineOf = (span: FlightSpan, derived: FilmPlan): readonly Vec3[] | undefined => {
  const fine = derived.shots.get(span.shotId ?? '')?.facts.trajectory?.samples.map((x) => x.pose.at);
  const [first, last] = [fine?.[0], fine?.at(-1)];
  const begin = span.path?.[0];
  if (span.phase !== 'take' || !fine || !first || !last || !begin) return span.path;
  return distance(begin, last) < distance(begin, first) ? [...fine].reverse() : fine;
};

const placeOn = (span: FlightSpan, path: readonly Vec3[] | undefined, share: number): Vec3 => {
  if (!path || path.length < 2) return between(span.from, span.to, share);
  const along = share * (path.length - 1);
  const i = Math.min(path.length - 2, Math.floor(along));
  return between(path[i] ?? span.from, path[i + 1] ?? span.to, along - i);
};

const homeSpan = (flight: TimedFlight, from: Vec3, spent: number): FlightSpan => ({
  from,
  to: flight.launch.at,
  seconds: flight.home.seconds,
  wattHours: Math.max(0, flight.usedWh - spent),
  phase: 'home',
  shotId: null,
});

/**
 * Flies a planned flight as an aircraft with a nature of its own would: the stretches of the plan in order, longer or shorter and
 * dearer or cheaper than reckoned. For trying the day at a desk, and for tests: it knows no obstacle and no rule.
 * @param random even draws from 0 to 1
 * @param air it is flown in; null flies in the air of the plan
 */
export const simulateFlight = (
  derived: FilmPlan,
  flight: TimedFlight,
  nature: Nature,
  random: () => number,
  air: OwnAir | null = null,
): SimulatedFlight => {
  const planned = flightSpans(flight, derived);
  const spent = planned.reduce((sum, s) => sum + s.wattHours, 0);
  const last = planned.at(-1)?.to ?? flight.launch.at;
  const fullWh = Math.max(1e-9, flight.supply.fullWh);
  const samples: FlightSample[] = [];
  const takes: SimulatedTake[] = [];
  let [tS, usedWh] = [0, 0];
  const groundM = flight.launch.at.z;
  let drift = vec(0, 0, 0);
  const shareAt = (wh: number): number =>
    Math.max(0, Math.floor((100 * (flight.supply.availableWh - wh)) / fullWh) / 100);
  for (const span of [...planned, homeSpan(flight, last, spent)]) {
    const human = span.phase === 'set-up' || span.phase === 'take';
    const own = air ? inOwnAir(span, air) : { time: 1, energy: 1 };
    const longer = (human ? nature.pace : 1) * Math.exp(nature.spread * normal(random));
    const seconds = span.seconds * own.time * longer;
    // A stretch that lasts longer takes more with it.
    const wattHours = span.seconds > 0 ? span.wattHours * own.energy * nature.appetite * longer : 0;
    const path = lineOf(span, derived);
    const first = Math.ceil(tS);
    for (let second = first; second < tS + seconds; second += 1) {
      const share = seconds > 0 ? (second - tS) / seconds : 1;
      const step = nature.wanderM * Math.sqrt(1 - WANDER_KEPT ** 2);
      drift = vec(
        drift.x * WANDER_KEPT + step * normal(random),
        drift.y * WANDER_KEPT + step * normal(random),
        drift.z * WANDER_KEPT + 0.5 * step * normal(random),
      );
      const on = placeOn(span, path, share);
      samples.push({
        tS: second,
        at: vec(
          on.x + drift.x,
          on.y + drift.y,
          Math.max(groundM + (second === 0 ? 0 : HOVER_M), on.z + drift.z),
        ),
        share: shareAt(usedWh + wattHours * share),
        phase: span.phase,
        shotId: span.shotId,
      });
    }
    tS += seconds;
    usedWh += wattHours;
    if (span.phase === 'take' && span.shotId !== null)
      takes.push({ shotId: span.shotId, endS: tS, good: random() < nature.keeperRate });
  }
  const endShare = shareAt(usedWh);
  samples.push({ tS: Math.ceil(tS), at: flight.launch.at, share: endShare, phase: 'home', shotId: null });
  return { samples, takes, seconds: tS, usedWh, startShare: shareAt(0), endShare };
};

/** Metres a simulated flight flew. */
export const metresFlown = ({ samples }: Pick<SimulatedFlight, 'samples'>): number =>
  samples.reduce((sum, s, i) => sum + (i === 0 ? 0 : distance(samples[i - 1]?.at ?? s.at, s.at)), 0);
