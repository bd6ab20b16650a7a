import { errorRegret, type ExposureChoice, type ExposureTask } from './regret';
import { dials, solveExposure, type Notch } from './solve';
import { describeChoice } from './tell';

/** A moment to be exposed, and the take it belongs to: within one the aperture stays. */
export interface ExposureMoment {
  readonly task: ExposureTask;
  readonly take: string;
}

/** Shutters no farther apart than this are one: 1/48 and 1/50. */
const SAME_SHUTTER = 1.06;
/** What weighs how: an aperture moved within a take, any setting beyond the tolerance, a dial moved, and last the regret. */
const WEIGHT = { inTake: 1e10, beyond: 1e6, change: 1e3 } as const;

interface Axis {
  readonly values: readonly number[];
  /** Which values count as one and the same. */
  readonly same: readonly number[];
}

const axisOf = (values: Iterable<number>, ratio = 1.0001): Axis => {
  const sorted = [...new Set(values)].sort((a, b) => a - b);
  const same: number[] = [];
  sorted.forEach((v, i) => {
    const before = sorted[i - 1];
    same.push(before !== undefined && v / before <= ratio ? (same[i - 1] ?? 0) : (same[i - 1] ?? -1) + 1);
  });
  return { values: sorted, same };
};

/** A moment with what each notch of its dials costs; Infinity for a notch it does not have. */
interface Laid {
  readonly task: ExposureTask;
  readonly take: string;
  readonly filterId: string | null;
  readonly ndStops: number;
  readonly wanted: number;
  readonly base: number;
  readonly bestRegret: number;
  readonly apertures: readonly Notch<number>[];
  readonly shutters: readonly Notch<number>[];
  readonly isos: readonly Notch<number>[];
}

const laidOut = ({ task, take }: ExposureMoment): Laid | null => {
  const answer = solveExposure(task);
  if (!answer.ok) return null;
  const { filterId, ndStops, regret } = answer.value.choice;
  const d = dials(task);
  const filter = d.filters.find((f) => f.value === filterId && Math.abs(f.stops - ndStops) < 0.01);
  return {
    task,
    take,
    filterId,
    ndStops,
    wanted: task.sceneEv100 - task.biasStops - ndStops,
    base: filter?.regret ?? 0,
    bestRegret: regret,
    apertures: d.apertures,
    shutters: d.shutters,
    isos: d.isos,
  };
};

type Cost = { readonly stops: number; readonly regret: number } | undefined;
const byValue = (notches: readonly Notch<number>[], axis: Axis): Cost[] => {
  const found = new Map(notches.map((n) => [n.value, n]));
  return axis.values.map((v) => found.get(v));
};

/** Dials that stay, as bits: aperture 1, shutter 2, ISO 4. */
const KEPT = [7, 6, 5, 3, 4, 2, 1, 0] as const;
const moved = (kept: number): number => 3 - ((kept & 1) + ((kept >> 1) & 1) + ((kept >> 2) & 1));

/** Sequences of settings by dynamic programming: cost of every setting at every moment, and where it came from. */
class Table {
  private readonly a: Axis;
  private readonly s: Axis;
  private readonly i: Axis;
  private readonly size: number;
  private readonly from: Int32Array[] = [];

  constructor(
    private readonly moments: readonly Laid[],
    private readonly tolerance: number,
  ) {
    this.a = axisOf(moments.flatMap((m) => m.apertures.map((n) => n.value)));
    // A shutter that costs more than may be borne at any moment is never part of a setting that is kept.
    this.s = axisOf(
      moments.flatMap((m) =>
        m.shutters.filter((n) => n.regret <= m.bestRegret + tolerance + 1e-9).map((n) => n.value),
      ),
      SAME_SHUTTER,
    );
    this.i = axisOf(moments.flatMap((m) => m.isos.map((n) => n.value)));
    this.size = this.a.values.length * this.s.values.length * this.i.values.length;
  }

  private parts(state: number): [number, number, number] {
    const inner = this.s.values.length * this.i.values.length;
    const rest = state % inner;
    return [Math.floor(state / inner), Math.floor(rest / this.i.values.length), rest % this.i.values.length];
  }

  /** What a setting costs at a moment by itself. */
  private local(m: Laid): Float64Array {
    const costs = new Float64Array(this.size).fill(Infinity);
    const [apertures, shutters, isos] = [
      byValue(m.apertures, this.a),
      byValue(m.shutters, this.s),
      byValue(m.isos, this.i),
    ];
    let state = 0;
    for (const aperture of apertures)
      for (const shutter of shutters)
        for (const iso of isos) {
          if (aperture && shutter && iso) {
            const regret =
              m.base +
              aperture.regret +
              shutter.regret +
              iso.regret +
              errorRegret(m.wanted - aperture.stops - shutter.stops - iso.stops);
            const beyond = Math.max(0, regret - m.bestRegret - this.tolerance);
            costs[state] = regret + (beyond > 1e-9 ? (1 + beyond) * WEIGHT.beyond : 0);
          }
          state += 1;
        }
    return costs;
  }

  private key(kept: number, [a, s, i]: readonly [number, number, number]): number {
    const A = kept & 1 ? (this.a.same[a] ?? 0) + 1 : 0;
    const S = kept & 2 ? (this.s.same[s] ?? 0) + 1 : 0;
    const I = kept & 4 ? (this.i.same[i] ?? 0) + 1 : 0;
    return (A * 200 + S) * 200 + I;
  }

