import { normal } from '../units';
import type { Percentiles, RiskAnswer, RiskDay, RiskFlight, RiskShot } from './types';

const around = (random: () => number, spread: number): number =>
  spread > 0 ? Math.exp(spread * normal(random)) : 1;

/** A must is tried for up to so many times its planned takes, while energy and light last. */
const MUST_PATIENCE = 2;

interface Run {
  airS: number;
  flights: number;
  leftWh: number;
  readonly missing: RiskShot[];
}
interface Air {
  readonly usableWh: number;
  readonly draw: number;
  usedWh: number;
  clockS: number;
  airS: number;
}

/** Takes of one shot: until one is kept, the pack is at its reserve, or the light is gone. @returns whether it is in the can */
const flown = (day: RiskDay, shot: RiskShot, air: Air, random: () => number): boolean => {
  const set = around(random, day.setupSpread);
  const arriveWh = (shot.legWh + shot.setupWh * set) * air.draw;
  const takeWh = shot.takeWh * air.draw;
  const homeWh = shot.homeWh * air.draw;
  const most = shot.takes * (shot.must ? MUST_PATIENCE : 1);
  const spend = (wh: number, s: number): void => {
    air.usedWh += wh;
    air.clockS += s;
    air.airS += s;
  };
  // One does not fly out for a take there is no energy or light for.
  if (
    air.usedWh + arriveWh + takeWh + homeWh > air.usableWh ||
    air.clockS + shot.legS + shot.setupS * set + shot.takeS > shot.latestS
  )
    return false;
  spend(arriveWh, shot.legS + shot.setupS * set);
  for (let n = 0; n < Math.max(1, most); n += 1) {
    if (n > 0) spend(shot.betweenWh * air.draw, shot.betweenS);
    if (air.usedWh + takeWh + homeWh > air.usableWh || air.clockS + shot.takeS > shot.latestS) return false;
    spend(takeWh, shot.takeS);
    if (random() < shot.keeperRate) return true;
  }
  return false;
};

const flight = (
  day: RiskDay,
  f: Pick<RiskFlight, 'usableWh' | 'heldWh' | 'takeoffS' | 'takeoffWh'>,
  stops: readonly RiskShot[],
  startS: number,
  airDraw: number,
  run: Run,
  random: () => number,
): { readonly missed: RiskShot[]; readonly landS: number } => {
  const holds = f.heldWh * (around(random, day.packSpread) - 1);
  const air: Air = {
    usableWh: f.usableWh + holds,
    draw: airDraw,
    usedWh: f.takeoffWh * airDraw,
    clockS: startS + f.takeoffS,
    airS: f.takeoffS,
  };
  const missed: RiskShot[] = [];
  let last: RiskShot | null = null;
  for (const shot of stops) {
    const before = air.usedWh;
    if (!flown(day, shot, air, random)) missed.push(shot);
    if (air.usedWh > before) last = shot;
  }
  const home = last ?? { homeS: 0, homeWh: 0 };
  air.usedWh += home.homeWh * airDraw;
  run.airS += air.airS + home.homeS;
  run.flights += 1;
  run.leftWh += Math.max(0, air.usableWh - air.usedWh);
  return { missed, landS: air.clockS + home.homeS };
};

