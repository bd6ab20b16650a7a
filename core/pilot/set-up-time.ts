import type { FlightLogEntry, Practice } from '../model';
import { groupBy, mean } from '../units';
import { SIMULATOR_WEIGHT, TRIES_COUNTED } from './level';

/** How long set-ups really take, by logged flights. */
export interface SetUpTime {
  /** Real seconds of a set-up for each planned. */
  readonly factor: number;
  /** Flights it was learned from. */
  readonly flights: number;
}

/** Flights the plan's own set-up time is worth: a short log is drawn towards it. Own estimate. */
const PRIOR_FLIGHTS = 4;
/** Flights of an aircraft from which on its factor counts, as with energy. */
const FLIGHTS_TO_COUNT = 3;
/** Nobody frames in less than half of what was planned, or is corrected beyond three times of it. */
const [LEAST, MOST] = [0.5, 3] as const;

interface Flown {
  readonly plannedMin: number;
  readonly overMin: number;
}

/** What a flight says of its set-ups: takes are as long as they are, what else a flight took longer was framing and waiting. */
const flownOf = (entry: FlightLogEntry): Flown[] => {
  const { plannedMinutes, plannedSetUpMin, minutes, outcome, simulated } = entry;
  const whole = outcome === 'as-planned' || outcome === 'longer';
  if (simulated || !whole || plannedMinutes === null || plannedSetUpMin === null) return [];
  // A flight that waited for a train says nothing of framing.
  const overMin = Math.min(minutes - plannedMinutes, (MOST - 1) * plannedSetUpMin);
  return [{ plannedMin: plannedSetUpMin, overMin: Math.max(overMin, (LEAST - 1) * plannedSetUpMin) }];
};

/**
 * Set-up time of each aircraft against its plans, by least squares with a prior:
 * factor = 1 + Σ s·d / (Σ s² + p·mean s²), s planned set-up minutes, d minutes over plan, p flights the plan is worth.
 * Flights that were cut short say nothing. It counts from three flights on.
 */
export const setUpTimes = (log: readonly FlightLogEntry[]): ReadonlyMap<string, SetUpTime> => {
  const times = new Map<string, SetUpTime>();
  for (const [aircraftId, entries] of groupBy(log, (e) => e.aircraftId)) {
    const flown = entries.flatMap(flownOf);
    if (flown.length < FLIGHTS_TO_COUNT) continue;
    const squares = flown.map((f) => f.plannedMin ** 2);
    const weight = squares.reduce((sum, s) => sum + s, 0) + PRIOR_FLIGHTS * mean(squares);
    if (weight === 0) continue;
    const over = flown.reduce((sum, f) => sum + f.plannedMin * f.overMin, 0) / weight;
    times.set(aircraftId, { factor: Math.min(MOST, Math.max(LEAST, 1 + over)), flights: flown.length });
  }
  return times;
};

/** What each doubling of tries leaves of the time: a learning curve of 90 % (Wright 1936, log-linear). The rate is an own estimate. */
const CURVE = 0.9;
/** Tries the planned set-up is taken to have behind it: the curve begins there. Own estimate. */
const TRIES_BEFORE = 4;

/**
 * Share of its planned set-up a rehearsed move still needs: factor = (1 + w·n / p)^log2(0.9), n rehearsed tries of the move by
 * the pilot, w the weight of one beside a take, p the tries planned set-ups have behind them. What takes in the air teach is in
 * the flight log already.
 */
export const rehearsedSetUp = (practice: readonly Practice[], pilotId: string, moveKind: string): number => {
  const tries = practice
    .filter((p) => p.pilotId === pilotId && p.moveKind === moveKind && p.handling === 'simulator')
    .reduce((sum, p) => sum + p.tries, 0);
  return (1 + Math.min(TRIES_COUNTED, tries * SIMULATOR_WEIGHT) / TRIES_BEFORE) ** Math.log2(CURVE);
};