  /** Cheapest settings of a moment for each choice of dials that stay. */
  private cheapest(costs: Float64Array): Map<number, number>[] {
    const tables = KEPT.map(() => new Map<number, number>());
    for (let state = 0; state < this.size; state += 1) {
      const cost = costs[state] ?? Infinity;
      if (cost === Infinity) continue;
      const parts = this.parts(state);
      KEPT.forEach((kept, k) => {
        const table = tables[k];
        const key = this.key(kept, parts);
        const best = table?.get(key);
        if (best === undefined || cost < (costs[best] ?? Infinity)) table?.set(key, state);
      });
    }
    return tables;
  }

  private step(before: Float64Array, m: Laid, sameTake: boolean): Float64Array {
    const costs = this.local(m);
    const from = new Int32Array(this.size).fill(-1);
    const tables = this.cheapest(before);
    for (let state = 0; state < this.size; state += 1) {
      const own = costs[state] ?? Infinity;
      if (own === Infinity) continue;
      const parts = this.parts(state);
      let least = Infinity;
      KEPT.forEach((kept, k) => {
        const source = tables[k]?.get(this.key(kept, parts));
        if (source === undefined) return;
        const inTake = sameTake && !(kept & 1) ? WEIGHT.inTake : 0;
        const cost = (before[source] ?? Infinity) + moved(kept) * WEIGHT.change + inTake;
        if (cost < least) {
          least = cost;
          from[state] = source;
        }
      });
      costs[state] = own + least;
    }
    this.from.push(from);
    return costs;
  }

  /** The settings with the fewest moved dials, one for each moment. */
  solve(): (readonly [aperture: number, shutterS: number, iso: number])[] {
    const [first, ...rest] = this.moments;
    if (!first || this.size === 0) return [];
    let costs = this.local(first);
    let take = first.take;
    for (const m of rest) {
      costs = this.step(costs, m, m.take === take);
      take = m.take;
    }
    let state = costs.reduce((best, cost, i) => (cost < (costs[best] ?? Infinity) ? i : best), 0);
    const states = [state];
    for (let m = rest.length - 1; m >= 0; m -= 1) states.unshift((state = this.from[m]?.[state] ?? 0));
    const shutters = this.asDialled(states.map((at) => this.parts(at)[1]));
    return states.map((at, m) => {
      const [a, , i] = this.parts(at);
      return [this.a.values[a] ?? 0, this.s.values[shutters[m] ?? 0] ?? 0, this.i.values[i] ?? 0] as const;
    });
  }

  /** What counts as one shutter is dialled as one, wherever all moments that follow each other have it. */
  private asDialled(chosen: readonly number[]): number[] {
    const dialled = [...chosen];
    let from = 0;
    let shared: number[] = [];
    chosen.forEach((s, m) => {
      const own = this.alike(s, m);
      const both = shared.filter((v) => own.includes(v));
      if (both.length === 0) from = m;
      shared = both.length === 0 ? own : both;
      const taken = chosen.slice(from, m + 1).find((v) => shared.includes(v)) ?? shared[0] ?? s;
      dialled.fill(taken, from, m + 1);
    });
    return dialled;
  }

  /** Shutters of a moment that count as the same and are borne there: 1/48 flickers under lamps where 1/50 does not. */
  private alike(s: number, m: number): number[] {
    const costs = byValue(this.moments[m]?.shutters ?? [], this.s);
    const most = (costs[s]?.regret ?? 0) + this.tolerance;
    return costs.flatMap((c, i) => (c && this.s.same[i] === this.s.same[s] && c.regret <= most ? [i] : []));
  }
}

/**
 * Settings for moments that follow each other on one camera, with as few dials moved as can be: exact, by dynamic programming
 * over all settings the dials have. A setting stays as long as it costs no more than the tolerance over the best of the
 * moment; within a take the aperture never moves; shutters that only differ by a rounding are one.
 * @param toleranceStops regret a setting may cost over the best before it is changed, stops
 * @returns a choice for each moment; null where no exposure can be worked out
 */
export const fewestChanges = (
  moments: readonly ExposureMoment[],
  toleranceStops: number,
): (ExposureChoice | null)[] => {
  const laid = moments.map(laidOut);
  const known = laid.filter((m) => m !== null);
  const settings = new Table(known, toleranceStops).solve();
  let n = 0;
  return laid.map((m) => {
    if (!m) return null;
    const setting = settings[n];
    n += 1;
    if (!setting) return null;
    const [aperture, shutterS, iso] = setting;
    const at = (notches: readonly Notch<number>[], value: number) => notches.find((x) => x.value === value);
    const [a, s, i] = [at(m.apertures, aperture), at(m.shutters, shutterS), at(m.isos, iso)];
    const regret =
      m.base +
      (a?.regret ?? 0) +
      (s?.regret ?? 0) +
      (i?.regret ?? 0) +
      errorRegret(m.wanted - (a?.stops ?? 0) - (s?.stops ?? 0) - (i?.stops ?? 0));
    return describeChoice(m.task, {
      aperture,
      shutterS,
      iso,
      ndStops: m.ndStops,
      filterId: m.filterId,
      regret,
    });
  });
};