/** One day: the planned flights, then what was missed on packs to spare, musts first. */
const once = (day: RiskDay, random: () => number): Run => {
  const run: Run = { airS: 0, flights: 0, leftWh: 0, missing: [] };
  const airDraw = around(random, day.airSpread);
  const clocks = new Map<string, number>();
  const again: { shot: RiskShot; kind: string; crew: string }[] = [];
  for (const f of day.flights) {
    const { missed, landS } = flight(
      day,
      f,
      f.stops,
      Math.max(f.launchS, clocks.get(f.crew) ?? 0),
      airDraw,
      run,
      random,
    );
    clocks.set(f.crew, landS + day.swapS);
    for (const shot of missed) again.push({ shot, kind: f.kind, crew: f.crew });
  }
  const spares = [...day.spares];
  let waiting = again.sort((a, b) => Number(b.shot.must) - Number(a.shot.must));
  while (waiting.length > 0) {
    const at = spares.findIndex((s) => s.kind === waiting[0]?.kind);
    const spare = spares[at];
    const { kind, crew } = waiting[0] ?? { kind: '', crew: '' };
    const mine = waiting.filter((w) => w.kind === kind);
    waiting = waiting.filter((w) => w.kind !== kind);
    const startS = clocks.get(crew) ?? 0;
    const open = mine.filter((w) => w.shot.latestS > startS);
    if (!spare || open.length === 0) {
      run.missing.push(...mine.map((w) => w.shot));
      continue;
    }
    spares.splice(at, 1);
    const { missed, landS } = flight(
      day,
      spare,
      open.map((w) => w.shot),
      startS,
      airDraw,
      run,
      random,
    );
    clocks.set(crew, landS + day.swapS);
    run.missing.push(...mine.filter((w) => !open.includes(w)).map((w) => w.shot));
    waiting.push(...mine.filter((w) => missed.includes(w.shot) && missed.length < open.length));
    if (missed.length === open.length) run.missing.push(...missed);
  }
  run.leftWh += spares.reduce((sum, s) => sum + Math.max(0, s.usableWh), 0);
  return run;
};

const percentiles = (values: readonly number[]): Percentiles => {
  const sorted = [...values].sort((a, b) => a - b);
  const at = (share: number): number =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
  return { p10: at(0.1), p50: at(0.5), p90: at(0.9) };
};

const BINS = 14;

const histogramOf = (minutes: readonly number[]): RiskAnswer['histogram'] => {
  const [low, high] = [Math.floor(Math.min(...minutes)), Math.ceil(Math.max(...minutes))];
  const width = Math.max(1, Math.ceil((high - low) / BINS));
  const counts = Array.from({ length: Math.max(1, Math.ceil((high - low) / width)) }, () => 0);
  for (const m of minutes) {
    const i = Math.min(counts.length - 1, Math.floor((m - low) / width));
    counts[i] = (counts[i] ?? 0) + 1;
  }
  return counts.map((runs, i) => ({ fromMin: low + i * width, toMin: low + (i + 1) * width, runs }));
};

/** How many days are thrown between two reports. */
const REPORT_RUNS = 100;

/**
 * Throws the dice for a day many times: takes until one is kept, set-ups that last longer, packs that hold less, air that takes
 * more. A shot counts as in the can when one take is kept before its light goes and before the pack is at its reserve.
 * @param random numbers in [0, 1), seeded by the caller: the same give the same answer
 * @param report is told the share that is thrown, now and then
 */
export const simulate = (
  day: RiskDay,
  runs: number,
  random: () => number,
  report: (share: number) => void = () => undefined,
): RiskAnswer => {
  const minutes: number[] = [];
  const left: number[] = [];
  const flights: number[] = [];
  const misses = new Map<string, number>();
  const mustOf = new Map(
    [...day.flights.flatMap((f) => f.stops), ...day.unplanned].map((s) => [s.id, s.must]),
  );
  let [allMusts, all] = [0, 0];
  const never = day.unplanned.some((u) => u.must);
  for (let i = 0; i < runs; i += 1) {
    if (i % REPORT_RUNS === 0) report(i / runs);
    const run = once(day, random);
    minutes.push(run.airS / 60);
    left.push(day.meanW > 0 ? (run.leftWh / day.meanW) * 60 : 0);
    flights.push(run.flights);
    for (const s of run.missing) misses.set(s.id, (misses.get(s.id) ?? 0) + 1);
    if (!never && !run.missing.some((s) => s.must)) allMusts += 1;
    if (day.unplanned.length === 0 && run.missing.length === 0) all += 1;
  }
  for (const u of day.unplanned) misses.set(u.id, runs);
  const missing = [...misses]
    .map(([id, n]) => ({ id, must: mustOf.get(id) ?? false, chance: n / runs }))
    .sort((a, b) => Number(b.must) - Number(a.must) || b.chance - a.chance);
  return {
    runs,
    allMusts: allMusts / runs,
    all: all / runs,
    minutes: percentiles(minutes),
    minutesLeft: percentiles(left),
    flights: percentiles(flights),
    missing,
    histogram: histogramOf(minutes),
  };
};
