import {
  exposureSpan,
  filterStops,
  spanHolds,
  type ExposureSpan,
  type ExposureTask,
  type FilterChoice,
} from '../exposure';
import { sceneLight } from '../light';
import { type ShotFacts, conditionsOf, type KnownScene, type LocationLight, type OnLens } from '../shot';

/** A filter a flight may be flown with, set to one of its marks. */
export interface Candidate extends OnLens {
  readonly cost: number;
  readonly key: string;
}

/** Which filters bear the light of a shot from its first second in the air to its last, and how well each sits. */
export interface FilterFit {
  /** Regret of each filter by its key, stops; a filter that does not bear the light is not in it. */
  readonly fitCosts: ReadonlyMap<string, number>;
  /** How badly the others miss it, stops of regret: what is taken where nothing bears the light. */
  readonly missCosts: ReadonlyMap<string, number>;
  readonly candidates: readonly Candidate[];
  /** A filter fixed by hand: nothing else is looked at. */
  readonly fixed: boolean;
}

const ISO_REGRET = 0.55;
const NARROW_REGRET = 0.2;

/** How far a light behind a filter lies from where base ISO, a good aperture and 180° put it, in stops of regret. */
const fitCost = (span: ExposureSpan, ev: number, cleanStops: number): number => {
  const base = span.lowEv + cleanStops;
  return ev < base ? (base - ev) * ISO_REGRET : (ev - base) * NARROW_REGRET;
};

const MISS_REGRET = 7;
const missBy = (span: ExposureSpan, ev: number): number => Math.max(0, span.lowEv - ev, ev - span.highEv);

const BARE_LENS: Candidate = { filterId: null, stops: 0, cost: 0, key: 'bare' };
const lists = new WeakMap<readonly FilterChoice[], readonly Candidate[]>();

const candidatesOf = (task: ExposureTask): readonly Candidate[] => {
  let all = lists.get(task.filters);
  if (!all)
    lists.set(
      task.filters,
      (all = [
        BARE_LENS,
        ...task.filters
          .filter((f) => f.factor >= 1)
          .map((f) => ({
            filterId: f.id,
            stops: filterStops(f.factor),
            cost: f.cost ?? 0,
            key: `${f.id}@${f.factor}`,
          })),
      ]),
    );
  const { filterId } = task.fixed;
  return filterId === undefined ? all : all.filter((c) => c.filterId === filterId);
};

/**
 * What bears the light of a shot between two instants.
 * @param known its scene at the first of them
 * @param toMs the second, UTC
 */
export const filterFitOf = (
  facts: ShotFacts,
  { scene, task }: KnownScene,
  lit: LocationLight,
  toMs: number,
): FilterFit => {
  const ends = [scene.ev100, sceneLight(toMs, conditionsOf(lit, facts)).ev100];
  const clean = facts.film.preferences.cleanIsoStops;
  // Lamps carry the scene at night: no filter, and the whole range of the camera.
  const cleanStops = task.mainsHz === null ? clean : Math.log2(task.isoCeiling / task.isoBase);
  const span = exposureSpan(task, cleanStops);
  const candidates = candidatesOf(task);
  const fits = new Map<string, number>();
  const strays = new Map<string, number>();
  if (span)
    for (const c of candidates) {
      if (!ends.every((ev) => spanHolds(span, ev, c.stops))) {
        strays.set(c.key, c.cost + Math.max(...ends.map((ev) => missBy(span, ev - c.stops))) * MISS_REGRET);
        continue;
      }
      fits.set(
        c.key,
        c.cost + ends.reduce((sum, ev) => sum + fitCost(span, ev - c.stops, cleanStops), 0) / 2,
      );
    }
  return {
    fitCosts: fits,
    missCosts: strays,
    candidates,
    fixed: task.fixed.filterId !== undefined,
  };
};

/** What a shot is flown with in its flight. */
export interface FlightFilter extends OnLens {
  /** Which stretch of the flight it belongs to, from 0: between two there is a landing. */
  readonly part: number;
  /** A landing to change the filter comes before it. */
  readonly lands: boolean;
  /** The filter bears its light throughout. */
  readonly holds: boolean;
}

const shared = (a: ReadonlySet<string>, b: ReadonlySet<string>): Set<string> =>
  new Set([...a].filter((k) => b.has(k)));

/** Keys a shot can live with: what bears its light, what was fixed, or anything where nothing does. */
const wishes = (b: FilterFit): ReadonlySet<string> =>
  new Set(b.fixed || b.fitCosts.size === 0 ? b.candidates.map((c) => c.key) : b.fitCosts.keys());

const bestOf = (keys: ReadonlySet<string>, members: readonly FilterFit[]): string | undefined => {
  let [best, least] = ['', Infinity];
  for (const key of keys) {
    const total = members.reduce((sum, m) => sum + (m.fitCosts.get(key) ?? m.missCosts.get(key) ?? 0), 0);
    if (total < least) {
      best = key;
      least = total;
    }
  }
  return best === '' ? undefined : best;
};

/**
 * One filter for a whole flight, since none is changed in the air: shots in flight order are kept together as long as some
 * filter bears the light of all of them, which gives the fewest landings; among those filters the one that sits best is taken.
 */
export const flightFilters = (bearings: readonly FilterFit[]): FlightFilter[] => {
  const parts: { keys: ReadonlySet<string>; members: FilterFit[] }[] = [];
  for (const bearing of bearings) {
    const own = wishes(bearing);
    const last = parts.at(-1);
    const both = last && shared(last.keys, own);
    if (last && both && both.size > 0) {
      last.keys = both;
      last.members.push(bearing);
    } else parts.push({ keys: own, members: [bearing] });
  }
  return parts.flatMap(({ keys, members }, part) => {
    const key = bestOf(keys, members);
    const candidate = members.reduce<Candidate | undefined>(
      (known, m) => known ?? m.candidates.find((c) => c.key === key),
      undefined,
    );
    return members.map((m, i): FlightFilter => ({
      filterId: candidate?.filterId ?? null,
      stops: candidate?.stops ?? 0,
      part,
      lands: part > 0 && i === 0,
      holds: key !== undefined && m.fitCosts.has(key),
    }));
  });
};
